<script lang="ts">
  import { Nudge } from '$lib/ui/nudge.svelte';

  /** A picture with the point that stays in sight, and what crops leave of it. */
  let {
    src,
    x,
    y,
    onset
  }: { src: string; /** A share from the left, and y from the top. */ x: number; y: number; onset: (x: number, y: number) => void } =
    $props();

  const CROPS = [
    { words: 'a square', ratio: '1 / 1' },
    { words: 'a banner', ratio: '3 / 1' },
    { words: 'a portrait', ratio: '3 / 5' }
  ];
  const STEP = 0.05;
  /** In px. */
  const WIDEST = 260;
  const TALLEST = 190;

  let ratio = $state(1.5);

  let dragged = $state<{ x: number; y: number } | null>(null);
  const keys = new Nudge<{ x: number; y: number }>();
  const shown = $derived(dragged ?? keys.shown ?? { x, y });
  const place = $derived(`${shown.x * 100}% ${shown.y * 100}%`);
  const within = (v: number) => Math.round(Math.min(1, Math.max(0, v)) * 100) / 100;

  function at(event: PointerEvent) {
    const box = (event.currentTarget as Element).getBoundingClientRect();
    return { x: within((event.clientX - box.left) / box.width), y: within((event.clientY - box.top) / box.height) };
  }

  function key(event: KeyboardEvent) {
    const by = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }[event.key];
    if (!by) return;
    event.preventDefault();
    keys.press(
      { x, y },
      (now) => ({ x: within(now.x + by[0]!), y: within(now.y + by[1]!) }),
      (to) => onset(to.x, to.y)
    );
  }
</script>

<div class="flex shrink-0 flex-col gap-2">
  <div
    class="relative w-fit cursor-crosshair touch-none border border-line select-none"
    role="slider"
    tabindex="0"
    aria-label="The point that stays in sight"
    aria-valuenow={Math.round(shown.x * 100)}
    aria-valuetext="{Math.round(shown.x * 100)} % from the left, {Math.round(shown.y * 100)} % from the top"
    onpointerdown={(e) => {
      e.currentTarget.setPointerCapture(e.pointerId);
      dragged = at(e);
    }}
    onpointermove={(e) => dragged && (dragged = at(e))}
    onpointerup={() => {
      if (dragged) onset(dragged.x, dragged.y);
      dragged = null;
    }}
    onkeydown={key}
  >
    <img
      class="pointer-events-none block"
      style:width="{Math.min(WIDEST, TALLEST * ratio)}px"
      {src}
      alt=""
      draggable="false"
      onload={(e) =>
        (ratio = (e.currentTarget as HTMLImageElement).naturalWidth / (e.currentTarget as HTMLImageElement).naturalHeight || 1)}
    />
    <span
      class="pointer-events-none absolute size-5 -translate-1/2 rounded-full border-2 border-white outline-2 outline-ink"
      style:left="{shown.x * 100}%"
      style:top="{shown.y * 100}%"
    ></span>
  </div>
  <div class="flex items-end gap-2" aria-hidden="true">
    {#each CROPS as crop (crop.ratio)}
      <img
        class="h-14 border border-line object-cover"
        style:aspect-ratio={crop.ratio}
        style:object-position={place}
        {src}
        alt=""
        title="In {crop.words}"
      />
    {/each}
  </div>
</div>
