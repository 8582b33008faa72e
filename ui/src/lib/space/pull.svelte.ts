import type { Bench } from '$lib/theme/bench.svelte';
import { Nudge } from '$lib/ui/nudge.svelte';
import { lengthEdit, type Length } from './length';

/** How much farther arrow keys go with Shift. */
const FAR = 8;

/** A length that is pulled at a handle: tried while the pointer moves, to half a px, and stored when it is let go. */
export class LengthPull {
  /** The path of the one that is held; empty while none is. */
  path = $state('');
  #keys = new Nudge<number>();
  #from = 0;
  #px = 0;
  #at = { x: 0, y: 0 };
  #bench: Bench;
  #most: number;

  /** @param most px */
  constructor(bench: Bench, most: number) {
    this.#bench = bench;
    this.#most = most;
  }

  #edit(view: Length, px: number) {
    return lengthEdit(this.#bench, view, `${Math.round(Math.min(this.#most, Math.max(0, px)) * 2) / 2}px`);
  }

  take(event: PointerEvent & { currentTarget: Element }, view: Length) {
    event.currentTarget.setPointerCapture(event.pointerId);
    this.path = view.path;
    this.#from = this.#px = view.widePx;
    this.#at = { x: event.clientX, y: event.clientY };
  }

  /** @param by how much of the length a way of the pointer is, px */
  move(event: PointerEvent, view: Length, by: (dx: number, dy: number) => number) {
    if (this.path !== view.path || event.buttons === 0) return;
    this.#px = this.#from + by(event.clientX - this.#at.x, event.clientY - this.#at.y);
    void this.#bench.probe(this.#edit(view, this.#px));
  }

  async letGo(view: Length) {
    const held = this.path === view.path;
    this.path = '';
    if (held && this.#px !== this.#from) await this.#bench.commit(this.#edit(view, this.#px));
  }

  cancel() {
    this.path = '';
    this.#bench.revert();
  }

  /** @param ways by the names of keys: 1 for more, -1 for less */
  key(event: KeyboardEvent, view: Length, ways: Record<string, number>) {
    const by = (ways[event.key] ?? 0) * (event.shiftKey ? FAR : 1);
    if (!by) return;
    event.preventDefault();
    this.#keys.press(
      view.widePx,
      (now) => Math.min(this.#most, Math.max(0, now + by)),
      (to) => this.#bench.commit(this.#edit(view, to)),
      (to) => this.#bench.probe(this.#edit(view, to)),
      view.path
    );
  }
}
