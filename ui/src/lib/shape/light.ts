import type { Schemas } from '$lib/api/client';
import type { Bench } from '$lib/theme/bench.svelte';

export type Light = Schemas['LightView'];

/** A light for a theme that has none, from above and soft; common practice. */
export const FIRST = { angle: 0, reach: 0.5, softness: 2, strength: 0.25, color: '#000000', heights: [2, 6, 16] };

/** Where the shadows of a new light go. */
const PATH = 'shadow.height';

/** The edit that changes a light, or makes a theme its first. */
export function lightEdit(bench: Bench, light: Light | undefined, change: Partial<typeof FIRST> = {}) {
  const { angle, reach, softness, strength, color } = light ?? FIRST;
  const heights = light ? light.heights.map((one) => one.height) : FIRST.heights;
  return {
    op: 'shadows' as const,
    place: bench.target || light?.place || bench.homes.shadow || bench.homes.dimension || bench.homes.role || '',
    path: light?.path ?? PATH,
    angle,
    reach,
    softness,
    strength,
    color,
    heights,
    ...change
  };
}
