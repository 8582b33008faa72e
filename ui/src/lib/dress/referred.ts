/** The tokens that a written value refers to. */
export function referred(written: string): string[] {
  return [...written.matchAll(/\{([^{}]+)\}/g)].map((match) => match[1] ?? '');
}
