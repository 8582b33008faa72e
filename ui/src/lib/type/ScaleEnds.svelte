<script lang="ts">
  import { api, ask, type Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import CurveChart from './CurveChart.svelte';
  import SizeChart from './SizeChart.svelte';

  /** A scale's two ends as numbers, and what it comes to between them. */
  let { bench, scale }: { bench: Bench; scale: Schemas['TypeScaleView'] } = $props();

  const SIZES = 'fontSize';
  const CHARTS = [
    { part: SIZES, words: 'sizes' },
    { part: 'lineHeight', words: 'line heights' },
    { part: 'letterSpacing', words: 'spacing' }
  ];
  let chart = $state(SIZES);
  const curve = $derived(bench.shown?.type.curves.find((one) => one.part === chart));

  let intervals = $state.raw<Schemas['IntervalView'][]>([]);
  $effect(() => void ask(() => api.GET('/api/intervals')).then((all) => (intervals = all)));

  const ENDS = [
    { name: 'Narrow', base: 'narrowBase', ratio: 'narrowRatio', viewport: 'narrowViewport' },
    { name: 'Wide', base: 'wideBase', ratio: 'wideRatio', viewport: 'wideViewport' }
  ] as const;
  const ROWS = [
    { name: 'Viewport', member: 'viewport', min: 200, max: 2560, step: 10, places: 0 },
    { name: 'Base', member: 'base', min: 10, max: 32, step: 0.25, places: 2 },
    { name: 'Ratio', member: 'ratio', min: 1, max: 2.5, step: 0.005, places: 3 }
  ] as const;

  function recipe(change: Partial<Schemas['TypeScaleView']>) {
    const { narrowBase, narrowRatio, wideBase, wideRatio, narrowViewport, wideViewport, smallest, largest } = { ...scale, ...change };
    return {
      op: 'typeSteps' as const,
      place: scale.place,
      path: scale.path,
      narrowBase,
      narrowRatio,
      wideBase,
      wideRatio,
      narrowViewport,
      wideViewport,
      smallest,
      largest
    };
  }
</script>

<Compartment label="Scale" frame="w-[15.5rem] shrink-0 border-l border-border" inside="p-3">
  <div class="grid grid-cols-[3.75rem_1fr_1fr] items-center gap-x-2 gap-y-1">
    <h2 class="font-semibold">Scale</h2>
    {#each ENDS as end (end.name)}<span class="caption pl-4">{end.name.toLowerCase()}, px</span>{/each}
    {#each ROWS as row (row.name)}
      <span class="text-muted">{row.name}</span>
      {#each ENDS as end (end.name)}
        <NumberField
          label="{end.name} {row.name.toLowerCase()}"
          short="↔"
          size="w-15"
          value={scale[end[row.member]]}
          min={row.min}
          max={row.max}
          step={row.step}
          places={row.places}
          onprobe={(v) => bench.probe(recipe({ [end[row.member]]: v }))}
          oncommit={(v) => bench.commit(recipe({ [end[row.member]]: v }))}
        />
      {/each}
    {/each}
    <span class="text-muted">Named</span>
    {#each ENDS as end (end.name)}
      <select
        class="field ml-4 w-15 px-1!"
        aria-label="{end.name} ratio by name"
        value={String(intervals.find((one) => Math.abs(one.ratio - scale[end.ratio]) < 0.0006)?.ratio ?? '')}
        onchange={(e) => e.currentTarget.value && bench.commit(recipe({ [end.ratio]: Number(e.currentTarget.value) }))}
      >
        <option value="">none</option>
        {#each intervals as one (one.name)}<option value={String(one.ratio)}>{one.name} {one.fraction}</option>{/each}
      </select>
    {/each}
  </div>
  <label class="mt-2 flex items-center gap-2">
    <input type="checkbox" checked={bench.lines} onchange={(event) => bench.showLines(event.currentTarget.checked)} />
    Lines of text over the pages
  </label>
  <div class="mt-2 flex gap-1" role="radiogroup" aria-label="Drawn over the size of text">
    {#each CHARTS as one (one.part)}
      <button
        class="rounded-sm px-1.5 {chart === one.part ? 'bg-chosen font-semibold' : 'text-muted hover:text-text'}"
        role="radio"
        aria-checked={chart === one.part}
        onclick={() => (chart = one.part)}>{one.words}</button
      >
    {/each}
  </div>
  <div class="mt-1">
    {#if curve}{#key curve.part}<CurveChart {bench} {curve} styles={bench.shown?.type.styles ?? []} />{/key}
    {:else if chart === SIZES}<SizeChart {scale} bays={bench.bays.map((bay) => bay.width)} />
    {:else}<p class="text-muted">A curve runs from running text to the largest heading; this theme has not set both.</p>{/if}
  </div>
</Compartment>
