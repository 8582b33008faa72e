<script lang="ts">
  import type { Laying } from './laying.svelte';

  /** The headings of a page as an outline, what is wrong with them, and the look that each wears. */
  let { laying, looks }: { laying: Laying; /** How each level looks on the page, as CSS. */ looks: string[] } = $props();

  const page = $derived(laying.page!);
  let open = $state(0);
</script>

{#if page.missing}<p class="px-3 text-must" role="status">{page.missing}</p>{/if}
<ol class="px-3 pb-2" aria-label="Headings">
  {#each page.headings as heading (heading.at)}
    <li class="border-t border-border py-1" style:padding-left="{(heading.level - 1) * 14}px">
      <button
        class="flex w-full items-baseline gap-2 text-left hover:bg-hover"
        aria-expanded={open === heading.at}
        onclick={() => (open = open === heading.at ? 0 : heading.at)}
      >
        <span class="value w-4 shrink-0 text-muted">{heading.level}</span>
        <span class="min-w-0 grow truncate {heading.shown ? '' : 'text-muted line-through'}">{heading.words || 'no words'}</span>
        {#if heading.look !== heading.level}<span class="caption shrink-0">looks like {heading.look}</span>{/if}
      </button>
      {#if heading.fault}<p class="pl-6 text-must">{heading.fault}</p>{/if}
      {#if open === heading.at}
        <div class="flex flex-wrap items-end gap-1 py-1 pl-6" role="radiogroup" aria-label="Wears the look of">
          {#each looks as look, i (i)}
            <button
              class="grid h-12 min-w-9 place-items-end justify-center overflow-hidden border px-1.5 {heading.look === i + 1
                ? 'border-ink bg-chosen'
                : 'border-line hover:bg-hover'}"
              role="radio"
              aria-checked={heading.look === i + 1}
              aria-label="Level {i + 1}"
              title="Look of level {i + 1}"
              onclick={() => laying.change({ op: 'look', at: heading.at, level: `h${i + 1}` })}
              ><span class="block leading-none whitespace-nowrap" style={look}>{i + 1}</span></button
            >
          {/each}
        </div>
      {/if}
    </li>
  {:else}<li class="text-muted">No headings.</li>{/each}
</ol>
