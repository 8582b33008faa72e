/** Width in px of what stands beside a page: the handle that changes its width, and a hairline. */
export const EDGE = 25;

/** A context for each modifier that leaves its default or is named on purpose. */
export type Contexts = Record<string, string>;

/** What one bay shows. */
export class BayState {
  site = $state('');
  page = $state('');
  width = $state(1280);
  contexts = $state<Contexts>({});
  /** The draft, or the number of an earlier revision. */
  revision = $state<number | null>(null);
  /** How the page is seen: empty for all colors, or a kind of color vision. */
  seeing = $state('');
  /** What is tried in this bay alone. */
  note = $state('');

  constructor(site: string, page: string, width: number, contexts: Contexts) {
    this.site = site;
    this.page = page;
    this.width = width;
    this.contexts = contexts;
  }
}
