export type Box = { x: number; y: number; width: number; height: number };

/** A line of text is still known as one. */
const LEAST = 360;
/** Of what is shown, the spot takes this share at the most. */
const SHARE = 0.6;

/** What is shown of a window around a spot in it. @param ratio of the picture's width to its height */
export function around(spot: Box, window: { width: number; height: number }, ratio: number): Box {
  const most = Math.min(window.width, window.height * ratio);
  const width = Math.min(most, Math.max(LEAST, spot.width / SHARE, (spot.height / SHARE) * ratio));
  const height = width / ratio;
  const within = (middle: number, size: number, of: number) => Math.max(0, Math.min(of - size, middle - size / 2));
  return {
    x: within(spot.x + spot.width / 2, width, window.width),
    y: within(spot.y + spot.height / 2, height, window.height),
    width,
    height
  };
}
