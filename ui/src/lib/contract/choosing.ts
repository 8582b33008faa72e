import type { Schemas } from '$lib/api/client';
import type { Bench } from '$lib/theme/bench.svelte';

/** What is chosen now, and where that is written. */
export const chosenOf = (bench: Bench, choice: string) => bench.shown?.choices.find((one) => one.name === choice);

/** Where a choice is written: into the place that edits go to, else where it stands, else where the theme's roles are. */
const placeOf = (bench: Bench, choice: string) => bench.target || chosenOf(bench, choice)?.place || bench.homes.choice || '';

export const choose = (bench: Bench, choice: Schemas['ChoiceEntry'], value: string) => ({
  op: 'choose' as const,
  place: placeOf(bench, choice.name),
  choice: choice.name,
  value
});
