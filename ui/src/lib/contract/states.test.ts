// @vitest-environment jsdom
import { beforeEach, expect, test } from 'vitest';
import { showIn, statesOf } from './states';

beforeEach(() => {
  document.head.innerHTML = `<style>
    a { color: rgb(1, 1, 1); }
    a:hover, button:hover { color: rgb(2, 2, 2); }
    @media all { a:focus-visible { color: rgb(3, 3, 3); } }
    button:active { color: rgb(4, 4, 4); }
    a.plain { color: rgb(5, 5, 5); }
  </style>`;
  document.body.innerHTML = '<p><a href="#x">one</a> <a class="plain" href="#y">two</a></p>';
});

const color = (selector: string) => getComputedStyle(document.querySelector(selector)!).color;

test('a page has the states that its own elements have rules for', () => {
  expect(statesOf(document)).toEqual(['hover', 'focus-visible']);
  document.body.innerHTML = '<button>b</button>';
  expect(statesOf(document)).toEqual(['hover', 'active']);
});

test('what is shown in a state looks as its rules say, and later rules still win', () => {
  showIn(document, 'hover');
  expect(color('a')).toBe('rgb(2, 2, 2)');
  expect(document.styleSheets[0]!.cssRules).toHaveLength(6);
});

test('a state that stands alone is one of what can be in it', () => {
  document.head.innerHTML = '<style>:focus-visible { color: rgb(6, 6, 6); }</style>';
  expect(statesOf(document)).toEqual(['focus-visible']);
  showIn(document, 'focus-visible');
  expect(color('a')).toBe('rgb(6, 6, 6)');
  expect(color('p')).not.toBe('rgb(6, 6, 6)');
  document.body.innerHTML = '<p>words</p>';
  expect(statesOf(document)).toEqual([]);
});

test('rules within others are followed too', () => {
  showIn(document, 'focus-visible');
  expect(color('a')).toBe('rgb(3, 3, 3)');
});
