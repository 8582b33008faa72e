import { toast } from 'svelte-sonner';
import { api, ask, Problem, type Schemas } from '$lib/api/client';
import type { LivePage } from '$lib/site/livePage';

export type EditRequest = Omit<Schemas['EditRequest'], 'base'>;
export type Instruments = Schemas['Instruments'];
export type RoleKind = 'color' | 'type' | 'space' | 'width';
export type Tab = 'color' | 'type' | 'space' | 'widths';

/** What was picked on a page or in the tray: a role's path, the scheme it is looked at in, and its trace. */
export type Pick = { path: string; scheme: string; roles: { kind: RoleKind; path: string }[] };

/** While a pointer moves, the tray follows the pages so many times a second at the most. */
const TRAY_MS = 80;

const TAB_OF: Record<RoleKind, Tab> = { color: 'color', type: 'type', space: 'space', width: 'widths' };

/**
 * One theme on the bench. A probe shows an edit while the pointer moves: at most one is on its way, and the newest
 * replaces whatever waits. A committed edit is stored by the server before it counts as saved.
 */
export class Bench {
  readonly id: number;
  saved = $state.raw<Schemas['Bench'] | null>(null);
  /** What the tray shows: the saved instruments, with a probe's changes laid over. */
  shown = $state.raw<Instruments | null>(null);
  state = $state<'saved' | 'probing' | 'saving' | 'failed'>('saved');
  /** Sentence of the last refused edit, for the field that caused it. */
  refused = $state('');
  tab = $state<Tab>('color');
  pick = $state.raw<Pick | null>(null);
  trace = $state.raw<Schemas['TraceView'] | null>(null);
  roles = $state.raw<Record<string, Record<string, string>>>({});
  sites = $state.raw<Schemas['SiteView'][]>([]);
  fonts = $state.raw<Schemas['Family'][]>([]);
  readonly schemes = $derived(Object.keys(this.shown?.live ?? {}));

  #pages = new Set<LivePage>();
  #probing = false;
  #waiting: EditRequest | null = null;
  #commits: Promise<void> = Promise.resolve();
  /** Counts commits and reversions, so that a late probe cannot undo what came after it. */
  #turn = 0;

  constructor(id: number) {
    this.id = id;
  }

  async load() {
    const [bench, roles, sites, fonts] = await Promise.all([
      ask(() => api.GET('/api/themes/{id}', { params: { path: { id: this.id } } })),
      ask(() => api.GET('/api/roles')),
      ask(() => api.GET('/api/sites')),
      ask(() => api.GET('/api/fonts'))
    ]);
    this.roles = roles as Record<string, Record<string, string>>;
    this.sites = sites;
    this.fonts = fonts;
    this.#show(bench);
  }

  /** A page that wants every change from now on. */
  attach(page: LivePage) {
    this.#pages.add(page);
    if (this.shown) page.setAll(this.shown.live);
    return () => this.#pages.delete(page);
  }

