<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { choose, chosenOf } from '$lib/contract/choosing';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { dress } from './dress';

  /** Which of its surface's colors a style's letters take, each shown as the letters would be on the page's ground. */
  let { bench, style }: { bench: Bench; style: Schemas['StyleView'] } = $props();

  const choice = $derived(bench.contract.choices.find((one) => one.colors.includes(style.path)));
  const chosen = $derived(choice && (chosenOf(bench, choice.name)?.value ?? choice.standard));
  const roles = $derived(bench.shown?.color.surfaces.find((one) => one.name === 'page')?.roles ?? []);
  const colorOf = (role: string) => (roles.find((one) => one.role === role) ?? roles.find((one) => one.role === 'text'))?.cells[0]?.hex;
</script>

{#if choice}
  <div class="mt-1 flex items-stretch gap-1" role="radiogroup" aria-label={choice.purpose}>
    {#each choice.values as value (value.value)}
      <button
        class="flex min-w-0 grow basis-0 flex-col overflow-hidden rounded-sm border text-left {value.value === chosen
          ? 'border-accent bg-chosen'
          : 'border-border hover:border-ink'}"
        role="radio"
        aria-checked={value.value === chosen}
        title={value.words}
        onpointerenter={() => value.value !== chosen && void bench.probe(choose(bench, choice, value.value))}
        onpointerleave={() => bench.revert()}
        onclick={() => void bench.commit(choose(bench, choice, value.value))}
      >
        <span
          class="block px-1.5"
          style:background-color={colorOf('ground')}
          style:color={colorOf(value.value)}
          style={dress(style, 15)}
          aria-hidden="true">Ag</span
        >
        <span class="truncate px-1.5 text-xs">{value.value}</span>
      </button>
    {/each}
  </div>
{/if}
