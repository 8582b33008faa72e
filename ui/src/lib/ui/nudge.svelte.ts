/** How long no key may follow until what the keys came to is stored. */
const REST_MS = 400;
const GOES_ON = /^(Arrow|Page|Home$|End$|Shift$|Alt$)/;

/**
 * A value that is moved by arrow keys. Every press, and every repeat of a held key, goes on from where the last one led, whatever is
 * still on its way to be stored; what they came to is stored once. A pointer, another key or leaving the window stores it at once.
 */
export class Nudge<T> {
  /** Where the keys have led so far; nothing while no key was pressed. */
  shown = $state.raw<T | null>(null);

  /** Which of several handles the keys move; empty where there is one alone. */
  #handle = $state('');
  #store: ((to: T) => unknown) | null = null;
  #rest: ReturnType<typeof setTimeout> | undefined;

  /** Where the keys have led one of several handles. */
  of(handle: string): T | null {
    return this.#handle === handle ? this.shown : null;
  }

  /** @param from what is stored @param next where one press leads from there */
  press(from: T, next: (now: T) => T, store: (to: T) => unknown, probe?: (to: T) => unknown, handle = '') {
    if (handle !== this.#handle) {
      void this.done();
      this.#handle = handle;
      this.shown = null;
    }
    const to = next(this.shown ?? from);
    this.shown = to;
    if (!this.#store) this.#listen(true);
    this.#store = store;
    void probe?.(to);
    clearTimeout(this.#rest);
    this.#rest = setTimeout(() => void this.done(), REST_MS);
  }

  /** Stores what the keys came to. It stays shown until what is stored is known. */
  async done() {
    const store = this.#store;
    const to = this.shown;
    if (!store || to === null) return;
    clearTimeout(this.#rest);
    this.#listen(false);
    this.#store = null;
    await store(to);
    // Another handle may be moved by now, or this one again.
    if (!this.#store && this.shown === to) this.shown = null;
  }

  #listen(on: boolean) {
    if (typeof window === 'undefined') return;
    const change = on ? window.addEventListener.bind(window) : window.removeEventListener.bind(window);
    change('pointerdown', this.#ended, true);
    change('blur', this.#ended);
    change('keydown', this.#key as EventListener, true);
  }

  #ended = () => void this.done();
  #key = (event: KeyboardEvent) => {
    if (!GOES_ON.test(event.key)) void this.done();
  };
}
