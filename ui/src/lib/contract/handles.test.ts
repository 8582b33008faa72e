// @vitest-environment jsdom
import { expect, test } from 'vitest';
import { Governing } from './governing';
import { handlesOn } from './handles';

const rule = (selector: string, lengths: { property: string; path: string }[]) => ({
  selector,
  rank: 1,
  color: '',
  type: '',
  space: '',
  width: '',
  attribute: '',
  value: '',
  roles: lengths.map((one) => one.path),
  lengths
});

/** What jsdom does not lay out. */
function laidOut(id: string, [x, y, width, height]: [number, number, number, number]) {
  document.getElementById(id)!.getBoundingClientRect = () => new DOMRect(x, y, width, height);
}

globalThis.DOMRect ??= class {
  constructor(
    public x: number,
    public y: number,
    public width: number,
    public height: number
  ) {}
  get left() {
    return this.x;
  }
  get top() {
    return this.y;
  }
  get right() {
    return this.x + this.width;
  }
  get bottom() {
    return this.y + this.height;
  }
} as unknown as typeof DOMRect;

test('a length is taken hold of where it is seen', () => {
  document.body.innerHTML = `<ul id="list"><li id="one" style="padding: 20px; border-top-left-radius: 8px"></li><li id="two"></li></ul>`;
  laidOut('list', [0, 0, 300, 220]);
  laidOut('one', [0, 0, 140, 100]);
  laidOut('two', [160, 0, 140, 100]);
  const governing = new Governing([
    rule('ul', [{ property: 'gap', path: 'gap.flow' }]),
    rule('li', [
      { property: 'padding', path: 'part.card.inset' },
      { property: 'border-radius', path: 'part.card.radius' }
    ])
  ]);
  const paths = ['gap.flow', 'part.card.inset', 'part.card.radius'];
  const byPath = new Map(handlesOn(document, governing, paths).map((one) => [one.path, one]));
  expect(byPath.get('gap.flow')).toMatchObject({ x: 150, y: 50, axis: 'x' });
  expect(byPath.get('part.card.inset')).toMatchObject({ x: 20, y: 50, axis: 'x' });
  expect(byPath.get('part.card.radius')).toMatchObject({ x: 8, y: 0, axis: 'x' });
  expect(handlesOn(document, governing, ['gap.flow'])).toHaveLength(1);
});
