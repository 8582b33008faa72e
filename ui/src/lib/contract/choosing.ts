import type { Schemas } from '$lib/api/client';
import type { Bench } from '$lib/theme/bench.svelte';

/** What is chosen now, and where that is written. */
export const chosenOf = (bench: Bench, choice: string) => bench.shown?.choices.find((one) => one.name === choice);

/** Where a choice is written: into the place that edits go to, else where it stands, else where the theme's roles are. */
export const placeOf = (bench: Bench, choice: string) => bench.target || chosenOf(bench, choice)?.place || bench.homes.choice || '';

export const choose = (bench: Bench, choice: Schemas['ChoiceEntry'], value: string) => ({
  op: 'choose' as const,
  place: placeOf(bench, choice.name),
  choice: choice.name,
  value
});

/** The surface that a choice is about is chosen by the path of its group. */
const SURFACE = 'surface.';

/** Everything that a choice can be here: its own values, and the theme's surfaces where one of them is chosen. */
export function valuesOf(bench: Bench, choice: Schemas['ChoiceEntry']): Schemas['ChoiceValue'][] {
  if (!choice.stands) return choice.values;
  const names = bench.shown?.color.surfaces.map((one) => one.name) ?? [];
  return [
    ...choice.values,
    ...names
      // What stands on something else than the page itself cannot be put on it.
      .filter((name) => name !== 'page' || choice.stands.startsWith('body > '))
      .map((name) => ({ value: SURFACE + name, words: name, spot: [] }))
  ];
}

/** The name of the surface that a value chooses; empty where it leaves that to the page. */
export const surfaceOf = (value: string | undefined) => (value?.startsWith(SURFACE) ? value.slice(SURFACE.length) : '');
