/** Marks a part of a screen that one key leads to; in it, what is marked as its start has the focus first. */
const AREA = '[data-area]';
const START = '[data-area-start], [role="tab"][aria-selected="true"]';
const FOCUSABLE = 'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), [tabindex="0"]';

/** F6 leads from each area of the screen to the next, with Shift to the one before. */
export function toNextArea(event: KeyboardEvent) {
  if (event.key !== 'F6' || event.ctrlKey || event.altKey || event.metaKey) return;
  const areas = [...document.querySelectorAll<HTMLElement>(AREA)];
  if (!areas.length) return;
  event.preventDefault();
  const at = areas.findIndex((area) => area.contains(document.activeElement));
  const to = event.shiftKey ? (at <= 0 ? areas.length : at) - 1 : (at + 1) % areas.length;
  const area = areas[to]!;
  (area.querySelector<HTMLElement>(START) ?? area.querySelector<HTMLElement>(FOCUSABLE))?.focus();
}
