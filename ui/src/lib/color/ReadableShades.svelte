<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';

  /**
   * Readability as a picture: every shade on a surface's own ground, at its depth. Since contrast is the difference of
   * two depths, the limits are the same lines for every hue.
   */
  let { bench, surface }: { bench: Bench; surface: Schemas['SurfaceView'] } = $props();

  const WHOLE = 120;
  const LIMITS = [
    { by: 43.3, name: 'shapes, large text', mark: '3' },
    { by: 59.3, name: 'text', mark: '4.5' },
    { by: 76.7, name: 'text, strictest', mark: '7' }
  ];

  let pointed = $state.raw<{ shade: Schemas['ShadeView']; ground: Schemas['CellView'] } | null>(null);

  const hues = $derived(bench.shown?.color.hues ?? []);
  const grounds = $derived(surface.roles.find((role) => role.role === 'ground')?.cells ?? []);

  const at = (depth: number) => `${(depth / WHOLE) * 100}%`;
  const apart = (a: number, b: number) => Math.abs(a - b);
  const ratio = (a: number, b: number) => Math.floor(21 ** (apart(a, b) / WHOLE) * 10 + 1e-6) / 10;
  const ink = (ground: Schemas['CellView']) => (ground.depth > 57 ? '#ffffff' : '#000000');

  function glyph(by: number): string {
    return by >= 59.3 ? 'Aa' : by >= 43.3 ? 'A' : '·';
  }

  function words(by: number): string {
    return by >= 76.7 ? 'any text, at the strictest level' : by >= 59.3 ? 'any text' : by >= 43.3 ? 'large text and shapes' : 'nothing that must be seen';
  }
</script>

<div class="flex flex-col gap-3 p-3">
  {#each grounds as ground (ground.scheme)}
    <figure class="m-0">
      <figcaption class="caption mb-1 flex justify-between"><span>{surface.name} in {ground.scheme}, depth {ground.depth.toFixed(0)}</span>
        <span class="value">{#if pointed && pointed.ground.scheme === ground.scheme}{pointed.shade.path}: {ratio(pointed.shade.depth, ground.depth)} to 1, {words(apart(pointed.shade.depth, ground.depth))}{/if}</span></figcaption>
      <div class="relative border border-line pt-4 pb-1" style:background={ground.hex} style:color={ink(ground)}>
        {#each LIMITS as limit (limit.by)}
          {#each [ground.depth - limit.by, ground.depth + limit.by].filter((d) => d > 0 && d < WHOLE) as depth (depth)}
            <span class="absolute inset-y-0 w-px opacity-50" style:left={at(depth)} style:background={ink(ground)} title="{limit.name}: {limit.mark} to 1"></span>
            <span class="value absolute top-0 px-0.5 text-[0.625rem]! leading-4 {depth < ground.depth ? '-translate-x-full' : ''}" style:left={at(depth)}>{limit.mark}</span>
          {/each}
        {/each}
        {#each hues as hue (hue.path)}
          <div class="relative h-4.5" role="group" aria-label="{hue.name} on {surface.name} in {ground.scheme}">
            {#each hue.shades as shade (shade.path)}
              {@const by = apart(shade.depth, ground.depth)}
              <span
                class="absolute top-0 -translate-x-1/2 text-xs leading-4.5 font-semibold"
                style:left={at(shade.depth)}
                style:color={shade.hex}
                role="img"
                aria-label="{hue.name} {shade.name}: {ratio(shade.depth, ground.depth)} to 1, {words(by)}"
                onpointerenter={() => (pointed = { shade, ground })}
                onpointerleave={() => (pointed = null)}>{glyph(by)}</span
              >
            {/each}
          </div>
        {/each}
      </div>
    </figure>
  {/each}
  <p class="caption">Aa carries any text, A large text and shapes, · nothing that must be seen. The lines are the ratios 3, 4.5 and 7.</p>
</div>
