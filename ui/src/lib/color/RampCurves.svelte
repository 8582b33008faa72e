<script lang="ts">
  import { Nudge } from '$lib/ui/nudge.svelte';
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { reshaped } from './ramp';

  /**
   * How a ramp leaves its seed, on the depth ruler: chroma under the edge of what sRGB holds, the lightness that was
   * solved for each depth, and the drift of the hue. The ends of chroma and hue are dragged up and down.
   */
  let { bench, hue }: { bench: Bench; hue: Schemas['HueView'] } = $props();

  type End = 'hueLight' | 'hueDark' | 'chromaLight' | 'chromaDark';

  const WHOLE = 120;
  const CHROMA = 76;
  const HUE = 34;
  const MOST_DRIFT = 90;

  const keys = new Nudge<number>();
  let held = $state<{ end: End; from: number; y: number; value: number } | null>(null);

  const start = $derived(hue.tintFrom ? hue.tintChroma : hue.seed.chroma);
  /** Room for the edge, and for what is asked for beyond it. */
  const most = $derived(Math.max(0.06, ...hue.curves.map((p) => Math.max(p.edge, p.chroma))) * 1.08);

  const x = (depth: number) => (depth / WHOLE) * 1000;
  const line = (points: { x: number; y: number }[]) => points.map((p, i) => `${i ? 'L' : 'M'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('');
  const chromaY = (chroma: number) => (1 - chroma / most) * CHROMA;
  const hueY = (drift: number) => (0.5 - Math.max(-MOST_DRIFT, Math.min(MOST_DRIFT, drift)) / (2 * MOST_DRIFT)) * HUE;

  const edge = $derived(line(hue.curves.map((p) => ({ x: x(p.depth), y: chromaY(p.edge) }))));
  const asked = $derived(line(hue.curves.map((p) => ({ x: x(p.depth), y: chromaY(p.chroma) }))));
  const lightness = $derived(line(hue.shades.map((s) => ({ x: x(s.depth), y: (1 - s.lightness) * CHROMA }))));
  const middle = $derived(hue.curves.length ? hue.curves[0]!.hue - hue.hueLight : 0);
  const drift = $derived(line(hue.curves.map((p) => ({ x: x(p.depth), y: hueY(p.hue - middle) }))));

  /** A line without length: its square caps are all that is drawn of it, and are not stretched with the picture. */
  const knot = (shade: Schemas['ShadeView']) => `M${x(shade.depth).toFixed(1)} ${chromaY(shade.chroma).toFixed(1)}h0`;

  const ENDS: { end: End; name: string; left: boolean; hue: boolean }[] = [
    { end: 'chromaLight', name: 'Chroma at the light end', left: true, hue: false },
    { end: 'chromaDark', name: 'Chroma at the dark end', left: false, hue: false },
    { end: 'hueLight', name: 'Hue drift at the light end', left: true, hue: true },
    { end: 'hueDark', name: 'Hue drift at the dark end', left: false, hue: true }
  ];

  const edit = (end: End, value: number) => reshaped(hue, { [end]: value });
  const fit = (end: End, value: number) =>
    end.startsWith('hue') ? Math.round(Math.max(-180, Math.min(180, value))) : Math.round(Math.max(0, Math.min(2, value)) * 100) / 100;
  const words = (end: End, value: number) =>
    end.startsWith('hue') ? `${value > 0 ? '+' : ''}${Math.round(value)}°` : `${Math.round(value * 100)} %`;
  const value = (end: End) => (held?.end === end ? held.value : (keys.of(end) ?? hue[end]));
  const top = (end: End) => (end.startsWith('hue') ? hueY(value(end)) : Math.max(0, Math.min(CHROMA, chromaY(start * value(end)))));

  function drag(event: PointerEvent) {
    if (!held) return;
    const moved = held.y - event.clientY;
    const by = held.end.startsWith('hue') ? (moved / HUE) * 2 * MOST_DRIFT : ((moved / CHROMA) * most) / Math.max(start, 0.004);
    const next = fit(held.end, held.from + by);
    if (next === held.value) return;
    held = { ...held, value: next };
    bench.probe(edit(held.end, next));
  }

  function release() {
    if (held && held.value !== held.from) void bench.commit(edit(held.end, held.value));
    held = null;
  }

  function key(event: KeyboardEvent, end: End) {
    const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    const far = by * (end.startsWith('hue') ? 1 : 0.05) * (event.shiftKey ? 10 : 1);
    keys.press(
      hue[end],
      (now) => fit(end, now + far),
      (to) => bench.commit(edit(end, to)),
      (to) => bench.probe(edit(end, to)),
      end
    );
  }
</script>

{#snippet handle(end: (typeof ENDS)[number])}
  <span
    class="group absolute z-20 -mt-2.5 grid size-5 cursor-ns-resize touch-none place-items-center {end.left ? '-left-2.5' : '-right-2.5'}"
    style:top="{top(end.end)}px"
    role="slider"
    tabindex="0"
    aria-label="{end.name} of {hue.name}"
    aria-valuemin={end.hue ? -180 : 0}
    aria-valuemax={end.hue ? 180 : 2}
    aria-valuenow={value(end.end)}
    aria-valuetext={words(end.end, value(end.end))}
    onpointerdown={(e) => {
      e.currentTarget.setPointerCapture(e.pointerId);
      held = { end: end.end, from: hue[end.end], y: e.clientY, value: hue[end.end] };
    }}
    onpointermove={drag}
    onpointerup={release}
    onpointercancel={release}
    onkeydown={(e) => key(e, end.end)}><span class="block h-2 w-3.5 border-2 border-ink bg-raised group-hover:bg-chosen"></span></span
  >
  <span
    class="value pointer-events-none absolute z-10 -mt-1.5 bg-ground/80 px-0.5 text-[0.625rem]! leading-3 {end.left ? 'left-3' : 'right-3'}"
    style:top="{Math.max(6, Math.min((end.hue ? HUE : CHROMA) - 6, top(end.end)))}px">{words(end.end, value(end.end))}</span
  >
{/snippet}

<div
  class="relative border-x border-border bg-sunk contain-layout contain-size"
  style:height="{CHROMA}px"
  role="group"
  aria-label="Chroma and lightness of {hue.name}"
>
  <svg class="absolute inset-0 size-full" viewBox="0 0 1000 {CHROMA}" preserveAspectRatio="none" aria-hidden="true">
    <path d="{edge}L1000 {CHROMA}L0 {CHROMA}Z" fill="var(--surface-ground)" />
    <path d={edge} fill="none" stroke="var(--surface-muted)" stroke-width="1" vector-effect="non-scaling-stroke" />
    <path
      d={lightness}
      fill="none"
      stroke="var(--surface-muted)"
      stroke-width="1"
      stroke-dasharray="3 3"
      vector-effect="non-scaling-stroke"
    />
    <path d={asked} fill="none" stroke="var(--surface-text)" stroke-width="2" vector-effect="non-scaling-stroke" />
    <path
      d={hue.shades.map(knot).join('')}
      stroke="var(--surface-text)"
      stroke-width="6"
      stroke-linecap="square"
      vector-effect="non-scaling-stroke"
    />
    {#each hue.shades as shade (shade.path)}
      <path d={knot(shade)} stroke={shade.hex} stroke-width="4" stroke-linecap="square" vector-effect="non-scaling-stroke" />
    {/each}
  </svg>
  {#each ENDS.filter((end) => !end.hue) as end (end.end)}{@render handle(end)}{/each}
</div>
<div
  class="relative border-x border-t border-border bg-ground contain-layout contain-size"
  style:height="{HUE}px"
  role="group"
  aria-label="Hue drift of {hue.name}"
>
  <svg class="absolute inset-0 size-full" viewBox="0 0 1000 {HUE}" preserveAspectRatio="none" aria-hidden="true">
    <path d="M0 {HUE / 2}H1000" stroke="var(--surface-border)" stroke-width="1" vector-effect="non-scaling-stroke" />
    <path d={drift} fill="none" stroke="var(--surface-text)" stroke-width="2" vector-effect="non-scaling-stroke" />
  </svg>
  {#each ENDS.filter((end) => end.hue) as end (end.end)}{@render handle(end)}{/each}
</div>
