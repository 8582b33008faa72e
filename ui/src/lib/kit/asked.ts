/** What somebody wants in a kit, as the server is asked for it. */
export type Asked = { site: string; state: string; forms: string[]; fonts: boolean; tokens: boolean; without: string[] };

/** The same as the query of an address. */
export function asked(wanted: Asked): string {
  const query = new URLSearchParams({ site: wanted.site, state: wanted.state, fonts: String(wanted.fonts), tokens: String(wanted.tokens) });
  for (const form of wanted.forms) query.append('forms', form);
  for (const one of wanted.without) query.append('without', one);
  return query.toString();
}

export const size = (bytes: number) =>
  bytes < 1000 ? `${bytes} B` : bytes < 1_000_000 ? `${(bytes / 1000).toFixed(1)} kB` : `${(bytes / 1_000_000).toFixed(2)} MB`;
