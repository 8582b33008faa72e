// Writes core/src/test/resources/color-reference.csv: what colorjs.io makes of random colors in and out of gamut.
// Run from the folder ui, where colorjs.io is a development dependency: node ../core/src/test/scripts/color-reference.mjs
import { createRequire } from 'node:module';
import { readFileSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';

const require = createRequire(pathToFileURL(process.cwd() + '/package.json'));
const loaded = require('colorjs.io');
const Color = loaded.default ?? loaded;
const version = JSON.parse(readFileSync('node_modules/colorjs.io/package.json', 'utf8')).version;

let seed = 20251;
function random() {
  // mulberry32
  seed |= 0;
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}

const makers = [
  ['srgb', 2000, () => [random(), random(), random()]],
  ['oklch', 2400, () => [random(), random() * 0.4, random() * 360]],
  ['display-p3', 800, () => [random(), random(), random()]],
  ['oklab', 800, () => [random(), random() * 0.8 - 0.4, random() * 0.8 - 0.4]]
];
const ids = { srgb: 'srgb', oklch: 'oklch', 'display-p3': 'p3', oklab: 'oklab' };
const lines = [
  `# colorjs.io ${version}; columns: space, 3 components, XYZ D65, linear sRGB, OKLab, OKLCH, Display P3, sRGB after CSS gamut mapping, WCAG 2.1 contrast of that with #336699`
];
const partner = new Color('#336699');
const n = (x) => (x === null || Number.isNaN(x) ? 'none' : Number(x.toPrecision(12)).toString());
for (const [space, count, make] of makers) {
  for (let i = 0; i < count; i++) {
    const coords = make().map((x) => Number(x.toFixed(6)));
    const color = new Color(ids[space], coords);
    const mapped = color.clone().toGamut({ space: 'srgb', method: 'css' }).to('srgb');
    mapped.coords = mapped.coords.map((x) => Math.min(1, Math.max(0, x)));
    const row = [space, ...coords.map(n)];
    for (const target of ['xyz-d65', 'srgb-linear', 'oklab', 'oklch', 'p3']) row.push(...color.to(target).coords.map(n));
    row.push(...mapped.coords.map(n), n(mapped.contrast(partner, 'WCAG21')));
    lines.push(row.join(','));
  }
}
writeFileSync('../core/src/test/resources/color-reference.csv', lines.join('\n') + '\n');
console.log(`${lines.length - 1} colors from colorjs.io ${version}`);
