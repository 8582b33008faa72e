import { Queue } from '$lib/ui/queue';
import { refused } from '$lib/ui/refused';
import { api, ask, store, said, type Schemas } from '$lib/api/client';

export type Laid = Schemas['PageLaid'];
export type Block = Schemas['BlockView'];
export type Change = Schemas['Change'];

/** What was picked on a page: where it stands, and what of it can be changed. */
export type Picked = {
  at: number;
  tag: string;
  /** Its words, where it holds nothing else. */
  words: string | null;
  picture: { source: string; alternative: string } | null;
};

/** One page while it is laid out: what it consists of, what is picked, and what is done to it. */
export class Laying {
  page = $state.raw<Laid | null>(null);
  problem = $state('');
  /** The block whose handles are out, by where it stands; 0 for none. */
  block = $state(0);
  /** An element that was picked on the page. */
  picked = $state.raw<Picked | null>(null);

  #site = '';
  #slug = '';

  async open(site: string, slug: string) {
    this.#site = site;
    this.#slug = slug;
    this.block = 0;
    this.picked = null;
    await this.read();
  }

  async read() {
    try {
      this.page = await ask(() => api.GET('/api/sites/{site}/pages/{page}', { params: { path: { site: this.#site, page: this.#slug } } }));
      this.problem = '';
    } catch (e) {
      this.page = null;
      this.problem = said(e);
    }
  }

  #queue = new Queue();

  /** Does something, after all that was asked for before, and shows the page as it is then; resolves to why it was refused, empty when it was done. */
  does(work: () => Promise<unknown>): Promise<string> {
    return this.#queue.add(async () => {
      let reason = '';
      try {
        await work();
      } catch (e) {
        reason = refused(e);
      }
      await this.read();
      return reason;
    });
  }

  /** A change of the block that is picked reaches it wherever it stands by then. */
  change(change: Change) {
    const picked = change.at !== 0 && change.at === this.block;
    return this.does(() => this.#send(picked && this.block ? { ...change, at: this.block } : change));
  }

  #send(change: Change) {
    return store(() =>
      api.POST('/api/sites/{site}/pages/{page}/change', {
        params: { path: { site: this.#site, page: this.#slug } },
        body: { base: this.page!.revision, change }
      })
    );
  }

  /** Moves a block among the others; it stays picked. */
  async shift(block: Block, by: number) {
    const picked = block.at === this.block;
    let to = -1;
    const refused = await this.does(async () => {
      const at = picked && this.block ? this.block : block.at;
      to = this.blocks.findIndex((one) => one.at === at) + by;
      if (to < 0 || to >= this.blocks.length || by === 0) return;
      await this.#send({ op: 'shift', at, by });
      await this.read();
      this.block = this.blocks[to]?.at ?? 0;
    });
    return refused;
  }

  async drop(block: Block) {
    const refused = await this.change({ op: 'drop', at: block.at });
    if (!refused) this.block = 0;
  }

  /** Adds a part after what is picked, or at the end. */
  async insert(part: string) {
    const after = this.blocks.findIndex((one) => one.at === this.block);
    const refused = await this.change({ op: 'insert', at: after < 0 ? 0 : this.block, part });
    if (!refused) this.block = this.blocks.at(after < 0 ? -1 : after + 1)?.at ?? 0;
  }

  /** The blocks of the main part. */
  get blocks() {
    return this.page?.blocks.filter((one) => !one.region) ?? [];
  }

  step(way: 'undo' | 'redo') {
    this.picked = null;
    return this.does(() => store(() => api.POST(`/api/sites/{site}/${way}`, { params: { path: { site: this.#site } } })));
  }

  begin(at: number, title: string, everywhere: boolean, kinds: string[]) {
    return this.does(() =>
      store(() =>
        api.POST('/api/sites/{site}/pieces', {
          params: { path: { site: this.#site } },
          body: { base: this.page!.revision, page: this.#slug, at, title, everywhere, kinds }
        })
      )
    );
  }

  takeOff(piece: string) {
    return this.does(() =>
      store(() =>
        api.DELETE('/api/sites/{site}/pieces/{piece}/pages/{page}', { params: { path: { site: this.#site, piece, page: this.#slug } } })
      )
    );
  }
}
