<script lang="ts">
  import { onMount } from 'svelte';
  import FileUp from '@lucide/svelte/icons/file-up';
  import Plus from '@lucide/svelte/icons/plus';
  import Search from '@lucide/svelte/icons/search';
  import { toast } from 'svelte-sonner';
  import { api, ask, store, said, type Schemas } from '$lib/api/client';
  import { arrived } from '$lib/account/arriving';
  import { session } from '$lib/account/session.svelte';
  import AlikeRow from '$lib/site/AlikeRow.svelte';
  import BringIn from '$lib/site/BringIn.svelte';
  import Cloth from '$lib/site/Cloth.svelte';
  import ClothCell from '$lib/site/ClothCell.svelte';
  import NewSite from '$lib/site/NewSite.svelte';
  import { refused } from '$lib/ui/refused';
  import Masthead from '$lib/ui/Masthead.svelte';

  let cloth = $state.raw<Schemas['Cloth'] | null>(null);
  let alike = $state.raw<{ theme: number; groups: Schemas['LikeView'][] }[]>([]);
  let standings = $state.raw<Record<number, Schemas['StandingsView']>>({});
  let away = $state.raw<Schemas['AwayView'][]>([]);
  let search = $state('');
  let order = $state<'name' | 'difference'>('name');
  let creating = $state(false);
  let bringing = $state(false);
  let problem = $state('');

  async function read() {
    try {
      cloth = await ask(() => api.GET('/api/cloth'));
      away = await ask(() => api.GET('/api/sites-away'));
      const worn = [...new Set(cloth.rows.map((row) => row.themeId))];
      const found = await Promise.all(worn.map((id) => ask(() => api.GET('/api/themes/{id}/standings', { params: { path: { id } } }))));
      standings = Object.fromEntries(worn.map((id, i) => [id, found[i]!]));
      const themes = [...new Set(cloth.rows.filter((row) => row.crossings.some((one) => one.strays)).map((row) => row.themeId))];
      alike = await Promise.all(
        themes.map(async (theme) => ({ theme, groups: await ask(() => api.GET('/api/strays', { params: { query: { theme } } })) }))
      );
    } catch (e) {
      problem = said(e);
    }
  }

  onMount(async () => {
    if (!(await arrived('/sites'))) return;
    await read();
  });

  const difference = (row: Schemas['ClothRow']) => row.crossings.reduce((sum, one) => sum + one.overrides + one.strays, 0);
  const found = $derived(
    (cloth?.rows ?? [])
      .filter((row) => row.name.toLowerCase().includes(search.trim().toLowerCase()))
      .sort((a, b) => (order === 'difference' ? difference(b) - difference(a) : a.name.localeCompare(b.name)))
  );
  /** One cloth for each theme, the one that most sites wear first. */
  const cloths = $derived.by(() => {
    const byTheme: { id: number; name: string; rows: Schemas['ClothRow'][] }[] = [];
    for (const row of found) {
      const known = byTheme.find((one) => one.id === row.themeId);
      if (known) known.rows.push(row);
      else byTheme.push({ id: row.themeId, name: row.theme, rows: [row] });
    }
    return byTheme.sort((a, b) => b.rows.length - a.rows.length);
  });

  async function bringBack(site: string) {
    try {
      await store(() => api.DELETE('/api/sites/{site}/away', { params: { path: { site } } }));
    } catch (e) {
      toast.error('Not brought back.', { description: said(e) });
    }
    await read();
  }

  const named = (group: Schemas['LikeView']) => group.strays.map(({ site, id }) => ({ site, id }));

  /** Does something to the strays of several sites; one step takes it back in all of them. Resolves to why it was refused. */
  async function does(words: string, work: () => Promise<Schemas['Entry'][]>): Promise<string> {
    let reason = '';
    try {
      const entries = await work();
      toast.success(words, { action: { label: 'Undo', onClick: () => void takeBack(entries) } });
    } catch (e) {
      reason = refused(e);
    }
    await read();
    return reason;
  }

  async function takeBack(entries: Schemas['Entry'][]) {
    try {
      await store(() => api.POST('/api/strays/take-back', { body: { entries } }));
    } catch (e) {
      toast.error('Nothing was taken back.', { description: said(e) });
    }
    await read();
  }

  const giveBack = (group: Schemas['LikeView']) =>
    does(`${group.strays.length} back to the theme`, () => store(() => api.POST('/api/strays/return', { body: { strays: named(group) } })));
  const lift = (theme: number, group: Schemas['LikeView'], path: string) =>
    does(`${group.strays.length} spots take ${path}`, () =>
      store(() => api.POST('/api/strays/lift', { body: { theme, path, reason: '', strays: named(group) } }))
    );
</script>

<svelte:head><title>Sites · Umber Loom</title></svelte:head>

