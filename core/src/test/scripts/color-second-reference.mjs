// Writes two files of core/src/test/resources: color-second-reference.csv, what culori makes of random colors in and out of
// gamut, and color-difference-reference.csv, CIEDE2000 of random pairs by culori and by colorjs.io.
// Run from the folder ui, where both are development dependencies: node ../core/src/test/scripts/color-second-reference.mjs
import { createRequire } from 'node:module';
import { readFileSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';

const require = createRequire(pathToFileURL(process.cwd() + '/package.json'));
const culori = require('culori');
const loaded = require('colorjs.io');
const Color = loaded.default ?? loaded;
const version = (name) => JSON.parse(readFileSync(`node_modules/${name}/package.json`, 'utf8')).version;

let seed = 31337;
function random() {
  // mulberry32
  seed |= 0;
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}
const n = (x) => (x === undefined || Number.isNaN(x) ? 'none' : Number(x.toPrecision(12)).toString());

// culori's modes by the identifiers of CSS.
const SPACES = [
  ['xyz-d65', 'xyz65', ['x', 'y', 'z']], ['xyz-d50', 'xyz50', ['x', 'y', 'z']], ['srgb', 'rgb', ['r', 'g', 'b']], ['srgb-linear', 'lrgb', ['r', 'g', 'b']],
  ['display-p3', 'p3', ['r', 'g', 'b']], ['a98-rgb', 'a98', ['r', 'g', 'b']], ['prophoto-rgb', 'prophoto', ['r', 'g', 'b']],
  ['lab', 'lab', ['l', 'a', 'b']], ['lch', 'lch', ['l', 'c', 'h']], ['oklab', 'oklab', ['l', 'a', 'b']], ['oklch', 'oklch', ['l', 'c', 'h']]
];
const toGamut = culori.toGamut('rgb', 'oklch');
const lines = [`# culori ${version('culori')}; columns: space, 3 components, then 3 components in each of ${SPACES.map((s) => s[0]).join(', ')}, then sRGB after CSS gamut mapping`];
const inputs = [
  ['srgb', 1200, () => ({ mode: 'rgb', r: random(), g: random(), b: random() }), ['r', 'g', 'b']],
  ['oklch', 1300, () => ({ mode: 'oklch', l: random(), c: random() * 0.4, h: random() * 360 }), ['l', 'c', 'h']]
];
for (const [space, count, make, keys] of inputs)
  for (let i = 0; i < count; i++) {
    const color = make();
    for (const key of keys) color[key] = Number(color[key].toFixed(6));
    const row = [space, ...keys.map((key) => n(color[key]))];
    for (const [, mode, parts] of SPACES) {
      const converted = culori.converter(mode)(color);
      row.push(...parts.map((part) => n(converted[part])));
    }
    const mapped = toGamut(color);
    row.push(n(mapped.r), n(mapped.g), n(mapped.b));
    lines.push(row.join(','));
  }
writeFileSync('../core/src/test/resources/color-second-reference.csv', lines.join('\n') + '\n');

// culori measures between Lab colors relative to D65, the core and colorjs.io relative to D50, as CSS defines lab().
// It is given the D50 components, so that the formula is compared and not the white point.
const ciede = culori.differenceCiede2000();
const lab = (hex) => ({ ...culori.converter('lab')(hex), mode: 'lab65' });
const hex = () => '#' + Math.floor(random() * 0x1000000).toString(16).padStart(6, '0');
const near = (from) => '#' + [1, 3, 5].map((at) => Math.max(0, Math.min(255, parseInt(from.slice(at, at + 2), 16) + Math.round(random() * 24 - 12))).toString(16).padStart(2, '0')).join('');
const pairs = [`# columns: two colors, CIEDE2000 by culori ${version('culori')}, by colorjs.io ${version('colorjs.io')}`];
for (let i = 0; i < 3000; i++) {
  const one = hex();
  const other = i % 2 ? near(one) : hex();
  pairs.push([one, other, n(ciede(lab(one), lab(other))), n(new Color(one).deltaE(new Color(other), '2000'))].join(','));
}
writeFileSync('../core/src/test/resources/color-difference-reference.csv', pairs.join('\n') + '\n');
console.log(`${lines.length - 1} colors, ${pairs.length - 1} pairs`);
