import { api, ask, type Schemas } from '$lib/api/client';
import type { RoleKind } from '$lib/contract/governing';
import type { Contexts } from '$lib/site/bays.svelte';
import { carried } from './moved';

/** A place around what was picked, with the scopes that have a say there, from wide to narrow. */
export type Step = { place: string; words: string; reaching: string[] };

/**
 * What was picked on a page or in the tray: a token's path, the combination and the scopes it is looked at in, the roles there, and
 * the places around it, from the element itself to all sites.
 */
export type Pick = {
  path: string;
  contexts: Contexts;
  scopes?: string[];
  roles: { kind: RoleKind; path: string }[];
  around?: Step[];
};

/** What is picked, with its trace and its places on the pages. */
export class Picked {
  pick = $state.raw<Pick | null>(null);
  trace = $state.raw<Schemas['TokenView'] | null>(null);
  /** How many places on the pages in the bays show it. */
  places = $state(0);

  #theme: number;
  #key: (pick: Pick) => string;
  #light: (paths: string[]) => number;

  constructor(theme: number, key: (pick: Pick) => string, light: (paths: string[]) => number) {
    this.#theme = theme;
    this.#key = key;
    this.#light = light;
  }

  open(pick: Pick) {
    this.pick = pick;
    this.places = this.#light([pick.path]);
    void this.read();
  }

  close() {
    this.pick = null;
    this.trace = null;
    this.#light([]);
  }

  /** Looks at it in another context of a modifier. */
  choose(modifier: string, context: string) {
    if (this.pick) this.pick = { ...this.pick, contexts: { ...this.pick.contexts, [modifier]: context } };
  }

  /** What is picked stays picked when it is given another path, and when that is taken back. */
  carry(moves: Schemas['Moved'][]) {
    if (!this.pick || moves.length === 0) return;
    const roles = this.pick.roles.map((role) => ({ ...role, path: carried(role.path, moves) }));
    this.pick = { ...this.pick, path: carried(this.pick.path, moves), roles };
  }

  async read() {
    if (!this.pick) return;
    const { path } = this.pick;
    const combo = this.#key(this.pick);
    const trace = await ask(() => api.GET('/api/themes/{id}/token', { params: { path: { id: this.#theme }, query: { combo, path } } }));
    if (this.pick?.path !== path) return;
    this.trace = trace;
    this.places = this.#light([path, ...trace.roles]);
  }
}
