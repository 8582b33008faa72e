import type { Schemas } from '$lib/api/client';

type Hue = Schemas['HueView'];
type Ramp = Pick<Hue, 'stops' | 'hueLight' | 'hueDark' | 'chromaLight' | 'chromaDark' | 'tintFrom' | 'tintChroma'>;

/** The edit that changes a hue's ramp in some of its parts. */
export function reshaped(hue: Hue, change: Partial<Ramp>) {
  const { stops, hueLight, hueDark, chromaLight, chromaDark, tintFrom, tintChroma } = { ...hue, ...change };
  return {
    op: 'ramp' as const,
    place: hue.place,
    path: hue.path,
    stops: [...new Set(stops)].sort((a, b) => a - b),
    hueLight,
    hueDark,
    chromaLight,
    chromaDark,
    tintFrom,
    tintChroma
  };
}

/** The stop that a shade is named by: a dot would split its path, so 2.5 is 2-5. */
export const stopOf = (name: string) => Number(name.replace('-', '.'));

/** The depth halfway from a stop to the next, or to black behind the last. */
export const halfway = (hue: Hue, stop: number) => Math.round((stop + (hue.stops.find((s) => s > stop) ?? 120)) / 2);
