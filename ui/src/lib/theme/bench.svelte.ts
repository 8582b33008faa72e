import { toast } from 'svelte-sonner';
import { api, ask, Problem, store, type Schemas } from '$lib/api/client';
import { Governing, type RoleKind } from '$lib/contract/governing';
import { session } from '$lib/account/session.svelte';
import { onSurface, type LivePage } from '$lib/site/livePage';
import { BayState, type Contexts } from '$lib/site/bays.svelte';
import { afterPaint, nextFrame } from '$lib/ui/frames';
import { Line } from './line';
import { carried } from './moved';

export type EditRequest = Omit<Schemas['EditRequest'], 'base' | 'combo' | 'bays' | 'lean'>;
export type Instruments = Schemas['Instruments'];
export type Tab = 'color' | 'type' | 'space' | 'widths' | 'parts' | 'sets' | 'tokens' | 'history';
/** A modifier with its contexts; codes are what stands for them in a combination's key, as the server gives them. */
export type Modifier = { name: string; code: string; standard: string; contexts: string[]; codes: Record<string, string> };

/** Which modifier is the scheme, and which of its contexts are the light and the dark one. */
export type Scheme = { modifier: string; light: string; dark: string };

/** What was picked on a page or in the tray: a token's path, the combination it is looked at in, and its trace. */
export type Pick = { path: string; contexts: Contexts; roles: { kind: RoleKind; path: string }[] };

/** An edit that was refused because somebody else changed the same value meanwhile. */
export type Clash = { edit: EditRequest; message: string; path: string; yours: string; theirs: string };

