<script lang="ts">
  import { Slider } from 'bits-ui';

  /** A span of a measure, taken at its two ends over a picture of where all families stand; the chosen family is the tall line. */
  let {
    label,
    all,
    own,
    low,
    high,
    places = 2,
    onchange
  }: {
    label: string;
    all: number[];
    own: number | undefined;
    low: string;
    high: string;
    places?: number;
    /** Nothing when every family is within it. */
    onchange: (span: [number, number] | null) => void;
  } = $props();

  const unit = $derived(10 ** -places);
  const least = $derived(Math.floor(Math.min(...all) / unit) * unit);
  const most = $derived(Math.ceil(Math.max(...all) / unit) * unit);
  let taken = $state<number[] | null>(null);
  const span = $derived(taken ?? [least, most]);
  const at = (value: number) => ((value - least) / (most - least || 1)) * 100;

  function take(to: number[]) {
    taken = to;
    const [from = least, until = most] = to;
    onchange(from <= least + unit / 2 && until >= most - unit / 2 ? null : [from - unit / 2, until + unit / 2]);
  }
</script>

<div>
  <p class="flex items-baseline gap-2">
    <span>{label}</span>
    <span class="value ml-auto text-xs text-muted">{span[0]?.toFixed(places)} – {span[1]?.toFixed(places)}</span>
  </p>
  <Slider.Root
    type="multiple"
    min={least}
    max={most}
    step={unit}
    bind:value={() => span, take}
    class="relative mx-1.5 flex h-7 touch-none items-center select-none"
  >
    <svg viewBox="0 0 100 20" preserveAspectRatio="none" class="h-5 w-full overflow-visible" aria-hidden="true">
      <path d="M0 19 H100" class="stroke-line" vector-effect="non-scaling-stroke" />
      {#each all as value, i (i)}
        {@const within = value >= (span[0] ?? least) - unit / 2 && value <= (span[1] ?? most) + unit / 2}
        <path d="M{at(value)} {within ? 7 : 13} V19" class={within ? 'stroke-ink' : 'stroke-line'} vector-effect="non-scaling-stroke" />
      {/each}
      {#if own !== undefined}<path d="M{at(own)} 0 V19" class="stroke-accent" stroke-width="2" vector-effect="non-scaling-stroke" />{/if}
    </svg>
    {#each [low, high] as end, index (end)}
      <Slider.Thumb
        {index}
        aria-label="{label}, {end}"
        class="-ml-[4px] block h-7 w-2 translate-none! cursor-ew-resize rounded-[2px] border-2 border-ink bg-raised hover:bg-hover"
      />
    {/each}
  </Slider.Root>
  <p class="caption flex justify-between"><span>{low}</span><span>{high}</span></p>
</div>
