import { expect, test } from 'vitest';
import { inkOn, legibility, limits, ratioOf } from './depth';

/** As the server says it: a span of depth for each ratio of WCAG 2.2. */
const SIGHT = {
  ways: [],
  black: 120,
  most: 21,
  legibility: [1, 3, 4.5, 7].map((ratio) => ({
    ratio,
    apart: (120 * Math.log(ratio)) / Math.log(21),
    words: `at least ${ratio}`,
    specimen: 'A'
  }))
};

test('the ratio of two depths is the span between them', () => {
  expect(ratioOf(SIGHT, 0, 120)).toBe(21);
  expect(ratioOf(SIGHT, 80, 20)).toBe(ratioOf(SIGHT, 20, 80));
  expect(limits(SIGHT).map((level) => ratioOf(SIGHT, 10, 10 + level.apart))).toEqual([3, 4.5, 7]);
});

test('what a color can be on another', () => {
  expect([20, 50, 65, 90].map((depth) => legibility(SIGHT, 0, depth).ratio)).toEqual([1, 3, 4.5, 7]);
  expect([inkOn(SIGHT, 10), inkOn(SIGHT, 100)]).toEqual(['#000000', '#ffffff']);
});
