type Blocks = Record<string, Record<string, string>>;

/**
 * The page in a bay, seen from outside: its document runs no script of its own. Values are laid over the compiled
 * stylesheet as rules outside every cascade layer, so they win until the stylesheet is read again.
 */
export class LivePage {
  #rules = new Map<string, CSSStyleRule>();
  #set = new Map<string, string>();
  #sheet: CSSStyleSheet | null = null;
  #light: CSSStyleRule | null = null;

  constructor(
    readonly document: Document,
    readonly scheme: string
  ) {
    this.#sheet = [...document.styleSheets].find((sheet) => sheet.href !== null) ?? null;
  }

  setAll(live: Record<string, Blocks>) {
    const blocks = live[this.scheme] ?? Object.values(live)[0] ?? {};
    for (const [block, properties] of Object.entries(blocks))
      for (const [name, value] of Object.entries(properties)) this.#put(block, name, value);
  }

  #put(block: string, name: string, value: string) {
    const key = `${block} ${name}`;
    if (this.#set.get(key) === value) return;
    this.#set.set(key, value);
    this.#rule(block)?.style.setProperty(name, value);
  }

  #rule(block: string): CSSStyleRule | undefined {
    const known = this.#rules.get(block);
    if (known || !this.#sheet) return known;
    const selector = block === '' ? ':root' : `[data-surface="${CSS.escape(block)}"]`;
    const at = this.#sheet.insertRule(`${selector} {}`, this.#sheet.cssRules.length);
    const rule = this.#sheet.cssRules[at] as CSSStyleRule;
    this.#rules.set(block, rule);
    return rule;
  }

  /** Outlines the elements of some selectors on one surface; on all surfaces when it is empty. */
  light(selectors: string[], surface: string) {
    if (!this.#sheet) return;
    if (this.#light) {
      this.#sheet.deleteRule([...this.#sheet.cssRules].indexOf(this.#light));
      this.#light = null;
    }
    if (selectors.length === 0) return;
    const elements = `:is(${selectors.join(', ')})`;
    const scoped =
      surface === ''
        ? elements
        : surface === 'page'
          ? `${elements}:not([data-surface], [data-surface] *)`
          : `[data-surface="${CSS.escape(surface)}"] ${elements}, [data-surface="${CSS.escape(surface)}"]${elements}`;
    const at = this.#sheet.insertRule(
      `${scoped} { outline: 2px dashed currentColor; outline-offset: 3px; }`,
      this.#sheet.cssRules.length
    );
    this.#light = this.#sheet.cssRules[at] as CSSStyleRule;
  }
}
