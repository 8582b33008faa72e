import { expect, test } from 'vitest';
import { isDerived, split } from './valueText';

test('what stands in parentheses and braces stays together', () => {
  expect(split('0px 1px rgb(0 0 0 / 0.2)', ' ')).toEqual(['0px', '1px', 'rgb(0 0 0 / 0.2)']);
  expect(split('#fff 0%, mix({a.b}, #000, 0.5) 100%', ',')).toEqual(['#fff 0%', 'mix({a.b}, #000, 0.5) 100%']);
});

test('a reference and a derivation are no values of their own', () => {
  expect(isDerived('darken({a.b}, 5)')).toBe(true);
  expect(isDerived('rgb(0 0 0)')).toBe(false);
});
