<script lang="ts">
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import { arrived } from '$lib/account/arriving';
  import { said, type Schemas } from '$lib/api/client';
  import BeforeAfter from '$lib/release/BeforeAfter.svelte';
  import ChangeCard from '$lib/release/ChangeCard.svelte';
  import ChangeList from '$lib/release/ChangeList.svelte';
  import ClothLength from '$lib/release/ClothLength.svelte';
  import ImpactSites from '$lib/release/ImpactSites.svelte';
  import ReleasePanel from '$lib/release/ReleasePanel.svelte';
  import { DRAFT, Releases } from '$lib/release/releases.svelte';
  import RolloutPanel from '$lib/release/RolloutPanel.svelte';
  import SiteDetails from '$lib/release/SiteDetails.svelte';
  import Masthead from '$lib/ui/Masthead.svelte';
  import { counted } from '$lib/ui/words';

  const theme = $derived(Number(page.params.theme));
  const LARGEST = 5;

  let releases = $state.raw<Releases | null>(null);
  let problem = $state('');
  let looked = $state('');

  $effect(() => {
    const id = theme;
    // Who has signed in meanwhile is no reason to begin anew.
    untrack(() => void read(id));
  });

  async function read(id: number) {
    if (!(await arrived(page.url.pathname))) return;
    const fresh = new Releases(id);
    try {
      await fresh.load();
      releases = fresh;
      problem = '';
    } catch (e) {
      problem = said(e);
    }
  }

  const chosen = $derived(releases && releases.chosen !== DRAFT ? releases.release(releases.chosen) : undefined);
  /** The name of the earlier state that is looked at. */
  const earlier = $derived(releases?.checkpoints.find((one) => `r${one.number}` === releases?.chosen)?.checkpoint ?? '');
  const largest = $derived(
    [...(releases?.difference?.changes ?? [])].sort((a, b) => b.felt - a.felt || b.follows - a.follows).slice(0, LARGEST)
  );
  /** The page that is shown before and after: as picked, else the one on which most changes. */
  const shown = $derived.by(() => {
    const sites = releases?.impact?.sites ?? [];
    const site = sites.find((one) => one.pages.some((inner) => `${one.slug}/${inner.page}` === looked)) ?? sites[0];
    const inner = site?.pages.find((one) => `${site.slug}/${one.page}` === looked) ?? site?.pages[0];
    return site && inner ? { site, page: inner } : null;
  });
  /** The site’s own state before: what it stands on, else what the rest is compared with. */
  const revisionBefore = $derived(releases?.release(shown?.site.standsOn ?? '')?.revision ?? releases?.difference?.fromRevision ?? 0);
  const src = (revision: number, of: { site: Schemas['SiteTouched']; page: Schemas['PageTouched'] }) =>
    `/preview/${theme}/${revision}/site/${of.site.slug}/${of.page.page}.html?still=true`;
  const when = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
</script>

<svelte:head><title>Releases · Umber Loom</title></svelte:head>

