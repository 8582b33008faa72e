import type { Schemas } from '$lib/api/client';
import type { Bench, Edit } from '$lib/theme/bench.svelte';

type Length = Pick<Schemas['LengthView'], 'path' | 'place' | 'written'>;

/** A length at the place where it stands; a role that is unset is set where edits go. */
export const lengthEdit = (bench: Bench, view: Length, text: string): Edit => ({
  op: view.place ? 'value' : 'role',
  place: view.place || bench.target,
  path: view.path,
  text
});

/** Keeps the unit that the person chose. */
export const lengthText = (view: Length, px: number) => (view.written.includes('rem') ? `${px / 16}rem` : `${px}px`);
