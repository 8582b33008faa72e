<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { counted } from '$lib/ui/words';

  /** What was found on the sites of a stage after it went, and was not there before. */
  let { found }: { found: Schemas['StageFound'] } = $props();

  const worse = $derived(found.sites.filter((site) => site.fresh > 0));
  const gone = $derived(found.sites.reduce((sum, site) => sum + site.gone, 0));
</script>

{#if worse.length === 0}
  <p class="text-xs text-good">
    Nothing new was found after it{gone ? `, and ${counted(gone, 'finding is', 'findings are')} no more` : ''}.
  </p>
{:else}
  <ul class="text-xs">
    {#each worse as site (site.slug)}
      <li class="border-l-2 pl-2 {site.must ? 'border-must' : 'border-should'}">
        <span class="font-semibold">{site.name}</span>: {counted(site.fresh, 'finding is', 'findings are')} new{site.must
          ? `, ${site.must} to be mended`
          : ''}
        {#each site.told as one (one.message)}<span class="block text-muted">{one.message}</span>{/each}
      </li>
    {/each}
  </ul>
{/if}
{#if found.more}<p class="text-xs text-muted">{counted(found.more, 'more site was', 'more sites were')} not looked at.</p>{/if}
