import { toast } from 'svelte-sonner';
import { api, ask, Problem, store, type Schemas } from '$lib/api/client';
import { Governing, type RoleKind } from '$lib/contract/governing';
import { session } from '$lib/account/session.svelte';
import type { BayState } from '$lib/site/bays.svelte';
import { onSurface, type LivePage } from '$lib/site/livePage';
import { Pages } from '$lib/site/pages';
import { SAID } from '$lib/ui/words';
import { Commits, isClash, type Clash } from './commits.svelte';
import { Line } from './line';
import { Looks } from './looks.svelte';
import { Picked, type Pick } from './picked.svelte';
import { Trial } from './trial.svelte';

export type { Modifier, Scheme } from './looks.svelte';
export type { Pick } from './picked.svelte';
/** An edit as it is asked for, in the language of the log. */
export type Edit = Schemas['Edit'];
export type Instruments = Schemas['Instruments'];
export type Tab = 'color' | 'type' | 'space' | 'widths' | 'shape' | 'frame' | 'parts' | 'style' | 'sets' | 'tokens' | 'history';

const TAB_OF: Record<RoleKind, Tab> = { color: 'color', type: 'type', space: 'space', width: 'widths' };

/**
 * One theme on the bench: what is stored of it, and what brings the rest together: what is looked at ({@link Looks}), tried
 * ({@link Trial}), stored ({@link Commits}) and picked ({@link Picked}).
 */
export class Bench {
  readonly id: number;
  saved = $state.raw<Schemas['Bench'] | null>(null);
  #tab = $state<Tab>('color');
  contract = $state.raw<Schemas['ContractView']>({ parts: [], roles: [], choices: [], governing: [], phoneHigh: 1, mostStaying: 1 });
  readonly governing = $derived(new Governing(this.contract.governing));
  /** What can be known of colors, derivations and grounds without a theme. */
  sight = $state.raw<Schemas['SightView']>({ ways: [], black: 1, most: 1, legibility: [] });
  operations = $state.raw<Schemas['OperationView'][]>([]);
  grounds = $state.raw<Schemas['GroundsView']>({ kinds: [], sizes: [], repeats: [], blends: [], patterns: [] });
  fonts = $state.raw<Schemas['Family'][]>([]);

  /** A role that somebody came for: it is picked where the first bay's page takes it. */
  wanted = '';
  readonly looks = new Looks();
  readonly #pages = new Pages();
  readonly #trial: Trial;
  readonly #commits: Commits;
  readonly #picked: Picked;
  #line: Line | undefined;

