/** What of an element is compared: how it is painted and where it stands. */
const SEEN = [
  'color',
  'background-color',
  'background-image',
  'font-family',
  'font-size',
  'font-weight',
  'line-height',
  'letter-spacing',
  'text-transform',
  'text-decoration-line',
  'border-top-color',
  'border-top-width',
  'box-shadow',
  'padding-top',
  'padding-left',
  'margin-top'
];
/** px that a box may differ by rounding. */
const HAIR = 1;

const style = (element: Element) => element.ownerDocument.defaultView!.getComputedStyle(element);
/** Corners are seen only where something is painted up to them. */
const cornered = (of: CSSStyleDeclaration) =>
  of.backgroundColor !== 'rgba(0, 0, 0, 0)' || of.backgroundImage !== 'none' || of.borderTopWidth !== '0px' || of.boxShadow !== 'none';

const same = (a: Element, b: Element) => {
  const one = style(a);
  const other = style(b);
  if (cornered(other) && one.borderTopLeftRadius !== other.borderTopLeftRadius) return false;
  return SEEN.every((name) => one.getPropertyValue(name) === other.getPropertyValue(name));
};
const boxOf = (element: Element) => {
  const box = element.getBoundingClientRect();
  const view = element.ownerDocument.defaultView;
  return { x: box.x + (view?.scrollX ?? 0), y: box.y + (view?.scrollY ?? 0), width: box.width, height: box.height };
};

export type Region = { x: number; y: number; width: number; height: number };

/**
 * The regions of a page that look otherwise than on the page before it: the outermost elements whose own style or size differ.
 * Both documents have the same elements in the same order.
 */
export function changedRegions(before: Document, after: Document): Region[] {
  const old = [...before.body.querySelectorAll('*')];
  const fresh = [...after.body.querySelectorAll('*')];
  const regions: Region[] = [];
  const inside = new Set<Element>();
  fresh.forEach((element, i) => {
    const was = old[i];
    if (element.parentElement && inside.has(element.parentElement)) {
      inside.add(element);
      return;
    }
    if (!was || was.tagName !== element.tagName) return;
    const box = boxOf(element);
    const boxBefore = boxOf(was);
    const moved =
      Math.abs(box.width - boxBefore.width) > HAIR || (element.childElementCount === 0 && Math.abs(box.height - boxBefore.height) > HAIR);
    if (same(was, element) && !moved) return;
    // A wrapper that only grew with what it holds is told by that.
    if (same(was, element) && element.childElementCount > 0) return;
    if (box.width > 0 && box.height > 0) regions.push(box);
    if (element.childElementCount > 0 && element.getBoundingClientRect().height < 400) inside.add(element);
  });
  return regions;
}
