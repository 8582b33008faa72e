import type { Schemas } from '$lib/api/client';
import type { Bench, Edit } from '$lib/theme/bench.svelte';

type Length = Pick<Schemas['LengthView'], 'path' | 'place' | 'written'>;

/** Where a length stands as it is stored: while one is tried, a role that is unset looks as if it were set. */
function placeOf(bench: Bench, view: Length) {
  const space = bench.saved?.instruments.space;
  const stored = space && [...space.gaps, ...space.shape, ...space.widths, ...space.parts].find((one) => one.path === view.path);
  return stored ? stored.place : view.place;
}

/** A length at the place where it stands; a role that is unset is set where edits go. */
export function lengthEdit(bench: Bench, view: Length, text: string): Edit {
  const place = placeOf(bench, view);
  return { op: place ? 'value' : 'role', place: place || bench.target, path: view.path, text };
}

/** Keeps the unit that the person chose. */
export const lengthText = (view: Length, px: number) => (view.written.includes('rem') ? `${px / 16}rem` : `${px}px`);
