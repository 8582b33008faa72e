import { describe, expect, it } from 'vitest';
import { drawnSize, moved, positionOf, sharesOf } from './place';

const BOX = { width: 400, height: 100 };

describe('where a picture lies on a surface', () => {
  it('reads words and percentages, and writes percentages', () => {
    expect(sharesOf('right top')).toEqual([1, 0]);
    expect(sharesOf('center bottom')).toEqual([0.5, 1]);
    expect(sharesOf('37% 20%')).toEqual([0.37, 0.2]);
    expect(positionOf([0.37, 1])).toBe('37% 100%');
  });

  it('draws a picture as large as its size says', () => {
    const picture = { width: 200, height: 100 };
    expect(drawnSize('cover', picture, BOX)).toEqual({ width: 400, height: 200 });
    expect(drawnSize('contain', picture, BOX)).toEqual({ width: 200, height: 100 });
    expect(drawnSize('120px', picture, BOX)).toEqual({ width: 120, height: 60 });
    expect(drawnSize('auto', picture, BOX)).toEqual(picture);
  });

  it('follows the pointer where there is room, in both directions', () => {
    // 100 px more than the box: 20 px down show what is 20 px further up.
    expect(moved([0.5, 0.5], [30, 20], { width: 400, height: 200 }, BOX)).toEqual([0.5, 0.3]);
    // Smaller than the box by 200 px: it moves along.
    expect(moved([0, 0], [50, 10], { width: 200, height: 50 }, BOX)).toEqual([0.25, 0.2]);
    expect(moved([0.9, 0], [500, -20], { width: 200, height: 50 }, BOX)).toEqual([1, 0]);
  });
});
