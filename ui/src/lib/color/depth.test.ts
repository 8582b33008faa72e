import { expect, test } from 'vitest';
import { carries, inkOn, ratioOf, SPANS } from './depth';

// WCAG 2.2: black on white is 21:1; the spans are those of 3, 4.5 and 7 to 1.
test('depths read as ratios', () => {
  expect(ratioOf(0, 120)).toBe(21);
  expect([SPANS.shape, SPANS.text, SPANS.strict].map((span) => Math.round(21 ** (span / 120) * 10) / 10)).toEqual([3, 4.5, 7]);
});

test('what a color carries grows with the distance', () => {
  expect([20, 50, 65, 90].map((depth) => carries(0, depth))).toEqual(['nothing that must be seen', 'large text and shapes', 'any text', 'any text, at the strictest level']);
  expect([inkOn(10), inkOn(100)]).toEqual(['#000000', '#ffffff']);
});
