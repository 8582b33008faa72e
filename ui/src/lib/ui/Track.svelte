<script lang="ts">
  import { Slider } from 'bits-ui';
  import { together } from './together';

  /** A slider on a drawn track. Moving it probes; letting go stores. */
  let {
    label,
    value,
    min,
    max,
    step,
    track = '',
    text,
    onprobe,
    oncommit
  }: {
    label: string;
    value: number;
    min: number;
    max: number;
    step: number;
    track?: string;
    /** How a value is written beside it. */
    text: (value: number) => string;
    onprobe: (value: number) => unknown;
    oncommit: (value: number) => unknown;
  } = $props();

  /** Where the thumb is held, and where the pointer wants it a moment before that is shown. */
  let held = $state<number | null>(null);
  let wanted: number | null = null;
  /** The slider also reports a value that it rounds to its step on its own; only what a person does counts. */
  let touched = false;
  /** Rounded to the step as the slider itself does, so that showing a value is not mistaken for moving it. */
  const shown = $derived(held ?? Number(Math.min(max, Math.max(min, value)).toFixed(4)));

  /** The slider knows its steps only: from a value between two of them the arrow keys would lead nowhere. */
  const onStep = $derived(Number((min + Math.round((shown - min) / step) * step).toFixed(4)));

  function move(to: number) {
    if (!touched || Math.abs(to - (wanted ?? shown)) < step / 2) return;
    wanted = to;
    together(onprobe(to), () => {
      if (wanted === to) held = to;
    });
  }

  /** The thumb stays where it was let go until what is stored is known. */
  async function letGo() {
    touched = false;
    if (wanted === null) return;
    held = wanted;
    wanted = null;
    await oncommit(held);
    if (wanted === null) held = null;
  }
</script>

<div class="grid grid-cols-[5.75rem_1fr_2.75rem] items-center gap-2" role="presentation" onpointerdowncapture={() => (touched = true)} onkeydowncapture={() => (touched = true)}>
  <span class="text-muted">{label}</span>
  <Slider.Root
    type="single"
    {min}
    {max}
    {step}
    bind:value={() => onStep, move}
    onValueCommit={letGo}
    class="group relative flex h-5 w-full touch-none items-center select-none"
  >
    {#snippet children()}
      <span class="h-3 w-full rounded-[2px] border border-line bg-sunk" style:background-image={track}></span>
      <!-- Held in the middle by a margin: a transform would make the whole window's layers be put together anew at each move. -->
      <Slider.Thumb
        index={0}
        aria-label={label}
        aria-valuetext={text(shown)}
        class="-ml-[5px] block h-5 w-2.5 translate-none! rounded-[2px] border-2 border-ink bg-raised shadow-none group-hover:bg-hover"
      />
    {/snippet}
  </Slider.Root>
  <span class="value relative h-5 text-right leading-5"><span class="absolute inset-0 contain-layout contain-size">{text(shown)}</span></span>
</div>
