import { LivePage } from '$lib/site/livePage';
import type { BayState } from '$lib/site/bays.svelte';
import type { Bench } from '$lib/theme/bench.svelte';

export type Box = { x: number; y: number; width: number; height: number };

/** How much of what lies between the regions is left in a drawing of the frame, px. */
const LEFT_OF_THE_PAGE = 420;

/** The page of a bay, to be drawn small. @param choice a value to show whatever is chosen, such as `menu-place:below` */
export function addressOf(bench: Bench, bay: BayState, choice = '') {
  const look = encodeURIComponent(bench.looks.key(bay.contexts) || 'default');
  return `/preview/${bench.id}/draft/${look}/${bay.site}/${bay.page}.html${choice ? `?choice=${encodeURIComponent(choice)}` : ''}`;
}

/** Lets a small page follow every edit, with most of its contents folded away. @returns the page, and the way to let it go */
export function follow(document: Document, bench: Bench, bay: BayState, choice = '') {
  const page = new LivePage(document, () => bench.looks.bayKey(bay), choice ? [`data-choice-${choice.split(':')[0]}`] : []);
  const view = document.defaultView as (Window & typeof globalThis) | null;
  const sheet = new (view?.CSSStyleSheet ?? CSSStyleSheet)();
  sheet.replaceSync(`body { min-height: 0 !important; } main { max-block-size: ${LEFT_OF_THE_PAGE}px; overflow: clip; }`);
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
  return { page, letGo: bench.attach(page) };
}

/** The room that everything takes that a selector finds, and nothing where it finds nothing that is seen. */
export function boxOf(document: Document, selector: string): Box | null {
  const boxes = [...document.querySelectorAll(selector)].map((one) => one.getBoundingClientRect()).filter((one) => one.width && one.height);
  if (!boxes.length) return null;
  const x = Math.min(...boxes.map((one) => one.left));
  const y = Math.min(...boxes.map((one) => one.top));
  return { x, y, width: Math.max(...boxes.map((one) => one.right)) - x, height: Math.max(...boxes.map((one) => one.bottom)) - y };
}

/** The spot that is nearest to a point within a box. @param spots shares of the box, by value */
export function nearest(spots: Map<string, number[]>, box: Box, x: number, y: number): string {
  let best = '';
  let least = Infinity;
  for (const [value, [right = 0, down = 0]] of spots) {
    const away = Math.hypot(box.x + right * box.width - x, box.y + down * box.height - y);
    if (away < least) [best, least] = [value, away];
  }
  return best;
}

const TOWARD: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** The spot that an arrow key leads to from another; the same where there is none that way. */
export function toward(spots: Map<string, number[]>, from: string, key: string): string {
  const [dx, dy] = TOWARD[key] ?? [0, 0];
  const [x = 0, y = 0] = spots.get(from) ?? [];
  let best = from;
  let least = Infinity;
  for (const [value, [right = 0, down = 0]] of spots) {
    const ahead = (right - x) * dx + (down - y) * dy;
    const away = Math.hypot(right - x, down - y);
    if (value !== from && ahead > 0.01 && away < least) [best, least] = [value, away];
  }
  return best;
}