  /** Shows what an edit would do, without storing it. */
  probe(edit: EditRequest) {
    this.#waiting = edit;
    this.state = 'probing';
    if (!this.#probing) void this.#sendProbes();
  }

  async #sendProbes() {
    this.#probing = true;
    while (this.#waiting && this.saved) {
      const edit = this.#waiting;
      const turn = this.#turn;
      this.#waiting = null;
      try {
        const probe = await ask(() =>
          api.POST('/api/themes/{id}/probe', {
            params: { path: { id: this.id } },
            body: { ...edit, base: this.saved!.revision }
          })
        );
        if (turn === this.#turn) this.#lay(probe);
      } catch {
        // A value on the way to a valid one; the commit will say what is wrong.
      }
    }
    this.#probing = false;
    if (this.state === 'probing' && !this.#waiting) this.state = this.#dirty ? 'probing' : 'saved';
  }

  #dirty = false;
  #next: Instruments | null = null;
  #tray: ReturnType<typeof setTimeout> | undefined;

  #lay(probe: Schemas['Probe']) {
    const saved = this.saved!.instruments;
    this.#dirty = true;
    const live = { ...saved.live };
    for (const [scheme, blocks] of Object.entries(probe.live)) {
      const laid = { ...live[scheme] };
      for (const [block, properties] of Object.entries(blocks)) laid[block] = { ...laid[block], ...properties };
      live[scheme] = laid;
    }
    // Pages first: they are what the eye is on. The tray follows a moment later.
    this.#pages.forEach((page) => page.setAll(live));
    performance.mark('pages-changed');
    this.#next = {
      live,
      color: {
        hues: saved.color.hues.map((hue) => probe.hues.find((h) => h.path === hue.path) ?? hue),
        surfaces: saved.color.surfaces.map((s) => probe.surfaces.find((other) => other.name === s.name) ?? s)
      },
      type: probe.type[0] ?? saved.type,
      space: probe.space[0] ?? saved.space,
      findings: probe.findings
    };
    this.#tray ??= setTimeout(() => {
      this.#tray = undefined;
      if (this.#next) this.shown = this.#next;
    }, TRAY_MS);
  }

  /** Back to what is stored. */
  revert() {
    this.#turn++;
    this.#waiting = null;
    if (this.saved && this.#dirty) this.#show(this.saved);
    this.state = 'saved';
  }

  /** Stores an edit; resolves to whether it was accepted. */
  commit(edit: EditRequest): Promise<boolean> {
    return this.#change(async () => {
      const base = this.saved!.revision;
      return ask(() =>
        api.POST('/api/themes/{id}/edits', { params: { path: { id: this.id } }, body: { ...edit, base } })
      );
    });
  }

  undo() {
    return this.#change(() => ask(() => api.POST('/api/themes/{id}/undo', { params: { path: { id: this.id } } })));
  }

  redo() {
    return this.#change(() => ask(() => api.POST('/api/themes/{id}/redo', { params: { path: { id: this.id } } })));
  }

  #change(send: () => Promise<Schemas['Bench']>): Promise<boolean> {
    this.#turn++;
    this.#waiting = null;
    this.state = 'saving';
    const result = this.#commits.then(async () => {
      try {
        const bench = await send();
        this.refused = '';
        this.#turn++;
        this.#show(bench);
        this.state = 'saved';
        if (this.pick) void this.#readTrace(this.pick);
        return true;
      } catch (e) {
        const problem = e instanceof Problem ? e : new Problem(0, 'That did not work', String(e));
        this.refused = problem.message;
        toast.error(problem.title, { description: problem.message });
        if (problem.status === 409)
          this.saved = await ask(() => api.GET('/api/themes/{id}', { params: { path: { id: this.id } } }));
        if (this.saved) this.#show(this.saved);
        this.state = problem.status === 0 ? 'failed' : 'saved';
        return false;
      }
    });
    this.#commits = result.then(() => undefined);
    return result;
  }

  #show(bench: Schemas['Bench']) {
    clearTimeout(this.#tray);
    this.#tray = undefined;
    this.#next = null;
    this.saved = bench;
    this.shown = bench.instruments;
    this.#dirty = false;
    this.#pages.forEach((page) => page.setAll(bench.instruments.live));
  }

  /** Opens a role in the tray with its trace, and lights up its places on the pages. */
  choose(pick: Pick) {
    const kind = pick.roles.find((role) => role.path === pick.path)?.kind;
    if (kind) this.tab = TAB_OF[kind];
    this.pick = pick;
    this.light(pick.path);
    void this.#readTrace(pick);
  }

  unpick() {
    this.pick = null;
    this.trace = null;
    this.light('');
  }

  async #readTrace(pick: Pick) {
    const { scheme, path } = pick;
    const trace = await ask(() =>
      api.GET('/api/themes/{id}/trace', { params: { path: { id: this.id }, query: { scheme, path } } })
    );
    if (this.pick?.path === path) this.trace = trace;
  }

  /** Outlines every place on the pages that a role governs; an empty path puts the light out. */
  light(path: string) {
    const [group, surface, role] = path.split('.');
    const wanted = group === 'surface' && role ? `surface.${role}` : path;
    const selectors = Object.entries(this.roles)
      .filter(([, roles]) => path !== '' && Object.values(roles).includes(wanted))
      .map(([selector]) => selector);
    this.#pages.forEach((page) => page.light(selectors, group === 'surface' ? (surface ?? '') : ''));
  }
}