{#if session.name}
  <Masthead />
  <main class="mx-auto max-w-6xl px-6 py-8">
    <div class="mb-5 flex flex-wrap items-end gap-3">
      <div>
        <h1 class="font-display text-3xl leading-tight text-heading">Sites</h1>
        <p class="text-muted">
          Each site is a thread through its theme: plain where it follows, knotted or frayed where it does not, pale where it stands on an
          older release.
        </p>
      </div>
      <button class="button ml-auto h-9" onclick={() => (bringing = true)}><FileUp size={16} aria-hidden="true" /> Bring one in</button>
      <button class="button button-strong h-9" onclick={() => (creating = true)}><Plus size={16} aria-hidden="true" /> New site</button>
    </div>

    <div class="mb-6 flex flex-wrap items-center gap-x-5 gap-y-2 border-y border-border py-2">
      <label class="relative flex items-center">
        <span class="sr-only">Search sites by name</span>
        <Search class="pointer-events-none absolute left-2 text-muted" size={14} aria-hidden="true" />
        <input class="field w-56 pl-7" type="search" placeholder="Search by name" maxlength="100" bind:value={search} />
      </label>
      <label class="flex items-center gap-2"
        ><span class="text-muted">In order of</span>
        <select class="field" bind:value={order}><option value="name">name</option><option value="difference">difference</option></select
        ></label
      >
      <!-- What the threads mean. -->
      <dl class="ml-auto flex items-center gap-5">
        {#each [{ what: 'follows the theme', overrides: 0, strays: 0 }, { what: 'values of its own', overrides: 1, strays: 0 }, { what: 'strays', overrides: 0, strays: 1 }] as one (one.what)}
          <div class="flex items-center gap-2">
            <dt class="w-20 overflow-hidden">
              <ClothCell threads={['var(--surface-muted)']} overrides={one.overrides} strays={one.strays} />
            </dt>
            <dd class="caption">{one.what}</dd>
          </div>
        {/each}
      </dl>
    </div>

    {#if problem}<p class="mb-6 border-l-4 border-must bg-raised px-4 py-3" role="alert">{problem}</p>{/if}

    {#if cloth && cloth.rows.length === 0}
      <div class="border border-dashed border-line px-8 py-16 text-center">
        <h2 class="font-display text-xl text-heading">No site wears a theme yet</h2>
        <p class="mx-auto mt-2 mb-6 max-w-md text-muted">Create one with a few pages to begin with; it takes the theme’s look by itself.</p>
        <button class="button button-strong h-9" onclick={() => (creating = true)}>Create the first site</button>
      </div>
    {:else if cloth && found.length === 0}
      <p class="py-8 text-center text-muted">
        No site is called so. <button class="button ml-2" onclick={() => (search = '')}>Show all</button>
      </p>
    {/if}

    {#each cloths as one (one.id)}
      <section class="mb-8" aria-label="Sites that wear {one.name}">
        <h2 class="mb-1 flex items-baseline gap-3">
          <a class="font-display text-lg text-heading hover:underline" href="/bench/{one.id}">{one.name}</a>
          <span class="caption">{one.rows.length} {one.rows.length === 1 ? 'site' : 'sites'}</span>
          <a class="ml-auto text-link underline underline-offset-2" href="/coverage/{one.id}">Where its roles are taken</a>
        </h2>
        <Cloth groups={cloth?.groups ?? []} rows={one.rows} standings={standings[one.id]} />
      </section>
    {/each}

    {#if alike.some((one) => one.groups.length)}
      <section aria-labelledby="strays">
        <h2 class="font-display text-xl text-heading" id="strays">Strays</h2>
        <p class="mb-3 text-muted">Values written by hand that hide a role, those that are one to the eye together.</p>
        <ul class="border-t border-border">
          {#each alike as one (one.theme)}
            {#each one.groups as group (group.words)}
              <AlikeRow
                {group}
                theme={one.theme}
                onreturn={async () => void (await giveBack(group))}
                onlift={(path) => lift(one.theme, group, path)}
              />
            {/each}
          {/each}
        </ul>
      </section>
    {/if}
    {#if away.length}
      <section class="mt-10" aria-labelledby="away">
        <h2 class="font-display text-xl text-heading" id="away">Put away</h2>
        <ul class="mt-1">
          {#each away as one (one.slug)}
            <li class="flex items-center gap-3 border-t border-border py-1">
              <a class="grow text-link underline underline-offset-2" href="/sites/{one.slug}">{one.name}</a>
              <span class="caption">since {new Date(one.at).toLocaleDateString()}</span>
              <button class="button" aria-label="Bring back {one.name}" onclick={() => bringBack(one.slug)}>Bring back</button>
            </li>
          {/each}
        </ul>
      </section>
    {/if}
  </main>
{/if}

<NewSite bind:open={creating} />
<BringIn bind:open={bringing} />
