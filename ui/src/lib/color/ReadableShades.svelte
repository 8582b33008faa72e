<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { carries, inkOn, ratioOf, SPANS, specimen } from './depth';

  /**
   * Readability as a picture: every shade on a surface's own ground, at its depth. Since contrast is the difference of
   * two depths, the limits are the same lines for every hue.
   */
  let { bench, surface }: { bench: Bench; surface: Schemas['SurfaceView'] } = $props();

  const WHOLE = 120;
  const LIMITS = [
    { by: SPANS.shape, name: 'shapes, large text', mark: '3' },
    { by: SPANS.text, name: 'text', mark: '4.5' },
    { by: SPANS.strict, name: 'text, strictest', mark: '7' }
  ];

  let pointed = $state.raw<{ shade: Schemas['ShadeView']; ground: Schemas['CellView'] } | null>(null);

  const hues = $derived(bench.shown?.color.hues ?? []);
  const grounds = $derived(surface.roles.find((role) => role.role === 'ground')?.cells ?? []);

  const at = (depth: number) => `${(depth / WHOLE) * 100}%`;
</script>

<div class="flex flex-col gap-3 p-3">
  {#each grounds as ground (ground.scheme)}
    <figure class="m-0">
      <figcaption class="caption mb-1 flex justify-between"><span>{surface.name} in {ground.scheme}, depth {ground.depth.toFixed(0)}</span>
        <span class="value">{#if pointed && pointed.ground.scheme === ground.scheme}{pointed.shade.path}: {ratioOf(pointed.shade.depth, ground.depth)} to 1, {carries(pointed.shade.depth, ground.depth)}{/if}</span></figcaption>
      <div class="relative border border-line pt-4 pb-1" style:background={ground.hex} style:color={inkOn(ground.depth)}>
        {#each LIMITS as limit (limit.by)}
          {#each [ground.depth - limit.by, ground.depth + limit.by].filter((d) => d > 0 && d < WHOLE) as depth (depth)}
            <span class="absolute inset-y-0 w-px opacity-50" style:left={at(depth)} style:background={inkOn(ground.depth)} title="{limit.name}: {limit.mark} to 1"></span>
            <span class="value absolute top-0 px-0.5 text-[0.625rem]! leading-4 {depth < ground.depth ? '-translate-x-full' : ''}" style:left={at(depth)}>{limit.mark}</span>
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
                aria-label="{hue.name} {shade.name}: {ratioOf(shade.depth, ground.depth)} to 1, {carries(shade.depth, ground.depth)}"
                onpointerenter={() => (pointed = { shade, ground })}
                onpointerleave={() => (pointed = null)}>{specimen(shade.depth, ground.depth)}</span
              >
            {/each}
          </div>
        {/each}
      </div>
    </figure>
  {/each}
  <p class="caption">Aa carries any text, A large text and shapes, · nothing that must be seen. The lines are the ratios 3, 4.5 and 7.</p>
</div>
