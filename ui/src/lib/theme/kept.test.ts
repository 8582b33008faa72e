import { expect, test } from 'vitest';
import { kept } from './kept';

test('what is as it was is what it was', () => {
  const before = {
    styles: [
      { path: 'a', px: 1 },
      { path: 'b', px: 2 }
    ],
    ruler: [1, 2]
  };
  expect(kept(before, structuredClone(before))).toBe(before);
  const next = kept(before, {
    styles: [
      { path: 'a', px: 1 },
      { path: 'b', px: 3 }
    ],
    ruler: [1, 2]
  });
  expect(next).toEqual({
    styles: [
      { path: 'a', px: 1 },
      { path: 'b', px: 3 }
    ],
    ruler: [1, 2]
  });
  expect([next.styles[0] === before.styles[0], next.styles[1] === before.styles[1], next.ruler === before.ruler]).toEqual([
    true,
    false,
    true
  ]);
});

test('what came or went is told', () => {
  expect(kept([1, 2], [1])).toEqual([1]);
  expect(kept({ a: 1, b: 2 }, { a: 1 })).toEqual({ a: 1 });
  expect(kept({ a: undefined }, { b: undefined })).toEqual({ b: undefined });
  expect(kept(null, { a: 1 })).toEqual({ a: 1 });
  expect(kept([], {})).toEqual({});
});
