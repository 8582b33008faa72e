<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { Nudge } from '$lib/ui/nudge.svelte';
  import NumberChoice from '$lib/ui/NumberChoice.svelte';

  /**
   * Line height or letter spacing over the size of text: a curve with two ends to take hold of, and every style where it
   * stands. Styles beside the curve have left it.
   */
  let { bench, curve, styles }: { bench: Bench; curve: Schemas['CurveView']; styles: Schemas['StyleView'][] } = $props();

  type Ends = Pick<Schemas['CurveView'], 'smallPx' | 'small' | 'largePx' | 'large' | 'gridPx'>;
  /** Steps that lines are often set on; common practice. */
  const GRIDS = [0, 2, 4, 6, 8];
  const W = 256;
  const H = 116;
  const FROM = 9;
  const TO = 140;
  const KINDS = {
    lineHeight: { least: 0.9, most: 2, step: 0.01, places: 2, unit: '', marks: [1, 1.25, 1.5, 1.75] },
    letterSpacing: { least: -0.06, most: 0.12, step: 0.005, places: 3, unit: ' em', marks: [-0.05, 0, 0.05, 0.1] }
  };

  let svg: SVGSVGElement | undefined = $state();
  let held = $state<Ends | null>(null);
  const keys = new Nudge<Ends>();

  const kind = $derived(KINDS[curve.part as keyof typeof KINDS]);
  const shown = $derived<Ends>(held ?? keys.shown ?? curve);
  const span = Math.log(TO / FROM);
  const x = (px: number) => (Math.log(Math.min(TO, Math.max(FROM, px)) / FROM) / span) * W;
  const y = (value: number) => H - ((Math.min(kind.most, Math.max(kind.least, value)) - kind.least) / (kind.most - kind.least)) * H;
  const said = (style: Schemas['StyleView']) => (curve.part === 'lineHeight' ? style.lineValue : style.spacingPx / style.widePx);
  const points = $derived(
    styles
      .filter((one) => !one.follows && one.place === curve.place && (!one.read.length || one.read.includes(curve.part)))
      .map((one) => ({ one, beside: !curve.set || one.left.includes(curve.part) }))
  );
  const beside = $derived(points.filter((point) => point.beside).map((point) => point.one));

  const edit = (ends: Ends) => ({
    op: 'curve' as const,
    place: curve.place,
    part: curve.part,
    smallPx: ends.smallPx,
    small: ends.small,
    largePx: ends.largePx,
    large: ends.large,
    gridPx: ends.gridPx
  });
  const onCurve = (style: Schemas['StyleView'], on: boolean) =>
    bench.commit({ op: 'onCurve', place: curve.place, path: style.path, part: curve.part, on });

  const round = (value: number, step: number) => Math.round(value / step) * step;
  function fit(end: 'small' | 'large', px: number, value: number): Ends {
    const at = Math.round(Math.min(TO, Math.max(FROM, px)) * 2) / 2;
    const to = Number(round(Math.min(kind.most, Math.max(kind.least, value)), kind.step).toFixed(4));
    return end === 'small'
      ? { ...shown, smallPx: Math.min(at, shown.largePx - 1), small: to }
      : { ...shown, largePx: Math.max(at, shown.smallPx + 1), large: to };
  }

  function drag(event: PointerEvent, end: 'small' | 'large') {
    if (!svg || event.buttons === 0) return;
    const box = svg.getBoundingClientRect();
    const scale = W / box.width;
    const px = FROM * Math.exp((((event.clientX - box.left) * scale) / W) * span);
    const value = kind.least + (1 - ((event.clientY - box.top) * scale - 4) / H) * (kind.most - kind.least);
    held = fit(end, px, value);
    if (curve.set) void bench.probe(edit(held));
  }

  async function release() {
    if (!held) return;
    await bench.commit(edit(held));
    held = null;
  }

  function key(event: KeyboardEvent, end: 'small' | 'large') {
    const by: Record<string, [number, number]> = {
      ArrowUp: [0, kind.step],
      ArrowDown: [0, -kind.step],
      ArrowRight: [1, 0],
      ArrowLeft: [-1, 0]
    };
    const step = by[event.key];
    if (!step) return;
    event.preventDefault();
    const [px, value] = end === 'small' ? [shown.smallPx, shown.small] : [shown.largePx, shown.large];
    keys.press(
      shown,
      () => fit(end, px + step[0], value + step[1]),
      (to) => bench.commit(edit(to)),
      (to) => curve.set && bench.probe(edit(to))
    );
  }

  async function allFollow() {
    for (const style of beside) await onCurve(style, true);
  }
