// Copies the shipped fonts out of their packages into static/fonts, with their licenses and a catalog.
import { cpSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';

// What the families are like is what people choose by; no file says it.
const kinds = {
  grotesque: ['schibsted-grotesk', 'bricolage-grotesque', 'work-sans', 'archivo', 'hanken-grotesk', 'instrument-sans', 'public-sans'],
  humanist: ['atkinson-hyperlegible-next', 'source-sans-3', 'cabin', 'commissioner', 'ysabeau-office'],
  geometric: ['figtree', 'outfit', 'jost', 'urbanist', 'lexend', 'sora'],
  'old style': ['eb-garamond', 'cormorant', 'crimson-pro', 'alegreya', 'vollkorn'],
  transitional: ['source-serif-4', 'literata', 'newsreader', 'lora', 'libre-baskerville', 'playfair'],
  slab: ['bitter', 'roboto-slab', 'zilla-slab'],
  mono: ['jetbrains-mono', 'source-code-pro', 'martian-mono', 'red-hat-mono'],
  display: ['fraunces', 'unbounded', 'syne', 'abril-fatface'],
  'script and hand': ['caveat', 'dancing-script', 'shantell-sans']
};
const generics = {
  grotesque: 'sans-serif',
  humanist: 'sans-serif',
  geometric: 'sans-serif',
  'old style': 'serif',
  transitional: 'serif',
  slab: 'serif',
  mono: 'monospace',
  display: { fraunces: 'serif', 'abril-fatface': 'serif', unbounded: 'sans-serif', syne: 'sans-serif' },
  'script and hand': 'cursive'
};
// A family without a variable font has these weights.
const weights = [400, 700];

const target = 'static/fonts';
rmSync(target, { recursive: true, force: true });
mkdirSync(target, { recursive: true });

function family(id, kind) {
  const variable = `node_modules/@fontsource-variable/${id}`;
  const varies = existsSync(variable);
  const source = varies ? variable : `node_modules/@fontsource/${id}`;
  const about = JSON.parse(readFileSync(`${source}/metadata.json`, 'utf8'));
  const ranges = JSON.parse(readFileSync(`${source}/unicode.json`, 'utf8'));
  const files = [];
  for (const style of ['normal', 'italic'])
    for (const weight of varies ? ['wght'] : weights)
      for (const subset of ['latin', 'latin-ext']) {
        const from = `${source}/files/${id}-${subset}-${weight}-${style}.woff2`;
        if (!existsSync(from)) continue;
        const file = `${id}-${subset}${varies ? '' : `-${weight}`}${style === 'italic' ? '-italic' : ''}.woff2`;
        cpSync(from, `${target}/${file}`);
        const range = varies ? `${about.variable.wght.min} ${about.variable.wght.max}` : String(weight);
        files.push({ file, style, weights: range, characters: ranges[subset] });
      }
  const licenseFile = `${id}-LICENSE.txt`;
  cpSync(`${source}/LICENSE`, `${target}/${licenseFile}`);
  const generic = typeof generics[kind] === 'string' ? generics[kind] : generics[kind][id];
  return { name: about.family, kind, generic, license: about.license.type, licenseFile, files };
}

const catalog = Object.entries(kinds).flatMap(([kind, ids]) => ids.map((id) => family(id, kind)));
writeFileSync(`${target}/catalog.json`, JSON.stringify(catalog, null, 2) + '\n');
