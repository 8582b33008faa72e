/** Contrast is the difference of two depths: what the server measured, read as people read it. */
const WHOLE = 120;

/** How far apart two depths must be for a ratio of 3, 4.5 and 7. */
export const SPANS = { shape: 43.3, text: 59.3, strict: 76.7 };

/** The ratio of two colors by their depths, rounded down to one decimal. */
export const ratioOf = (one: number, other: number) => Math.floor(21 ** (Math.abs(one - other) / WHOLE) * 10 + 1e-6) / 10;

/** What a color may be on another, in words. */
export function carries(one: number, other: number): string {
  const apart = Math.abs(one - other);
  return apart >= SPANS.strict ? 'any text, at the strictest level' : apart >= SPANS.text ? 'any text' : apart >= SPANS.shape ? 'large text and shapes' : 'nothing that must be seen';
}

/** The same as letters: all of it for text, one for large text, a dot for nothing. */
export function specimen(one: number, other: number): string {
  const apart = Math.abs(one - other);
  return apart >= SPANS.text ? 'Aa' : apart >= SPANS.shape ? 'A' : '·';
}

/** Black or white, whichever can be read on a depth. */
export const inkOn = (depth: number) => (depth > 57 ? '#ffffff' : '#000000');