<div class="flex h-screen flex-col">
  <Masthead />
  <main class="flex min-h-0 grow flex-col">
    <div class="flex flex-wrap items-baseline gap-x-4 px-6 py-3">
      <h1 class="font-display text-2xl text-heading">Releases</h1>
      {#if releases?.all}
        <p class="text-muted">
          {releases.all.name}{releases.all.releases.length
            ? releases.releasing !== DRAFT
              ? ''
              : releases.all.next.any
                ? `; the draft is ahead of ${releases.all.next.since}`
                : `; the draft is ${releases.all.next.since}`
            : '; nothing is released yet'}
        </p>
      {/if}
      <a class="button button-quiet ml-auto" href="/kit/{theme}">Kit</a>
      <a class="button button-quiet" href="/bench/{theme}">To the bench</a>
    </div>
    {#if problem}<p class="m-6" role="alert">{problem}</p>{/if}
    {#if releases?.all}
      <div class="border-b border-line px-6 pb-3"><ClothLength {releases} /></div>
      <div class="flex min-h-0 grow">
        <section class="min-w-0 grow overflow-auto px-6 py-4" aria-label="What changes">
          {#if !releases.before}
            <h2 class="font-display text-xl text-heading">
              {chosen ? `${releases.chosen} is all of it` : 'The first release is all of it'}
            </h2>
            <p class="mt-1 max-w-prose text-muted">
              There is no release before it to compare with. From the next one on, this shows what changes: the largest changes as pictures,
              then the sites, pages and spots where they show.
            </p>
          {:else if releases.difference && !releases.difference.any}
            <h2 class="font-display text-xl text-heading">Nothing changed since {releases.before}</h2>
          {:else if releases.difference}
            <div class="flex items-baseline gap-3">
              <h2 class="font-display text-xl text-heading">
                {releases.chosen === DRAFT
                  ? 'What the draft would change'
                  : chosen
                    ? `What ${releases.chosen} changed`
                    : `What “${earlier}” would change`}
              </h2>
              <label class="flex items-baseline gap-2 text-muted"
                >since
                <select
                  class="field h-7"
                  aria-label="Compared with"
                  value={releases.before}
                  onchange={(e) => void releases?.compareWith(e.currentTarget.value)}
                >
                  {#each releases.all.releases.filter((one) => one.number !== releases?.chosen) as one (one.id)}<option>{one.number}</option
                    >{/each}
                  {#each releases.checkpoints as one (one.number)}<option value="r{one.number}">{one.checkpoint}</option>{/each}
                  {#if releases.chosen !== DRAFT}<option value={DRAFT}>the draft</option>{/if}
                </select></label
              >
            </div>
            <div class="mt-3 flex gap-3 overflow-x-auto pb-1">
              {#each largest as change (change.path + change.places.join())}<ChangeCard {change} />{/each}
            </div>
            <h2 class="mt-5 mb-2 flex items-baseline gap-3 font-display text-xl text-heading">
              {chosen ? 'What sites would see that take it' : 'Where it shows'}
              {#if releases.impact}
                <span class="font-sans text-base text-muted"
                  >{counted(releases.impact.spots, 'spot', 'spots')} on {counted(releases.impact.pages, 'page', 'pages')} of {counted(
                    releases.impact.sites.length,
                    'site',
                    'sites'
                  )}</span
                >
              {/if}
            </h2>
            {#if releases.impact}
              <ImpactSites
                impact={releases.impact}
                looked={shown ? `${shown.site.slug}/${shown.page.page}` : ''}
                onlook={(site, inner) => (looked = `${site.slug}/${inner}`)}
              />
              {#if shown}
                <h3 class="mt-5 mb-2 font-semibold">{shown.page.title}, {shown.site.name}</h3>
                <SiteDetails {theme} from={shown.site.standsOn} to={releases.difference.to} site={shown.site.slug} />
                <BeforeAfter
                  before={src(revisionBefore, shown)}
                  after={src(releases.difference.toRevision, shown)}
                  title={shown.page.title}
                  names={[shown.site.standsOn, releases.difference.to]}
                />
              {/if}
            {/if}
            <h2 class="mt-6 mb-2 font-display text-xl text-heading">Every change</h2>
            <ChangeList difference={releases.difference} />
          {/if}
        </section>
        <aside
          class="w-88 shrink-0 overflow-auto border-l border-border px-6 py-4"
          aria-label={chosen ? `Release ${chosen.number}` : 'The next release'}
        >
          {#if chosen}
            <h2 class="font-display text-3xl text-heading">{chosen.number}</h2>
            <p class="text-xs text-muted">{chosen.person}, {when(chosen.at)}</p>
            <p class="mt-3 whitespace-pre-line">{chosen.notes}</p>
            {#if chosen.reason}<p class="mt-3 border-l-4 border-should pl-3">Released all the same: {chosen.reason}</p>{/if}
            <p class="mt-3 text-xs text-muted" title={chosen.hash}>Stored whole; <span class="value">{chosen.hash.slice(0, 12)}</span></p>
            <a class="button mt-3" href="/kit/{theme}?release={chosen.number}">Kit of {chosen.number}</a>
            <hr class="my-4 border-border" />
            <RolloutPanel {releases} release={chosen} />
          {:else}
            <ReleasePanel {releases} />
          {/if}
        </aside>
      </div>
    {/if}
  </main>
</div>
