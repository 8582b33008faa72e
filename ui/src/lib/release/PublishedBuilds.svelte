<script lang="ts">
  import { toast } from 'svelte-sonner';
  import { api, ask, store, said, type Schemas } from '$lib/api/client';
  import SiteHost from '$lib/deliver/SiteHost.svelte';
  import { size } from '$lib/kit/asked';
  import { at, counted } from '$lib/ui/words';

  /** What readers see of a site, what is waiting for them, and the builds between which it is chosen. */
  let {
    slug,
    seen
  }: {
    slug: string;
    /** Changes when what would be built does. */
    seen: string;
  } = $props();

  let published = $state.raw<Schemas['Published'] | null>(null);
  let delivery = $state.raw<Schemas['SiteDelivery'] | null>(null);
  /** The build that is looked at before it is brought to the host. */
  let wanted = $state(0);
  let busy = $state(false);

  $effect(() => {
    void seen;
    void read();
    void ask(() => api.GET('/api/sites/{site}/deliveries', { params: { path: { site: slug } } })).then((found) => (delivery = found));
  });

  async function read() {
    const of = { path: { site: slug } };
    published = await ask(() => api.GET('/api/sites/{site}/builds', { params: of }));
  }

  function delivered(now: Schemas['SiteDelivery'], arrived: boolean) {
    delivery = now;
    if (arrived) {
      wanted = 0;
      void read();
    }
  }

  async function change(what: () => Promise<Schemas['Published']>, refused: string) {
    busy = true;
    try {
      published = await what();
    } catch (e) {
      toast.error(refused, { description: said(e) });
    } finally {
      busy = false;
    }
  }
  const path = $derived({ path: { site: slug } });
  const build = () => change(() => store(() => api.POST('/api/sites/{site}/builds', { params: path })), 'No build was made.');
  const live = (number: number) =>
    delivery?.host
      ? (wanted = number)
      : change(() => store(() => api.PUT('/api/sites/{site}/builds/live', { params: path, body: { number } })), 'What is live stayed.');

  const now = $derived(published?.builds.find((one) => one.live));
  const newest = $derived(published?.builds[0]);
  /** What of the draft is not live, in words. */
  const waiting = $derived.by(() => {
    if (!published || !now) return '';
    const parts = [
      ...(published.edits ? [counted(published.edits, 'edit of its pages', 'edits of its pages')] : []),
      ...(published.standsOn && published.standsOn !== now.release ? [`${published.standsOn} of its theme`] : [])
    ];
    return parts.length ? `Waiting: ${parts.join(' and ')}.` : 'Nothing is waiting: what is live is what is here.';
  });
</script>

{#if published && delivery}
  <div class="grid items-start gap-x-10 gap-y-3 lg:grid-cols-[minmax(0,20rem)_minmax(0,1fr)_minmax(0,23rem)]">
    <div>
      {#if now}
        <p>
          <span class="rounded-sm bg-good px-1.5 py-0.5 text-xs font-semibold text-on-accent">live</span>
          <a
            class="font-display ml-1 text-2xl text-heading underline-offset-4 hover:underline"
            href={delivery.seen || now.address}
            target="_blank"
            rel="noopener">Build {now.number}</a
          >
          <span class="text-muted">in {now.release}, since {at(published.before[0]?.since ?? now.at)}</span>
        </p>
        <p class="mt-1 text-muted">{waiting}</p>
      {:else if published.standsOn}
        <p class="text-muted">
          Nothing of it is live yet. A build is the site as it is now, in {published.standsOn}; it stays as it was made.
        </p>
      {:else}
        <p class="text-muted">Nothing of it is live. It has to stand on a release first: a draft is never published.</p>
      {/if}
      <div class="mt-2 flex gap-2">
        {#if newest?.same && !newest.live}
          <button class="button button-strong" disabled={busy} onclick={() => live(newest.number)}>
            {delivery.host ? `Bring build ${newest.number} to ${delivery.name}` : `Put build ${newest.number} live`}
          </button>
        {:else}
          <button
            class="button {newest?.same ? '' : 'button-strong'}"
            disabled={busy || !published.standsOn || newest?.same}
            onclick={build}
          >
            {newest?.same ? 'Built as it is' : 'Make a build'}
          </button>
        {/if}
      </div>
    </div>
    {#if published.builds.length}
      <ol class="max-h-40 overflow-auto border-l-2 border-border pl-3" aria-label="Builds, the newest first">
        {#each published.builds as one (one.number)}
          <li class="flex items-baseline gap-3 py-0.5">
            <a class="whitespace-nowrap text-link underline underline-offset-2" href={one.address} target="_blank" rel="noopener"
              >Build {one.number}</a
            >
            <span class="value">{one.release}</span>
            <span class="text-xs text-muted">{size(one.bytes)}, {at(one.at)}, {one.person}</span>
            <span class="ml-auto">
              {#if one.live}<span class="text-xs font-semibold text-good">live</span>
              {:else}<button
                  class="button button-quiet h-6 px-1.5"
                  disabled={busy}
                  onclick={() => live(one.number)}
                  aria-expanded={delivery.host ? wanted === one.number : undefined}
                  >{now && one.number < now.number ? 'Go back to it' : delivery.host ? 'Deliver' : 'Put it live'}</button
                >{/if}
            </span>
          </li>
        {/each}
      </ol>
    {:else}<span></span>{/if}
    <SiteHost {slug} {delivery} {wanted} onchange={delivered} />
  </div>
{/if}
