import { surfaceOf } from '$lib/contract/choosing';
import { BelowTheFold } from './belowTheFold';

/** Values of custom properties by the surface they stand on, empty for the page itself, and by their names. */
type Blocks = Record<string, Record<string, string>>;

/** Begins the name of a block that is a spot's, or a surface's within one. */
const SPOT = '@';
/** Begins the attribute that says what is chosen. */
const CHOICE = 'data-choice-';

/**
 * The page in a bay, seen from outside: its document runs no script of its own. Values are laid over the compiled
 * stylesheet outside every cascade layer, so they win until the page is loaded again.
 */
export class LivePage {
  #rules = new Map<string, CSSStyleRule>();
  /** Rules that say again what a spot takes, by its block. */
  #anew = new Map<string, CSSStyleRule>();
  #stored: Blocks = {};
  #tried: Blocks = {};
  /** What the document has been given, so that nothing is set twice. */
  #shown: Blocks = {};
  #below: BelowTheFold;
  #overlay: CSSStyleSheet;
  /** What spots say comes after what surfaces say. */
  #spots: CSSStyleSheet;
  #light: CSSStyleSheet;
  #lines: CSSStyleSheet;
  /** While values are tried, nothing eases from one to the next: the page shows each at once. */
  #still: CSSStyleSheet;
  #lit = '';
  /** Own style sheets that were given here, by their layers; others are as the page was loaded with them. */
  #own: Record<string, string> = {};
  /** Whether the screen shows more than sRGB. A value with two lines has its form for such a screen in the second. */
  #wide: boolean;
  /** Hears of everything that the document was given, before it is laid out. */
  onshown = () => {};

