<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import type { Schemas } from '$lib/api/client';
  import NumberField from '$lib/ui/NumberField.svelte';
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
  const textFamily = $derived(type?.styles.find((s) => s.role === 'body')?.familyName ?? 'inherit');
  const headingFamily = $derived(type?.styles.find((s) => s.role === 'h1')?.familyName ?? 'inherit');

  function recipe(change: Partial<Schemas['TypeScaleView']>) {
    const { narrowBase, narrowRatio, wideBase, wideRatio, narrowViewport, wideViewport, smallest, largest } = { ...scale!, ...change };
    return {
      op: 'typeScale',
      place: scale!.place,
      path: scale!.path,
      typeScale: { narrowBase, narrowRatio, wideBase, wideRatio, narrowViewport, wideViewport, smallest, largest }
    };
  }

  function family(view: Schemas['ValueView'], name: string) {
    const generic = bench.fonts.find((f) => f.name === name)?.generic ?? 'sans-serif';
    return { op: 'value', place: view.place, path: view.path, text: `${name}, ${generic}` };
  }

  const first = (written: string) => written.split(',')[0]?.trim() ?? '';
  const rolesAt = (path: string) => type?.styles.filter((s) => s.size === `{${path}}`).map((s) => s.role).join(', ') ?? '';
  const ends = [
    { name: 'Narrow', base: 'narrowBase', ratio: 'narrowRatio', viewport: 'narrowViewport' },
    { name: 'Wide', base: 'wideBase', ratio: 'wideRatio', viewport: 'wideViewport' }
  ] as const;
</script>

<div class="flex h-full min-h-0">
  <section class="flex w-64 shrink-0 flex-col gap-3 overflow-y-auto p-3" aria-label="Families and scale">
    {#each type?.families ?? [] as view (view.path)}
      <label class="flex flex-col gap-0.5">
        <span class="caption">{view.name} family</span>
        <select class="field" aria-label="{view.name} family" value={first(view.written)} onchange={(e) => bench.commit(family(view, e.currentTarget.value))}>
          {#each bench.fonts as font (font.name)}<option value={font.name}>{font.name}</option>{/each}
          {#if !bench.fonts.some((f) => f.name === first(view.written))}<option value={first(view.written)}>{first(view.written)}</option>{/if}
        </select>
      </label>
    {/each}
    <div class="flex flex-col gap-2 border-t border-border pt-3">
      {#each type?.weights ?? [] as view (view.path)}
        <NumberField label="{view.name} weight" wide value={Number(view.written)} min={100} max={1000} step={10} places={0}
          onprobe={(v) => bench.probe({ op: 'value', place: view.place, path: view.path, text: String(v) })}
          oncommit={(v) => bench.commit({ op: 'value', place: view.place, path: view.path, text: String(v) })} />
      {/each}
    </div>
  </section>

  {#if scale}
    <section class="flex w-72 shrink-0 flex-col gap-3 overflow-y-auto border-l border-border p-3" aria-label="Scale">
      {#each ends as end (end.name)}
        <fieldset class="flex flex-col gap-1.5">
          <legend class="mb-1 font-semibold">{end.name} end</legend>
          <NumberField label="{end.name} viewport" wide value={scale[end.viewport]} unit="px" min={200} max={2560} step={10} places={0}
            onprobe={(v) => bench.probe(recipe({ [end.viewport]: v }))} oncommit={(v) => bench.commit(recipe({ [end.viewport]: v }))} />
          <NumberField label="{end.name} base" wide value={scale[end.base]} unit="px" min={10} max={32} step={0.25}
            onprobe={(v) => bench.probe(recipe({ [end.base]: v }))} oncommit={(v) => bench.commit(recipe({ [end.base]: v }))} />
          <NumberField label="{end.name} ratio" wide value={scale[end.ratio]} min={1} max={2.5} step={0.005} places={3}
            onprobe={(v) => bench.probe(recipe({ [end.ratio]: v }))} oncommit={(v) => bench.commit(recipe({ [end.ratio]: v }))} />
          <select class="field" aria-label="{end.name} ratio by name" value={String(RATIOS.find((r) => r.value === scale[end.ratio])?.value ?? '')}
            onchange={(e) => e.currentTarget.value && bench.commit(recipe({ [end.ratio]: Number(e.currentTarget.value) }))}>
            <option value="">ratio of its own</option>
            {#each RATIOS as r (r.name)}<option value={String(r.value)}>{r.name} {r.value}</option>{/each}
          </select>
        </fieldset>
      {/each}
      <SizeChart {scale} />
    </section>

    <!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
    <section class="min-w-0 grow overflow-auto border-l border-border p-3" tabindex="0" aria-label="Specimens">
      <ol class="flex flex-col-reverse">
        {#each scale.steps as step (step.path)}
          <li class="flex items-baseline gap-4 border-t border-border py-1">
            <span class="value w-16 shrink-0 text-right text-muted">{step.name.replace('minus-', '−')}</span>
            <span class="value w-28 shrink-0">{step.narrowPx.toFixed(1)} → {step.widePx.toFixed(1)} px</span>
            <span class="caption w-24 shrink-0 truncate">{rolesAt(step.path)}</span>
            <span class="truncate leading-[1.15] whitespace-nowrap text-heading" style:font-size="{step.widePx}px" style:font-family={rolesAt(step.path).includes('h') ? headingFamily : textFamily}>Harbour at slack water</span>
          </li>
        {/each}
      </ol>
    </section>
  {:else}
    <p class="grow p-6 text-muted">This theme has no type scale; its sizes are set one by one.</p>
  {/if}
  <StyleTable {bench} />
</div>
