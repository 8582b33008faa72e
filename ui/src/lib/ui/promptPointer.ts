/** A mouse may report a thousand times a second; more than this gains nothing. */
const LEAST_MS = 8;

/**
 * While something is dragged, browsers hand out a pointer's movement with the next frame. Here it is heard when it
 * happens, as a movement like any other, so that what it causes is at hand when that frame is drawn. Stops when the way
 * to stop is called.
 */
export function promptPointer(): () => void {
  let last = 0;

  function move(raw: Event) {
    const event = raw as PointerEvent;
    if (event.timeStamp - last < LEAST_MS) return;
    last = event.timeStamp;
    event.target?.dispatchEvent(new PointerEvent('pointermove', event));
  }

  const down = () => addEventListener('pointerrawupdate', move);
  const up = () => removeEventListener('pointerrawupdate', move);
  addEventListener('pointerdown', down, true);
  addEventListener('pointerup', up, true);
  addEventListener('pointercancel', up, true);
  return () => {
    up();
    removeEventListener('pointerdown', down, true);
    removeEventListener('pointerup', up, true);
    removeEventListener('pointercancel', up, true);
  };
}
