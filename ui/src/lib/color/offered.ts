import type { Bench } from '$lib/theme/bench.svelte';

/** The seeds and shades of a theme, to be taken in a color field. */
export function offered(bench: Bench): { path: string; hex: string }[] {
  return (bench.saved?.instruments.color.hues ?? []).flatMap((hue) => [
    { path: hue.seed.path, hex: hue.seed.hex },
    ...hue.shades.map((shade) => ({ path: shade.path, hex: shade.hex }))
  ]);
}
