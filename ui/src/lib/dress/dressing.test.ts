import { expect, test } from 'vitest';
import { referred } from './referred';

test('a written value refers to every token in it', () => {
  expect(referred('{font.body} / {size.md} / 400 / 0px / {line.even}')).toEqual(['font.body', 'size.md', 'line.even']);
  expect(referred('#fff')).toEqual([]);
});
