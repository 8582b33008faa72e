<script lang="ts">
  import { Slider } from 'bits-ui';

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
    text: string;
    onprobe: (value: number) => void;
    oncommit: (value: number) => void;
  } = $props();

  let held = $state<number | null>(null);
  /** The slider also reports a value that it rounds to its step on its own; only what a person does counts. */
  let touched = false;
  /** Rounded to the step as the slider itself does, so that showing a value is not mistaken for moving it. */
  const shown = $derived(held ?? Number(Math.min(max, Math.max(min, value)).toFixed(4)));
</script>

<div class="grid grid-cols-[5.75rem_1fr_2.75rem] items-center gap-2" role="presentation" onpointerdowncapture={() => (touched = true)} onkeydowncapture={() => (touched = true)}>
  <span class="text-muted">{label}</span>
  <Slider.Root
    type="single"
    {min}
    {max}
    {step}
    value={shown}
    onValueChange={(v: number) => {
      if (!touched || Math.abs(v - shown) < step / 2) return;
      held = v;
      onprobe(v);
    }}
    onValueCommit={(v: number) => {
      if (held !== null) oncommit(v);
      held = null;
      touched = false;
    }}
    class="relative flex h-5 w-full touch-none items-center select-none"
  >
    {#snippet children()}
      <span class="h-3 w-full rounded-[2px] border border-line bg-sunk" style:background-image={track}></span>
      <!-- Held in the middle by a margin: a transform would make the whole window's layers be put together anew at each move. -->
      <Slider.Thumb
        index={0}
        aria-label={label}
        aria-valuetext={text}
        class="-ml-[5px] block h-5 w-2.5 translate-none! rounded-[2px] border-2 border-ink bg-raised shadow-none hover:bg-hover"
      />
    {/snippet}
  </Slider.Root>
  <span class="value text-right">{text}</span>
</div>
