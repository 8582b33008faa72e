import { api, ask, type Schemas } from '$lib/api/client';
import type { Bench } from './bench.svelte';
import { carried } from './moved';

export type TokenRow = Schemas['TokenRow'];

/** One line of the tree: a group, or a token with its row. */
export type Line = { path: string; name: string; level: number; group: boolean; count: number; token: TokenRow | null };

type GroupNode = { path: string; name: string; level: number; groups: Map<string, GroupNode>; tokens: TokenRow[]; count: number };

export const FLAGS = [
  { id: 'finding', name: 'with a finding' },
  { id: 'role', name: 'roles' },
  { id: 'alias', name: 'that refer' },
  { id: 'derived', name: 'derived' },
  { id: 'recipe', name: 'grown by a recipe' },
  { id: 'detached', name: 'set by hand' },
  { id: 'unused', name: 'that nothing refers to' },
  { id: 'deprecated', name: 'deprecated' }
] as const;

/** All tokens of a theme in the working combination: which are searched for, which groups are open, which one is active. */
export class Tokens {
  rows = $state.raw<TokenRow[]>([]);
  loaded = $state(false);
  search = $state('');
  type = $state('');
  flag = $state('');
  open = $state.raw(new Set<string>());
  active = $state('');
  /** Counts what was made active; a token that only has another path now still is the same. */
  opened = $state(0);

  readonly types = $derived([...new Set(this.rows.map((row) => row.type))].filter(Boolean).sort());
  readonly searching = $derived(this.search.trim() !== '' || this.type !== '' || this.flag !== '');
  readonly found = $derived(this.searching ? this.rows.filter((row) => this.#matches(row)) : this.rows);
  readonly lines = $derived(this.searching ? this.#flat() : this.#tree());
  readonly byPath = $derived(new Map(this.rows.map((row) => [row.path, row])));

  #root: GroupNode | null = null;
  #rootOf: TokenRow[] | null = null;
  #asked = 0;

  constructor(readonly bench: Bench) {}

  async load() {
    const asked = ++this.#asked;
    const combo = this.bench.looks.workingKey;
    const list = await ask(() => api.GET('/api/themes/{id}/tokens', { params: { path: { id: this.bench.id }, query: { combo } } }));
    if (asked !== this.#asked) return;
    this.rows = list.tokens;
    this.loaded = true;
  }

  #matches(row: TokenRow): boolean {
    if (this.type !== '' && row.type !== this.type) return false;
    if (this.flag !== '' && !this.#flagged(row)) return false;
    const words = this.search.toLowerCase().split(/\s+/).filter(Boolean);
    if (words.length === 0) return true;
    const text = `${row.path} ${row.written} ${row.resolved} ${row.css} ${row.place}`.toLowerCase();
    return words.every((word) => text.includes(word));
  }

  #flagged(row: TokenRow): boolean {
    switch (this.flag) {
      case 'finding':
        return row.findings.length > 0 || (this.bench.shown?.findings.some((f) => f.path === row.path) ?? false);
      case 'unused':
        return row.users === 0;
      default:
        return row.marks.includes(this.flag);
    }
  }

  #flat(): Line[] {
    return this.found.map((row) => ({ path: row.path, name: row.path, level: 1, group: false, count: 0, token: row }));
  }

  #grown(): GroupNode {
    if (this.#root && this.#rootOf === this.rows) return this.#root;
    const root: GroupNode = { path: '', name: '', level: 0, groups: new Map(), tokens: [], count: 0 };
    for (const row of this.rows) {
      let node = root;
      node.count++;
      const names = row.path.split('.');
      for (const name of names.slice(0, -1)) {
        let next = node.groups.get(name);
        if (!next) {
          next = { path: node.path ? `${node.path}.${name}` : name, name, level: node.level + 1, groups: new Map(), tokens: [], count: 0 };
          node.groups.set(name, next);
        }
        node = next;
        node.count++;
      }
      node.tokens.push(row);
    }
    this.#root = root;
    this.#rootOf = this.rows;
    return root;
  }

  #tree(): Line[] {
    const lines: Line[] = [];
    const walk = (node: GroupNode) => {
      for (const group of node.groups.values()) {
        lines.push({ path: group.path, name: group.name, level: group.level, group: true, count: group.count, token: null });
        if (this.open.has(group.path)) walk(group);
      }
      for (const token of node.tokens)
        lines.push({ path: token.path, name: token.path.split('.').at(-1) ?? '', level: node.level + 1, group: false, count: 0, token });
    };
    walk(this.#grown());
    return lines;
  }

  toggle(path: string, wanted = !this.open.has(path)) {
    const open = new Set(this.open);
    if (wanted) open.add(path);
    else open.delete(path);
    this.open = open;
  }

  activate(path: string) {
    if (path !== this.active) this.opened++;
    this.active = path;
  }

  /** Makes a token active and opens every group around it, so that its line is there. */
  reveal(path: string) {
    this.#openAround(path);
    this.activate(path);
  }

  /** Gives rows their new paths before they are read anew; says whether the active token is among them. */
  carry(moves: Schemas['Moved'][]): boolean {
    const active = carried(this.active, moves);
    if (moves.length > 0) this.rows = this.rows.map((row) => ({ ...row, path: carried(row.path, moves) }));
    if (active === this.active) return false;
    this.#openAround(active);
    this.active = active;
    return true;
  }

  #openAround(path: string) {
    const open = new Set(this.open);
    const names = path.split('.');
    for (let i = 1; i < names.length; i++) open.add(names.slice(0, i).join('.'));
    this.open = open;
  }
}
