import type { Schemas } from '$lib/api/client';

/** Contrast is the difference of two depths: what the server measured, read as people read it. */
type Sight = Schemas['SightView'];
type Legibility = Schemas['LegibilityView'];

/** The ratio of two colors by their depths, rounded down to one decimal. */
export const ratioOf = (sight: Sight, one: number, other: number) =>
  Math.floor(sight.most ** (Math.abs(one - other) / sight.black) * 10 + 1e-6) / 10;

/** What a color may be on another. */
export function legibility(sight: Sight, one: number, other: number): Legibility {
  const levels = sight.legibility.filter((level) => Math.abs(one - other) >= level.apart);
  return levels[levels.length - 1]!;
}

/** Those that something has to reach before anything can be seen of it. */
export const limits = (sight: Sight) => sight.legibility.filter((level) => level.apart > 0);

/** Black or white, whichever can be read better on a depth. */
export const inkOn = (sight: Sight, depth: number) => (depth * 2 > sight.black ? '#ffffff' : '#000000');