  constructor(id: number) {
    this.id = id;
    this.#trial = new Trial({
      pages: this.#pages,
      stored: () => this.saved?.instruments,
      ask: (edit, lean) => this.#ask(edit, lean)
    });
    this.#commits = new Commits({
      stored: () => this.saved,
      read: () => this.#read(),
      show: (bench) => {
        this.#show(bench);
        void this.#picked.read();
      },
      outdate: () => this.#trial.outdate()
    });
    this.#picked = new Picked(
      id,
      (pick) => this.looks.key(pick.contexts, pick.scopes),
      (paths) => this.light(paths)
    );
  }

  readonly state = $derived.by<'saved' | 'probing' | 'saving' | 'failed'>(() => {
    if (this.#commits.state !== 'saved') return this.#commits.state;
    return this.#trial.on ? 'probing' : 'saved';
  });

  get tab() {
    return this.#tab;
  }
  /** Pictures of parts stand at no page's scope: they show what the instruments show, which is asked for from now on. */
  set tab(tab: Tab) {
    const pictures = tab === 'parts' && this.#tab !== tab;
    this.#tab = tab;
    if (pictures) void this.look();
  }
  /** What the tray shows: the saved instruments, with what is tried laid over. */
  get shown() {
    return this.#trial.shown;
  }
  get tried() {
    return this.#trial.result;
  }
  get clash() {
    return this.#commits.clash;
  }
  set clash(clash: Clash | null) {
    this.#commits.clash = clash;
  }
  get pick() {
    return this.#picked.pick;
  }
  get trace() {
    return this.#picked.trace;
  }
  get places() {
    return this.#picked.places;
  }
  get sites() {
    return this.looks.sites;
  }
  get working() {
    return this.looks.working;
  }
  get bays() {
    return this.looks.bays;
  }
  set bays(bays: BayState[]) {
    this.looks.bays = bays;
  }
  get target() {
    return this.looks.target;
  }
  get modifiers() {
    return this.looks.modifiers;
  }
  get scheme() {
    return this.looks.scheme;
  }
  get schemes() {
    return this.looks.schemes;
  }
  get writable() {
    return this.looks.writable;
  }
  /** Where something new of a kind goes; none where a person has to choose. */
  get homes(): Record<string, string | undefined> {
    return this.saved?.structure.homes ?? {};
  }

  /** @param wanted the site, and the page, that the bays show first */
  async load(wanted: { site: string; page: string } = { site: '', page: '' }) {
    const [bench, contract, sites, fonts, sight, operations, grounds] = await Promise.all([
      this.#read(),
      ask(() => api.GET('/api/contract')),
      ask(() => api.GET('/api/sites', { params: { query: { theme: this.id } } })),
      ask(() => api.GET('/api/fonts')),
      ask(() => api.GET('/api/seeing')),
      ask(() => api.GET('/api/operations')),
      ask(() => api.GET('/api/grounds'))
    ]);
    this.contract = contract;
    this.looks.sites = sites;
    this.fonts = fonts;
    this.sight = sight;
    this.operations = operations;
    this.grounds = grounds;
    this.#show(bench);
    this.looks.begin(this.id, wanted);
    await this.look();
  }

  /** What the server is told with every request: the combinations that are looked at. */
  #looking() {
    const combo = this.looks.workingKey;
    const bays = [...new Set([...this.bays.map((bay) => this.looks.bayKey(bay)), ...(this.tab === 'parts' ? [combo] : [])])];
    return { combo, bays };
  }

  /** The same with the revision that is on screen: what is undone must be what was seen. */
  #seen() {
    const sites = Object.fromEntries((this.saved!.sites ?? []).map((one) => [one.site, one.revision]));
    return { ...this.#looking(), base: this.saved!.revision, sites };
  }

  #read() {
    const { combo, bays } = this.#looking();
    return ask(() => api.GET('/api/themes/{id}', { params: { path: { id: this.id }, query: { combo, bays: bays.join('|') } } }));
  }

  /**
   * Reads the bench again as it is now; after a combination was chosen, or somebody else changed the theme. What is on
   * its way to be stored comes first: its answer still tells of what was looked at before.
   */
  async look() {
    await this.#commits.done;
    const current = this.#trial.outdate();
    const bench = await this.#read();
    if (current()) this.#show(bench);
    void this.#picked.read();
  }

  /** Chooses a context for the instruments. */
  choose(modifier: string, context: string) {
    this.looks.choose(modifier, context);
    this.#picked.choose(modifier, context);
    void this.look();
  }

  /** Edits of values go to a place from now on; none for where each value stands. */
  aimAt(place: string, reaching: string[] = []) {
    this.looks.aimAt(place, reaching);
    const scopes = this.looks.aim?.reaching ?? reaching;
    if (this.pick && !this.pick.around) this.#picked.open({ ...this.pick, contexts: this.working, scopes });
    void this.look();
  }

  /** Who has a log and a style sheet of their own here: the theme, by no name, and the sites whose pages are in the bays. */
  readonly owners = $derived(this.saved ? [{ ...this.saved, site: '' }, ...this.saved.sites] : []);

  /** What undo and redo would do: in the log of the site that edits go to, else in the theme's. */
  readonly stacks = $derived.by(() => {
    const site = this.saved?.sites.find((one) => one.site === this.looks.site);
    return site
      ? { undo: site.undo, redo: site.redo, of: site.name }
      : { undo: this.saved?.rail.undo ?? '', redo: this.saved?.rail.redo ?? '', of: '' };
  });

  /** Takes back, or makes again, the last edit of a site. */
  #inSite(site: string, way: 'undo' | 'redo') {
    return this.#commits.told(
      this.#commits.change(async () => {
        await store(() => api.POST(`/api/sites/{site}/${way}`, { params: { path: { site } } }));
        return this.#read();
      })
    );
  }

  /**
   * Learns of edits that others make, on the line for probes that stays open until the way to stop is called. The newest
   * revision is told whenever the line opens, so what was stored before, or while it was lost, is not missed.
   */
  listen() {
    this.#line = new Line(
      this.id,
      (revision) => void this.#heard(revision),
      (stamp) => void this.#heardOfSites(stamp)
    );
    return () => this.#line?.close();
  }

  #stamp: number | undefined;

  /** Something was done to a site that wears the theme: what the bays show of it is read again, and said when others did it. */
  async #heardOfSites(stamp: number) {
    const first = this.#stamp === undefined;
    if (this.#stamp === stamp) return;
    this.#stamp = stamp;
    await this.#commits.done;
    if (first || this.state !== 'saved') return;
    const before = new Map((this.saved?.sites ?? []).map((one) => [one.site, one.revision]));
    await this.look();
    for (const one of this.saved?.sites ?? [])
      if (one.revision > (before.get(one.site) ?? one.revision))
        toast.message(`${one.name} was changed by somebody else`, { description: 'Your bench shows it already.' });
  }

  async #heard(revision: number) {
    await this.#commits.done;
    if (revision <= (this.saved?.revision ?? 0) && this.state !== 'failed') return;
    const before = this.saved?.revision ?? 0;
    await this.look();
    if (this.#commits.state === 'failed') this.#commits.state = 'saved';
    const rail = this.saved?.rail;
    if (rail && (this.saved?.revision ?? 0) > before && rail.person !== session.name)
      toast.message(`${rail.person}: ${SAID[rail.kind] ?? ''}${rail.label}`, { description: 'Your bench shows it already.' });
  }

  /** A page that wants every change from now on; one in a bay is that bay's. */
  attach(page: LivePage, bay?: BayState) {
    const detach = this.#pages.add(page, bay);
    if (this.saved) page.store(this.saved.instruments.live);
    this.#own();
    if (this.#trial.live) page.try(this.#trial.live);
    // A bay whose page is of other places now: what those say was not asked for yet.
    if (bay && this.saved && !(page.key() in this.saved.instruments.live)) void this.look();
    return detach;
  }

  /** The document of the first page in the bays, once one is there. */
  firstPage(): Document | undefined {
    return this.#pages.inBays()[0]?.[0].document;
  }

  /** Every letter that the pages in the bays show, once. */
  letters(): string {
    const texts = this.#pages.inBays().map(([page]) => page.document.body?.textContent ?? '');
    return [...new Set(texts.join(''))].filter((letter) => letter.trim()).join('');
  }

  /** Values go to the place that was chosen. Without one, what was shown at a scope a moment ago goes to where the theme says it. */
  #aimed(edit: Edit): Edit {
    if (
      edit.op === 'ramp' ||
      edit.op === 'typeSteps' ||
      edit.op === 'stepTo' ||
      edit.op === 'spaceSteps' ||
      edit.op === 'shadows' ||
      edit.op === 'onGround'
    )
      return this.target === '' ? edit : { ...edit, place: this.target };
    if (edit.op !== 'value' && edit.op !== 'member' && edit.op !== 'measured') return edit;
    if (this.target !== '') return { ...edit, place: this.target };
    // What is shown stands at a scope only while one is chosen; one that was chosen until now may still be on screen.
    return edit.place?.startsWith('scope:') ? { ...edit, place: '' } : edit;
  }

  /** A lost line fails what was asked on it without an answer; then the ordinary way is taken, which also renews a session. */
  async #ask(edit: Edit, lean: boolean): Promise<Schemas['Probe']> {
    const body = { ...this.#seen(), edit, lean };
    try {
      const probe = await this.#line?.send(body);
      if (probe) return probe;
    } catch (e) {
      if (!(e instanceof Problem) || e.status !== 0) throw e;
    }
    return ask(() => api.POST('/api/themes/{id}/probe', { params: { path: { id: this.id } }, body }));
  }

  /** Shows what an edit would do, without storing it. Resolves when the pages show it, or a later one. */
  probe(edit: Edit): Promise<void> {
    return this.#trial.probe(this.#aimed(edit));
  }

  /** Shows one edit in each bay, from the first on, until {@link revert}; the bays say which. */
  compare(edits: { edit: Edit; note: string }[]) {
    this.revert();
    return this.#trial.compare(edits.map(({ edit, note }) => ({ edit: this.#aimed(edit), note })));
  }

  /** Back to what is stored. */
  revert() {
    this.#trial.outdate();
    if (this.saved && this.#trial.dirty) this.#show(this.saved);
    this.#trial.on = false;
  }

  /** Stores an edit, and tells why when it is refused; resolves to whether it was accepted. */
  commit(edit: Edit): Promise<boolean> {
    return this.#commits.told(this.#store(edit));
  }

  /** Stores an edit for a field that tells a refusal itself: resolves to its sentence, empty when it was accepted. */
  async take(edit: Edit): Promise<string> {
    const problem = await this.#store(edit);
    // Two people changed one value: a dialog of its own shows both, and the field shows what is stored.
    return problem && !isClash(problem) ? problem.message : '';
  }

  #store(edit: Edit) {
    const aimed = this.#aimed(edit);
    const params = { path: { id: this.id } };
    return this.#commits.change(
      () => store(() => api.POST('/api/themes/{id}/edits', { params, body: { ...this.#seen(), edit: aimed } })),
      aimed
    );
  }

  undo() {
    if (this.looks.site) return this.#inSite(this.looks.site, 'undo');
    const params = { path: { id: this.id } };
    return this.#commits.told(this.#commits.change(() => store(() => api.POST('/api/themes/{id}/undo', { params, body: this.#seen() }))));
  }

  redo() {
    if (this.looks.site) return this.#inSite(this.looks.site, 'redo');
    const params = { path: { id: this.id } };
    return this.#commits.told(this.#commits.change(() => store(() => api.POST('/api/themes/{id}/redo', { params, body: this.#seen() }))));
  }

  /** Makes an earlier revision the newest, as an edit that can be undone. */
  restore(number: number) {
    const params = { path: { id: this.id } };
    return this.#commits.told(
      this.#commits.change(async () => {
        await store(() => api.POST('/api/themes/{id}/restore', { params, body: { number } }));
        return this.#read();
      })
    );
  }

  #show(bench: Schemas['Bench']) {
    if (bench.revision > (this.saved?.revision ?? bench.revision)) this.#picked.carry(bench.rail.moved);
    this.saved = bench;
    this.#trial.end(bench.instruments);
    for (const bay of this.bays) bay.note = '';
    this.looks.fit(bench.structure);
    this.#pages.store(bench.instruments.live);
    this.#own();
  }

  /** Own style sheets as they are stored; while one is written, as it is written. */
  #own() {
    const written = this.#written;
    const sites = Object.fromEntries((this.saved?.sites ?? []).map((one) => [one.site, one.own.layered]));
    if (written?.site) sites[written.site] = written.layered;
    this.#pages.own(written && !written.site ? written.layered : (this.saved?.own.layered ?? ''), sites);
  }

  #written: { site: string; layered: string } | undefined;

  /** Shows an own style sheet while it is written. @param site whose it is; empty for the theme's @param layered none to show what is stored */
  tryStyle(site: string, layered?: string) {
    this.#written = layered === undefined ? undefined : { site, layered };
    this.#own();
  }

  /** Stores an own style sheet; resolves to whether it was accepted. */
  async storeStyle(site: string, css: string): Promise<boolean> {
    if (!site) return this.commit({ op: 'style', css });
    const base = this.saved?.sites.find((one) => one.site === site)?.revision ?? 0;
    return this.#commits.told(
      this.#commits.change(async () => {
        await store(() => api.PUT('/api/sites/{site}/css', { params: { path: { site } }, body: { base, css } }));
        return this.#read();
      })
    );
  }

  /** Opens a token in the tray with its trace, and lights up its places on the pages. */
  open(pick: Pick, stay = false) {
    const kind = pick.roles.find((role) => role.path === pick.path)?.kind;
    if (kind && !stay) this.tab = TAB_OF[kind];
    this.#picked.open(pick);
  }

  unpick() {
    this.#picked.close();
  }

  /** Whether the lines of running text are drawn over the pages. */
  lines = $state(false);

  showLines(shown: boolean) {
    this.lines = shown;
    this.#pages.lines(shown);
  }

  /** Outlines every place on the pages that these roles govern, and counts them; no roles put the light out. */
  light(paths: string[]): number {
    const selectors = new Set<string>();
    for (const path of paths) {
      const [group, surface, role] = path.split('.');
      const wanted = group === 'surface' && role ? `surface.${role}` : path;
      onSurface(this.governing.selectorsOf(wanted), group === 'surface' ? (surface ?? '') : '').forEach((selector) =>
        selectors.add(selector)
      );
    }
    return this.lightSelectors([...selectors]);
  }

  /** Outlines what selectors match on the pages in the bays, and counts it. */
  lightSelectors(selectors: string[]): number {
    return this.#pages.light(selectors);
  }
}
