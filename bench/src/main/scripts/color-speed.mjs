// Conversions per second of two color libraries, on the same colors as the Java side: one line of JSON.
// Run from the folder ui. Arguments: how many colors, seconds for each measurement.
import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';

const require = createRequire(pathToFileURL(process.cwd() + '/package.json'));
const culori = require('culori');
const loaded = require('colorjs.io');
const Color = loaded.default ?? loaded;
const version = (name) => JSON.parse(readFileSync(`node_modules/${name}/package.json`, 'utf8')).version;
const [count, seconds] = process.argv.slice(2).map(Number);

/** The generator of the Java side: linear congruential, 48 bits, its 24 high bits a color. */
let state = 42n;
const next = () => Number((state = (state * 25214903917n + 11n) & ((1n << 48n) - 1n)) >> 24n);
const colors = Array.from({ length: count }, () => {
  const n = next();
  return [(n >> 16) / 255, ((n >> 8) & 255) / 255, (n & 255) / 255];
});

function perSecond(run) {
  const once = () => colors.forEach((color, i) => run(color, colors[(i + 1) % count]));
  once();
  const until = performance.now() + seconds * 1000;
  const start = performance.now();
  let rounds = 0;
  while (performance.now() < until) {
    once();
    rounds++;
  }
  return (rounds * count * 1000) / (performance.now() - start);
}

const rgb = ([r, g, b]) => ({ mode: 'rgb', r, g, b });
const oklch = culori.converter('oklch');
const lab = culori.converter('lab');
const toGamut = culori.toGamut('rgb', 'oklch');
const ciede = culori.differenceCiede2000();
const wild = ([r, g, b]) => ({ mode: 'oklch', l: r, c: g * 0.4, h: b * 360 });

console.log(JSON.stringify({
  culori: {
    version: version('culori'),
    oklch: perSecond((c) => oklch(rgb(c))),
    gamut: perSecond((c) => toGamut(wild(c))),
    difference: perSecond((c, d) => ciede(lab(rgb(c)), lab(rgb(d))))
  },
  colorjs: {
    version: version('colorjs.io'),
    oklch: perSecond((c) => new Color('srgb', c).to('oklch')),
    gamut: perSecond((c) => new Color('oklch', [c[0], c[1] * 0.4, c[2] * 360]).toGamut({ space: 'srgb', method: 'css' })),
    difference: perSecond((c, d) => new Color('srgb', c).deltaE(new Color('srgb', d), '2000'))
  }
}));
