<script lang="ts">
  import { toast } from 'svelte-sonner';
  import { api, ask, store, said, type Schemas } from '$lib/api/client';
  import { size } from '$lib/kit/asked';
  import { at, counted } from '$lib/ui/words';

  /** Where a site is delivered to, what a delivery would do, and how far one is. */
  let {
    slug,
    delivery,
    wanted,
    onchange
  }: {
    slug: string;
    delivery: Schemas['SiteDelivery'];
    /** The build that is looked at before it is delivered; 0 for none. */
    wanted: number;
    onchange: (delivery: Schemas['SiteDelivery'], arrived: boolean) => void;
  } = $props();

  let hosts = $state.raw<Schemas['HostView'][]>([]);
  let choosing = $state(false);
  let host = $state('');
  let place = $state('');
  let plan = $state.raw<Schemas['PlanView'] | null>(null);
  let looked = $state(0);
  let message = $state('');
  let busy = $state(false);

  const path = $derived({ path: { site: slug } });
  const last = $derived(delivery.deliveries[0]);
  const going = $derived(last?.state === 'going' ? last : undefined);

  // While one goes on it is asked how far it is.
  $effect(() => {
    if (!going) return;
    const timer = setTimeout(async () => {
      try {
        const now = await ask(() => api.GET('/api/sites/{site}/deliveries', { params: path }));
        onchange(now, now.deliveries[0]?.state !== 'going');
      } catch {
        onchange({ ...delivery }, false);
      }
    }, 500);
    return () => clearTimeout(timer);
  });

  $effect(() => {
    if (wanted && wanted !== looked) void look(wanted);
    if (!wanted) {
      plan = null;
      looked = 0;
      message = '';
    }
  });

  async function look(number: number) {
    looked = number;
    plan = null;
    message = '';
    try {
      plan = await store(() => api.POST('/api/sites/{site}/deliveries/plan', { params: path, body: { number } }));
    } catch (e) {
      message = said(e);
    }
  }

  async function change(refused: string, what: () => Promise<Schemas['SiteDelivery']>) {
    busy = true;
    try {
      onchange(await what(), true);
      choosing = false;
    } catch (e) {
      toast.error(refused, { description: said(e) });
    } finally {
      busy = false;
    }
  }
  const start = (number: number) =>
    change('Nothing was sent.', () => store(() => api.POST('/api/sites/{site}/deliveries', { params: path, body: { number } })));
  const stop = (id: number) =>
    change('It goes on.', () => store(() => api.DELETE('/api/sites/{site}/deliveries/{id}', { params: { path: { site: slug, id } } })));
  const serve = () =>
    change('The host stayed.', () => store(() => api.PUT('/api/sites/{site}/host', { params: path, body: { host: Number(host), place } })));
  const takeOff = () => change('The host stayed.', () => store(() => api.DELETE('/api/sites/{site}/host', { params: path })));

  async function choose() {
    const found = await ask(() => api.GET('/api/hosts'));
    hosts = found.hosts;
    host = String(delivery.host ?? hosts[0]?.id ?? '');
    place = delivery.place || slug;
    choosing = true;
  }

  const STATES: Record<string, string> = { done: 'arrived', stopped: 'stopped', failed: 'did not arrive', broken: 'broken off' };
  const share = (one: Schemas['DeliveryView']) => (one.ofBytes ? (100 * one.bytes) / one.ofBytes : 0);
</script>

