import { together } from './together';

/** A number that a pointer holds: tried while it moves, stored when it is let go. */
export class Held {
  /** What a control shows of it, drawn with what it causes; nothing while none is held. */
  shown = $state<number | null>(null);
  /** Where the pointer wants it, a moment before that is shown. */
  wanted: number | null = null;

  move(to: number, onprobe?: (value: number) => unknown) {
    this.wanted = to;
    together(onprobe?.(to), () => {
      if (this.wanted === to) this.shown = to;
    });
  }

  /** The number stays where it was let go until what is stored is known; let go where it was, it stores nothing new. */
  async letGo(oncommit: (value: number) => unknown) {
    const to = this.wanted;
    this.wanted = null;
    if (to === null) return;
    this.shown = to;
    await oncommit(to);
    if (this.wanted === null) this.shown = null;
  }
}
