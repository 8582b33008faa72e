<script lang="ts">
  import type { Schemas } from '$lib/api/client';

  /**
   * Every color of one hue: lightness upward, chroma to the right, with the edges of what sRGB and Display P3 screens
   * show. It is for the pointer; the sliders beside it do the same by keyboard.
   */
  let {
    hue,
    lightness,
    chroma,
    edges,
    onprobe,
    oncommit
  }: {
    hue: number;
    lightness: number;
    chroma: number;
    edges: Schemas['Edge'][];
    onprobe: (lightness: number, chroma: number) => void;
    oncommit: (lightness: number, chroma: number) => void;
  } = $props();

  const WIDTH = 256;
  const HEIGHT = 168;
  const MOST = 0.4;
  const CELL = 4;

  let canvas: HTMLCanvasElement | undefined = $state();
  let box: HTMLElement | undefined = $state();
  let held = $state<{ lightness: number; chroma: number } | null>(null);

  const at = $derived(held ?? { lightness, chroma });

  const outline = (pick: (edge: Schemas['Edge']) => number) =>
    edges.map((edge) => `${((pick(edge) / MOST) * WIDTH).toFixed(1)},${((1 - edge.lightness) * HEIGHT).toFixed(1)}`).join(' ');
  const srgb = $derived(outline((edge) => edge.srgb));
  const p3 = $derived(outline((edge) => edge.p3));

  $effect(() => {
    const context = canvas?.getContext('2d', { colorSpace: 'display-p3' });
    if (!context) return;
    context.clearRect(0, 0, WIDTH, HEIGHT);
    // Painted in cells, cut along the edge: what cannot be shown ends in a line, not in steps.
    context.save();
    context.beginPath();
    context.moveTo(0, HEIGHT);
    for (const edge of edges) context.lineTo((edge.p3 / MOST) * WIDTH, (1 - edge.lightness) * HEIGHT);
    context.lineTo(0, 0);
    context.clip();
    const most = Math.max(0, ...edges.map((edge) => edge.p3));
    for (let y = 0; y < HEIGHT; y += CELL) {
      const l = 1 - (y + CELL / 2) / HEIGHT;
      for (let x = 0; x < WIDTH && ((x - CELL) / WIDTH) * MOST <= most; x += CELL) {
        context.fillStyle = `oklch(${l.toFixed(3)} ${(((x + CELL / 2) / WIDTH) * MOST).toFixed(4)} ${hue})`;
        context.fillRect(x, y, CELL, CELL);
      }
    }
    context.restore();
  });

  function move(event: PointerEvent) {
    if (!box || event.buttons === 0) return;
    const area = box.getBoundingClientRect();
    const share = (value: number) => Math.min(1, Math.max(0, value));
    held = {
      lightness: Math.round((1 - share((event.clientY - area.top) / area.height)) * 1000) / 1000,
      chroma: Math.round(share((event.clientX - area.left) / area.width) * MOST * 1000) / 1000
    };
    onprobe(held.lightness, held.chroma);
  }

  function release() {
    if (held) oncommit(held.lightness, held.chroma);
    held = null;
  }
</script>

<div
  bind:this={box}
  class="relative cursor-crosshair touch-none overflow-hidden border border-line bg-sunk"
  style:width="{WIDTH}px"
  style:height="{HEIGHT}px"
  role="presentation"
  onpointerdown={(e) => {
    e.currentTarget.setPointerCapture(e.pointerId);
    move(e);
  }}
  onpointermove={move}
  onpointerup={release}
>
  <canvas bind:this={canvas} width={WIDTH} height={HEIGHT} class="absolute inset-0"></canvas>
  <svg class="pointer-events-none absolute inset-0" width={WIDTH} height={HEIGHT} aria-hidden="true">
    <polyline points={srgb} fill="none" stroke="#000" stroke-width="3" opacity="0.35" /><polyline
      points={srgb}
      fill="none"
      stroke="#fff"
      stroke-width="1.25"
    />
    <polyline points={p3} fill="none" stroke="var(--surface-muted)" stroke-width="1" stroke-dasharray="3 3" />
  </svg>
  <span class="caption pointer-events-none absolute right-1 bottom-0.5">line: sRGB · dashes: Display P3</span>
  <span
    class="pointer-events-none absolute size-3 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-white shadow-[0_0_0_1.5px_#000]"
    style:left="{Math.min(1, at.chroma / MOST) * 100}%"
    style:top="{(1 - at.lightness) * 100}%"
  ></span>
</div>
