import { ask, api, type Schemas } from '$lib/api/client';

export const DRAFT = 'draft';

/** A theme's releases and sites, what is chosen among them, and how the chosen state differs from the one before it. */
export class Releases {
  all = $state.raw<Schemas['ReleasesView'] | null>(null);
  rollouts = $state.raw<Schemas['RolloutView'][]>([]);
  /** The state that is looked at, by its name. */
  chosen = $state(DRAFT);
  /** The state that it is compared with; empty for the one before it. */
  against = $state('');
  /** States with a name besides releases, the newest first. */
  checkpoints = $state.raw<Schemas['HistoryView'][]>([]);
  difference = $state.raw<Schemas['DifferenceView'] | null>(null);
  impact = $state.raw<Schemas['ImpactView'] | null>(null);

  #asked = 0;

  constructor(readonly theme: number) {}

  get path() {
    return { path: { id: this.theme } };
  }

  /** Full releases, the oldest first. */
  get line() {
    return [...(this.all?.releases ?? [])].reverse();
  }

  /** What the next release would be made of: the draft, or an earlier state with a name. */
  get releasing(): string {
    return /^r\d+$/.test(this.chosen) ? this.chosen : DRAFT;
  }

  release(number: string) {
    return this.all?.releases.find((one) => one.number === number);
  }

  /** What the chosen state is compared with: as chosen, else the full release before it; empty where there is none. */
  get before(): string {
    if (this.against) return this.against;
    const full = (this.all?.releases ?? []).filter((one) => !one.trial);
    if (this.chosen === this.releasing) return full[0]?.number ?? '';
    const id = this.release(this.chosen)?.id ?? 0;
    return full.find((one) => one.id < id)?.number ?? '';
  }

  async load() {
    const [all, rollouts, checkpoints] = await Promise.all([
      this.#read(),
      ask(() => api.GET('/api/themes/{id}/rollouts', { params: this.path })),
      ask(() => api.GET('/api/themes/{id}/checkpoints', { params: this.path }))
    ]);
    this.checkpoints = checkpoints;
    this.all = all;
    this.rollouts = rollouts;
    await this.compare();
  }

  #read() {
    return ask(() => api.GET('/api/themes/{id}/releases', { params: { ...this.path, query: { of: this.releasing } } }));
  }

  async choose(name: string) {
    const was = this.releasing;
    this.chosen = name;
    this.against = '';
    if (this.releasing !== was) this.all = await this.#read();
    await this.compare();
  }

  /** Compares what is chosen with another state than the one before it. */
  async compareWith(name: string) {
    this.against = name;
    await this.compare();
  }

  /** The last asked for wins. */
  async compare() {
    const asked = ++this.#asked;
    const from = this.before;
    const to = this.chosen;
    if (!from || from === to) {
      this.difference = null;
      this.impact = null;
      return;
    }
    const query = { params: { ...this.path, query: { from, to } } };
    const difference = await ask(() => api.GET('/api/themes/{id}/difference', query));
    if (asked !== this.#asked) return;
    this.difference = difference;
    this.impact = null;
    const impact = await ask(() => api.GET('/api/themes/{id}/impact', query));
    if (asked === this.#asked) this.impact = impact;
  }
}
