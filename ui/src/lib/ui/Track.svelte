<script lang="ts">
  import { Slider } from 'bits-ui';
  import { Held } from './held.svelte';
  import { Nudge } from './nudge.svelte';

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

  const held = new Held();
  /** The slider also reports a value that it rounds to its step on its own; only what a person does counts. */
  let touched = false;
  const keys = new Nudge<number>();
  let byKeys = false;
  /** Rounded to the step as the slider itself does, so that showing a value is not mistaken for moving it. */
  const shown = $derived(keys.shown ?? held.shown ?? Number(Math.min(max, Math.max(min, value)).toFixed(4)));

  /** The slider knows its steps only: from a value between two of them the arrow keys would lead nowhere. */
  const onStep = $derived(Number((min + Math.round((shown - min) / step) * step).toFixed(4)));

  function move(to: number) {
    if (!touched || Math.abs(to - (held.wanted ?? shown)) < step / 2) return;
    if (byKeys) keys.press(shown, () => to, oncommit, onprobe);
    else held.move(to, onprobe);
  }

  function letGo() {
    if (byKeys) return;
    touched = false;
    void held.letGo(oncommit);
  }
</script>

<div
  class="grid grid-cols-[5.75rem_1fr_2.75rem] items-center gap-2"
  role="presentation"
  onpointerdowncapture={() => {
    touched = true;
    byKeys = false;
  }}
  onkeydowncapture={() => (touched = byKeys = true)}
>
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
    <span class="h-3 w-full rounded-[2px] border border-line bg-sunk" style:background-image={track}></span>
    <!-- Held in the middle by a margin: a transform would make the whole window's layers be put together anew at each move. -->
    <Slider.Thumb
      index={0}
      aria-label={label}
      aria-valuetext={text(shown)}
      class="-ml-[5px] block h-5 w-2.5 translate-none! rounded-[2px] border-2 border-ink bg-raised shadow-none group-hover:bg-hover"
    />
  </Slider.Root>
  <span class="value relative h-5 text-right leading-5"
    ><span class="absolute inset-0 contain-layout contain-size">{text(shown)}</span></span
  >
</div>
