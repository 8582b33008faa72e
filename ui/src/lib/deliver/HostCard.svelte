<script lang="ts">
  import { toast } from 'svelte-sonner';
  import { api, store, said, type Schemas } from '$lib/api/client';
  import HostForm from './HostForm.svelte';

  /** A host: the line to it with a knot for each thing that a delivery needs, and the sites that stand there. */
  let {
    host,
    folders,
    secrets,
    onchange
  }: { host: Schemas['HostView']; folders: string[]; secrets: boolean; onchange: (hosts: Schemas['Hosts']) => void } = $props();

  let steps = $state.raw<Schemas['Trial'][] | null>(null);
  let busy = $state(false);
  let changing = $state(false);
  let leaving = $state(false);

  async function tried(refused: string, work: () => Promise<unknown>) {
    busy = true;
    try {
      await work();
    } catch (e) {
      toast.error(refused, { description: said(e) });
    } finally {
      busy = false;
    }
  }
  const path = $derived({ path: { id: host.id } });
  const trial = () =>
    tried('It was not tried.', async () => {
      steps = null;
      steps = await store(() => api.POST('/api/hosts/{id}/trial', { params: path }));
    });
  const remove = () => tried('It stays.', async () => onchange(await store(() => api.DELETE('/api/hosts/{id}', { params: path }))));

  /** What keeps a site from being delivered there; a host without second names is only slower. */
  const broken = $derived(steps?.find((one) => one.stops));
</script>

<article class="border-b border-line py-6" aria-labelledby="host-{host.id}">
  <div class="flex flex-wrap items-baseline gap-x-4">
    <h2 class="font-display text-2xl text-heading" id="host-{host.id}">{host.name}</h2>
    <p class="value text-muted">
      {host.kind === 'sftp' ? `${host.account}@${host.address}:${host.port}` : host.folder}{host.kind === 'sftp' && host.folder
        ? ` /${host.folder.replace(/^\//, '')}`
        : ''}
    </p>
    <div class="ml-auto flex gap-2">
      <button class="button" disabled={busy} onclick={trial} aria-label="Try {host.name}">Try it</button>
      <button class="button button-quiet" onclick={() => (changing = !changing)} aria-expanded={changing} aria-label="Change {host.name}"
        >Change</button
      >
      {#if leaving}
        <button class="button border-must text-must" disabled={busy} onclick={remove}>Remove it for good</button>
        <button class="button" onclick={() => (leaving = false)}>Keep it</button>
      {:else}
        <button class="button button-quiet text-muted" onclick={() => (leaving = true)} aria-label="Remove {host.name}">Remove</button>
      {/if}
    </div>
  </div>

  {#if changing}
    <div class="mt-4">
      <HostForm
        {host}
        {folders}
        {secrets}
        ondone={(hosts) => {
          changing = false;
          steps = null;
          if (hosts) onchange(hosts);
        }}
      />
    </div>
  {/if}

  <div class="mt-3 grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(16rem,22rem)]">
    <div>
      {#if steps}
        <ol aria-label="What was tried at {host.name}">
          {#each steps as one, i (one.step)}
            {@const color = one.works ? 'var(--surface-good)' : one === broken ? 'var(--surface-must)' : 'var(--surface-should)'}
            <li class="flex min-h-7 gap-3">
              <svg class="shrink-0" width="18" height="28" viewBox="0 0 18 28" aria-hidden="true">
                {#if i > 0}<path d="M9 0v4" stroke={color} stroke-width="2" />{/if}
                {#if i < steps.length - 1}<path d="M9 16v12" stroke={color} stroke-width="2" />{/if}
                <circle cx="9" cy="10" r="6" fill={one.works ? color : 'var(--surface-ground)'} stroke={color} stroke-width="2" />
                {#if !one.works}<path d="M6.5 7.5l5 5m0-5l-5 5" stroke={color} stroke-width="2" />{/if}
              </svg>
              <span
                >{one.step}{#if !one.works}: <span class="font-semibold" class:text-must={one === broken}>not</span
                  >{/if}{#if one.said && one !== broken}<span class="text-muted">. {one.said}</span>{/if}</span
              >
            </li>
          {/each}
        </ol>
        {#if broken}<p class="mt-2 border-l-4 border-must pl-3" role="alert">{broken.said}</p>{/if}
      {:else}
        <p class="max-w-prose text-muted">
          {busy
            ? 'Trying everything that a delivery does …'
            : 'Try it: everything that a delivery does is done there with two small files, and removed again.'}
        </p>
      {/if}
      {#if host.pinned}
        <p class="mt-2 text-xs text-muted">Known by <span class="value break-all">{host.pinned}</span></p>
      {/if}
      {#if host.publicKey}
        <label class="mt-2 block"
          ><span class="caption">Its line for authorized_keys on the host</span><input
            class="field value w-full text-xs"
            readonly
            value={host.publicKey}
            data-stored
            onfocus={(e) => e.currentTarget.select()}
          /></label
        >
      {/if}
    </div>
    <div>
      <h3 class="font-semibold">Sites there</h3>
      {#if host.sites.length}
        <ul aria-label="Sites on {host.name}">
          {#each host.sites as one (one.site)}
            <li class="flex min-h-8 items-center gap-3 border-b border-border">
              <a class="text-link underline underline-offset-2" href="/sites/{one.site}">{one.name}</a>
              <span class="value text-muted">{one.place}</span>
              <span class="ml-auto">
                {#if one.address}
                  <a class="text-link underline underline-offset-2" href={one.address} target="_blank" rel="noopener">Build {one.live}</a>
                {:else}
                  <span class="text-muted">{one.live ? `Build ${one.live}` : 'nothing arrived yet'}</span>
                {/if}
              </span>
            </li>
          {/each}
        </ul>
      {:else}
        <p class="text-muted">None yet. A site chooses its host on its own screen, under “What readers see”.</p>
      {/if}
    </div>
  </div>
</article>