</script>

<figure>
  <svg bind:this={svg} viewBox="0 -4 {W} {H + 22}" class="w-full touch-none" role="group" aria-label="Curve over the size of text">
    {#each kind.marks as mark (mark)}
      <path d="M0 {y(mark)} H{W}" class="stroke-border" />
      <text x="1" y={y(mark) - 2} class="value fill-muted text-[8px]">{mark}{kind.unit}</text>
    {/each}
    {#each [12, 16, 24, 32, 48, 64, 96] as px (px)}
      <text x={x(px)} y={H + 12} class="value fill-muted text-[8px]" text-anchor="middle">{px}</text>
    {/each}
    <path
      d="M0 {y(shown.small)} H{x(shown.smallPx)} L{x(shown.largePx)} {y(shown.large)} H{W}"
      class="stroke-accent"
      fill="none"
      stroke-width="1.5"
      stroke-dasharray={curve.set ? undefined : '4 3'}
    />
    {#each points as { one, beside } (one.path)}
      <circle cx={x(one.widePx)} cy={y(said(one))} r="3.5" class="stroke-ink {beside ? 'fill-ground' : 'fill-ink'}" stroke-width="1.25"
        ><title>{one.role}: {said(one).toFixed(kind.places)}{kind.unit}{beside ? ', beside the curve' : ''}</title></circle
      >
    {/each}
    {#each ['small', 'large'] as const as end (end)}
      {@const px = end === 'small' ? shown.smallPx : shown.largePx}
      {@const value = end === 'small' ? shown.small : shown.large}
      <rect
        x={x(px) - 5}
        y={y(value) - 5}
        width="10"
        height="10"
        class="cursor-move fill-accent/40 stroke-accent"
        stroke-width="1.5"
        role="slider"
        tabindex="0"
        aria-label="The {end} end"
        aria-valuemin={kind.least}
        aria-valuemax={kind.most}
        aria-valuenow={Number(value.toFixed(kind.places))}
        aria-valuetext="{value.toFixed(kind.places)}{kind.unit} at {px} px"
        onpointerdown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onpointermove={(event) => drag(event, end)}
        onpointerup={() => void release()}
        onpointercancel={() => (held = null)}
        onkeydown={(event) => key(event, end)}
      />
    {/each}
  </svg>
  <figcaption class="caption flex flex-wrap gap-x-3">
    {#if curve.set}
      <span>{points.length - beside.length} on it{beside.length ? `, ${beside.length} beside` : ''}</span>
      {#if curve.part === 'lineHeight'}
        <span class="flex w-full items-center gap-1">
          lines on steps of
          <NumberChoice
            label="Grid that lines stand on"
            of={GRIDS}
            value={curve.gridPx}
            onchoose={(gridPx) => bench.commit(edit({ ...curve, gridPx }))}
          />
          px
        </span>
      {/if}
      {#if beside.length}<button class="underline" onclick={() => void allFollow()}>All follow</button>{/if}
      <button class="underline" onclick={() => bench.commit({ op: 'noCurve', place: curve.place, part: curve.part })}>Take it away</button>
    {:else}
      <button class="underline" onclick={() => bench.commit(edit(curve))}>Put styles on this curve</button>
      <span>those far from it stay beside it</span>
    {/if}
  </figcaption>
</figure>
