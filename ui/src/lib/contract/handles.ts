import type { Governing } from './governing';

/** A length of a part, where it is seen on it: px in the window of its picture. */
export interface Handle {
  path: string;
  x: number;
  y: number;
  /** Along which it is pulled: to the right, or down, it grows. */
  axis: 'x' | 'y';
}

const near = (value: string) => parseFloat(value) || 0;

/** Where a property of an element is taken hold of; nothing for one that is not seen as an edge. */
function place(element: HTMLElement, property: string): Omit<Handle, 'path'> | null {
  const box = element.getBoundingClientRect();
  const style = element.ownerDocument.defaultView!.getComputedStyle(element);
  if (!box.width || !box.height) return null;
  const [midX, midY] = [box.left + box.width / 2, box.top + box.height / 2];
  if (property.startsWith('padding') && !/block(-end)?$|bottom|top/.test(property))
    return { x: box.left + near(style.paddingLeft), y: midY, axis: 'x' };
  if (property.startsWith('padding')) return { x: midX, y: box.top + near(style.paddingTop), axis: 'y' };
  if (property.startsWith('border') && property.endsWith('radius'))
    return { x: box.left + near(style.borderTopLeftRadius), y: box.top, axis: 'x' };
  if (property.startsWith('border') || property.startsWith('outline')) return null;
  if (property.endsWith('gap')) return between([...element.children]);
  if (property.startsWith('margin') && /start|top/.test(property)) return { x: midX, y: box.top, axis: 'y' };
  if (property.startsWith('margin')) return { x: midX, y: box.bottom + near(style.marginBottom), axis: 'y' };
  if (/inline-size|width/.test(property)) return { x: box.right, y: midY, axis: 'x' };
  if (/block-size|height/.test(property)) return { x: midX, y: box.bottom, axis: 'y' };
  return null;
}

/** In the middle of what lies between the first two that stand beside or below one another. */
function between(children: Element[]): Omit<Handle, 'path'> | null {
  const [one, other] = children.map((child) => child.getBoundingClientRect()).filter((box) => box.width && box.height);
  if (!one || !other) return null;
  return other.left >= one.right
    ? { x: (one.right + other.left) / 2, y: one.top + one.height / 2, axis: 'x' }
    : { x: one.left + one.width / 2, y: (one.bottom + other.top) / 2, axis: 'y' };
}

/** One for each length that elements of a page take, where the first of them shows it. @param paths of the lengths that count */
export function handlesOn(page: Document, governing: Governing, paths: string[]): Handle[] {
  const found = new Map<string, Handle>();
  // What the part stands in is there to show it.
  for (const element of (page.querySelector('main') ?? page.body).querySelectorAll<HTMLElement>('*'))
    for (const { property, path } of governing.lengthsOf(element)) {
      // What lies around a part is of what it lies in, unless the part says it itself.
      const around = property.startsWith('margin') && !path.startsWith('part.');
      if (around || found.has(path) || !paths.includes(path)) continue;
      const at = place(element, property);
      if (at) found.set(path, { path, ...at });
    }
  return [...found.values()];
}
