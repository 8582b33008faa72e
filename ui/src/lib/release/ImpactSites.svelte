<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { counted } from '$lib/ui/words';

  let {
    impact,
    onlook,
    looked
  }: {
    impact: Schemas['ImpactView'];
    /** A page that somebody wants to see before and after. */
    onlook: (site: Schemas['SiteTouched'], page: string) => void;
    looked: string;
  } = $props();

  const most = $derived(Math.max(1, ...impact.sites.map((site) => site.spots)));
  const ratio = (n: number) => n.toFixed(2);
</script>

{#if impact.lost.length}
  <div class="mb-4 border-l-4 border-must pl-3">
    <h3 class="font-semibold">{counted(impact.lost.length, 'pair is', 'pairs are')} no longer readable</h3>
    <ul>
      {#each impact.lost.slice(0, 6) as pair (pair.surface + pair.role + pair.ground + pair.where)}
        <li>
          {pair.role} on {pair.ground}, {pair.surface} surface{pair.where ? ` (${pair.where})` : ''}:
          <span class="value">{ratio(pair.before)} → {ratio(pair.after)}</span>, needed {pair.needed}
        </li>
      {/each}
    </ul>
  </div>
{/if}
{#if impact.won.length}
  <p class="mb-4 border-l-4 border-good pl-3">
    {counted(impact.won.length, 'pair becomes', 'pairs become')} readable, such as {impact.won[0]?.role} on the {impact.won[0]?.surface} surface.
  </p>
{/if}
<ul class="space-y-3">
  {#each impact.sites as site (site.slug)}
    <li>
      <div class="flex items-baseline gap-3">
        <span class="w-40 shrink-0 truncate font-semibold">{site.name}</span>
        <span class="h-3 min-w-0 grow self-center bg-sunk" aria-hidden="true"
          ><span class="block h-full bg-ink" style:width="{(site.spots / most) * 100}%"></span></span
        >
        <span class="value w-24 shrink-0 text-right">{counted(site.spots, 'spot', 'spots')}</span>
      </div>
      <p class="text-xs text-muted">
        against {site.standsOn}{site.untouched
          ? `; ${counted(site.untouched, 'page stays', 'pages stay')} as ${site.untouched === 1 ? 'it is' : 'they are'}`
          : ''}{site.kept ? `; ${counted(site.kept, 'spot keeps', 'spots keep')} the site’s own values` : ''}
      </p>
      {#each site.choices as one (one.choice)}
        <p class="text-xs text-muted">
          {one.choice}: <span class="text-ink">{one.after}</span>, before: {one.before}; {counted(one.spots, 'spot', 'spots')}
        </p>
      {/each}
      <ul class="mt-1 flex flex-wrap gap-1">
        {#each site.pages as page (page.page)}
          {@const id = `${site.slug}/${page.page}`}
          <li>
            <button
              class="rounded-sm border px-2 py-0.5 text-xs {looked === id ? 'border-ink bg-chosen' : 'border-border hover:bg-hover'}"
              aria-pressed={looked === id}
              title={page.roles.join(', ')}
              onclick={() => onlook(site, page.page)}>{page.title} <span class="value text-muted">{page.spots}</span></button
            >
          </li>
        {/each}
        {#if site.more}<li class="px-1 text-xs text-muted">and {site.more} more</li>{/if}
      </ul>
    </li>
  {/each}
</ul>
{#if impact.untouched.length}
  <p class="mt-3 text-muted">Nothing changes on {impact.untouched.join(', ')}.</p>
{/if}
