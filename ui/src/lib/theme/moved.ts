import type { Schemas } from '$lib/api/client';

/** A path after a token, or a group around it, was given another one. */
export function carried(path: string, moves: Schemas['Moved'][]): string {
  return moves.reduce((at, { from, to }) => (at === from || at.startsWith(`${from}.`) ? to + at.slice(from.length) : at), path);
}
