<script lang="ts">
  /** The scale from white to black on which all ramps lie, with the spans that a chosen shade needs. */
  let { from = null }: { from?: { depth: number; hex: string; name: string } | null } = $props();

  const WHOLE = 120;
  const TICKS = Array.from({ length: 13 }, (_, i) => i * 10);
  const SPANS = [
    { by: 45, name: 'shapes' },
    { by: 60, name: 'text' },
    { by: 80, name: 'strictest' }
  ];
  const at = (depth: number) => `${(depth / WHOLE) * 100}%`;
</script>

<div class="relative h-5 border-b border-line" aria-hidden="true">
  {#each TICKS as tick (tick)}
    <span class="absolute bottom-0 h-1.5 w-px bg-line" style:left={at(tick)}></span>
    <span class="value absolute bottom-1.5 text-[0.625rem]! leading-3 text-muted {tick === 0 ? '' : tick === WHOLE ? '-translate-x-full' : '-translate-x-1/2'}" style:left={at(tick)}>{tick}</span>
  {/each}
</div>
<div class="relative h-11 contain-layout contain-size" role="note" aria-label={from ? `From ${from.name}: shapes need 45, text 60, the strictest level 80 of depth` : 'Choose a shade to see what it can carry'}>
  {#if from}
    {#each SPANS as span, i (span.by)}
      {#if from.depth + span.by <= WHOLE}
        <span class="absolute h-2.5 border-y border-r border-ink/60 bg-ink/10" style:top="{i * 14 + 3}px" style:left={at(from.depth + span.by)} style:right="0"></span>
        <span class="caption absolute pr-1 whitespace-nowrap leading-4!" style:top="{i * 14}px" style:right={at(WHOLE - from.depth - span.by)}>{span.name} ≥ {Math.round(from.depth + span.by)}</span>
      {/if}
      {#if from.depth - span.by >= 0}
        <span class="absolute h-2.5 border-y border-r border-ink/60 bg-ink/10" style:top="{i * 14 + 3}px" style:left="0" style:right="{100 - ((from.depth - span.by) / WHOLE) * 100}%"></span>
        <span class="caption absolute pl-1 whitespace-nowrap leading-4!" style:top="{i * 14}px" style:left={at(from.depth - span.by)}>{span.name} ≤ {Math.round(from.depth - span.by)}</span>
      {/if}
    {/each}
    <span class="absolute top-0 h-full w-0.5 bg-ink" style:left={at(from.depth)}></span>
  {:else}
    <p class="caption pt-2">Point at a shade: the bars show which depths may stand on it, or carry it.</p>
  {/if}
</div>
