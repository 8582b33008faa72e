<script lang="ts">
  import { Nudge } from '$lib/ui/nudge.svelte';
  import { drawnSize, moved, positionOf, sharesOf, type Shares } from './place';

  /** A picture on a ground's color, moved by hand: what is seen of it where there is less room than it takes. */
  let {
    src,
    position,
    size,
    repeat,
    blend,
    color,
    onprobe,
    oncommit
  }: {
    src: string;
    /** As CSS says it, like size, repeat and blend. */ position: string;
    size: string;
    repeat: string;
    blend: string;
    color: string;
    onprobe: (position: string) => void;
    oncommit: (position: string) => Promise<unknown>;
  } = $props();

  const STEP = 0.05;

  let picture = $state({ width: 1, height: 1 });
  let box = $state({ width: 1, height: 1 });
  let held = $state<{ x: number; y: number; from: Shares } | null>(null);
  let dragged = $state<Shares | null>(null);
  const keys = new Nudge<Shares>();

  const stored = $derived(sharesOf(position));
  const shares = $derived(dragged ?? keys.shown ?? stored);

  function move(event: PointerEvent) {
    if (!held) return;
    const next = moved(held.from, [event.clientX - held.x, event.clientY - held.y], drawnSize(size, picture, box), box);
    if (positionOf(next) === positionOf(shares)) return;
    dragged = next;
    onprobe(positionOf(next));
  }

  /** It stays where it was let go until that is stored. */
  async function drop() {
    held = null;
    const stays = dragged;
    if (stays) await oncommit(positionOf(stays));
    if (dragged === stays) dragged = null;
  }

  function key(event: KeyboardEvent) {
    const by = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }[event.key];
    if (!by) return;
    event.preventDefault();
    const within = (share: number) => Math.min(1, Math.max(0, share));
    keys.press(
      stored,
      (now) => [within(now[0] + by[0]!), within(now[1] + by[1]!)],
      (to) => oncommit(positionOf(to)),
      (to) => onprobe(positionOf(to))
    );
  }
</script>

<div class="flex items-end gap-3">
  <div
    class="h-28 min-w-0 grow cursor-move touch-none border border-line select-none"
    bind:clientWidth={() => box.width, (width) => (box = { ...box, width })}
    bind:clientHeight={() => box.height, (height) => (box = { ...box, height })}
    role="slider"
    tabindex="0"
    aria-label="Where the picture lies"
    aria-valuenow={Math.round(shares[0] * 100)}
    aria-valuetext="{Math.round(shares[0] * 100)} % from the left, {Math.round(shares[1] * 100)} % from the top"
    title="Drag the picture, or use the arrow keys"
    style:background-color={color}
    style:background-image={`url("${src}")`}
    style:background-position={positionOf(shares)}
    style:background-size={size.endsWith('px') ? `${size} auto` : size}
    style:background-repeat={repeat}
    style:background-blend-mode={blend}
    onpointerdown={(event) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      held = { x: event.clientX, y: event.clientY, from: stored };
    }}
    onpointermove={move}
    onpointerup={() => void drop()}
    onpointercancel={() => ((held = dragged = null), onprobe(position))}
    onkeydown={key}
  ></div>
  <p class="value w-24 shrink-0">{positionOf(shares)}</p>
  <img
    class="hidden"
    {src}
    alt=""
    onload={(event) => {
      const { naturalWidth, naturalHeight } = event.currentTarget as HTMLImageElement;
      if (naturalWidth && naturalHeight) picture = { width: naturalWidth, height: naturalHeight };
    }}
  />
</div>
