<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import { Nudge } from '$lib/ui/nudge.svelte';
  import { lightEdit, type Light } from './light';

  /** The light over a thing that throws a shadow: where it stands is where it shines from, how far away how far shadows fall. */
  let { bench, light, ground, raised }: { bench: Bench; light: Light; ground: string; raised: string } = $props();

  const SIZE = 190;
  const MIDDLE = SIZE / 2;
  /** Distance from the middle for a shadow that falls as far as its thing is high, px. */
  const PER_REACH = 70;
  const MOST = 1.2;
  const TURN = 5;

  let pad: HTMLElement | undefined = $state();
  let held = $state.raw<{ angle: number; reach: number } | null>(null);

  const keys = new Nudge<{ angle: number; reach: number }>();

  const angle = $derived(held?.angle ?? keys.shown?.angle ?? light.angle);
  const reach = $derived(held?.reach ?? keys.shown?.reach ?? light.reach);
  const x = $derived(MIDDLE + Math.sin((angle * Math.PI) / 180) * Math.min(MOST, reach) * PER_REACH);
  const y = $derived(MIDDLE - Math.cos((angle * Math.PI) / 180) * Math.min(MOST, reach) * PER_REACH);
  const shown = $derived(light.heights.at(-1)?.css ?? '');
  const side = $derived(
    angle === 0 ? 'from above' : Math.abs(angle) === 180 ? 'from below' : `${Math.abs(angle)}° to the ${angle < 0 ? 'left' : 'right'}`
  );

  function at(event: PointerEvent) {
    if (!pad || event.buttons === 0) return;
    const box = pad.getBoundingClientRect();
    const dx = event.clientX - box.left - MIDDLE;
    const dy = event.clientY - box.top - MIDDLE;
    held = {
      angle: Math.round((Math.atan2(dx, -dy) * 180) / Math.PI / TURN) * TURN,
      reach: Math.round(Math.min(MOST, Math.hypot(dx, dy) / PER_REACH) * 20) / 20
    };
    void bench.probe(lightEdit(bench, light, held));
  }

  async function letGo() {
    const done = held;
    if (!done) return;
    await bench.commit(lightEdit(bench, light, done));
    held = null;
  }

  function key(event: KeyboardEvent) {
    const turns: Record<string, [number, number]> = {
      ArrowLeft: [-TURN, 0],
      ArrowRight: [TURN, 0],
      ArrowUp: [0, 0.05],
      ArrowDown: [0, -0.05]
    };
    const turn = turns[event.key];
    if (!turn) return;
    event.preventDefault();
    keys.press(
      { angle: light.angle, reach: light.reach },
      (now) => ({
        angle: ((((now.angle + turn[0] + 180) % 360) + 360) % 360) - 180,
        reach: Number(Math.min(MOST, Math.max(0, now.reach + turn[1])).toFixed(2))
      }),
      (to) => bench.commit(lightEdit(bench, light, to)),
      (to) => bench.probe(lightEdit(bench, light, to))
    );
  }
</script>

<div
  bind:this={pad}
  class="relative shrink-0 touch-none border border-line"
  style:width="{SIZE}px"
  style:height="{SIZE}px"
  style:background={ground}
  role="presentation"
  onpointerdown={(event) => (event.currentTarget.setPointerCapture(event.pointerId), at(event))}
  onpointermove={at}
  onpointerup={() => void letGo()}
  onpointercancel={() => ((held = null), bench.revert())}
>
  <div class="absolute inset-0 m-auto size-16" style:background={raised} style:box-shadow={shown}></div>
  <svg class="pointer-events-none absolute inset-0" width={SIZE} height={SIZE} aria-hidden="true">
    {#each [0.4, 0.8, 1.2] as ring (ring)}
      <circle cx={MIDDLE} cy={MIDDLE} r={ring * PER_REACH} fill="none" class="stroke-muted" stroke-dasharray="2 4" opacity="0.5" />
    {/each}
    <path d="M{MIDDLE} {MIDDLE} L{x} {y}" class="stroke-accent" stroke-dasharray="3 3" />
  </svg>
  <div
    class="absolute -mt-2.5 -ml-2.5 grid size-5 cursor-move place-items-center rounded-full border-2 border-accent bg-raised"
    style:left="{x}px"
    style:top="{y}px"
    role="slider"
    tabindex="0"
    aria-label="The light; left and right turn it, up and down move it away"
    aria-valuemin="-180"
    aria-valuemax="180"
    aria-valuenow={angle}
    aria-valuetext="{side}, shadows fall {reach} of the height"
    onkeydown={key}
  >
    <span class="size-1.5 rounded-full bg-accent"></span>
  </div>
</div>
<p class="caption pt-1">{side}; a shadow falls {Math.round(reach * 100)} % of the height</p>
