<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import type { Schemas } from '$lib/api/client';
  import Compartment from '$lib/ui/Compartment.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import FoundScale from '$lib/space/FoundScale.svelte';
  import Ladder from './Ladder.svelte';
  import SizeChart from './SizeChart.svelte';
  import StyleTable from './StyleTable.svelte';

  let { bench }: { bench: Bench } = $props();

  const RATIOS = [
    { name: 'minor second', value: 1.067 },
    { name: 'major second', value: 1.125 },
    { name: 'minor third', value: 1.2 },
    { name: 'major third', value: 1.25 },
    { name: 'perfect fourth', value: 1.333 },
    { name: 'perfect fifth', value: 1.5 },
    { name: 'octave', value: 2 }
  ];

  const type = $derived(bench.shown?.type);
  const scale = $derived(type?.scales[0]);
  const found = $derived((bench.shown?.space.found ?? []).filter((one) => one.ofType));

  function recipe(change: Partial<Schemas['TypeScaleView']>) {
    const { narrowBase, narrowRatio, wideBase, wideRatio, narrowViewport, wideViewport, smallest, largest } = { ...scale!, ...change };
    return {
      op: 'typeSteps' as const,
      place: scale!.place,
      path: scale!.path,
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

  function family(view: Schemas['ValueView'], name: string) {
    const generic = bench.fonts.find((f) => f.name === name)?.generic ?? 'sans-serif';
    return { op: 'value' as const, place: view.place, path: view.path, text: `${name}, ${generic}` };
  }

  const first = (written: string) => written.split(',')[0]?.trim() ?? '';
  const ends = [
    { name: 'Narrow', base: 'narrowBase', ratio: 'narrowRatio', viewport: 'narrowViewport' },
    { name: 'Wide', base: 'wideBase', ratio: 'wideRatio', viewport: 'wideViewport' }
  ] as const;
</script>

<div class="flex h-full min-h-0 min-w-max">
  {#if !bench.pick}
    <Compartment label="Families and weights" frame="w-62 shrink-0" inside="p-3">
      <h2 class="mb-1 font-semibold">Families</h2>
      {#each type?.families ?? [] as view (view.path)}
        <label class="flex items-center gap-2 border-t border-border py-0.5">
          <span class="w-14 shrink-0 text-muted">{view.name}</span>
          <select
            class="field w-full px-1.5!"
            aria-label="{view.name} family"
            value={first(view.value)}
            onchange={(e) => bench.commit(family(view, e.currentTarget.value))}
          >
            {#each bench.fonts as font (font.name)}<option value={font.name}>{font.name}</option>{/each}
            {#if !bench.fonts.some((f) => f.name === first(view.value))}<option value={first(view.value)}>{first(view.value)}</option>{/if}
          </select>
        </label>
      {/each}
      <h2 class="mt-3 mb-1 font-semibold">Weights</h2>
      {#each type?.weights ?? [] as view (view.path)}
        <div class="border-t border-border py-0.5">
          <NumberField
            label="{view.name} weight"
            wide
            value={Number(view.value)}
            min={100}
            max={1000}
            step={10}
            places={0}
            onprobe={(v) => bench.probe({ op: 'value', place: view.place, path: view.path, text: String(v) })}
            oncommit={(v) => bench.commit({ op: 'value', place: view.place, path: view.path, text: String(v) })}
          />
        </div>
      {/each}
    </Compartment>
  {/if}

  {#if scale}
    <Compartment label="Scale" frame="w-[16rem] shrink-0 border-l border-border" inside="p-3">
      <div class="grid grid-cols-[3.75rem_1fr_1fr] items-center gap-x-2 gap-y-1">
        <h2 class="font-semibold">Scale</h2>
        {#each ends as end (end.name)}<span class="caption pl-4">{end.name.toLowerCase()}, px</span>{/each}
        <span class="text-muted">Viewport</span>
        {#each ends as end (end.name)}
          <NumberField
            label="{end.name} viewport"
            short="↔"
            size="w-16"
            value={scale[end.viewport]}
            min={200}
            max={2560}
            step={10}
            places={0}
            onprobe={(v) => bench.probe(recipe({ [end.viewport]: v }))}
            oncommit={(v) => bench.commit(recipe({ [end.viewport]: v }))}
          />
        {/each}
        <span class="text-muted">Base</span>
        {#each ends as end (end.name)}
          <NumberField
            label="{end.name} base"
            short="↔"
            size="w-16"
            value={scale[end.base]}
            min={10}
            max={32}
            step={0.25}
            onprobe={(v) => bench.probe(recipe({ [end.base]: v }))}
            oncommit={(v) => bench.commit(recipe({ [end.base]: v }))}
          />
        {/each}
        <span class="text-muted">Ratio</span>
        {#each ends as end (end.name)}
          <NumberField
            label="{end.name} ratio"
            short="↔"
            size="w-16"
            value={scale[end.ratio]}
            min={1}
            max={2.5}
            step={0.005}
            places={3}
            onprobe={(v) => bench.probe(recipe({ [end.ratio]: v }))}
            oncommit={(v) => bench.commit(recipe({ [end.ratio]: v }))}
          />
        {/each}
        <span class="text-muted">Named</span>
        {#each ends as end (end.name)}
          <select
            class="field ml-4 w-16 px-1!"
            aria-label="{end.name} ratio by name"
            value={String(RATIOS.find((r) => r.value === scale[end.ratio])?.value ?? '')}
            onchange={(e) => e.currentTarget.value && bench.commit(recipe({ [end.ratio]: Number(e.currentTarget.value) }))}
          >
            <option value="">none</option>
            {#each RATIOS as r (r.name)}<option value={String(r.value)}>{r.name} {r.value}</option>{/each}
          </select>
        {/each}
      </div>
      <div class="mt-2"><SizeChart {scale} /></div>
    </Compartment>

    <Ladder {scale} styles={type?.styles ?? []} />
  {:else}
    <Compartment label="Sizes" frame="min-w-80 grow border-l border-border" inside="p-3" focusable>
      {#each found as one (one.group + one.name)}<FoundScale {bench} scale={one} />{:else}<p class="p-3 text-muted">
          This theme has no type scale. Sizes that rise are shown here; make them under Tokens, or give text styles sizes of their own.
        </p>{/each}
    </Compartment>
  {/if}
  <StyleTable {bench} />
</div>
