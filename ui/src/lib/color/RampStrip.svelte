<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { inkOn } from './depth';
  import { halfway, stopOf } from './ramp';

  /**
   * A hue's shades, each in its place on the depth ruler, with the seed marked where it lies. The strip is one control:
   * pointing or the arrow keys read a shade, a click or Enter chooses it. In a chosen hue, Insert adds a stop behind the
   * shade that is read, and Delete removes its stop.
   */
  let {
    hue,
    chosen,
    sight,
    shade: picked = '',
    onchoose,
    onpoint,
    onstops
  }: {
    hue: Schemas['HueView'];
    sight: Schemas['SightView'];
    chosen: boolean;
    /** Name of the chosen shade. */
    shade?: string;
    onchoose: (shade: string) => void;
    onpoint: (shade: Schemas['ShadeView'] | null) => void;
    onstops: (stops: number[]) => void;
  } = $props();

  const WHOLE = 120;

  let read = $state(0);

  /** Each shade reaches halfway to its neighbors. */
  const blocks = $derived(
    hue.shades.map((shade, i) => {
      const before = hue.shades[i - 1]?.depth ?? 0;
      const after = hue.shades[i + 1]?.depth ?? WHOLE;
      const left = i === 0 ? 0 : (before + shade.depth) / 2;
      const right = i === hue.shades.length - 1 ? WHOLE : (shade.depth + after) / 2;
      return { shade, left: (left / WHOLE) * 100, width: Math.max(0, ((right - left) / WHOLE) * 100) };
    })
  );
  const current = $derived(hue.shades[read]);

  function point(index: number) {
    read = Math.min(hue.shades.length - 1, Math.max(0, index));
    onpoint(hue.shades[read] ?? null);
  }

  function pointAt(event: PointerEvent & { currentTarget: HTMLElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    const share = ((event.clientX - box.left) / box.width) * 100;
    point(blocks.findIndex((block) => share <= block.left + block.width));
  }

  function key(event: KeyboardEvent) {
    if (event.key === 'Enter') onchoose(current?.name ?? '');
    if (chosen && current && (event.key === 'Insert' || event.key === 'Delete')) {
      const stop = stopOf(current.name);
      onstops(event.key === 'Delete' ? hue.stops.filter((s) => s !== stop) : [...hue.stops, halfway(hue, stop)]);
    }
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    point(read + by);
  }
</script>

<div
  class="relative isolate min-h-8"
  role="slider"
  tabindex="0"
  aria-label="Shades of {hue.name}"
  aria-valuemin={0}
  aria-valuemax={Math.max(0, hue.shades.length - 1)}
  aria-valuenow={read}
  aria-valuetext={current ? `${current.name}, ${current.hex}, depth ${current.depth}${current.detached ? ', set by hand' : ''}` : 'none'}
  onclick={() => onchoose(current?.name ?? '')}
  onkeydown={key}
  onpointermove={pointAt}
  onpointerleave={() => onpoint(null)}
  onfocus={() => point(read)}
  onblur={() => onpoint(null)}
>
  <!-- A box of fixed size: its marks move without the grid around it being laid out anew. -->
  <div class="absolute inset-0 contain-layout contain-size">
    {#each blocks as { shade, left, width } (shade.path)}
      <span
        class="absolute inset-y-0"
        style:left="{left}%"
        style:width="calc({width}% + 1px)"
        style:background={shade.hex}
        title="{shade.path}  {shade.hex}"
        aria-hidden="true"
      >
        <span class="value absolute inset-x-0 bottom-0.5 text-center text-[0.625rem]! leading-3" style:color={inkOn(sight, shade.depth)}
          >{width > 3.9 ? shade.name : ''}</span
        >
        {#if chosen && shade.name === picked}<span class="absolute inset-0.5 z-10 border-2" style:border-color={inkOn(sight, shade.depth)}
          ></span>{/if}
        {#if shade.detached}<span class="absolute top-1 right-1 size-1.5 rounded-full border border-ink bg-raised"></span>{/if}
      </span>
    {/each}
    <span
      class="pointer-events-none absolute -top-0.5 z-20 -ml-1.5 size-3 rounded-full border-2 {chosen ? 'border-ink' : 'border-raised'}"
      style:left="{(hue.seed.depth / WHOLE) * 100}%"
      style:background={hue.seed.hex}
    ></span>
  </div>
</div>
