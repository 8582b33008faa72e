import type { Schemas } from '$lib/api/client';
import { BayState, type Contexts } from '$lib/site/bays.svelte';

/** A modifier with its contexts; codes are what stands for them in a combination's key, as the server gives them. */
export type Modifier = { name: string; code: string; standard: string; contexts: string[]; codes: Record<string, string> };

/** Which modifier is the scheme, and which of its contexts are the light and the dark one. */
export type Scheme = { modifier: string; light: string; dark: string };

/** What the bench looks at: the combination that the instruments show, those of the bays, and the place that edits go to. */
export class Looks {
  structure = $state.raw<Schemas['StructureView'] | null>(null);
  sites = $state.raw<Schemas['SiteView'][]>([]);
  /** The combination that the instruments show. */
  working = $state<Contexts>({});
  bays = $state<BayState[]>([]);
  /** Where edits of values are written; empty for where each value stands. */
  target = $state('');
  /** The scopes that have a say at a place that the server has not told of yet. */
  #aimed = $state.raw<string[]>([]);

  readonly modifiers = $derived.by<Modifier[]>(() =>
    (this.structure?.layers ?? [])
      .filter((layer) => layer.kind === 'modifier' && layer.applies)
      .map((layer) => ({
        name: layer.name,
        code: layer.code,
        standard: layer.standard,
        contexts: layer.contexts.map((c) => c.name),
        codes: Object.fromEntries(layer.contexts.map((c) => [c.name, c.code]))
      }))
  );
  /** The modifier that stands for light and dark, with those contexts of it. */
  readonly scheme = $derived.by<Scheme | null>(() => {
    const layer = (this.structure?.layers ?? []).find((one) => one.applies && one.meaning === 'scheme');
    const part = (name: string) => layer?.contexts.find((context) => context.part === name)?.name ?? '';
    return layer ? { modifier: layer.name, light: part('light'), dark: part('dark') } : null;
  });
  /** Every context of the scheme, as the instruments show them side by side. */
  readonly schemes = $derived(this.modifiers.find((m) => m.name === this.scheme?.modifier)?.contexts ?? ['light']);
  /** Every place that values can be written into. */
  readonly writable = $derived(this.structure?.writable ?? []);
  readonly aim = $derived(this.writable.find((one) => one.place === this.target));
  readonly #words = $derived(new Map(this.writable.map((one) => [one.place, one.words])));

  /** Every modifier at its default, and bays for the pages that wear the theme; else for its specimen. */
  begin(theme: number, wanted: { site: string; page: string }) {
    this.working = Object.fromEntries(this.modifiers.map((m) => [m.name, m.standard]));
    const site =
      this.sites.find((s) => s.slug === wanted.site) ??
      this.sites.find((s) => s.themeId === theme && !s.specimen) ??
      this.sites.find((s) => s.specimen);
    // Who comes for a site sees it in the look that it stands in.
    if (site && site.slug === wanted.site) this.working = { ...this.working, ...site.look };
    const all = site?.pages.map((p) => p.slug) ?? [];
    const pages = all.includes(wanted.page) ? [wanted.page, ...all.filter((slug) => slug !== wanted.page)] : all;
    if (!site || pages.length === 0) return;
    const dark = this.scheme ? { ...this.working, [this.scheme.modifier]: this.scheme.dark } : this.working;
    this.bays = [
      new BayState(site.slug, pages[0] ?? '', 1280, { ...this.working }),
      new BayState(site.slug, pages[1] ?? pages[0] ?? '', 1024, { ...dark }),
      new BayState(site.slug, pages[0] ?? '', 390, { ...this.working })
    ];
  }

  /** A combination as the server reads it; at scopes, where some are given. */
  key(contexts: Contexts, scopes: string[] = []): string {
    const chosen = this.modifiers
      .filter((m) => contexts[m.name] !== undefined)
      .map((m) => `${m.code}=${m.codes[contexts[m.name] ?? ''] ?? ''}`);
    return [...chosen, ...scopes.map((scope) => `@${scope}`)].join(',');
  }

  /** The instruments show what holds at the place that edits go to. */
  readonly workingKey = $derived(this.key(this.working, this.aim?.reaching ?? this.#aimed));

  /** What a bay shows, at the scope of its page. */
  bayKey(bay: BayState): string {
    return this.key(bay.contexts, this.page(bay)?.scopes);
  }

  page(bay: BayState) {
    return this.sites.find((site) => site.slug === bay.site)?.pages.find((one) => one.slug === bay.page);
  }

  /** A place in words; one that is no longer there by its name. */
  words(place: string): string {
    return this.#words.get(place) ?? place.slice(place.indexOf(':') + 1);
  }

  /** The site in whose history edits are kept; none while they go to the theme. */
  readonly site = $derived(
    this.target.startsWith('scope:') && !this.target.startsWith('scope:kind=') ? (/=([^:/]+)/.exec(this.target)?.[1] ?? '') : ''
  );

  /** Edits go to a place from now on, and the instruments show a combination in which what is written there is seen. */
  aimAt(place: string, reaching: string[] = []) {
    this.target = place;
    this.#aimed = reaching;
    const aim = this.aim;
    if (aim?.of && this.modifiers.some((m) => m.name === aim.of)) this.working = { ...this.working, [aim.of]: aim.context };
  }

  /** Chooses a context for the instruments; bays that stood at the same context follow, save for the scheme. */
  choose(modifier: string, context: string) {
    const before = this.working[modifier];
    this.working = { ...this.working, [modifier]: context };
    if (this.aim?.of === modifier && this.aim.context !== context) this.target = '';
    if (modifier === this.scheme?.modifier) return;
    for (const bay of this.bays) if (bay.contexts[modifier] === before) bay.contexts = { ...bay.contexts, [modifier]: context };
  }

  /** Modifiers and contexts come, go and change their names; what no longer is there stands at its default. */
  fit(structure: Schemas['StructureView']) {
    this.structure = structure;
    if (this.target && !this.aim) this.target = '';
    const fit = (contexts: Contexts) => {
      const fitting = Object.fromEntries(
        this.modifiers.map((m) => [m.name, m.contexts.includes(contexts[m.name] ?? '') ? contexts[m.name]! : m.standard])
      );
      return this.key(fitting) === this.key(contexts) && Object.keys(contexts).length === this.modifiers.length ? contexts : fitting;
    };
    const working = fit(this.working);
    if (working !== this.working) this.working = working;
    for (const bay of this.bays) {
      const fitted = fit(bay.contexts);
      if (fitted !== bay.contexts) bay.contexts = fitted;
    }
  }
}
