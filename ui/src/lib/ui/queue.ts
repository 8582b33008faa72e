/** Does things one after the other, in the order in which they were asked for; one that fails keeps no other from being done. */
export class Queue {
  #last: Promise<unknown> = Promise.resolve();

  /** When everything that was asked for so far is done. */
  get done(): Promise<void> {
    return this.#last.then(() => undefined);
  }

  add<T>(work: () => Promise<T>): Promise<T> {
    const next = this.#last.then(work);
    this.#last = next.catch(() => undefined);
    return next;
  }
}
