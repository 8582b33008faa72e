import { api, ask, type Schemas } from '$lib/api/client';
import type { Bench } from '$lib/theme/bench.svelte';
import { referred } from './referred';

export type RoleRow = Schemas['RoleRow'];
export type TokenCell = Schemas['TokenCell'];

/** Which part of a text style a token of a type is, in the order in which styles are written. */
const MEMBERS: Record<string, number> = { fontFamily: 0, dimension: 1, fontWeight: 2, number: 4 };
const BETWEEN = ' / ';

/** What a theme is being dressed in: for each role what it is to be, as people write values. Nothing is stored until it is taken. */
export class Dressing {
  view = $state.raw<Schemas['DressView'] | null>(null);
  roles = $state<Record<string, string>>({});
  picked = $state('');

  readonly rows = $derived(this.view?.roles ?? []);
  readonly tokens = $derived(this.view?.tokens ?? []);
  readonly row = $derived(this.rows.find((row) => row.path === this.picked));
  readonly count = $derived(Object.keys(this.roles).length);
  /** What the paths of all tokens begin with, which says nothing; empty where they differ. */
  readonly prefix = $derived.by(() => {
    const first = this.tokens[0]?.path.split('.')[0] ?? '';
    return first && this.tokens.every((token) => token.path.startsWith(`${first}.`)) ? `${first}.` : '';
  });
  /** Roles that use a token, by its path. */
  readonly users = $derived.by(() => {
    const users: Record<string, string[]> = {};
    for (const [role, written] of Object.entries(this.roles)) for (const path of referred(written)) (users[path] ??= []).push(role);
    return users;
  });
  readonly lacking = $derived(this.rows.filter((row) => row.core && !row.set && this.roles[row.path] === undefined).length);

  constructor(readonly bench: Bench) {}

  async read() {
    this.view = await ask(() => api.GET('/api/themes/{id}/dress', { params: { path: { id: this.bench.id } } }));
    this.roles = Object.fromEntries(
      this.rows.filter((row) => !row.set && (row.written || row.proposed)).map((row) => [row.path, row.written || row.proposed])
    );
    this.picked = this.rows.find((row) => !row.set)?.path ?? '';
    this.show();
  }

  /** How a value came to be there. */
  origin(row: RoleRow): 'own' | 'proposed' | 'written' | 'chosen' | 'unset' {
    if (row.set) return 'own';
    const now = this.roles[row.path];
    if (now === undefined) return 'unset';
    if (now === row.written) return 'written';
    return now === row.proposed ? 'proposed' : 'chosen';
  }

  /** Whether a token can be what the picked role is, or a part of it. */
  fits(token: TokenCell): boolean {
    if (!this.row || this.row.set) return false;
    return this.row.type === token.type || (this.row.type === 'typography' && MEMBERS[token.type] !== undefined);
  }

  /** The picked role with a token in it; a part of a text style leaves the others as they are. */
  #with(token: TokenCell): string {
    const row = this.row!;
    const member = row.type === 'typography' && token.type !== 'typography' ? MEMBERS[token.type] : undefined;
    if (member === undefined) return `{${token.path}}`;
    const now = this.roles[row.path] ?? row.proposed;
    const parts = now && now.split(BETWEEN).length === 5 ? now.split(BETWEEN) : ['system-ui, sans-serif', '1rem', '400', '0px', '1.5'];
    parts[member] = `{${token.path}}`;
    return parts.join(BETWEEN);
  }

  try(token: TokenCell) {
    if (this.fits(token)) void this.bench.probe(this.#edit({ ...this.roles, [this.picked]: this.#with(token) }));
  }

  assign(token: TokenCell) {
    if (!this.fits(token)) return;
    this.roles = { ...this.roles, [this.picked]: this.#with(token) };
    this.show();
  }

  leave(path: string) {
    const rest = { ...this.roles };
    delete rest[path];
    this.roles = rest;
    this.show();
  }

  restore(row: RoleRow) {
    this.roles = { ...this.roles, [row.path]: row.proposed };
    this.show();
  }

  /** The pages show what is assigned. */
  show() {
    void this.bench.probe(this.#edit(this.roles));
  }

  take() {
    return this.bench.commit(this.#edit(this.roles));
  }

  #edit(roles: Record<string, string>) {
    return { op: 'dress' as const, roles: { ...roles } };
  }
}
