<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import type { Schemas } from '$lib/api/client';
  import Compartment from '$lib/ui/Compartment.svelte';
  import TextValue from '$lib/ui/TextValue.svelte';
  import ColorOfStyle from './ColorOfStyle.svelte';
  import MannerBar from './MannerBar.svelte';
  import MeasureGauge from './MeasureGauge.svelte';
  import StyleList from './StyleList.svelte';
  import WeightRow from './WeightRow.svelte';
  import { dress } from './dress';
  import { kept } from '$lib/theme/kept';
  import { sampleOf } from '$lib/font/specimen';

  /** Every text style as it looks; the one that is open drawn large, with its size, lines, weight and manner beside it. */
  let { bench }: { bench: Bench } = $props();

  const LARGEST = 30;

  const type = $derived(bench.shown?.type);
  let chosen = $state('');
  const styles = $derived((type?.styles ?? []).filter((one) => one.read.length > 0 || !one.follows));
  const style = $derived(
    styles.find((one) => one.path === (bench.pick?.path.startsWith('type.') ? bench.pick.path : chosen)) ??
      styles.find((one) => one.path === chosen) ??
      styles[0]
  );
  /** The steps to choose from by name: not how large they are, so that the choices stay while a scale is dragged. */
  const last = { named: [] as { path: string; name: string }[] };
  const steps = $derived.by(() => {
    const named = type?.scales.flatMap((s) => s.steps.map(({ path, name }) => ({ path, name: name.replace('minus-', '−') }))) ?? [];
    return (last.named = kept(last.named, named));
  });
  const sample = $derived((void bench.saved, sampleOf(bench.firstPage())));
  const large = $derived(/^h\d$|heading|wordmark/.test(style?.role ?? ''));
  const reads = (part: string) => !style?.read.length || style.read.includes(part);

  const edit = (one: Schemas['StyleView'], member: string, text: string) => ({
    op: 'member' as const,
    place: one.place || bench.target,
    path: one.path,
    member,
    text
  });
  const set = (member: string, text: string) => style && bench.commit(edit(style, member, text));

  function choose(one: Schemas['StyleView']) {
    chosen = one.path;
    if (bench.pick) bench.open({ path: one.path, contexts: bench.working, roles: [{ kind: 'type', path: one.path }] });
  }
</script>

{#snippet pick(one: Schemas['StyleView'], label: string, member: string, value: string, offered: { path: string; name: string }[])}
  <select
    class="field w-full px-1!"
    aria-label="{label} of {one.role}"
    {value}
    onchange={(event) => set(member, event.currentTarget.value)}
  >
    {#each offered as each (each.path)}<option value={`{${each.path}}`}>{each.name}</option>{/each}
    {#if !offered.some((each) => `{${each.path}}` === value)}<option {value}>{value}</option>{/if}
  </select>
{/snippet}

<Compartment label="Text styles" frame="w-[25.5rem] shrink-0 border-l border-border">
  <div class="flex h-full min-h-0">
    <StyleList {bench} {styles} chosen={style?.path ?? ''} onchoose={choose} />
    {#if style}
      <!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
      <div class="min-w-0 grow overflow-auto px-3 py-1.5" role="region" aria-label="The style {style.role}" tabindex="0">
        {#if style.follows}
          <p class="caption">
            Not set: as <button class="underline" onclick={() => choose(styles.find((one) => one.path === style.follows) ?? style)}
              >{style.follows.replace('type.', '')}</button
            >, until something here is.
          </p>
        {/if}
        <p class="mb-1 line-clamp-2 border-b border-border pb-1 text-heading" style={dress(style, Math.min(LARGEST, style.widePx))}>
          {large ? sample.heading : sample.text}
        </p>
        <div class="grid grid-cols-[auto_1fr_auto_1fr] items-center gap-x-2 gap-y-0.5">
          {#if reads('fontFamily')}
            <span class="text-muted">Family</span>
            {@render pick(style, 'Family', 'fontFamily', style.family, type?.families ?? [])}
          {/if}
          {#if reads('fontSize')}
            <span class="text-muted">Step</span>
            {@render pick(style, 'Step', 'fontSize', style.size, steps)}
          {/if}
          {#if reads('lineHeight')}
            <span class="text-muted">Line</span>
            <TextValue
              label="Line height of {style.role}"
              hideLabel
              width="w-full px-1.5!"
              value={style.line}
              rest={style.line.startsWith('{') ? String(style.lineValue) : undefined}
              oncommit={(text) => bench.take(edit(style, 'lineHeight', text))}
            />
          {/if}
          {#if reads('letterSpacing')}
            <span class="text-muted">Spacing</span>
            <TextValue
              label="Letter spacing of {style.role}"
              hideLabel
              width="w-full px-1.5!"
              value={style.spacing}
              oncommit={(text) => bench.take(edit(style, 'letterSpacing', text))}
            />
          {/if}
        </div>
        {#if reads('fontWeight')}
          <WeightRow {bench} {style} weights={type?.weights ?? []} {styles} onset={(text) => set('fontWeight', text)} />
        {/if}
        <MannerBar {bench} {style} {reads} onset={set} ontry={(member, text) => bench.probe(edit(style, member, text))} />
        <ColorOfStyle {bench} {style} />
        {#if style.measure.lines.length}<MeasureGauge {bench} {style} />{/if}
      </div>
    {/if}
  </div>
</Compartment>
