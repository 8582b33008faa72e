// @vitest-environment jsdom
import { expect, test } from 'vitest';
import { Governing } from './governing';

const rule = (selector: string, rank: number, of: Partial<Record<'color' | 'type' | 'space' | 'width', string>>) => ({
  selector,
  rank,
  color: '',
  type: '',
  space: '',
  width: '',
  attribute: '',
  value: '',
  lengths: [],
  ...of,
  roles: Object.values(of)
});
const governing = new Governing([
  rule('body', 1, { color: 'surface.ground', type: 'type.body' }),
  rule('p', 2, { space: 'gap.flow', width: 'width.text' }),
  rule('a', 2, { color: 'surface.link' }),
  rule('nav a', 3, { color: 'surface.text' }),
  rule('h1', 2, { color: 'surface.heading' }),
  { ...rule('h1', 9, { color: 'surface.muted' }), attribute: 'data-choice-heading-color', value: 'muted' }
]);

function element(html: string, selector: string): Element {
  document.body.innerHTML = html;
  return document.querySelector(selector)!;
}
const said = (target: Element) => Object.fromEntries(governing.at(target).map((role) => [role.kind, role.path]));

test('the strongest rule that matches governs', () => {
  expect(said(element('<nav><a href="#x">x</a></nav>', 'a')).color).toBe('surface.text');
  expect(said(element('<p><a href="#x">x</a></p>', 'a')).color).toBe('surface.link');
});

test('what an element says nothing of comes from around it', () => {
  const found = said(element('<p>one <em>word</em></p>', 'em'));
  expect(found).toEqual({ color: 'surface.ground', type: 'type.body', space: 'gap.flow', width: 'width.text' });
});

test('a role knows the selectors that read it', () => {
  expect(governing.selectorsOf('surface.link')).toEqual(['a']);
  expect(governing.selectorsOf('surface.none')).toEqual([]);
});

test('a rule of a value governs where that is chosen', () => {
  const muted = '<div data-choice-heading-color="muted"><h1>x</h1></div>';
  expect(said(element('<h1>x</h1>', 'h1')).color).toBe('surface.heading');
  expect(said(element(muted, 'h1')).color).toBe('surface.muted');
  expect(said(element(`<div data-choice-heading-color="muted"><h1 data-choice-heading-color="heading">x</h1></div>`, 'h1')).color).toBe(
    'surface.heading'
  );
  element(muted, 'h1');
  expect(document.querySelectorAll(governing.selectorsOf('surface.muted')[0]!)).toHaveLength(1);
});