<div class="max-w-md">
  {#if delivery.host}
    <p>
      On <a class="font-semibold text-link underline underline-offset-2" href="/hosts">{delivery.name}</a> as
      <span class="value">{delivery.place}</span>
      {#if delivery.seen}
        · <a class="text-link underline underline-offset-2" href={delivery.seen} target="_blank" rel="noopener">as readers see it</a>
      {/if}
    </p>
  {:else}
    <p class="text-muted">Readers see it at an address of this application; it has no host.</p>
  {/if}

  {#if choosing}
    <div class="mt-2 flex flex-wrap items-end gap-2">
      {#if hosts.length}
        <label class="flex flex-col"
          ><span class="caption">Host</span><select class="field" bind:value={host}>
            {#each hosts as one (one.id)}<option value={String(one.id)}>{one.name}</option>{/each}
          </select></label
        >
        <label class="flex w-40 flex-col"
          ><span class="caption">Its folder there</span><input
            class="field value"
            bind:value={place}
            maxlength="60"
            spellcheck="false"
          /></label
        >
        <button class="button button-strong" disabled={busy} onclick={serve}>Bring it there</button>
      {:else}
        <p>There is no host yet. <a class="text-link underline underline-offset-2" href="/hosts">Make one known</a>.</p>
      {/if}
      <button class="button" onclick={() => (choosing = false)}>Leave it</button>
    </div>
  {:else if !going}
    <div class="mt-1 flex gap-2">
      <button class="button button-quiet -ml-2.5" onclick={choose}>{delivery.host ? 'Another host' : 'Choose a host'}</button>
      {#if delivery.host}<button class="button button-quiet" disabled={busy} onclick={takeOff}>No host</button>{/if}
    </div>
  {/if}

  {#if going}
    <div class="mt-3" role="status">
      <p>
        Build {going.number} on its way: <span class="value">{going.files}</span> of {counted(going.ofFiles, 'file', 'files')} there,
        {size(going.bytes)} of {size(going.ofBytes)}
      </p>
      <div class="mt-1 h-2 bg-sunk"><div class="bar h-2 bg-accent" style:width="{share(going)}%"></div></div>
      <button class="button mt-2" disabled={busy} onclick={() => stop(going.id)}>Stop</button>
    </div>
  {:else if last && delivery.host && last.state !== 'done'}
    <div class="mt-3 border-l-4 border-must pl-3" role="alert">
      <p class="font-semibold">Build {last.number} {STATES[last.state] ?? last.state}, {at(last.endedAt || last.startedAt)}</p>
      <p>{last.said}</p>
      <button class="button mt-1" disabled={busy} onclick={() => start(last.number)}>Deliver it again</button>
    </div>
  {:else if last?.said && delivery.host}
    <p class="mt-2 text-muted">{last.said}</p>
  {/if}

  {#if delivery.host && wanted && !going}
    <div class="mt-3 border-l-4 border-should pl-3" aria-live="polite">
      <p class="font-semibold">What bringing build {wanted} there would do</p>
      {#if message}
        <p role="alert">{message}</p>
      {:else if !plan}
        <p class="text-muted">Looking at the host …</p>
      {:else}
        {#if plan.there}
          <p>It is there already, whole. It would only be switched to.</p>
        {:else}
          <p>
            {counted(plan.send.length, 'file', 'files')} would be sent, {size(plan.bytes)}{plan.linked
              ? `; ${counted(plan.linked, 'file is', 'files are')} there already`
              : ''}. Then it is read back, and switched in one step.
          </p>
          <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
          <ul class="mt-1 max-h-36 overflow-auto" aria-label="Files that would be sent" tabindex="0">
            {#each [...plan.send].sort((a, b) => b.bytes - a.bytes) as file (file.path)}
              <li class="flex gap-2">
                <span class="value min-w-0 grow truncate">{file.path}</span><span class="text-muted">{size(file.bytes)}</span>
              </li>
            {/each}
          </ul>
        {/if}
        {#if plan.remove.length}
          <p class="text-muted">{counted(plan.remove.length, 'old build', 'old builds')} would be removed from the host.</p>
        {/if}
        <button class="button button-strong mt-2" disabled={busy} onclick={() => start(wanted)}
          >{plan.there ? `Switch to build ${wanted}` : `Deliver build ${wanted}`}</button
        >
      {/if}
    </div>
  {/if}
</div>
