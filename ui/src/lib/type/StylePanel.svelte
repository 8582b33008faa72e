<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import type { Schemas } from '$lib/api/client';
  import { kept } from '$lib/theme/kept';
  import Compartment from '$lib/ui/Compartment.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import TextValue from '$lib/ui/TextValue.svelte';
  import MeasureGauge from './MeasureGauge.svelte';
  import { sampleOf } from './specimen';

  /** One text style at a time, drawn as it is: its family, size and weight, its line height and letter spacing. */
  let { bench }: { bench: Bench } = $props();

  const type = $derived(bench.shown?.type);
  let chosen = $state('');
  const styles = $derived(type?.styles ?? []);
  const style = $derived(
    styles.find((one) => one.path === (bench.pick?.path.startsWith('type.') ? bench.pick.path : chosen)) ??
      styles.find((one) => one.path === chosen) ??
      styles[0]
  );
  /** The steps to choose from by name: not how large they are, so that the choices stay while a scale is dragged. */
  const last = { named: [] as { path: string; name: string }[] };
  const steps = $derived.by(() => {
    const named = type?.scales.flatMap((s) => s.steps.map(({ path, name }) => ({ path, name }))) ?? [];
    return (last.named = kept(last.named, named));
  });
  const weight = $derived(type?.weights.find((one) => `{${one.path}}` === style?.weight));
  const sharing = $derived(styles.filter((one) => one.weight === style?.weight && one.path !== style?.path).map((one) => one.role));
  const sample = $derived((void bench.saved, sampleOf(bench)));
  const LARGEST = 30;
  const large = $derived(/^h\d$|heading|wordmark/.test(style?.role ?? ''));

  const edit = (one: Schemas['StyleView'], member: string, text: string) => ({
    op: 'member' as const,
    place: one.place,
    path: one.path,
    member,
    text
  });

  function choose(one: Schemas['StyleView']) {
    chosen = one.path;
    if (bench.pick) bench.open({ path: one.path, contexts: bench.working, roles: [{ kind: 'type', path: one.path }] });
  }
</script>

<Compartment label="Text styles" frame="w-[22.5rem] shrink-0 border-l border-border" inside="px-3 py-1.5" focusable>
  <div class="flex flex-wrap gap-x-1 gap-y-0.5" role="radiogroup" aria-label="Text style">
    {#each styles as one (one.path)}
      <button
        class="rounded-sm px-1.5 text-sm/5.5 {one.path === style?.path ? 'bg-chosen font-semibold' : 'text-muted hover:text-text'}"
        role="radio"
        aria-checked={one.path === style?.path}
        onclick={() => choose(one)}
        onpointerenter={() => bench.light([one.path])}
        onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}>{one.role}</button
      >
    {/each}
  </div>
  {#if style}
    <p
      class="my-1 line-clamp-2 border-y border-border text-heading"
      style:font-family={style.familyName}
      style:font-size="{Math.min(LARGEST, style.widePx)}px"
      style:font-weight={style.weightValue}
      style:line-height={style.lineValue}
      style:letter-spacing="{style.spacingPx}px"
    >
      {large ? sample.heading : sample.text}
    </p>
    <div class="grid grid-cols-[auto_1fr_auto_1fr] items-center gap-x-2 gap-y-0.5">
      <span class="text-muted">Family</span>
      <select
        class="field px-1!"
        aria-label="Family of {style.role}"
        value={style.family}
        onchange={(e) => bench.commit(edit(style, 'fontFamily', e.currentTarget.value))}
      >
        {#each type?.families ?? [] as f (f.path)}<option value={`{${f.path}}`}>{f.name}</option>{/each}
        {#if !type?.families.some((f) => `{${f.path}}` === style.family)}<option value={style.family}>{style.family}</option>{/if}
      </select>
      <span class="text-muted">Step</span>
      <select
        class="field px-1!"
        aria-label="Step of {style.role}"
        value={style.size}
        onchange={(e) => bench.commit(edit(style, 'fontSize', e.currentTarget.value))}
      >
        {#each steps as s (s.path)}<option value={`{${s.path}}`}>{s.name.replace('minus-', '−')}</option>{/each}
        {#if !steps.some((s) => `{${s.path}}` === style.size)}<option value={style.size}>{style.size}</option>{/if}
      </select>
      <span class="text-muted">Line</span>
      <TextValue
        label="Line height of {style.role}"
        hideLabel
        width="w-full px-1.5!"
        value={style.line}
        rest={style.line.startsWith('{') ? String(style.lineValue) : undefined}
        oncommit={(text) => bench.take(edit(style, 'lineHeight', text))}
      />
      <span class="text-muted">Spacing</span>
      <TextValue
        label="Letter spacing of {style.role}"
        hideLabel
        width="w-full px-1.5!"
        value={style.spacing}
        oncommit={(text) => bench.take(edit(style, 'letterSpacing', text))}
      />
      <span class="text-muted">Weight</span>
      <select
        class="field px-1!"
        aria-label="Weight of {style.role}"
        value={style.weight}
        onchange={(e) => bench.commit(edit(style, 'fontWeight', e.currentTarget.value))}
      >
        {#each type?.weights ?? [] as w (w.path)}<option value={`{${w.path}}`}>{w.name}</option>{/each}
        {#if !type?.weights.some((w) => `{${w.path}}` === style.weight)}<option value={style.weight}>{style.weight}</option>{/if}
      </select>
      {#if weight}
        <span class="col-span-2 flex min-w-0 items-center gap-2">
          <NumberField
            label="{weight.name} weight"
            short="↔"
            size="w-20"
            value={Number(weight.value)}
            min={1}
            max={1000}
            step={10}
            places={0}
            onprobe={(v) => bench.probe({ op: 'value', place: weight.place, path: weight.path, text: String(v) })}
            oncommit={(v) => bench.commit({ op: 'value', place: weight.place, path: weight.path, text: String(v) })}
          />
          {#if sharing.length}<span class="caption truncate" title="This weight is also that of {sharing.join(', ')}."
              >also {sharing.join(', ')}</span
            >{/if}
        </span>
      {/if}
    </div>
    {#if style.measure.lines.length}<MeasureGauge {bench} {style} />{/if}
  {/if}
</Compartment>
