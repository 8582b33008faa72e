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
 * A value that follows another one frame later, so that a large part of the screen is drawn in two short steps, between
 * which a pointer is heard; at once while nothing moves.
 */
export function trailing<T>(source: () => T, moving: () => boolean): { readonly now: T } {
  let now = $state.raw(source());
  $effect.pre(() => {
    const next = source();
    if (moving()) return afterPaint(() => (now = next));
    now = next;
  });
  return {
    get now() {
      return now;
    }
  };
}
