<script lang="ts">
  import PieceOf from './PieceOf.svelte';
  import type { Block, Laying } from './laying.svelte';

  /** What can be done to a block, drawn: the grounds it can stand on, how far it reaches, how much room it has. */
  let { laying, block }: { laying: Laying; block: Block } = $props();

  const REACHES = [
    { name: 'content', words: 'As wide as content', band: 12 },
    { name: 'wide', words: 'Wide', band: 20 },
    { name: 'full', words: 'From edge to edge', band: 30 }
  ] as const;
  const ROOMS = [
    { name: 'close', words: 'Close to what is around', gap: 1 },
    { name: 'standard', words: 'The usual room', gap: 4 },
    { name: 'ample', words: 'Ample room', gap: 7 }
  ] as const;

  const page = $derived(laying.page!);
  const at = $derived(block.at);
  const places = $derived(laying.blocks.findIndex((one) => one.at === at));
  const hideable = $derived(block.tag === 'h1' || (block.region && ['header', 'nav', 'footer', 'aside'].includes(block.tag)));
</script>

<div class="mb-2 flex flex-col gap-2 border border-t-0 border-ink bg-raised p-2.5" role="group" aria-label="Handles of {block.words}">
  <div class="flex flex-wrap gap-1" role="radiogroup" aria-label="Stands on">
    {#each page.surfaces as one (one.name)}
      <button
        class="flex h-9 min-w-14 flex-col justify-center border px-1.5 text-left leading-none {block.surface === one.name
          ? 'border-ink outline-2 outline-accent'
          : 'border-line'}"
        role="radio"
        aria-checked={block.surface === one.name}
        style:background={one.ground}
        style:color={one.text}
        onclick={() => laying.change({ op: 'ground', at, surface: one.name })}
      >
        <span class="text-xs">{one.name || 'page'}</span>
        <span class="mt-1 h-0.5 w-6" style:background={one.accent}></span>
      </button>
    {/each}
  </div>
  {#if !block.region}
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <div class="flex gap-1" role="radiogroup" aria-label="Reaches">
        {#each REACHES as one (one.name)}
          <button
            class="border p-1 {block.reach === one.name ? 'border-ink bg-chosen' : 'border-transparent hover:bg-hover'}"
            role="radio"
            aria-checked={block.reach === one.name}
            aria-label={one.words}
            title={one.words}
            onclick={() => laying.change({ op: 'extent', at, reach: one.name })}
          >
            <svg width="32" height="20" aria-hidden="true"
              ><rect x="0.5" y="0.5" width="31" height="19" class="fill-ground stroke-line" /><rect
                x={16 - one.band / 2}
                y="5"
                width={one.band}
                height="10"
                class="fill-ink"
              /></svg
            >
          </button>
        {/each}
      </div>
      <div class="flex gap-1" role="radiogroup" aria-label="Room around">
        {#each ROOMS as one (one.name)}
          <button
            class="border p-1 {block.room === one.name ? 'border-ink bg-chosen' : 'border-transparent hover:bg-hover'}"
            role="radio"
            aria-checked={block.room === one.name}
            aria-label={one.words}
            title={one.words}
            onclick={() => laying.change({ op: 'air', at, room: one.name })}
          >
            <svg width="24" height="24" aria-hidden="true"
              ><path d="M2 {8 - one.gap} H22 M2 {16 + one.gap} H22" class="stroke-line" stroke-width="1.5" /><rect
                x="2"
                y="9"
                width="20"
                height="6"
                class="fill-ink"
              /></svg
            >
          </button>
        {/each}
      </div>
    </div>
    <div class="flex flex-wrap gap-1">
      <button class="button" disabled={places <= 0} title="Alt and arrow up" onclick={() => laying.shift(block, -1)}>Up</button>
      <button
        class="button"
        disabled={places === laying.blocks.length - 1}
        title="Alt and arrow down"
        onclick={() => laying.shift(block, 1)}>Down</button
      >
      <button class="button" onclick={() => laying.change({ op: 'double', at })}>Copy</button>
      <button class="button" onclick={() => laying.drop(block)}>Remove</button>
      {#if hideable}
        <button class="button" onclick={() => laying.change({ op: 'shown', at, shown: !block.shown })}
          >{block.shown ? 'Hide the title' : 'Show the title'}</button
        >
      {/if}
    </div>
  {:else if hideable}
    <div>
      <button class="button" onclick={() => laying.change({ op: 'shown', at, shown: !block.shown })}
        >{block.shown ? 'Leave out on this page' : 'Put back on this page'}</button
      >
    </div>
  {/if}
  <PieceOf {laying} {block} />
</div>
