/** Splits a written value at a character outside all parentheses and braces; a blank splits at any white space. */
export function split(text: string, at: ',' | ' ' | '/'): string[] {
  const items: string[] = [];
  let depth = 0;
  let item = '';
  for (const c of text.trim()) {
    if (c === '(' || c === '{') depth++;
    if (c === ')' || c === '}') depth--;
    const splits = depth === 0 && (at === ' ' ? /\s/.test(c) : c === at);
    if (!splits) item += c;
    else if (at !== ' ' || item !== '') {
      items.push(item.trim());
      item = '';
    }
  }
  items.push(item.trim());
  return items;
}

/** Whether a value is computed from another token, such as darken({color.sea.60}, 10). */
export function isDerived(written: string): boolean {
  return /^[a-z-]+\(.*\{/.test(written);
}

/** What a field needs that edits a value of several parts, colors among them. */
export interface WrittenField {
  written: string;
  /** What it comes to, as CSS. */
  css: string;
  /** Colors of the theme. */
  offered: { path: string; hex: string }[];
  onprobe: (text: string) => void;
  onrevert: () => void;
  oncommit: (text: string) => Promise<string>;
}
