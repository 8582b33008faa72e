<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import GapLadder from './GapLadder.svelte';
  import FoundScale from './FoundScale.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import NumberChoice from '$lib/ui/NumberChoice.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';

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

  /** Common practice. */
  const GRIDS = [0, 2, 4, 8];
  const RATIOS = [1.25, 1.5, 2];

  const recipe = (
    change: Partial<{ base: number; factors: number[]; grid: number; narrow: number; growth: 'linear' | 'geometric'; by: number }>
  ) => ({
    op: 'spaceSteps' as const,
    place: scale!.place,
    path: scale!.path,
    base: scale!.base,
    factors: scale!.factors,
    grid: scale!.grid,
    narrow: scale!.narrow,
    ...change
  });
  const factor = (i: number, v: number) => recipe({ factors: scale!.factors.map((f, k) => (k === i ? v : f)) });
</script>

<div class="flex h-full min-h-0">
  <Compartment label="Spacing steps" frame="min-w-0 grow" inside="p-3" focusable>
    {#if scale}
      <div class="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
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
        <div class="flex items-center gap-1 text-muted">
          on a grid of
          <NumberChoice
            label="Grid that steps stand on"
            of={GRIDS}
            value={scale.grid}
            onchoose={(grid) => bench.commit(recipe({ grid }))}
          />
          px
        </div>
        <NumberField
          label="On phones"
          value={Math.round(scale.narrow * 100)}
          unit="%"
          min={25}
          max={100}
          step={1}
          places={0}
          onprobe={(v) => bench.probe(recipe({ narrow: v / 100 }))}
          oncommit={(v) => bench.commit(recipe({ narrow: v / 100 }))}
        />
        <div class="flex items-center gap-2">
          <span class="text-muted">grow anew</span>
          <button
            class="button h-7"
            title="Each step adds the same, from the first on"
            onclick={() => bench.commit(recipe({ growth: 'linear', by: scale.factors[0] ?? 0.25 }))}>evenly</button
          >
          {#each RATIOS as ratio (ratio)}
            <button
              class="button h-7"
              title="Each step is {ratio} times the one before"
              onclick={() => bench.commit(recipe({ growth: 'geometric', by: ratio }))}>× {ratio}</button
            >
          {/each}
        </div>
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

  <Compartment label="Gaps on the page" frame="w-[36rem] shrink-0 border-l border-border" inside="p-3">
    {#each space?.gaps ?? [] as gap (gap.path)}<GapLadder {bench} {gap} {offered} />{/each}
  </Compartment>
</div>
