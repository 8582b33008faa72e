import { afterPaint } from './frames';

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
