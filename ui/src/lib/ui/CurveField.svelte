<script lang="ts">
  import { Nudge } from './nudge.svelte';

  /** An easing curve that is drawn by its two control points; they are dragged or moved with the arrow keys. */
  let { points, onprobe, oncommit }: { points: number[]; onprobe: (points: number[]) => void; oncommit: (points: number[]) => void } =
    $props();

  const SIZE = 120;
  const ROOM = 40;
  const STEP = 0.05;

  let held = $state<number[] | null>(null);
  let svg: SVGSVGElement | undefined = $state();
  const keys = new Nudge<number[]>();
  const shown = $derived(held ?? keys.shown ?? points);

  const round = (v: number) => Math.round(v * 100) / 100;

  function moved(index: number, x: number, y: number): number[] {
    const next = [...shown];
    next[index * 2] = round(Math.min(1, Math.max(0, x)));
    next[index * 2 + 1] = round(Math.min(1.3, Math.max(-0.3, y)));
    return next;
  }

  function drag(event: PointerEvent, index: number) {
    if (!svg || event.buttons === 0) return;
    const box = svg.getBoundingClientRect();
    held = moved(
      index,
      (event.clientX - box.left) / box.width,
      1 - (event.clientY - box.top - (ROOM / (SIZE + 2 * ROOM)) * box.height) / (box.height * (SIZE / (SIZE + 2 * ROOM)))
    );
    onprobe(held);
  }

  function release() {
    if (held) oncommit(held);
    held = null;
  }

  function key(event: KeyboardEvent, index: number) {
    const by: Record<string, [number, number]> = {
      ArrowLeft: [-STEP, 0],
      ArrowRight: [STEP, 0],
      ArrowUp: [0, STEP],
      ArrowDown: [0, -STEP]
    };
    const step = by[event.key];
    if (!step) return;
    event.preventDefault();
    keys.press(points, () => moved(index, (shown[index * 2] ?? 0) + step[0], (shown[index * 2 + 1] ?? 0) + step[1]), oncommit, onprobe);
  }
</script>

<svg
  bind:this={svg}
  viewBox="0 {-ROOM} {SIZE} {SIZE + 2 * ROOM}"
  class="h-44 w-32 shrink-0 touch-none border border-border bg-field"
  role="group"
  aria-label="Easing curve"
>
  <path d="M0 {SIZE} H{SIZE} M0 0 H{SIZE}" stroke="var(--surface-border)" stroke-width="1" />
  <path
    d="M0 {SIZE} L{(shown[0] ?? 0) * SIZE} {(1 - (shown[1] ?? 0)) * SIZE} M{SIZE} 0 L{(shown[2] ?? 0) * SIZE} {(1 - (shown[3] ?? 0)) *
      SIZE}"
    stroke="var(--surface-accent)"
    stroke-width="1"
  />
  <path
    d="M0 {SIZE} C{(shown[0] ?? 0) * SIZE} {(1 - (shown[1] ?? 0)) * SIZE} {(shown[2] ?? 0) * SIZE} {(1 - (shown[3] ?? 0)) * SIZE} {SIZE} 0"
    fill="none"
    stroke="var(--surface-text)"
    stroke-width="2"
  />
  {#each [0, 1] as index (index)}
    <circle
      cx={(shown[index * 2] ?? 0) * SIZE}
      cy={(1 - (shown[index * 2 + 1] ?? 0)) * SIZE}
      r="6"
      fill="var(--surface-accent)"
      class="cursor-move"
      role="slider"
      tabindex="0"
      aria-label="Control point {index + 1}"
      aria-valuenow={shown[index * 2] ?? 0}
      aria-valuetext="x {shown[index * 2]}, y {shown[index * 2 + 1]}"
      onpointerdown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
      onpointermove={(e) => drag(e, index)}
      onpointerup={release}
      onkeydown={(e) => key(e, index)}
    />
  {/each}
</svg>
