import { expect, test } from 'vitest';
import { carried } from './moved';

test('a path follows the token or the group that was moved, and no other', () => {
  expect(carried('color.sea.60', [{ from: 'color.sea', to: 'color.sound' }])).toBe('color.sound.60');
  expect(carried('color.seaweed.60', [{ from: 'color.sea', to: 'color.sound' }])).toBe('color.seaweed.60');
  expect(
    carried('a', [
      { from: 'a', to: 'b' },
      { from: 'b', to: 'c' }
    ])
  ).toBe('c');
});
