<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { limits } from './depth';

  /** The scale from white to black on which all ramps lie, with the spans that a chosen shade needs. */
  let { sight, from = null }: { sight: Schemas['SightView']; from?: { depth: number; hex: string; name: string } | null } = $props();

  const TICK = 10;
  const ticks = $derived(Array.from({ length: sight.black / TICK + 1 }, (_, i) => i * TICK));
  const spans = $derived(limits(sight));
  const at = (depth: number) => `${(depth / sight.black) * 100}%`;
</script>

<div class="relative h-5 border-b border-line" aria-hidden="true">
  {#each ticks as tick (tick)}
    <span class="absolute bottom-0 h-1.5 w-px bg-line" style:left={at(tick)}></span>
    <span
      class="value absolute bottom-1.5 text-[0.625rem]! leading-3 text-muted {tick === 0
        ? ''
        : tick === sight.black
          ? '-translate-x-full'
          : '-translate-x-1/2'}"
      style:left={at(tick)}>{tick}</span
    >
  {/each}
</div>
<div
  class="relative h-11 contain-layout contain-size"
  role="note"
  aria-label={from
    ? `From ${from.name}: ${spans.map((span) => `${span.words} needs ${Math.round(span.apart)} of depth`).join(', ')}`
    : 'Choose a shade to see what it can carry'}
>
  {#if from}
    <span class="absolute top-0 h-full w-0.5 bg-ink" style:left={at(from.depth)}></span>
    {#each spans as span, i (span.ratio)}
      {#if from.depth + span.apart <= sight.black}
        <span
          class="absolute h-2.5 border-y border-r border-ink/60 bg-ink/10"
          style:top="{i * 14 + 3}px"
          style:left={at(from.depth + span.apart)}
          style:right="0"
        ></span>
        <span
          class="caption absolute bg-ground pr-1 whitespace-nowrap leading-4!"
          style:top="{i * 14}px"
          style:right={at(sight.black - from.depth - span.apart)}>{span.words} ≥ {Math.round(from.depth + span.apart)}</span
        >
      {/if}
      {#if from.depth - span.apart >= 0}
        <span
          class="absolute h-2.5 border-y border-r border-ink/60 bg-ink/10"
          style:top="{i * 14 + 3}px"
          style:left="0"
          style:right="{100 - ((from.depth - span.apart) / sight.black) * 100}%"
        ></span>
        <span
          class="caption absolute bg-ground pl-1 whitespace-nowrap leading-4!"
          style:top="{i * 14}px"
          style:left={at(from.depth - span.apart)}>{span.words} ≤ {Math.round(from.depth - span.apart)}</span
        >
      {/if}
    {/each}
  {:else}
    <p class="caption pt-2">Point at a shade: the bars show which depths may stand on it, or carry it.</p>
  {/if}
</div>
