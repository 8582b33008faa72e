/** Width in px of what stands beside a page: the handle that changes its width, and a hairline. */
export const EDGE = 25;

/** A context for each modifier that leaves its default or is named on purpose. */
export type Contexts = Record<string, string>;

/** The key under which the server knows a combination, modifiers in the given order. */
export function comboKey(contexts: Contexts, modifiers: string[]): string {
  const written = (name: string) =>
    name.replaceAll('%', '%25').replaceAll(',', '%2C').replaceAll('=', '%3D').replaceAll('|', '%7C');
  return modifiers
    .filter((name) => contexts[name] !== undefined)
    .map((name) => `${written(name)}=${written(contexts[name] ?? '')}`)
    .join(',');
}

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
