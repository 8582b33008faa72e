/** When the next frame begins. */
export const nextFrame = () => new Promise<number>(requestAnimationFrame);

/** Runs a step when the frame that now waits to be painted has been; the way to call it off comes back. */
export function afterPaint(step: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const frame = requestAnimationFrame(() => (timer = setTimeout(step)));
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}

/**
 * A value that follows another a while later, so that what moves with a pointer is drawn without what merely tells of it;
 * at once while nothing moves.
 */
export function trailing<T>(source: () => T, moving: () => boolean, everyMs: number): { readonly now: T } {
  let now = $state.raw(source());
  let taken = 0;

  function take(next: T) {
    now = next;
    taken = performance.now();
  }

  $effect.pre(() => {
    const next = source();
    if (!moving()) {
      take(next);
      return;
    }
    let stop = () => {};
    const timer = setTimeout(() => (stop = afterPaint(() => take(next))), Math.max(0, taken + everyMs - performance.now()));
    return () => {
      clearTimeout(timer);
      stop();
    };
  });
  return {
    get now() {
      return now;
    }
  };
}
