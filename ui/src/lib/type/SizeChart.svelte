<script lang="ts">
  import type { Schemas } from '$lib/api/client';

  /** Every step's size against the viewport, from a small phone to a wide screen, with the bays' widths marked. */
  let { scale, bays }: { scale: Schemas['TypeScaleView']; bays: number[] } = $props();

  const W = 256;
  const H = 116;
  const FROM = 320;
  const TO = 1920;
  /** Half of what a number takes beside its line. */
  const LABEL = 12;
  const top = $derived(Math.max(...scale.steps.map((s) => Math.max(s.narrowPx, s.widePx)), 1));
  const x = (viewport: number) => ((Math.min(TO, Math.max(FROM, viewport)) - FROM) / (TO - FROM)) * W;
  const y = (px: number) => H - (px / top) * (H - 8);
  const line = (step: Schemas['StepView']) =>
    `M${x(FROM)} ${y(step.narrowPx)} L${x(scale.narrowViewport)} ${y(step.narrowPx)} L${x(scale.wideViewport)} ${y(step.widePx)} L${W} ${y(step.widePx)}`;
</script>

<figure>
  <svg viewBox="0 0 {W} {H + 14}" class="w-full" role="img" aria-label="Size of every step from 320 to 1920 px of viewport">
    <g class="stroke-border"><path d="M{x(scale.narrowViewport)} 0 V{H} M{x(scale.wideViewport)} 0 V{H} M0 {H} H{W}" /></g>
    {#each scale.steps as step (step.path)}<path
        d={line(step)}
        class={step.detached ? 'stroke-should' : 'stroke-accent'}
        fill="none"
        stroke-width="1.25"
      />{/each}
    {#each [...new Set(bays)] as bay (bay)}<path d="M{x(bay)} {H} l-3.5 6 h7 z" class="fill-text"
        ><title>A bay is {bay} px wide</title></path
      >{/each}
    <g class="value fill-muted text-[9px]">
      {#each [scale.narrowViewport, scale.wideViewport] as viewport, i (i)}
        <text x={x(viewport)} y={H + 14} text-anchor={x(viewport) < LABEL ? 'start' : x(viewport) > W - LABEL ? 'end' : 'middle'}
          >{viewport}</text
        >
      {/each}
      <text x="2" y="9">{top.toFixed(0)} px</text>
    </g>
  </svg>
</figure>
