import { describe, expect, it } from 'vitest';
import { around } from './around';

const WINDOW = { width: 1280, height: 760 };
const RATIO = 160 / 96;

describe('what is shown of a page around a spot', () => {
  it('has the spot in the middle, with room around it', () => {
    const shown = around({ x: 600, y: 300, width: 80, height: 40 }, WINDOW, RATIO);
    expect(shown.x + shown.width / 2).toBeCloseTo(640);
    expect(shown.y + shown.height / 2).toBeCloseTo(320);
    expect(shown.width).toBeGreaterThan(80 * 1.5);
    expect(shown.width / shown.height).toBeCloseTo(RATIO);
  });

  it('is never so small that only letters are seen, nor larger than the window', () => {
    expect(around({ x: 10, y: 10, width: 4, height: 4 }, WINDOW, RATIO).width).toBe(360);
    expect(around({ x: 0, y: 0, width: 1280, height: 700 }, WINDOW, RATIO).height).toBeLessThanOrEqual(760);
  });

  it('stays within the window', () => {
    const shown = around({ x: 1250, y: 740, width: 20, height: 10 }, WINDOW, RATIO);
    expect(shown.x + shown.width).toBeLessThanOrEqual(1280);
    expect(shown.y + shown.height).toBeLessThanOrEqual(760);
    expect(around({ x: 0, y: 0, width: 20, height: 10 }, WINDOW, RATIO)).toMatchObject({ x: 0, y: 0 });
  });
});
