import { describe, expect, it } from 'vitest';
import { nearest, toward } from './drawn';

const spots = new Map([
  ['beside', [1, 0.5]],
  ['below', [0, 1]],
  ['centered', [0.5, 1]]
]);

describe('spots that a region is moved to', () => {
  it('the nearest within a box is taken, also from outside it', () => {
    const box = { x: 100, y: 0, width: 1000, height: 80 };
    expect(nearest(spots, box, 1090, 30)).toBe('beside');
    expect(nearest(spots, box, 120, 200)).toBe('below');
    expect(nearest(spots, box, 640, 90)).toBe('centered');
  });
  it('an arrow key leads to the nearest that way, and nowhere where there is none', () => {
    expect(toward(spots, 'beside', 'ArrowDown')).toBe('centered');
    expect(toward(spots, 'centered', 'ArrowLeft')).toBe('below');
    expect(toward(spots, 'below', 'ArrowLeft')).toBe('below');
  });
});
