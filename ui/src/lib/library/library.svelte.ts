import { api, ask, store, type Schemas } from '$lib/api/client';

export type Card = Schemas['Card'];

/** The themes that the library shows: a page at a time, searched, and those put away by themselves. */
export class Library {
  cards = $state.raw<Card[] | null>(null);
  /** How many there are for this search, and how many were put away in all. */
  count = $state(0);
  putAwayCount = $state(0);
  search = $state('');
  putAway = $state(false);
  #turn = 0;

  /** From the beginning: what is shown now stays until the answer is there. */
  async read() {
    const turn = ++this.#turn;
    const page = await this.#page(0);
    if (turn !== this.#turn) return;
    this.cards = page.cards;
    this.#counted(page);
  }

  async more() {
    const turn = ++this.#turn;
    const page = await this.#page(this.cards?.length ?? 0);
    if (turn !== this.#turn) return;
    const known = new Set(this.cards?.map((card) => card.id));
    this.cards = [...(this.cards ?? []), ...page.cards.filter((card) => !known.has(card.id))];
    this.#counted(page);
  }

  #page(from: number) {
    const query = { putAway: this.putAway, search: this.search, from };
    return ask(() => api.GET('/api/themes', { params: { query } }));
  }

  #counted(page: Schemas['Page']) {
    this.count = page.count;
    this.putAwayCount = page.putAway;
    // Where the last one was brought back or deleted, there is nothing left to see.
    if (this.putAway && page.putAway === 0) {
      this.putAway = false;
      void this.read();
    }
  }

  async copy(id: number): Promise<number> {
    const copied = await store(() => api.POST('/api/themes/{id}/copy', { params: { path: { id } }, body: {} }));
    await this.read();
    return copied.id;
  }

  async setPutAway(id: number, away: boolean) {
    await store(() => api.PUT('/api/themes/{id}/put-away', { params: { path: { id } }, body: { away } }));
    await this.read();
  }

  losses(id: number) {
    return ask(() => api.GET('/api/themes/{id}/losses', { params: { path: { id } } }));
  }

  async remove(id: number) {
    await store(() => api.DELETE('/api/themes/{id}', { params: { path: { id } } }));
    await this.read();
  }
}
