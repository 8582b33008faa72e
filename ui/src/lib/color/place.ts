/** Shares of what is left beside a picture, from the left and from the top: 0 to 1. */
export type Shares = [x: number, y: number];
type Size = { width: number; height: number };

const WORDS: Record<string, number> = { left: 0, top: 0, center: 0.5, right: 1, bottom: 1 };

/** A background position as shares: two words, or two percentages. */
export function sharesOf(position: string): Shares {
  const [x = 0.5, y = 0.5] = position.split(' ').map((one) => WORDS[one] ?? (parseFloat(one) || 0) / 100);
  return [x, y];
}

export const positionOf = ([x, y]: Shares) => `${Math.round(x * 100)}% ${Math.round(y * 100)}%`;

/** How large a picture is drawn in a box. Source: CSS Backgrounds 3, section 2.9. @param size as CSS background-size */
export function drawnSize(size: string, picture: Size, box: Size): Size {
  const [wide, high] = [box.width / picture.width, box.height / picture.height];
  const scale =
    size === 'cover'
      ? Math.max(wide, high)
      : size === 'contain'
        ? Math.min(wide, high)
        : size.endsWith('px')
          ? parseFloat(size) / picture.width
          : 1;
  return { width: picture.width * scale, height: picture.height * scale };
}

/**
 * Where a picture lies after it was moved. A share says which point of the picture lies on the same point of the box (CSS
 * Backgrounds 3, section 2.6), so a picture that fits exactly cannot be moved.
 *
 * @param by px to the right and down
 */
export function moved(from: Shares, by: Shares, drawn: Size, box: Size): Shares {
  const along = (share: number, px: number, room: number) =>
    Math.abs(room) < 1 ? share : Math.min(1, Math.max(0, Math.round((share + px / room) * 100) / 100));
  return [along(from[0], by[0], box.width - drawn.width), along(from[1], by[1], box.height - drawn.height)];
}
