<script lang="ts">
  import type { Schemas } from '$lib/api/client';

  /** A hue's shades, each in its place on the depth ruler, with the seed marked where it lies. */
  let {
    hue,
    chosen,
    onchoose,
    onpoint
  }: {
    hue: Schemas['HueView'];
    chosen: boolean;
    onchoose: () => void;
    onpoint: (shade: Schemas['ShadeView'] | null) => void;
  } = $props();

  const WHOLE = 120;

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
</script>

<div class="relative min-h-9" role="group" aria-label="Ramp of {hue.name}">
  {#each blocks as { shade, left, width } (shade.path)}
    <button
      class="absolute inset-y-0 hover:z-10 focus-visible:z-10"
      style:left="{left}%"
      style:width="calc({width}% + 1px)"
      style:background={shade.hex}
      aria-label="{hue.name} {shade.name}, {shade.hex}, depth {shade.depth}{shade.detached ? ', set by hand' : ''}"
      title="{shade.path}  {shade.hex}"
      onclick={onchoose}
      onpointerenter={() => onpoint(shade)}
      onpointerleave={() => onpoint(null)}
      onfocus={() => onpoint(shade)}
      onblur={() => onpoint(null)}
    >
      <span class="value pointer-events-none absolute inset-x-0 bottom-0.5 text-[0.625rem]! leading-3" style:color={shade.depth > 57 ? '#ffffff' : '#000000'}>{width > 3.2 ? shade.name : ''}</span>
      {#if shade.detached}<span class="absolute top-1 right-1 size-1.5 rounded-full border border-ink bg-raised"></span>{/if}
    </button>
  {/each}
  <span
    class="pointer-events-none absolute -top-0.5 z-20 size-3 -translate-x-1/2 rotate-45 border-2 {chosen ? 'border-ink' : 'border-raised'}"
    style:left="{(hue.seed.depth / WHOLE) * 100}%"
    style:background={hue.seed.hex}
  ></span>
</div>
