import type { Schemas } from '$lib/api/client';

const tags = (features: string) =>
  features
    .split(' ')
    .map((tag) => (tag.startsWith('-') ? `"${tag.slice(1)}" 0` : `"${tag}"`))
    .join(', ');

/** How a text style looks, at a size of its own or at another one. */
export function dress(style: Schemas['StyleView'], px = style.widePx, line = String(style.lineValue)): string {
  const { fontStyle, fontStretch, textCase, fontFeatures, textDecoration } = style.manner;
  return [
    `font-family: ${style.familyName}`,
    `font-size: ${px}px`,
    `font-weight: ${style.weightValue}`,
    `line-height: ${line}`,
    `letter-spacing: ${(style.spacingPx * px) / style.widePx}px`,
    fontStyle && `font-style: ${fontStyle}`,
    fontStretch && `font-stretch: ${fontStretch}`,
    textCase && `text-transform: ${textCase}`,
    fontFeatures && fontFeatures !== 'normal' && `font-feature-settings: ${tags(fontFeatures)}`,
    textDecoration && `text-decoration-line: ${textDecoration}`
  ]
    .filter(Boolean)
    .join('; ');
}
