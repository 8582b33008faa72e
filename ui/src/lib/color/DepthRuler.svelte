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
      {@const deeper = from.depth + span.apart}
      {@const lighter = from.depth - span.apart}
      {#if deeper <= sight.black}
        <span
          class="absolute h-2.5 border-y border-r border-ink/60 bg-ink/10"
          style:top="{i * 14 + 3}px"
          style:left={at(deeper)}
          style:right="0"
        ></span>
      {/if}
      {#if lighter >= 0}
        <span
          class="absolute h-2.5 border-y border-r border-ink/60 bg-ink/10"
          style:top="{i * 14 + 3}px"
          style:left="0"
          style:right="{100 - (lighter / sight.black) * 100}%"
        ></span>
      {/if}
      <!-- Between the bars there is room for one label: it says both ends where there are two. -->
      {#if deeper <= sight.black || lighter >= 0}
        <span
          class="caption absolute truncate bg-ground px-1 leading-4! {deeper > sight.black
            ? ''
            : lighter < 0
              ? 'text-right'
              : 'text-center'}"
          style:top="{i * 14}px"
          style:left={at(Math.max(0, lighter))}
          style:right="{100 - (Math.min(sight.black, deeper) / sight.black) * 100}%"
          >{span.words}
          {[lighter >= 0 && `≤ ${Math.round(lighter)}`, deeper <= sight.black && `≥ ${Math.round(deeper)}`]
            .filter(Boolean)
            .join(' or ')}</span
        >
      {/if}
    {/each}
  {:else}
    <p class="caption pt-2">Point at a shade: the bars show which depths may stand on it, or carry it.</p>
  {/if}
</div>
