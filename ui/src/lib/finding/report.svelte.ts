import { api, ask, type Schemas } from '$lib/api/client';

/** How long nothing may change until everything is checked again. */
const REST_MS = 700;

/** All findings of a theme and its sites: the one count and the one list, wherever they are shown. */
export class Report {
  now = $state.raw<Schemas['FindingsReport'] | null>(null);
  readonly open = $derived((this.now?.entries ?? []).filter((one) => !one.accepted.by));
  readonly must = $derived(this.open.filter((one) => one.weight === 'must').length);

  #theme: number;
  #turn = 0;
  #rest: ReturnType<typeof setTimeout> | undefined;

  constructor(theme: number) {
    this.#theme = theme;
  }

  async read() {
    clearTimeout(this.#rest);
    const turn = ++this.#turn;
    const found = await ask(() => api.GET('/api/themes/{id}/findings', { params: { path: { id: this.#theme } } }));
    // An answer that was overtaken tells of what no longer is.
    if (turn === this.#turn) this.now = found;
  }

  /** Reads again when nothing more changes for a moment; what could not be read is shown as it was. */
  readSoon() {
    clearTimeout(this.#rest);
    this.#rest = setTimeout(() => void this.read().catch(() => undefined), this.now ? REST_MS : 0);
  }

  stop() {
    clearTimeout(this.#rest);
    this.#turn++;
  }
}