  /**
   * @param key of the combination that the page shows, as it is now
   * @param fixed attributes of the root that stay as they are, whatever is chosen
   */
  constructor(
    readonly document: Document,
    readonly key: () => string,
    readonly fixed: string[] = []
  ) {
    const own = document.defaultView as (Window & typeof globalThis) | null;
    const Sheet = own?.CSSStyleSheet ?? CSSStyleSheet;
    this.#wide = own?.matchMedia('(color-gamut: p3)').matches ?? false;
    this.#overlay = new Sheet();
    this.#spots = new Sheet();
    this.#light = new Sheet();
    this.#lines = new Sheet();
    this.#still = new Sheet();
    this.#still.replaceSync('*, ::before, ::after { transition: none !important; }');
    this.#still.disabled = true;
    this.#below = new BelowTheFold(document);
    document.adoptedStyleSheets = [this.#overlay, this.#spots, this.#light, this.#lines, this.#still];
  }

  /** Shows what is stored, in this page's combination; a trial ends. */
  store(live: Record<string, Blocks>) {
    this.#tried = {};
    const blocks = live[this.key()];
    if (blocks) {
      // A spot says only what differs there, so what it says no more has to go.
      for (const [block, properties] of Object.entries(this.#shown))
        if (block.startsWith(SPOT))
          for (const name of Object.keys(properties)) if (blocks[block]?.[name] === undefined) this.#set(block, name, undefined);
      this.#stored = blocks;
      this.#put(blocks);
    }
    this.#still.disabled = true;
    this.#below.wake();
    this.onshown();
  }

  /** Lays values that are tried over what is stored; those of the trial before that are not among them go back. */
  try(changes: Record<string, Blocks>) {
    // What rests is measured first: a rule that comes before would have the whole page styled and laid out once more for it.
    this.#below.rest();
    this.#still.disabled = false;
    const blocks = changes[this.key()] ?? {};
    for (const [block, properties] of Object.entries(this.#tried))
      for (const name of Object.keys(properties))
        if (blocks[block]?.[name] === undefined) this.#set(block, name, this.#stored[block]?.[name]);
    this.#tried = blocks;
    this.#put(blocks);
    this.onshown();
  }

  /** Works what is tried into the page's styles and layout at once, in the time that the next frame is waited for. */
  settle() {
    void this.document.body?.offsetHeight;
    this.#below.wakeWhatIsSeen();
  }

  /** The whole page shows what is tried, also where it is not seen. */
  complete() {
    this.#below.wake();
  }

  #put(blocks: Blocks) {
    for (const [block, properties] of Object.entries(blocks))
      for (const [name, value] of Object.entries(properties)) this.#set(block, name, value);
  }

  /** @param value what it is to be; none leaves it to the compiled stylesheet */
  #set(block: string, name: string, value: string | undefined) {
    const shown = (this.#shown[block] ??= {});
    if (shown[name] === value || this.fixed.includes(name)) return;
    if (name.startsWith('data-')) return this.#choose(block, name, value);
    const style = name.startsWith('--') ? this.#style(block) : this.#taking(block);
    if (value === undefined) {
      delete shown[name];
      style?.removeProperty(name);
      return;
    }
    shown[name] = value;
    style?.setProperty(name, value.split('\n').at(this.#wide ? -1 : 0) ?? value);
  }

  /** What is chosen is said by an attribute of the root, and of all that lies in a spot where that chooses something else. */
  #choose(block: string, name: string, value: string | undefined) {
    const shown = (this.#shown[block] ??= {});
    if (value === undefined) delete shown[name];
    else shown[name] = value;
    if (block === '') {
      if (value !== undefined) this.document.documentElement.setAttribute(name, value);
      this.#stand(name, value ?? '');
      return;
    }
    const body = this.document.body;
    for (const one of body.querySelectorAll(`[${name}]`)) one.removeAttribute(name);
    // Those in narrower spots come later.
    const spots = Object.keys(this.#shown)
      .filter((one) => one.startsWith(SPOT) && this.#shown[one]?.[name] !== undefined)
      .map((one) => ({ value: this.#shown[one]?.[name] ?? '', at: body.querySelector(this.#spot(one.slice(SPOT.length))) }));
    spots.sort((a, b) => (a.at && b.at && a.at.compareDocumentPosition(b.at) & Node.DOCUMENT_POSITION_PRECEDING ? 1 : -1));
    for (const { at, value } of spots) for (const one of at ? [at, ...at.querySelectorAll('*')] : []) one.setAttribute(name, value);
  }

  /** What is put on surfaces by a choice names the chosen one, or again what it names of its own. */
  #stand(name: string, value: string) {
    for (const one of this.document.querySelectorAll(`[data-stands="${CSS.escape(name.slice(CHOICE.length))}"]`)) {
      const surface = surfaceOf(value) || one.getAttribute('data-stands-own');
      if (surface) one.setAttribute('data-surface', surface);
      else one.removeAttribute('data-surface');
    }
  }

  /** The root's own style, and for a surface a rule in a small sheet: neither makes the compiled sheet be read anew. */
  #style(block: string): CSSStyleDeclaration | undefined {
    if (block === '') return this.document.documentElement.style;
    const known = this.#rules.get(block);
    if (known) return known.style;
    const sheet = block.startsWith(SPOT) ? this.#spots : this.#overlay;
    const selector = block.startsWith(SPOT) ? this.#spot(block.slice(SPOT.length)) : `[data-surface="${CSS.escape(block)}"]`;
    const at = sheet.insertRule(`${selector} {}`, sheet.cssRules.length);
    const rule = sheet.cssRules[at] as CSSStyleRule;
    this.#rules.set(block, rule);
    return rule.style;
  }

  /** What a spot takes anew is a rule of the theme like others, which own style sheets come after. */
  #taking(block: string): CSSStyleDeclaration | undefined {
    const known = this.#anew.get(block);
    if (known) return known.style;
    const at = this.#spots.insertRule(`@layer site { ${this.#spot(block.slice(SPOT.length))} {} }`, this.#spots.cssRules.length);
    const rule = (this.#spots.cssRules[at] as CSSLayerBlockRule).cssRules[0] as CSSStyleRule;
    this.#anew.set(block, rule);
    return rule.style;
  }

  /** A spot itself, or a surface within it. One that has no name yet in the page's markup is given it. */
  #spot(block: string): string {
    const [name = '', surface] = block.split(' ');
    const escaped = CSS.escape(name);
    const piece = `[data-at-whole="${escaped}"]`;
    const whole = this.document.querySelector(piece) !== null;
    if (!whole && !this.document.querySelector(`[data-spot="${escaped}"]`))
      this.document.querySelector(`[data-at-name="${escaped}"]`)?.setAttribute('data-spot', name);
    // A placement with a name of its own says itself what the piece says.
    const spot = whole ? `${piece}:not([data-spot])` : `[data-spot="${escaped}"][data-spot]`;
    return surface === undefined ? spot : `:where(${spot}) [data-surface="${CSS.escape(surface)}"]`;
  }

  /** An own style sheet in place of the one that the page was loaded with. @param css the block of that cascade layer; empty for none */
  own(layer: string, css: string) {
    if (this.#own[layer] === css) return;
    const Block = (this.document.defaultView as (Window & typeof globalThis) | null)?.CSSLayerBlockRule;
    const sheet = [...this.document.styleSheets].find((one) => one.href?.includes('theme.css'));
    if (!Block || !sheet) return;
    this.#own[layer] = css;
    for (let at = sheet.cssRules.length - 1; at >= 0; at--) {
      const rule = sheet.cssRules[at];
      if (rule instanceof Block && rule.name === layer) sheet.deleteRule(at);
    }
    if (css) sheet.insertRule(css, sheet.cssRules.length);
  }

  /** Draws the lines of running text over the whole page, from its top on. */
  lines(shown: boolean) {
    this.#lines.replaceSync(
      shown
        ? `html { position: relative; }
           html::after { content: ''; position: absolute; inset: 0; z-index: 2147483647; pointer-events: none; mix-blend-mode: difference;
             --step: calc(var(--type-body-size) * var(--type-body-line));
             background: repeating-linear-gradient(to bottom, transparent 0 calc(var(--step) - 3px), rgb(90 90 90) calc(var(--step) - 3px) var(--step)); }`
        : ''
    );
  }

  /** Outlines what some selectors match, and says how many elements that are; nothing puts the light out. */
  light(selectors: string[]): number {
    const selector = selectors.join(', ');
    if (selector !== this.#lit)
      this.#light.replaceSync(selector ? `:is(${selector}) { outline: 2px dashed currentColor; outline-offset: 3px; }` : '');
    this.#lit = selector;
    return selector ? this.document.body.querySelectorAll(selector).length : 0;
  }
}

const OTHER = '[data-surface]:not([data-surface="page"])';

/** The elements of some selectors on one surface; on all surfaces when it is empty. */
export function onSurface(selectors: string[], surface: string): string[] {
  if (selectors.length === 0) return [];
  const elements = `:is(${selectors.join(', ')})`;
  if (surface === '') return [elements];
  // Only what lies in the page itself can be put on it, so nothing lies in between.
  if (surface === 'page') return [`${elements}:not(${OTHER}, ${OTHER} *)`];
  const name = CSS.escape(surface);
  return [`[data-surface="${name}"] ${elements}`, `[data-surface="${name}"]${elements}`];
}