/** While a pointer moves, the tray follows the pages once in so long at the most. */
const TRAY_MS = 160;
/** The table of surfaces and the findings, the largest parts, are asked for when the pointer has rested for so long. */
const REST_MS = 180;

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
  /** What the token of the edit that is tried comes to, as CSS. */
  tried = $state('');
  clash = $state.raw<Clash | null>(null);
  tab = $state<Tab>('color');
  pick = $state.raw<Pick | null>(null);
  trace = $state.raw<Schemas['TokenView'] | null>(null);
  /** How many places on the pages in the bays show the picked token. */
  places = $state(0);
  contract = $state.raw<Schemas['ContractView']>({ parts: [], roles: [], choices: [], governing: [] });
  readonly governing = $derived(new Governing(this.contract.governing));
  seeing = $state.raw<Schemas['SeeingView'][]>([]);
  sites = $state.raw<Schemas['SiteView'][]>([]);
  fonts = $state.raw<Schemas['Family'][]>([]);
  /** The combination that the instruments show. */
  working = $state<Contexts>({});
  bays = $state<BayState[]>([]);
  /** Where edits of values are written; empty for where each value stands. */
  target = $state('');

  readonly modifiers = $derived.by<Modifier[]>(() =>
    (this.saved?.structure.layers ?? [])
      .filter((layer) => layer.kind === 'modifier' && layer.applies)
      .map((layer) => ({
        name: layer.name,
        code: layer.code,
        standard: layer.standard,
        contexts: layer.contexts.map((c) => c.name),
        codes: Object.fromEntries(layer.contexts.map((c) => [c.name, c.code]))
      }))
  );
  /** Where something new of a kind goes; none where a person has to choose. */
  readonly homes = $derived<Record<string, string | undefined>>(this.saved?.structure.homes ?? {});
  /** Every set and context, as the places that a token can be written into. */
  readonly writable = $derived(
    (this.saved?.structure.layers ?? []).flatMap((layer) =>
      layer.kind === 'set' ? [`set:${layer.name}`] : layer.contexts.map((context) => `context:${layer.name}/${context.name}`)
    )
  );
  /** The modifier that stands for light and dark, with those contexts of it. */
  readonly scheme = $derived.by<Scheme | null>(() => {
    const layer = (this.saved?.structure.layers ?? []).find((one) => one.applies && one.meaning === 'scheme');
    const part = (name: string) => layer?.contexts.find((context) => context.part === name)?.name ?? '';
    return layer ? { modifier: layer.name, light: part('light'), dark: part('dark') } : null;
  });

  /** Every context of the scheme, as the instruments show them side by side. */
  readonly schemes = $derived(this.modifiers.find((m) => m.name === this.scheme?.modifier)?.contexts ?? ['light']);

  #pages = new Map<LivePage, BayState | undefined>();
  #probing = false;
  #waiting: EditRequest | null = null;
  #awaited: (() => void)[] = [];
  #commits: Promise<void> = Promise.resolve();
  /** Counts commits and reversions, so that a late probe cannot undo what came after it. */
  #turn = 0;
  #line: Line | undefined;

  constructor(id: number) {
    this.id = id;
  }

  async load() {
    const [bench, contract, sites, fonts, seeing] = await Promise.all([
      this.#read(),
      ask(() => api.GET('/api/contract')),
      ask(() => api.GET('/api/sites', { params: { query: { theme: this.id } } })),
      ask(() => api.GET('/api/fonts')),
      ask(() => api.GET('/api/seeing'))
    ]);
    this.contract = contract;
    this.sites = sites;
    this.fonts = fonts;
    this.seeing = seeing;
    this.#show(bench);
    this.working = Object.fromEntries(this.modifiers.map((m) => [m.name, m.standard]));
    this.bays = this.#firstBays();
    await this.look();
  }

  #firstBays() {
    const site = this.sites.find((s) => s.themeId === this.id && !s.specimen) ?? this.sites.find((s) => s.specimen);
    const pages = site?.pages.map((p) => p.slug) ?? [];
    if (!site || pages.length === 0) return [];
    const dark = this.scheme ? { ...this.working, [this.scheme.modifier]: this.scheme.dark } : this.working;
    return [
      new BayState(site.slug, pages[0] ?? '', 1280, { ...this.working }),
      new BayState(site.slug, pages[1] ?? pages[0] ?? '', 1024, { ...dark }),
      new BayState(site.slug, pages[0] ?? '', 390, { ...this.working })
    ];
  }

  key(contexts: Contexts): string {
    return this.modifiers
      .filter((m) => contexts[m.name] !== undefined)
      .map((m) => `${m.code}=${m.codes[contexts[m.name] ?? ''] ?? ''}`)
      .join(',');
  }

  /** What the server is told with every request: the combinations that are looked at. */
  #looking() {
    const bays = [...new Set(this.bays.map((bay) => this.key(bay.contexts)))];
    return { combo: this.key(this.working), bays };
  }

  /** The same with the revision that is on screen: what is undone must be what was seen. */
  #seen() {
    return { ...this.#looking(), base: this.saved!.revision };
  }

  #read() {
    const { combo, bays } = this.#looking();
    return ask(() =>
      api.GET('/api/themes/{id}', { params: { path: { id: this.id }, query: { combo, bays: bays.join('|') } } })
    );
  }

  /**
   * Reads the bench again as it is now; after a combination was chosen, or somebody else changed the theme. What is on
   * its way to be stored comes first: its answer still tells of what was looked at before.
   */
  async look() {
    await this.#commits;
    const turn = ++this.#turn;
    const bench = await this.#read();
    if (turn === this.#turn) this.#show(bench);
    if (this.pick) void this.#readTrace(this.pick);
  }

  /** Chooses a context for the instruments; bays that stood at the same context follow, save for the scheme. */
  choose(modifier: string, context: string) {
    const before = this.working[modifier];
    this.working = { ...this.working, [modifier]: context };
    if (modifier !== this.scheme?.modifier)
      for (const bay of this.bays)
        if (bay.contexts[modifier] === before) bay.contexts = { ...bay.contexts, [modifier]: context };
    if (this.pick) this.pick = { ...this.pick, contexts: { ...this.pick.contexts, [modifier]: context } };
    void this.look();
  }

  /**
   * Learns of edits that others make, on the line for probes that stays open until the way to stop is called. The newest
   * revision is told whenever the line opens, so what was stored before, or while it was lost, is not missed.
   */
  listen() {
    this.#line = new Line(this.id, (revision) => void this.#heard(revision));
    return () => this.#line?.close();
  }

  async #heard(revision: number) {
    await this.#commits;
    if (revision <= (this.saved?.revision ?? 0) && this.state !== 'failed') return;
    const before = this.saved?.revision ?? 0;
    await this.look();
    if (this.state === 'failed') this.state = 'saved';
    const rail = this.saved?.rail;
    if (rail && (this.saved?.revision ?? 0) > before && rail.person !== session.name)
      toast.message(`${rail.person}: ${SAID[rail.kind] ?? ''}${rail.label}`, { description: 'Your bench shows it already.' });
  }

  /** A page that wants every change from now on; one in a bay is that bay's. */
  attach(page: LivePage, bay?: BayState) {
    this.#pages.set(page, bay);
    if (this.saved) page.store(this.saved.instruments.live);
    if (this.#trial) page.try(this.#trial.live);
    return () => this.#pages.delete(page);
  }

  #aimed(edit: EditRequest): EditRequest {
    const aims = this.target !== '' && (edit.op === 'value' || edit.op === 'member');
    return aims ? { ...edit, place: this.target } : edit;
  }

  /** Shows what an edit would do, without storing it. Resolves when the pages show it, or a later one. */
  probe(edit: EditRequest): Promise<void> {
    this.#waiting = this.#aimed(edit);
    this.state = 'probing';
    if (!this.#probing) void this.#sendProbes();
    return new Promise((shown) => this.#awaited.push(shown));
  }

  #tellShown() {
    for (const shown of this.#awaited.splice(0)) shown();
  }

  async #sendProbes() {
    this.#probing = true;
    while (this.#waiting && this.saved) {
      const edit = this.#waiting;
      const turn = this.#turn;
      this.#waiting = null;
      try {
        const probe = await this.#ask(edit, true);
        if (turn === this.#turn) {
          this.#lay(probe, edit);
          this.#tellShown();
          // One answer for each frame: what the pages were given before a frame shows it would be work for nothing.
          await nextFrame();
        }
      } catch {
        // A value on the way to a valid one; the commit will say what is wrong.
      }
    }
    this.#probing = false;
    this.#tellShown();
    if (this.state === 'probing' && !this.#waiting) this.state = this.#dirty ? 'probing' : 'saved';
  }

  /** A lost line fails what was asked on it without an answer; then the ordinary way is taken, which also renews a session. */
  async #ask(edit: EditRequest, lean: boolean): Promise<Schemas['Probe']> {
    const body = { ...edit, ...this.#looking(), base: this.saved!.revision, lean };
    try {
      const probe = await this.#line?.send(body);
      if (probe) return probe;
    } catch (e) {
      if (!(e instanceof Problem) || e.status !== 0) throw e;
    }
    return ask(() => api.POST('/api/themes/{id}/probe', { params: { path: { id: this.id } }, body }));
  }

  /** After the pointer has rested: everything that the edit it rests on would change. */
  async #settle(edit: EditRequest) {
    for (const page of this.#pages.keys()) page.complete();
    const turn = this.#turn;
    const probe = await this.#ask(edit, false).catch(() => null);
    if (turn !== this.#turn || this.#waiting || !this.saved) return;
    if (!probe) return this.#follow();
    this.#stopFollowing();
    const surfaces = this.saved.instruments.color.surfaces.map((s) => probe.surfaces.find((other) => other.name === s.name) ?? s);
    this.shown = this.#laid(probe, surfaces, probe.findings);
  }

  /** The stored instruments with a probe's changes laid over. */
  #laid(probe: Schemas['Probe'], surfaces: Schemas['SurfaceView'][], findings: Schemas['FindingView'][]): Instruments {
    const saved = this.saved!.instruments;
    const hues = saved.color.hues.map((hue) => probe.hues.find((h) => h.path === hue.path) ?? hue);
    return {
      live: saved.live,
      color: { hues, found: saved.color.found, surfaces },
      type: probe.type[0] ?? saved.type,
      choices: saved.choices,
      pairs: saved.pairs,
      space: probe.space[0] ?? saved.space,
      findings
    };
  }

  #dirty = false;
  /** What the pages were last given to try. */
  #trial: Schemas['Probe'] | null = null;
  #followed = 0;
  #stopFollowing = () => {};
  #rest: ReturnType<typeof setTimeout> | undefined;

  #lay(probe: Schemas['Probe'], edit: EditRequest) {
    this.#dirty = true;
    this.tried = probe.result;
    // Pages first: they are what the eye is on. The tray follows a moment later.
    this.#trial = probe;
    for (const page of this.#pages.keys()) page.try(probe.live);
    performance.mark('pages-changed');
    for (const page of this.#pages.keys()) page.settle();
    if (performance.now() - this.#followed >= TRAY_MS) this.#followSoon();
    clearTimeout(this.#rest);
    this.#rest = setTimeout(() => void this.#settle(edit), REST_MS);
  }

  /** The tray takes on what the pages show, when they are painted: the time until the next answer is its own. */
  #followSoon() {
    this.#followed = performance.now();
    this.#stopFollowing();
    this.#stopFollowing = afterPaint(() => this.#follow());
  }

  #follow() {
    if (this.#trial) this.shown = this.#laid(this.#trial, this.shown!.color.surfaces, this.shown!.findings);
  }

  /** Shows one edit in each bay, from the first on, until {@link revert}; the bays say which. */
  async compare(edits: { edit: EditRequest; note: string }[]) {
    this.revert();
    const turn = this.#turn;
    for (const [page, bay] of this.#pages) {
      const choice = bay && edits[this.bays.indexOf(bay)];
      if (!choice || !this.saved) continue;
      const probe = await this.#ask(this.#aimed(choice.edit), true);
      if (turn !== this.#turn) return;
      this.#dirty = true;
      this.state = 'probing';
      bay.note = choice.note;
      page.try(probe.live);
      page.complete();
    }
  }

  /** Back to what is stored. */
  revert() {
    this.#turn++;
    this.#waiting = null;
    if (this.saved && this.#dirty) this.#show(this.saved);
    this.state = 'saved';
  }

  /** Stores an edit, and tells why when it is refused; resolves to whether it was accepted. */
  commit(edit: EditRequest): Promise<boolean> {
    return this.#told(this.#store(edit));
  }

  /** Stores an edit for a field that tells a refusal itself: resolves to its sentence, empty when it was accepted. */
  async take(edit: EditRequest): Promise<string> {
    return (await this.#store(edit))?.message ?? '';
  }

  #store(edit: EditRequest) {
    const aimed = this.#aimed(edit);
    return this.#change(async () => {
      const base = this.saved!.revision;
      return store(() =>
        api.POST('/api/themes/{id}/edits', {
          params: { path: { id: this.id } },
          body: { ...aimed, ...this.#looking(), base }
        })
      );
    }, aimed);
  }

  undo() {
    return this.#told(
      this.#change(() =>
        store(() => api.POST('/api/themes/{id}/undo', { params: { path: { id: this.id } }, body: this.#seen() }))
      )
    );
  }

  redo() {
    return this.#told(
      this.#change(() =>
        store(() => api.POST('/api/themes/{id}/redo', { params: { path: { id: this.id } }, body: this.#seen() }))
      )
    );
  }

  /** Makes an earlier revision the newest, as an edit that can be undone. */
  restore(number: number) {
    return this.#told(
      this.#change(async () => {
        await store(() => api.POST('/api/themes/{id}/restore', { params: { path: { id: this.id } }, body: { number } }));
        return this.#read();
      })
    );
  }

  /** A clash has a dialog of its own. */
  async #told(change: Promise<Problem | null>): Promise<boolean> {
    const problem = await change;
    if (problem && !this.clash) toast.error(problem.title, { description: problem.message });
    return problem === null;
  }

  /** Resolves to why it was refused; to nothing when it is done. */
  #change(send: () => Promise<Schemas['Bench']>, edit?: EditRequest): Promise<Problem | null> {
    this.#turn++;
    this.#waiting = null;
    this.state = 'saving';
    const result = this.#commits.then(async () => {
      try {
        const bench = await send();
        this.#turn++;
        this.#show(bench);
        this.state = 'saved';
        if (this.pick) void this.#readTrace(this.pick);
        return null;
      } catch (e) {
        const problem = e instanceof Problem ? e : new Problem(0, 'That did not work', String(e));
        await this.#refuse(problem, edit);
        return problem;
      }
    });
    this.#commits = result.then(() => undefined);
    return result;
  }

  /** After a refusal the state is what it was; after a clash, or when the answer was lost, it is read again. */
  async #refuse(problem: Problem, edit: EditRequest | undefined) {
    const unsure = problem.mayBeStored;
    let now = this.saved;
    if (problem.status === 409 || unsure) now = await this.#read().catch(() => (unsure ? null : this.saved));
    if (problem.status === 409 && edit && problem.extra.yours)
      this.clash = { edit, message: problem.message, path: problem.extra.path ?? '', yours: problem.extra.yours, theirs: problem.extra.theirs ?? '' };
    if (now) this.#show(now);
    else if (this.saved) this.#show(this.saved);
    this.state = now ? 'saved' : 'failed';
  }

  #show(bench: Schemas['Bench']) {
    this.#stopFollowing();
    clearTimeout(this.#rest);
    this.#trial = null;
    if (bench.revision > (this.saved?.revision ?? bench.revision)) this.#carryPick(bench.rail.moved);
    this.saved = bench;
    this.shown = bench.instruments;
    this.tried = '';
    this.#dirty = false;
    for (const bay of this.bays) bay.note = '';
    this.#fitContexts();
    for (const page of this.#pages.keys()) page.store(bench.instruments.live);
  }

  /** What is picked stays picked when it is given another path, and when that is taken back. */
  #carryPick(moves: Schemas['Moved'][]) {
    if (!this.pick || moves.length === 0) return;
    const roles = this.pick.roles.map((role) => ({ ...role, path: carried(role.path, moves) }));
    this.pick = { ...this.pick, path: carried(this.pick.path, moves), roles };
  }

  /** Modifiers and contexts come, go and change their names; what no longer is there stands at its default. */
  #fitContexts() {
    const fit = (contexts: Contexts) => {
      const fitting = Object.fromEntries(
        this.modifiers.map((m) => [m.name, m.contexts.includes(contexts[m.name] ?? '') ? contexts[m.name]! : m.standard])
      );
      return this.key(fitting) === this.key(contexts) && Object.keys(contexts).length === this.modifiers.length ? contexts : fitting;
    };
    const working = fit(this.working);
    if (working !== this.working) this.working = working;
    for (const bay of this.bays) {
      const fitted = fit(bay.contexts);
      if (fitted !== bay.contexts) bay.contexts = fitted;
    }
  }

  /** Opens a token in the tray with its trace, and lights up its places on the pages. */
  open(pick: Pick, stay = false) {
    const kind = pick.roles.find((role) => role.path === pick.path)?.kind;
    if (kind && !stay) this.tab = TAB_OF[kind];
    this.pick = pick;
    this.places = this.light([pick.path]);
    void this.#readTrace(pick);
  }

  unpick() {
    this.pick = null;
    this.trace = null;
    this.light([]);
  }

  async #readTrace(pick: Pick) {
    const { path } = pick;
    const combo = this.key(pick.contexts);
    const trace = await ask(() =>
      api.GET('/api/themes/{id}/token', { params: { path: { id: this.id }, query: { combo, path } } })
    );
    if (this.pick?.path !== path) return;
    this.trace = trace;
    this.places = this.light([path, ...trace.roles]);
  }

  /** Outlines every place on the pages that these roles govern, and counts them; no roles put the light out. */
  light(paths: string[]): number {
    const selectors = new Set<string>();
    for (const path of paths) {
      const [group, surface, role] = path.split('.');
      const wanted = group === 'surface' && role ? `surface.${role}` : path;
      onSurface(this.governing.selectorsOf(wanted), group === 'surface' ? (surface ?? '') : '').forEach((selector) => selectors.add(selector));
    }
    return this.lightSelectors([...selectors]);
  }

  /** Outlines what selectors match on the pages in the bays, and counts it. */
  lightSelectors(selectors: string[]): number {
    let count = 0;
    for (const [page, bay] of this.#pages) if (bay) count += page.light(selectors);
    return count;
  }
}

/** How an entry of the log is said. */
export const SAID: Record<string, string> = { start: '', edit: '', undo: 'undid ', redo: 'redid ' };
