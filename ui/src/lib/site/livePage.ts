type Blocks = Record<string, Record<string, string>>;

/**
 * The page in a bay, seen from outside: its document runs no script of its own. Values are laid over the compiled
 * stylesheet outside every cascade layer, so they win until the page is loaded again.
 */
export class LivePage {
  #rules = new Map<string, CSSStyleRule>();
  #set = new Map<string, string>();
  #overlay: CSSStyleSheet;
  #light: CSSStyleSheet;

  constructor(
    readonly document: Document,
    readonly scheme: string
  ) {
    const own = document.defaultView as (Window & typeof globalThis) | null;
    const Sheet = own?.CSSStyleSheet ?? CSSStyleSheet;
    this.#overlay = new Sheet();
    this.#light = new Sheet();
    document.adoptedStyleSheets = [this.#overlay, this.#light];
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
    this.#style(block)?.setProperty(name, value);
  }

  /** The root's own style, and for a surface a rule in a small sheet: neither makes the compiled sheet be read anew. */
  #style(block: string): CSSStyleDeclaration | undefined {
    if (block === '') return this.document.documentElement.style;
    const known = this.#rules.get(block);
    if (known) return known.style;
    const at = this.#overlay.insertRule(`[data-surface="${CSS.escape(block)}"] {}`, this.#overlay.cssRules.length);
    const rule = this.#overlay.cssRules[at] as CSSStyleRule;
    this.#rules.set(block, rule);
    return rule.style;
  }

  /** Outlines the elements of some selectors on one surface; on all surfaces when it is empty. */
  light(selectors: string[], surface: string) {
    if (selectors.length === 0) {
      this.#light.replaceSync('');
      return;
    }
    const elements = `:is(${selectors.join(', ')})`;
    const scoped =
      surface === ''
        ? elements
        : surface === 'page'
          ? `${elements}:not([data-surface], [data-surface] *)`
          : `[data-surface="${CSS.escape(surface)}"] ${elements}, [data-surface="${CSS.escape(surface)}"]${elements}`;
    this.#light.replaceSync(`${scoped} { outline: 2px dashed currentColor; outline-offset: 3px; }`);
  }
}
