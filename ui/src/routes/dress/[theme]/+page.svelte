<script lang="ts">
  import { onDestroy, onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { api, said } from '$lib/api/client';
  import { session } from '$lib/account/session.svelte';
  import { Dressing } from '$lib/dress/dressing.svelte';
  import OwnTokens from '$lib/dress/OwnTokens.svelte';
  import Roles from '$lib/dress/Roles.svelte';
  import Threads from '$lib/dress/Threads.svelte';
  import Bay from '$lib/site/Bay.svelte';
  import { BayState, EDGE } from '$lib/site/bays.svelte';
  import { Bench } from '$lib/theme/bench.svelte';
  import ClashDialog from '$lib/theme/ClashDialog.svelte';

  let dressing = $state.raw<Dressing | null>(null);
  let problem = $state('');
  let room = $state(0);
  let moved = $state(0);
  let busy = $state(false);
  let stop: (() => void) | undefined;
  onDestroy(() => stop?.());

  onMount(async () => {
    const { data } = await api.GET('/api/session');
    if (!data) return goto(`/sign-in?to=${encodeURIComponent(page.url.pathname)}`);
    session.name = data.name;
    const bench = new Bench(Number(page.params.theme));
    try {
      await bench.load();
      const specimen = bench.sites.find((site) => site.specimen);
      bench.bays = [new BayState(specimen?.slug ?? '', specimen?.pages[0]?.slug ?? '', 760, { ...bench.working })];
      stop = bench.listen();
      const fresh = new Dressing(bench);
      await fresh.read();
      dressing = fresh;
    } catch (e) {
      problem = said(e);
    }
  });

  const bay = $derived(dressing?.bench.bays[0]);
  const scale = $derived(bay ? Math.max(0.1, Math.min(1, (room - EDGE) / bay.width)) : 1);
  const failing = $derived(dressing?.bench.shown?.findings.filter((one) => one.code === 'contrast').length ?? 0);

  async function take() {
    if (!dressing) return;
    busy = true;
    if (await dressing.take()) await goto(`/bench/${dressing.bench.id}`);
    busy = false;
  }
</script>

<svelte:head><title>Dress {dressing?.view?.name ?? ''} · Umber Loom</title></svelte:head>
<svelte:window onresize={() => moved++} />

{#if dressing?.view}
  <div class="flex h-screen min-w-[64rem] flex-col overflow-hidden">
    <header class="flex h-11 shrink-0 items-center gap-3 border-b border-line px-3">
      <a class="text-muted hover:text-ink" href="/bench/{dressing.bench.id}">Bench</a>
      <span class="h-5 w-px bg-line"></span>
      <h1 class="font-display truncate text-lg leading-none text-heading">Dress {dressing.view.name}</h1>
      <p class="min-w-0 truncate text-muted">
        {dressing.count}
        {dressing.count === 1 ? 'role' : 'roles'} given tokens{#if dressing.lacking > 0}, {dressing.lacking} core {dressing.lacking === 1
            ? 'role'
            : 'roles'} on fallbacks{/if}{#if dressing.view.more > 0}; {dressing.view.more} more tokens are not listed{/if}
      </p>
      <span class="grow"></span>
      {#if failing > 0}<span class="text-must">{failing} {failing === 1 ? 'pair' : 'pairs'} cannot be read</span
        >{:else if dressing.count > 0}<span class="text-good">All pairs readable</span>{/if}
      <button class="button button-strong" disabled={busy || dressing.count === 0} onclick={take}>Take these roles</button>
    </header>
    <main class="flex min-h-0 grow">
      <section class="w-[19rem] shrink-0" aria-label="The theme’s own tokens"><OwnTokens {dressing} onmoved={() => moved++} /></section>
      <Threads {dressing} {moved} />
      <section class="flex w-[25rem] shrink-0 flex-col" aria-label="Roles">
        <p class="border-b border-border px-4 py-2 text-muted">
          {#if dressing.row}<span class="font-semibold text-ink">{dressing.row.path.replace(/^surface\.page\./, '')}</span>: {dressing.row
              .purpose}.{:else}Choose a role, then a token.{/if}
        </p>
        <div class="min-h-0 grow"><Roles {dressing} onmoved={() => moved++} /></div>
      </section>
      <div class="flex min-w-0 grow border-l border-line" bind:clientWidth={room}>
        {#if bay && room > 0}<Bay bench={dressing.bench} {bay} number={1} {scale} alone={true} closable={false} />{/if}
      </div>
    </main>
  </div>
  <ClashDialog bench={dressing.bench} />
{:else if problem}
  <main class="mx-auto max-w-md px-6 py-24 text-center">
    <h1 class="font-display text-2xl text-heading">There is nothing to dress here</h1>
    <p class="mt-2 mb-6 text-muted">{problem}</p>
    <a class="button h-9" href="/library">Back to the library</a>
  </main>
{/if}
