// Copies the shipped fonts out of their packages into static/fonts, with their licenses and a catalog.
import { cpSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';

const families = [
  ['figtree', 'sans-serif'],
  ['schibsted-grotesk', 'sans-serif'],
  ['bricolage-grotesque', 'sans-serif'],
  ['work-sans', 'sans-serif'],
  ['archivo', 'sans-serif'],
  ['atkinson-hyperlegible-next', 'sans-serif'],
  ['source-serif-4', 'serif'],
  ['literata', 'serif'],
  ['newsreader', 'serif'],
  ['bitter', 'serif'],
  ['fraunces', 'serif'],
  ['jetbrains-mono', 'monospace']
];

const target = 'static/fonts';
rmSync(target, { recursive: true, force: true });
mkdirSync(target, { recursive: true });
const catalog = families.map(([id, generic]) => {
  const source = `node_modules/@fontsource-variable/${id}`;
  const about = JSON.parse(readFileSync(`${source}/metadata.json`, 'utf8'));
  const { min, max } = about.variable.wght;
  const file = `${id}.woff2`;
  const licenseFile = `${id}-LICENSE.txt`;
  cpSync(`${source}/files/${id}-latin-wght-normal.woff2`, `${target}/${file}`);
  cpSync(`${source}/LICENSE`, `${target}/${licenseFile}`);
  return { name: about.family, generic, file, weights: `${min} ${max}`, license: about.license.type, licenseFile };
});
writeFileSync(`${target}/catalog.json`, JSON.stringify(catalog, null, 2) + '\n');
