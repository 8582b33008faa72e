// Writes core/src/test/resources/color-spaces-reference.csv: random colors in every further space of CSS Color 4, as
// colorjs.io converts them. Run from the folder ui: node ../core/src/test/scripts/color-spaces-reference.mjs
import { createRequire } from 'node:module';
import { readFileSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';

const require = createRequire(pathToFileURL(process.cwd() + '/package.json'));
const loaded = require('colorjs.io');
const Color = loaded.default ?? loaded;
const version = JSON.parse(readFileSync('node_modules/colorjs.io/package.json', 'utf8')).version;

let state = 7;
const random = () => (state = (state * 48271) % 2147483647) / 2147483647;
const targets = {
  hsl: 'hsl', hwb: 'hwb', lab: 'lab', lch: 'lch', 'a98-rgb': 'a98rgb', 'prophoto-rgb': 'prophoto', rec2020: 'rec2020',
  'xyz-d50': 'xyz-d50'
};
const n = (x) => (x === null || Number.isNaN(x) ? 'none' : Number(x.toPrecision(12)).toString());
const lines = [`# colorjs.io ${version}; columns: sRGB red, green, blue, then 3 components each of ${Object.keys(targets).join(', ')}`];
for (let i = 0; i < 1500; i++) {
  const rgb = [random(), random(), random()].map((x) => Number(x.toFixed(5)));
  const color = new Color('srgb', rgb);
  lines.push([...rgb.map(n), ...Object.values(targets).flatMap((id) => color.to(id).coords.map(n))].join(','));
}
writeFileSync('../core/src/test/resources/color-spaces-reference.csv', lines.join('\n') + '\n');
console.log(lines[0]);
