<script lang="ts">
  import BlockHandles from './BlockHandles.svelte';
  import type { Block, Laying } from './laying.svelte';

  /** The page as a plan: its frame and its blocks in order, each on its ground and as wide as it is. A block is dragged by itself. */
  let { laying, heights }: { laying: Laying; /** Real heights in px, by where blocks stand. */ heights: Record<number, number> } = $props();

  const SMALL = 0.05;
  const REACH = { content: '62%', wide: '82%', full: '100%' } as Record<string, string>;
  const ROOM = { standard: 4, close: 0, ample: 12 } as Record<string, number>;

  const surface = (block: Block) => laying.page?.surfaces.find((one) => one.name === block.surface);
  const tall = (block: Block) => Math.min(64, Math.max(24, (heights[block.at] ?? 0) * SMALL));

  /** A block that is being dragged, and how many it has passed. */
  let drag = $state<{ at: number; from: number; y: number; by: number } | null>(null);
  let rows: Record<number, HTMLElement> = $state({});

  function down(event: PointerEvent, block: Block) {
    if (block.region || event.button !== 0) return;
    drag = { at: block.at, from: event.clientY, y: event.clientY, by: 0 };
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  }

  function move(event: PointerEvent) {
    if (!drag) return;
    const others = laying.blocks;
    const own = others.findIndex((one) => one.at === drag!.at);
    const middles = others.map((one) => {
      const box = rows[one.at]?.getBoundingClientRect();
      return box ? box.top + box.height / 2 : 0;
    });
    const passed = middles.filter((y, i) => (i < own && event.clientY < y) || (i > own && event.clientY > y)).length;
    drag = { ...drag, y: event.clientY, by: event.clientY < (middles[own] ?? 0) ? -passed : passed };
  }

  async function up(block: Block) {
    const by = drag?.by ?? 0;
    const moved = drag && Math.abs(drag.y - drag.from) > 4;
    drag = null;
    if (by) await laying.shift(block, by);
    else if (!moved) laying.block = laying.block === block.at ? 0 : block.at;
  }

  /** Where the dragged block would go: above this one, or below it. */
  function mark(block: Block): string {
    if (!drag?.by) return '';
    const others = laying.blocks;
    const own = others.findIndex((one) => one.at === drag!.at);
    const here = others.findIndex((one) => one.at === block.at);
    return here >= 0 && here === own + drag.by ? (drag.by < 0 ? 'above' : 'below') : '';
  }
</script>

<ol class="flex flex-col items-center bg-sunk p-3" aria-label="What the page is laid out of">
  {#each laying.page?.blocks ?? [] as block (block.at)}
    {@const standing = surface(block)}
    {@const open = laying.block === block.at}
    <li class="w-full" style:margin-block="{ROOM[block.room] ?? 4}px">
      <div
        bind:this={rows[block.at]}
        class="relative mx-auto {mark(block) === 'above'
          ? 'shadow-[0_-3px_0_var(--surface-accent)]'
          : mark(block) === 'below'
            ? 'shadow-[0_3px_0_var(--surface-accent)]'
            : ''}"
        style:width={block.region ? '100%' : REACH[block.reach]}
      >
        <button
          class="flex w-full touch-none items-center gap-2 border px-2 text-left {open
            ? 'border-ink outline-2 outline-accent'
            : 'border-line'} {block.shown ? '' : 'opacity-55'} {drag?.at === block.at ? 'cursor-grabbing' : ''}"
          style:background={block.shown ? (standing?.ground ?? 'transparent') : 'transparent'}
          style:color={block.shown ? (standing?.text ?? 'inherit') : 'inherit'}
          style:min-height="{tall(block)}px"
          aria-expanded={open}
          onpointerdown={(e) => down(e, block)}
          onpointermove={move}
          onpointerup={() => void up(block)}
          onpointercancel={() => (drag = null)}
          onclick={(e) => {
            // A click of the keyboard, which no pointer came before.
            if (e.detail === 0) laying.block = open ? 0 : block.at;
          }}
          onkeydown={(e) => {
            if (block.region || !e.altKey || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return;
            e.preventDefault();
            void laying.shift(block, e.key === 'ArrowUp' ? -1 : 1);
          }}
        >
          {#if block.piece}<span class="h-4 w-0 border-l-4 border-dotted" style:border-color="currentColor" title="A piece"></span>{/if}
          <span class="min-w-0 grow truncate">{block.words.replace(/^the /, '')}</span>
          {#if block.own}<span class="value" title="{block.own} of its own">◆{block.own}</span>{/if}
          {#if !block.shown}<span class="value">left out</span>{/if}
        </button>
      </div>
      {#if open}<BlockHandles {laying} {block} />{/if}
    </li>
  {/each}
</ol>
