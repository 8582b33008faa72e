<script lang="ts">
  import { api, ask, said, type Schemas } from '$lib/api/client';
  import Thumb from './Thumb.svelte';

  /** Another theme before a site wears it: its own pages as they are and as they would be, and what would not fit. */
  let {
    site,
    theme,
    name,
    onwear,
    onstay
  }: {
    site: Schemas['WholeSite'];
    /** The theme that is tried. */ theme: number;
    name: string;
    onwear: (fitted: boolean) => Promise<unknown>;
    onstay: () => void;
  } = $props();

  let trial = $state.raw<Schemas['ThemeTrial'] | null>(null);
  const unfit = $derived(trial?.unfit ?? []);
  let problem = $state('');
  let fitted = $state(true);
  let busy = $state(false);

  $effect(() => {
    const id = theme;
    ask(() => api.GET('/api/sites/{site}/unfit', { params: { path: { site: site.slug }, query: { theme: id } } })).then(
      (found) => (trial = found),
      (e: unknown) => (problem = said(e))
    );
  });

  const remedies = $derived(unfit.filter((one) => one.remedy).length);
  const src = (id: number, page: string, fit = false) =>
    `/preview/${id}/draft/site/${site.slug}/${page}.html?still=true&at=${site.revision}${fit ? '&fitted=true' : ''}`;
</script>

<section class="mb-6 border border-ink bg-raised p-4" aria-label="{name}, before it is worn">
  <div class="mb-3 flex flex-wrap items-center gap-3">
    <h2 class="font-display grow text-xl text-heading">{site.name} in {name}</h2>
    {#if remedies}
      <label class="flex items-center gap-1.5"
        ><input type="checkbox" bind:checked={fitted} /> Fit {remedies === 1
          ? 'what has a remedy'
          : `${remedies} that have a remedy`}</label
      >
    {/if}
    <button class="button" onclick={onstay}>Stay as it is</button>
    <button
      class="button button-strong"
      disabled={busy || trial === null}
      onclick={async () => {
        busy = true;
        await onwear(fitted && remedies > 0);
        busy = false;
      }}>Wear {name}</button
    >
  </div>
  {#if problem}<p class="mb-3 text-must" role="alert">{problem}</p>{/if}
  {#if unfit.length}
    <h3 class="caption font-semibold">What does not fit</h3>
    <ul class="mb-4">
      {#each unfit as one (one.what)}
        <li class="border-t border-border py-1">
          <span class="font-semibold">{one.what}</span>: {one.why}.
          {#if one.remedy}<span class="text-good">Remedy: {one.remedy}.</span>{/if}
        </li>
      {/each}
    </ul>
  {:else if trial}<p class="mb-4 text-muted">Every override of this site fits.</p>{/if}
  {#if trial?.pieces.length}
    <h3 class="caption font-semibold">Pieces</h3>
    <ul class="mb-4">
      {#each trial.pieces as one (one.title + one.what)}
        <li class="border-t border-border py-1"><span class="font-semibold">{one.title}</span> {one.what}.</li>
      {/each}
    </ul>
  {/if}
  <ul class="flex flex-wrap gap-x-6 gap-y-5">
    {#each site.pages as one (one.slug)}
      <li>
        <div class="flex gap-2">
          <Thumb src={src(site.themeId, one.slug)} title="{one.title} as it is" box={230} height={1000} />
          <Thumb src={src(theme, one.slug, fitted && remedies > 0)} title="{one.title} in {name}" box={230} height={1000} />
        </div>
        <p class="caption mt-0.5">{one.title}: as it is, and in {name}</p>
      </li>
    {/each}
  </ul>
</section>
