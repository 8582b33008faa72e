/** Nobody sees whether a mark follows the pointer in this frame or the next. */
const SOON_MS = 24;

/**
 * Shows a control's own change in the same frame as what it causes, when that comes at once: two changes drawn one after
 * the other take twice as long. What does not come soon is not waited for.
 *
 * @param caused settles when what the control causes is shown; anything else is not waited for
 */
export function together(caused: unknown, show: () => void) {
  if (!(caused instanceof Promise)) {
    show();
    return;
  }
  let shown = false;
  const once = () => {
    if (shown) return;
    shown = true;
    clearTimeout(late);
    show();
  };
  const late = setTimeout(once, SOON_MS);
  caused.then(once, once);
}
