<script lang="ts">
  import { api, ask, store, said, type Schemas } from '$lib/api/client';
  import { counted } from '$lib/ui/words';

  /** Sites that stand on a release: what readers see of it, and the step that shows it to them. */
  let { sites, release }: { sites: Schemas['StandingView'][]; release: string } = $props();

  /** More are published on their own screens. */
  const MOST = 40;
  const WAIT_MS = 700;

  type Shown = { slug: string; name: string; live: string; host: boolean; state: string };
  let shown = $state<Shown[]>([]);
  let busy = $state(false);

  const key = $derived(sites.map((site) => site.slug).join());
  $effect(() => {
    void key;
    void read();
  });

  async function read() {
    shown = await Promise.all(
      sites.slice(0, MOST).map(async (site) => {
        const params = { path: { site: site.slug } };
        const [published, delivery] = await Promise.all([
          ask(() => api.GET('/api/sites/{site}/builds', { params })),
          ask(() => api.GET('/api/sites/{site}/deliveries', { params }))
        ]);
        const live = published.builds.find((one) => one.live);
        return { slug: site.slug, name: site.name, live: live?.release ?? '', host: !!delivery.host, state: '' };
      })
    );
  }

  const behind = $derived(shown.filter((site) => site.live !== release));

  async function publish() {
    busy = true;
    for (const site of shown) {
      if (site.live === release) continue;
      const params = { path: { site: site.slug } };
      try {
        site.state = 'is built';
        let published = await ask(() => api.GET('/api/sites/{site}/builds', { params }));
        if (!published.builds[0]?.same) published = await store(() => api.POST('/api/sites/{site}/builds', { params }));
        const number = published.builds[0]?.number ?? 0;
        if (site.host) {
          site.state = 'is on its way';
          await store(() => api.POST('/api/sites/{site}/deliveries', { params, body: { number } }));
          site.state = await arrived(site.slug);
        } else {
          await store(() => api.PUT('/api/sites/{site}/builds/live', { params, body: { number } }));
          site.state = '';
        }
        if (!site.state) site.live = release;
      } catch (e) {
        site.state = said(e);
      }
    }
    busy = false;
  }

  /** Waits until a delivery ended; says why it did not arrive. */
  async function arrived(slug: string): Promise<string> {
    for (;;) {
      await new Promise((resolve) => setTimeout(resolve, WAIT_MS));
      const now = await ask(() => api.GET('/api/sites/{site}/deliveries', { params: { path: { site: slug } } }));
      const last = now.deliveries[0];
      if (!last) return 'is not on its way any more';
      if (last.state !== 'going') return last.state === 'done' ? '' : last.said;
    }
  }
</script>

{#if shown.length}
  <section class="mt-4 border-t border-border pt-3" aria-labelledby="readers">
    <h3 class="font-semibold" id="readers">What readers see of it</h3>
    <ul class="mt-1" aria-label="What readers see of {release}">
      {#each shown as site (site.slug)}
        <li class="flex min-h-6 items-baseline gap-2">
          <a class="min-w-0 truncate leading-6 hover:underline" href="/sites/{site.slug}">{site.name}</a>
          {#if site.state}
            <span class="ml-auto text-xs text-muted" role="status">{site.state}</span>
          {:else if site.live === release}
            <span class="ml-auto text-xs font-semibold text-good">live</span>
          {:else}
            <span class="ml-auto text-xs text-muted">{site.live ? `${site.live} is live` : 'nothing is live'}</span>
          {/if}
        </li>
      {/each}
    </ul>
    {#if behind.length}
      <button class="button mt-2" disabled={busy} onclick={publish}
        >{busy ? 'Publishing …' : `Publish ${counted(behind.length, 'site', 'sites')} with it`}</button
      >
    {/if}
    {#if sites.length > MOST}<p class="text-xs text-muted">{sites.length - MOST} more have screens of their own.</p>{/if}
  </section>
{/if}
