// Reads every form of a theme with what reads such files elsewhere, and compares each value with the flat list.
// Usage: node check.mjs FOLDER UI, where UI is the folder whose packages are used.
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const [folder, ui] = process.argv.slice(2);
const require = createRequire(join(ui, 'package.json'));
const load = async (name) => {
  const found = await import(pathToFileURL(require.resolve(name)).href);
  return found.default ?? found;
};
const flat = JSON.parse(readFileSync(join(folder, 'json/tokens.flat.json'), 'utf8'));
const faults = [];
const same = (of, name, expected, found) => {
  const hex = (n) => Math.round(Number(n)).toString(16).padStart(2, '0');
  const plain = (css) => String(css).toLowerCase()
    .replace(/rgba\((\d+), (\d+), (\d+), ([\d.]+)\)/g, (_, r, g, b, a) => `#${hex(r)}${hex(g)}${hex(b)}${hex(a * 255)}`)
    .replace(/calc\(([^()]*)\)/g, '$1').replace(/["']/g, '').replace(/\s+/g, ' ').trim();
  if (plain(expected) !== plain(found)) faults.push(`${of}: ${name} is ${found}, not ${expected}`);
};

// SCSS: what the Sass compiler makes of the variables.
const sass = await load('sass');
const scss = sass.compileString('@use "tokens"; :root { @include tokens.properties; } .h { @include tokens.type-h1; } .d { @include tokens.in-scheme-dark { color: red; } }', {
  loadPaths: [join(folder, 'scss')]
}).css;
let count = 0;
for (const [, name, value] of scss.matchAll(/^ {2}--([\w-]+): (.*);$/gm)) {
  same('scss', name, flat.tokens[name], value);
  count++;
}
if (count !== Object.keys(flat.tokens).length) faults.push(`scss: ${count} of ${Object.keys(flat.tokens).length} values`);
if (!/\[data-scheme="?dark"?\] \.d \{\s*color: red/.test(scss)) faults.push('scss: the mixin of a context is not used');
if (!scss.includes(`font-weight: ${flat.tokens['type-h1-font-weight']}`)) faults.push('scss: the mixin of a text style is not used');
console.log(`scss ${count}`);

// Tailwind: utilities carry the values.
const { compile } = await load('tailwindcss');
const theme = readFileSync(join(folder, 'tailwind/theme.css'), 'utf8');
const built = (await compile(`${theme}\n@tailwind utilities;`)).build([
  ...Object.keys(flat.tokens).filter((name) => name.startsWith('color-')).map((name) => `bg-${name.slice(6)}`),
  ...Object.keys(flat.tokens).filter((name) => name.startsWith('space-')).map((name) => `p-${name.slice(6)}`),
  'text-h1',
  'font-heading',
  'font-heading-weight',
  'max-w-text',
  'ease-swell'
]);
const variables = (text) => new Map([...text.matchAll(/^ *--([\w-]+): (.*);$/gm)].map(([, name, value]) => [name, value]));
const page = built.slice(built.indexOf(':root'));
const made = variables(page.slice(0, page.indexOf('}')));
count = 0;
for (const [name, value] of Object.entries(flat.tokens)) {
  const variable = name.startsWith('color-') ? name : name.startsWith('space-') ? name.replace('space-', 'spacing-') : '';
  if (!variable) continue;
  if (!made.has(variable)) faults.push(`tailwind: no utility of ${name}`);
  else same('tailwind', name, value, made.get(variable));
  count++;
}
same('tailwind', 'text-h1', flat.tokens['type-h1-font-size'], made.get('text-h1'));
same('tailwind', 'text-h1--line-height', flat.tokens['type-h1-line-height'], made.get('text-h1--line-height'));
same('tailwind', 'font-heading', flat.tokens['family-heading'], made.get('font-heading'));
same('tailwind', 'container-text', flat.tokens['width-text'], made.get('container-text'));
same('tailwind', 'ease-swell', flat.tokens['motion-swell'], made.get('ease-swell'));
same('tailwind', 'font-weight-heading-weight', flat.tokens['weight-heading'], made.get('font-weight-heading-weight'));
if (!/\.font-heading-weight \{[^}]*font-weight: var\(--font-weight-heading-weight\)/.test(built)) faults.push('tailwind: no utility of a weight');
// The dark and every look set the same variables anew.
for (const [modifier, contexts] of Object.entries(flat.contexts))
  for (const [context, values] of Object.entries(contexts)) {
    const start = built.indexOf(`[data-${modifier}="${context}"] {`);
    const there = start < 0 ? new Map() : variables(built.slice(start, built.indexOf('}', start)));
    for (const [name, value] of Object.entries(values))
      if (name.startsWith('color-')) same(`tailwind ${context}`, name, value, there.get(name));
    if (start < 0) faults.push(`tailwind: no block for ${modifier} ${context}`);
  }
console.log(`tailwind ${count}`);

// The module runs, and the TypeScript compiler takes its types.
writeFileSync(join(folder, 'module/package.json'), '{"type":"module"}');
const module = await import(pathToFileURL(join(folder, 'module/tokens.js')).href);
if (JSON.stringify(module.tokens) !== JSON.stringify(flat.tokens)) faults.push('module: tokens are others');
if (JSON.stringify(module.contexts) !== JSON.stringify(flat.contexts)) faults.push('module: contexts are others');
const first = Object.keys(flat.tokens)[0];
writeFileSync(
  join(folder, 'module/use.ts'),
  `import { contexts, tokens, type TokenName } from './tokens.js';\nconst name: TokenName = ${JSON.stringify(first)};\n` +
    'export const value: string = tokens[name];\nexport const dark: string | undefined = contexts.scheme.dark[name];\n' +
    "// @ts-expect-error there is no such token\nexport const none: TokenName = 'no such token';\n"
);
try {
  execFileSync(process.execPath, [join(ui, 'node_modules/typescript/bin/tsc'), '--noEmit', '--strict', '--module', 'nodenext', '--target', 'es2022', join(folder, 'module/use.ts')]);
} catch (e) {
  faults.push(`module: ${e.stdout}`);
}
console.log(`module ${Object.keys(module.tokens).length}`);

if (faults.length) {
  console.error(faults.slice(0, 20).join('\n'));
  process.exit(1);
}
