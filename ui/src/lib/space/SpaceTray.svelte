<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import type { Schemas } from '$lib/api/client';
  import FoundScale from './FoundScale.svelte';
  import { lengthEdit } from './length';
  import Compartment from '$lib/ui/Compartment.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import TextValue from '$lib/ui/TextValue.svelte';

  let { bench }: { bench: Bench } = $props();

  const space = $derived(bench.shown?.space);
  const scale = $derived(space?.scales[0]);
  const steps = $derived(scale?.steps ?? []);

  const found = $derived((space?.found ?? []).filter((one) => !one.ofType));
  /** What a gap can be: steps of a scale, or a length of the theme's own. */
  const offered = $derived([
    ...steps.map((step) => ({ ...step, label: `step ${step.name}` })),
    ...found.flatMap((one) => one.steps.map((step) => ({ ...step, label: step.path })))
  ]);

  const recipe = (change: Partial<{ base: number; factors: number[] }>) => ({
    op: 'spaceSteps' as const,
    place: scale!.place,
    path: scale!.path,
    base: scale!.base,
    factors: scale!.factors,
    ...change
  });
  const edit = (view: Schemas['LengthView'], text: string) => lengthEdit(bench, view, text);
  const factor = (i: number, v: number) => recipe({ factors: scale!.factors.map((f, k) => (k === i ? v : f)) });
</script>

<div class="flex h-full min-h-0">
  <Compartment label="Spacing steps" frame="min-w-0 grow" inside="p-3" focusable>
    {#if scale}
      <div class="mb-3">
        <NumberField
          label="Base"
          value={scale.base}
          unit="px"
          min={4}
          max={40}
          step={0.5}
          onprobe={(v) => bench.probe(recipe({ base: v }))}
          oncommit={(v) => bench.commit(recipe({ base: v }))}
        />
      </div>
      <ol class="flex flex-wrap items-end gap-x-3 gap-y-4">
        {#each steps as step, i (step.path)}
          <li class="flex flex-col items-center gap-1">
            <span
              class="border border-accent bg-chosen"
              style:width="{Math.min(step.widePx, 110)}px"
              style:height="{Math.min(step.widePx, 110)}px"
            ></span>
            <span class="value">{step.widePx.toFixed(step.widePx % 1 ? 1 : 0)} px</span>
            <span class="caption">step {step.name}</span>
            <NumberField
              label="Factor of step {step.name}"
              short="×"
              size="w-14"
              value={scale.factors[i] ?? 1}
              min={0.05}
              max={40}
              step={0.05}
              onprobe={(v) => bench.probe(factor(i, v))}
              oncommit={(v) => bench.commit(factor(i, v))}
            />
          </li>
        {/each}
      </ol>
    {/if}
    {#each found as one (one.group + one.name)}<FoundScale {bench} scale={one} />{/each}
    {#if !scale && found.length === 0}<p class="p-3 text-muted">
        This theme has no spacing scale. Set the gaps beside one by one, or make lengths under Tokens: three or more that rise are shown
        here.
      </p>{/if}
  </Compartment>

  <Compartment label="Gaps and shape" frame="w-[28rem] shrink-0 border-l border-border" inside="p-3">
    <h2 class="mb-1 font-semibold">Gaps on the page</h2>
    {#each space?.gaps ?? [] as gap (gap.path)}
      <div
        class="flex items-center gap-3 border-t border-border py-1 {bench.pick?.path === gap.path ? 'bg-chosen' : ''}"
        role="presentation"
        onpointerenter={() => bench.light([gap.path])}
        onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}
      >
        <button
          class="w-16 text-left hover:underline"
          onclick={() => bench.open({ path: gap.path, contexts: bench.working, roles: [{ kind: 'space', path: gap.path }] })}
          >{gap.name}</button
        >
        <select
          class="field value w-40 shrink-0"
          aria-label="Step of the gap {gap.name}"
          value={gap.written}
          onchange={(e) => bench.commit(edit(gap, e.currentTarget.value))}
        >
          {#if !gap.place}<option value="">unset · {gap.widePx} px</option>{/if}
          {#each offered as s (s.path)}<option value={`{${s.path}}`}>{s.label} · {s.widePx} px</option>{/each}
          {#if gap.written && !offered.some((s) => `{${s.path}}` === gap.written)}<option value={gap.written}>{gap.written}</option>{/if}
        </select>
        <span class="caption min-w-0 leading-4">{gap.purpose}</span>
      </div>
    {/each}
    <h2 class="mt-4 mb-1 font-semibold">Corners and lines</h2>
    {#each space?.shape ?? [] as view (view.path)}
      <div class="flex items-center gap-3 border-t border-border py-1">
        <NumberField
          label={view.name}
          wide
          value={view.widePx}
          unit="px"
          min={0}
          max={48}
          step={0.5}
          onprobe={(v) => bench.probe(edit(view, `${v}px`))}
          oncommit={(v) => bench.commit(edit(view, `${v}px`))}
        />
        <TextValue
          label="{view.name} as written"
          hideLabel
          width="w-28"
          value={view.written}
          oncommit={(text) => bench.take(edit(view, text))}
        />
      </div>
    {/each}
  </Compartment>
</div>
