import type { Schemas } from '$lib/api/client';
import type { Bench, Edit } from '$lib/theme/bench.svelte';

export type Length = Pick<Schemas['LengthView'], 'path' | 'place' | 'written' | 'widePx'>;

/** A role at the place where it stands as it is stored; one that is unset is set where edits go. */
export function roleEdit(bench: Bench, path: string, place: string, text: string): Edit {
  return { op: place ? 'value' : 'role', place: place || bench.target, path, text };
}

/** The same for a length: while one is tried, a role that is unset looks as if it were set. */
export function lengthEdit(bench: Bench, view: Length, text: string): Edit {
  const space = bench.saved?.instruments.space;
  const stored = space && [...space.gaps, ...space.shape, ...space.widths, ...space.parts].find((one) => one.path === view.path);
  return roleEdit(bench, view.path, (stored ?? view).place, text);
}

/** Keeps the unit that the person chose. */
export const lengthText = (view: Length, px: number) => (view.written.includes('rem') ? `${px / 16}rem` : `${px}px`);
