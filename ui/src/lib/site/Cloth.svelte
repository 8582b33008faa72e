<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import WeaveMark from '$lib/theme/WeaveMark.svelte';
  import ClothCell from './ClothCell.svelte';
  import { counted } from '$lib/ui/words';

  /** Sites across, groups of roles along: the sites that wear one theme as one cloth. */
  let { groups, rows, standings }: { groups: string[]; rows: Schemas['ClothRow'][]; standings?: Schemas['StandingsView'] } = $props();

  const standsOn = $derived(new Map(standings?.sites.map((site) => [site.slug, site.release])));
  /** Whether a site stands on something older than the newest release; one that stands on none shows the draft. */
  const lags = (row: Schemas['ClothRow']) => !!standsOn.get(row.slug) && standsOn.get(row.slug) !== standings?.latest;

  const NAMES: Record<string, string> = { choice: 'choices' };

  /** The site's accent between the hues of its theme: what can be told from the linen behind it. */
  const threads = ({ weave }: Schemas['ClothRow']) =>
    [weave.weft[1], weave.warp[0], weave.weft[1], weave.warp[1], weave.warp[0]].filter((color) => color !== undefined);

  function said(crossing: Schemas['Crossing']): string {
    const parts = [
      ...(crossing.overrides ? [counted(crossing.overrides, 'value of its own', 'values of its own')] : []),
      ...(crossing.strays ? [counted(crossing.strays, 'stray', 'strays')] : [])
    ];
    return parts.length ? parts.join(', ') : 'follows the theme';
  }
</script>

<table class="w-full table-fixed border-collapse">
  <thead>
    <tr>
      <th class="w-64 pb-1 text-left font-normal"><span class="caption">Site</span></th>
      {#each groups as group (group)}<th class="pb-1 text-left font-normal" scope="col"
          ><span class="caption pl-1">{NAMES[group] ?? group}</span></th
        >{/each}
    </tr>
  </thead>
  <tbody>
    {#each rows as row (row.slug)}
      <tr class="group">
        <th class="p-0 text-left font-normal" scope="row">
          <a class="flex h-11 items-center gap-3 pr-3 hover:bg-hover" href="/sites/{row.slug}">
            <WeaveMark weave={row.weave} size={34} />
            <span class="min-w-0">
              <span class="block truncate font-semibold text-heading">{row.name}</span>
              <span class="caption block truncate"
                >{#if row.fault}<span class="text-must">Cannot be shown</span>{:else}{row.look || 'as the theme stands'} · {counted(
                    row.pages,
                    'page',
                    'pages'
                  )}{standsOn.get(row.slug) ? ` · ${standsOn.get(row.slug)}` : ''}{/if}</span
              >
            </span>
          </a>
        </th>
        {#each row.crossings as crossing (crossing.group)}
          <td class="relative p-0 {lags(row) ? 'bg-ground [&_svg]:opacity-35' : ''}">
            <a
              class="block hover:outline-2 hover:-outline-offset-2 hover:outline-accent focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-accent"
              href="/sites/{row.slug}?group={crossing.group}"
              aria-label="{row.name}, {NAMES[crossing.group] ?? crossing.group}: {said(crossing)}"
              title="{row.name}, {NAMES[crossing.group] ?? crossing.group}: {said(crossing)}"
            >
              <ClothCell threads={threads(row)} overrides={crossing.overrides} strays={crossing.strays} />
            </a>
            {#if crossing.overrides || crossing.strays}
              <span class="value pointer-events-none absolute right-1 bottom-0.5 rounded-[2px] bg-ground px-1 leading-4" aria-hidden="true"
                >{#if crossing.overrides}<span class="text-ink">{crossing.overrides}</span
                  >{/if}{#if crossing.overrides && crossing.strays}<span class="text-muted"> · </span>{/if}{#if crossing.strays}<span
                    class="font-semibold text-must">{crossing.strays}</span
                  >{/if}</span
              >
            {/if}
          </td>
        {/each}
      </tr>
    {/each}
  </tbody>
</table>
