/**
 * A value that follows another's changes so seldom, so that what moves with a pointer is mostly drawn without what merely
 * tells of it; at once while nothing moves.
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
    if (!moving() || performance.now() - taken >= everyMs) {
      take(next);
      return;
    }
    const timer = setTimeout(() => take(next), everyMs);
    return () => clearTimeout(timer);
  });
  return {
    get now() {
      return now;
    }
  };
}
