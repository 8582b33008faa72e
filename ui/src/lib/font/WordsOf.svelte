<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type Schemas } from '$lib/api/client';
  import { sampleOf, type Sample } from './specimen';

  /** Takes words and colors from the first page of a theme that is chosen, as its sites wear it. */
  let { sample = $bindable(null), theme = $bindable(0) }: { sample: Sample | null; theme: number } = $props();

  let themes = $state.raw<Schemas['Card'][]>([]);
  let source = $state('');

  onMount(async () => {
    themes = (await ask(() => api.GET('/api/themes'))).cards.filter((one) => !one.fault);
  });

  async function choose(id: number) {
    theme = id;
    sample = null;
    source = '';
    if (!id) return;
    const sites = await ask(() => api.GET('/api/sites', { params: { query: { theme: id } } }));
    const site = sites.find((one) => !one.specimen && one.pages.length) ?? sites.find((one) => one.pages.length);
    const page = site?.pages[0];
    if (site && page && theme === id) source = `/preview/${id}/draft/site/${site.slug}/${page.slug}.html?still=true`;
  }
</script>

<label class="flex items-center gap-2">
  <span class="text-muted">In the words and colors of</span>
  <select class="field w-44" value={theme} onchange={(event) => void choose(Number(event.currentTarget.value))}>
    <option value={0}>nobody</option>
    {#each themes as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
  </select>
</label>
{#if source}
  <iframe
    class="sr-only"
    src={source}
    title="A page of the theme"
    tabindex="-1"
    aria-hidden="true"
    sandbox="allow-same-origin"
    onload={(event) => (sample = sampleOf((event.currentTarget as HTMLIFrameElement).contentDocument ?? undefined))}
  ></iframe>
{/if}
