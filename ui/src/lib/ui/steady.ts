/**
 * Keeps what is under the pointer where it is while content above it arrives or grows: the page is scrolled by as much as that took,
 * before anything is painted, so that a press reaches what it was meant for.
 *
 * @param node whose children arrive late
 */
export function steady(node: HTMLElement) {
  /** The child that the pointer is on, and where its upper edge was then, in the window. */
  let anchor: Element | null = null;
  let top = 0;

  const note = () => {
    if (anchor) top = anchor.getBoundingClientRect().top;
  };
  const point = (event: Event) => {
    let child = event.target as Element | null;
    while (child && child.parentElement !== node) child = child.parentElement;
    anchor = child;
    note();
  };
  const scroller = () => document.scrollingElement ?? document.documentElement;
  const sizes = new ResizeObserver(() => {
    if (!anchor?.isConnected) return;
    const moved = anchor.getBoundingClientRect().top - top;
    if (Math.abs(moved) >= 1) scroller().scrollTop += moved;
    note();
  });
  const watch = () => {
    for (const child of node.children) sizes.observe(child);
  };
  const children = new MutationObserver(watch);

  watch();
  children.observe(node, { childList: true });
  for (const kind of ['pointermove', 'pointerdown']) node.addEventListener(kind, point, { capture: true, passive: true });
  window.addEventListener('scroll', note, { passive: true });
  return {
    destroy() {
      sizes.disconnect();
      children.disconnect();
      for (const kind of ['pointermove', 'pointerdown']) node.removeEventListener(kind, point, { capture: true });
      window.removeEventListener('scroll', note);
    }
  };
}
