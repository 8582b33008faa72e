import { toast } from 'svelte-sonner';
import { Problem, type Schemas } from '$lib/api/client';
import type { Edit } from './bench.svelte';

/** An edit that was refused because somebody else changed the same value meanwhile. */
export type Clash = { edit: Edit; message: string; path: string; yours: string; theirs: string };

/** Whether an edit was refused because somebody else changed the same value meanwhile. */
export const isClash = (problem: Problem) => problem.status === 409 && Boolean(problem.extra.yours);

/** What storing needs of the bench. */
export type Shelf = {
  /** What is stored, as far as it is known; nothing before the theme is loaded. */
  stored: () => Schemas['Bench'] | null;
  read: () => Promise<Schemas['Bench']>;
  show: (bench: Schemas['Bench']) => void;
  /** What is tried no longer counts. */
  outdate: () => void;
};

/** Changes on their way to be stored, one after the other. None counts as saved before the server has answered. */
export class Commits {
  state = $state<'saved' | 'saving' | 'failed'>('saved');
  clash = $state.raw<Clash | null>(null);

  #shelf: Shelf;
  #last: Promise<void> = Promise.resolve();

  constructor(shelf: Shelf) {
    this.#shelf = shelf;
  }

  /** When everything that was asked for so far is stored or refused. */
  get done(): Promise<void> {
    return this.#last;
  }

  /** Tells why when it was refused; a clash has a dialog of its own. Resolves to whether it was accepted. */
  async told(change: Promise<Problem | null>): Promise<boolean> {
    const problem = await change;
    if (problem && !isClash(problem)) toast.error(problem.title, { description: problem.message });
    return problem === null;
  }

  /** Resolves to why it was refused; to nothing when it is done. */
  change(send: () => Promise<Schemas['Bench']>, edit?: Edit): Promise<Problem | null> {
    this.#shelf.outdate();
    this.state = 'saving';
    const result = this.#last.then(async () => {
      try {
        const bench = await send();
        this.#shelf.outdate();
        this.#shelf.show(bench);
        this.state = 'saved';
        return null;
      } catch (e) {
        const problem = e instanceof Problem ? e : new Problem(0, 'That did not work', String(e));
        await this.#refuse(problem, edit);
        return problem.isStored ? null : problem;
      }
    });
    this.#last = result.then(() => undefined);
    return result;
  }

  /** After a refusal the state is what it was; after a clash, or when the answer was lost, it is read again. */
  async #refuse(problem: Problem, edit: Edit | undefined) {
    const unsure = problem.mayBeStored;
    let now = this.#shelf.stored();
    if (problem.status === 409 || unsure) now = await this.#shelf.read().catch(() => (unsure ? null : this.#shelf.stored()));
    if (edit && isClash(problem))
      this.clash = {
        edit,
        message: problem.message,
        path: problem.extra.path ?? '',
        yours: problem.extra.yours ?? '',
        theirs: problem.extra.theirs ?? ''
      };
    const shown = now ?? this.#shelf.stored();
    if (shown) this.#shelf.show(shown);
    this.state = now ? 'saved' : 'failed';
  }
}
