<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { untrack } from 'svelte';
  import { lengthEdit } from '$lib/space/length';
  import { LengthPull } from '$lib/space/pull.svelte';
  import type { Bench } from '$lib/theme/bench.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';

  /** A card with a button in it, twice its size: its corner, its padding and its line, and the button's corner, are pulled where they are. */
  let { bench, ground, raised, ink, accent }: { bench: Bench; ground: string; raised: string; ink: string; accent: string } = $props();

  const TIMES = 2;
  const MOST = 96;

  const lengths = $derived([...(bench.shown?.space.shape ?? []), ...(bench.shown?.space.parts ?? [])]);
  const find = (path: string) => lengths.find((one) => one.path === path);
  const card = $derived(find('part.card.radius'));
  const inset = $derived(find('part.card.inset'));
  const button = $derived(find('part.button.radius'));
  const line = $derived(find('shape.line'));
  const nest = $derived(bench.shown?.shape.nested.find((one) => one.outer === 'part.card.radius'));
  const px = (view: Schemas['LengthView'] | undefined) => (view?.widePx ?? 0) * TIMES;
  const shadow = $derived(bench.shown?.shape.shadows.find((one) => one.path === 'shadow.card')?.css ?? '');

  const held = new LengthPull(
    untrack(() => bench),
    MOST
  );
  const WAYS = { ArrowRight: 1, ArrowDown: 1, ArrowUp: -1, ArrowLeft: -1 };
</script>

{#snippet handle(
  view: Schemas['LengthView'] | undefined,
  left: string,
  top: string,
  cursor: string,
  by: (dx: number, dy: number) => number
)}
  {#if view}
    <div
      class="absolute z-10 -mt-1.5 -ml-1.5 size-3 touch-none border border-ink bg-accent {cursor}"
      style:left
      style:top
      role="slider"
      tabindex="0"
      aria-label={view.purpose}
      aria-valuemin="0"
      aria-valuemax={MOST}
      aria-valuenow={view.widePx}
      aria-valuetext="{view.widePx} px"
      title="{view.purpose}: {view.widePx} px"
      onpointerdown={(event) => held.take(event, view)}
      onpointermove={(event) => held.move(event, view, (dx, dy) => by(dx, dy) / TIMES)}
      onpointerup={() => void held.letGo(view)}
      onpointercancel={() => held.cancel()}
      onkeydown={(event) => held.key(event, view, WAYS)}
    ></div>
  {/if}
{/snippet}

<div class="p-6" style:background={ground}>
  <div
    class="relative h-44"
    style:background={raised}
    style:border-style="solid"
    style:border-color="color-mix(in oklab, {ink} 30%, transparent)"
    style:border-width="{px(line)}px"
    style:border-radius="{px(card)}px"
    style:padding="{px(inset)}px"
    style:box-shadow={shadow}
  >
    <div class="pointer-events-none absolute border border-dashed" style:inset="{px(inset)}px" style:border-color={accent}></div>
    <div class="h-14 w-40" style:background={accent} style:border-radius="{px(button)}px" aria-hidden="true"></div>
    {@render handle(
      card,
      `${Math.max(px(card), 6) * 0.29}px`,
      `${Math.max(px(card), 6) * 0.29}px`,
      'cursor-nwse-resize',
      (dx, dy) => dx + dy
    )}
    {@render handle(inset, `${px(inset)}px`, '60%', 'cursor-ew-resize', (dx) => dx)}
    {@render handle(
      button,
      `${px(inset) + 160 - Math.max(px(button), 6) * 0.29}px`,
      `${px(inset) + Math.max(px(button), 6) * 0.29}px`,
      'cursor-nesw-resize',
      (dx, dy) => dy - dx
    )}
    {@render handle(line, '50%', '100%', 'cursor-ns-resize', (_dx, dy) => dy)}
  </div>
</div>
{#if nest && Math.abs(nest.fitsPx - nest.outerPx) > 0.5 && (nest.innerPx > 0 || nest.outerPx > 0)}
  <p class="flex flex-wrap items-baseline gap-x-3 py-1">
    <span>A card’s corner that runs along its button’s has {nest.fitsPx} px; it has {nest.outerPx}.</span>
    {#if card}<button class="underline" onclick={() => bench.commit(lengthEdit(bench, card, `${nest.fitsPx}px`))}>Let it fit</button>{/if}
  </p>
{/if}
<div class="grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-x-6">
  {#each lengths.filter((one) => /^shape\.|radius$|part\.card|part\.button/.test(one.path)) as view (view.path)}
    <div
      class="flex items-center gap-2 border-t border-border py-1"
      role="presentation"
      onpointerenter={() => bench.light([view.path])}
      onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}
    >
      <button
        class="min-w-0 grow truncate text-left hover:underline"
        title={view.purpose}
        onclick={() => bench.open({ path: view.path, contexts: bench.working, roles: [] }, true)}
        >{view.path.replace(/^(shape|part)\./, '').replace('.', ' ')}{#if !view.place}<span class="caption"> · unset</span>{/if}</button
      >
      <NumberField
        label={view.purpose}
        short="↔"
        size="w-16"
        value={view.widePx}
        min={0}
        max={MOST}
        step={0.5}
        onprobe={(v) => bench.probe(lengthEdit(bench, view, `${v}px`))}
        oncommit={(v) => bench.commit(lengthEdit(bench, view, `${v}px`))}
      />
    </div>
  {/each}
</div>
