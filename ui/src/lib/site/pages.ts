import type { Schemas } from '$lib/api/client';
import type { BayState } from './bays.svelte';
import type { LivePage } from './livePage';

type Live = Schemas['Instruments']['live'];

/** The pages that show a theme live: those in the bays, and pictures of parts. */
export class Pages {
  #all = new Map<LivePage, BayState | undefined>();
  #lines = false;

  /** @param bay the one that the page is in; none for a picture of a part */
  add(page: LivePage, bay: BayState | undefined) {
    this.#all.set(page, bay);
    if (bay && this.#lines) page.lines(true);
    return () => this.#all.delete(page);
  }

  store(live: Live) {
    for (const page of this.#all.keys()) page.store(live);
  }

  /** Own style sheets: the theme's on every page, a site's on its own. @param sites by their short names */
  own(theme: string, sites: Record<string, string>) {
    for (const [page, bay] of this.#all) {
      page.own('own.theme', theme);
      const css = bay && bay.revision === null ? sites[bay.site] : undefined;
      if (css !== undefined) page.own('own', css);
    }
  }

  /** On the pages that are looked at: those in the bays, and a picture that the pointer is on. */
  try(live: Live) {
    for (const page of this.#lookedAt()) page.try(live);
  }

  settle() {
    for (const page of this.#lookedAt()) page.settle();
  }

  /** On the other pictures, which follow the pages in the bays. @param fixed also on those of something that could be chosen */
  tryAside(live: Live, fixed: boolean) {
    const lookedAt = this.#lookedAt();
    for (const page of this.#all.keys()) if (!lookedAt.includes(page) && (fixed || page.fixed.length === 0)) page.try(live);
  }

  #lookedAt(): LivePage[] {
    return [...this.#all].filter(([page, bay]) => bay || pointedAt(page)).map(([page]) => page);
  }

  complete() {
    for (const page of this.#all.keys()) page.complete();
  }

  /** As the bays stand beside each other, whichever was loaded first. */
  inBays(): [LivePage, BayState][] {
    return [...this.#all]
      .filter((one): one is [LivePage, BayState] => one[1] !== undefined)
      .sort(([a], [b]) => {
        const [one, other] = [frame(a), frame(b)];
        return one && other && one.compareDocumentPosition(other) & Node.DOCUMENT_POSITION_PRECEDING ? 1 : -1;
      });
  }

  /** Draws the lines of running text over the pages in the bays, also over those that come. */
  lines(shown: boolean) {
    this.#lines = shown;
    for (const [page] of this.inBays()) page.lines(shown);
  }

  /** Outlines what selectors match on the pages in the bays, and counts it; none put the light out. */
  light(selectors: string[]): number {
    return this.inBays().reduce((sum, [page]) => sum + page.light(selectors), 0);
  }
}

const frame = (page: LivePage) => page.document.defaultView?.frameElement;

/** Whether the pointer is on a picture, or on a handle that is laid over it. */
const pointedAt = (page: LivePage) => frame(page)?.parentElement?.matches(':hover') ?? false;
