/** Boxes that can stand for their contents with a size alone; a table's cannot, nor those of a line of text. */
const BOXES = ['block', 'flow-root', 'flex', 'grid', 'list-item'];

/**
 * Lets what lies below the visible part of a page rest while values are tried: the browser neither styles it nor lays it
 * out, and its boxes keep the sizes that they have. Nobody sees it, and on a long page it is most of the work.
 */
export class BelowTheFold {
  #document: Document;
  #resting: HTMLElement[] = [];
  #rests = false;

  constructor(document: Document) {
    this.#document = document;
    // What is scrolled or widened into sight has to be there.
    document.addEventListener('scroll', () => this.wake(), { passive: true, capture: true });
    document.defaultView?.addEventListener('resize', () => this.wake());
  }

  rest() {
    if (this.#rests || !this.#document.body) return;
    this.#rests = true;
    this.#resting = below(this.#document.body, this.#document.documentElement.clientHeight);
    // All sizes are read before the first is written: reading one after that would lay the page out anew.
    const sizes = this.#resting.map(contentSize);
    this.#resting.forEach((box, i) => {
      box.style.containIntrinsicSize = sizes[i]!;
      box.style.contentVisibility = 'hidden';
    });
  }

  /** Wakes what has come into sight because something above it has become smaller. Lays the page out. */
  wakeWhatIsSeen() {
    const fold = this.#document.documentElement.clientHeight;
    for (;;) {
      const seen = this.#resting.filter((box) => box.getBoundingClientRect().top < fold);
      if (seen.length === 0) return;
      seen.forEach(wake);
      this.#resting = this.#resting.filter((box) => !seen.includes(box));
    }
  }

  wake() {
    this.#rests = false;
    this.#resting.forEach(wake);
    this.#resting = [];
  }
}

/** The outermost boxes that begin below the fold. */
function below(parent: Element, fold: number): HTMLElement[] {
  return [...parent.children].flatMap((child) => {
    const box = child.getBoundingClientRect();
    if (box.bottom <= fold) return [];
    if (box.top < fold) return below(child, fold);
    return BOXES.includes(getComputedStyle(child).display) ? [child as HTMLElement] : [];
  });
}

function contentSize(box: HTMLElement): string {
  const style = getComputedStyle(box);
  const { width, height } = box.getBoundingClientRect();
  const edges = (sides: string[]) =>
    sides.reduce(
      (sum, side) =>
        sum + parseFloat(style.getPropertyValue(`padding-${side}`)) + parseFloat(style.getPropertyValue(`border-${side}-width`)),
      0
    );
  return `${width - edges(['left', 'right'])}px ${height - edges(['top', 'bottom'])}px`;
}

function wake(box: HTMLElement) {
  box.style.removeProperty('content-visibility');
  box.style.removeProperty('contain-intrinsic-size');
  if (box.getAttribute('style') === '') box.removeAttribute('style');
}
