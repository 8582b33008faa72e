<script lang="ts">
  import type { Contexts } from '$lib/site/bays.svelte';
  import type { Modifier } from './bench.svelte';

  /** One switch for each modifier: which of its contexts is chosen. */
  let {
    modifiers,
    contexts,
    of,
    onchoose
  }: { modifiers: Modifier[]; contexts: Contexts; of: string; onchoose: (modifier: string, context: string) => void } = $props();

  const id = $props.id();
</script>

{#each modifiers as modifier (modifier.name)}
  <fieldset class="flex items-center gap-2">
    <legend class="sr-only">{modifier.name} of {of}</legend>
    <span class="caption w-16 truncate" aria-hidden="true">{modifier.name}</span>
    <div class="flex rounded-[3px] border border-line">
      {#each modifier.contexts as context (context)}
        <label
          class="cursor-pointer border-l border-line px-2 py-0.5 first:border-l-0 hover:bg-hover has-checked:bg-chosen has-checked:font-semibold has-focus-visible:outline-2 has-focus-visible:outline-accent"
        >
          <input
            class="sr-only"
            type="radio"
            name="{id}-{modifier.name}"
            value={context}
            checked={contexts[modifier.name] === context}
            onchange={() => onchoose(modifier.name, context)}
          />{context}
        </label>
      {/each}
    </div>
  </fieldset>
{/each}
