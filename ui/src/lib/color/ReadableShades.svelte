<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { inkOn, legibility, limits, ratioOf } from './depth';

  /**
   * Readability as a picture: every shade on a surface's own ground, at its depth. Since contrast is the difference of
   * two depths, the limits are the same lines for every hue.
   */
  let { bench, surface }: { bench: Bench; surface: Schemas['SurfaceView'] } = $props();

  const sight = $derived(bench.sight);

  let pointed = $state.raw<{ shade: Schemas['ShadeView']; ground: Schemas['CellView'] } | null>(null);

  const hues = $derived(bench.shown?.color.hues ?? []);
  const grounds = $derived(surface.roles.find((role) => role.role === 'ground')?.cells ?? []);

  const at = (depth: number) => `${(depth / sight.black) * 100}%`;
</script>

<div class="flex flex-col gap-3 p-3">
  {#each grounds as ground (ground.scheme)}
    <figure class="m-0">
      <figcaption class="caption mb-1 flex justify-between">
        <span>{surface.name} in {ground.scheme}, depth {ground.depth.toFixed(0)}</span>
        <span class="value"
          >{#if pointed && pointed.ground.scheme === ground.scheme}{pointed.shade.path}: {ratioOf(sight, pointed.shade.depth, ground.depth)} to
            1, {legibility(sight, pointed.shade.depth, ground.depth).words}{/if}</span
        >
      </figcaption>
      <div class="relative border border-line pt-4 pb-1" style:background={ground.hex} style:color={inkOn(sight, ground.depth)}>
        {#each limits(sight) as limit (limit.ratio)}
          {#each [ground.depth - limit.apart, ground.depth + limit.apart].filter((d) => d > 0 && d < sight.black) as depth (depth)}
            <span
              class="absolute inset-y-0 w-px opacity-50"
              style:left={at(depth)}
              style:background={inkOn(sight, ground.depth)}
              title="{limit.words}: {limit.ratio} to 1"
            ></span>
            <span
              class="value absolute top-0 px-0.5 text-[0.625rem]! leading-4 {depth < ground.depth ? '-translate-x-full' : ''}"
              style:left={at(depth)}>{limit.ratio}</span
            >
          {/each}
        {/each}
        {#each hues as hue (hue.path)}
          <div class="relative h-4.5" role="group" aria-label="{hue.name} on {surface.name} in {ground.scheme}">
            {#each hue.shades as shade (shade.path)}
              <span
                class="absolute top-0 -translate-x-1/2 text-xs leading-4.5 font-semibold"
                style:left={at(shade.depth)}
                style:color={shade.hex}
                role="img"
                aria-label="{hue.name} {shade.name}: {ratioOf(sight, shade.depth, ground.depth)} to 1, {legibility(
                  sight,
                  shade.depth,
                  ground.depth
                ).words}"
                onpointerenter={() => (pointed = { shade, ground })}
                onpointerleave={() => (pointed = null)}>{legibility(sight, shade.depth, ground.depth).specimen}</span
              >
            {/each}
          </div>
        {/each}
      </div>
    </figure>
  {/each}
  <p class="caption">
    {#each sight.legibility.filter((level, i) => sight.legibility[i + 1]?.specimen !== level.specimen) as level (level.ratio)}{level.specimen}
      carries {level.words};
    {/each}the lines are the ratios {limits(sight)
      .map((level) => level.ratio)
      .join(', ')}.
  </p>
</div>
