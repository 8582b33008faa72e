// @vitest-environment jsdom
import { expect, test } from 'vitest';
import { onSurface } from './livePage';

// The document of these tests has no CSS object; the names in them need no escape.
globalThis.CSS ??= { escape: (name: string) => name } as typeof CSS;

const matched = (html: string, selectors: string[], surface: string) => {
  document.body.innerHTML = html;
  return [...document.querySelectorAll(onSurface(selectors, surface).join(', '))].map((element) => element.id);
};
const PAGE = '<p id="page"></p><section id="deep" data-surface="deep"><p id="inside"></p></section>';

test('elements on a surface, the one that stands on it among them', () => {
  expect(matched(PAGE, ['p', 'section'], 'deep')).toEqual(['deep', 'inside']);
});

test('the page is what no other surface is', () => {
  expect(matched(PAGE, ['p', 'section'], 'page')).toEqual(['page']);
});

test('no surface means all, and no selector means none', () => {
  expect(matched(PAGE, ['p'], '')).toEqual(['page', 'inside']);
  expect(onSurface([], 'deep')).toEqual([]);
});

test('what is put on the page is on it', () => {
  expect(matched('<header id="header" data-surface="page"><p id="name"></p></header>', ['p', 'header'], 'page')).toEqual([
    'header',
    'name'
  ]);
});
