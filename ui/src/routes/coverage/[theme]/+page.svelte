<script lang="ts">
  import { page } from '$app/state';
  import { arrived } from '$lib/account/arriving';
  import { session } from '$lib/account/session.svelte';
  import { api, ask, said, type Schemas } from '$lib/api/client';
  import RoleBars from '$lib/coverage/RoleBars.svelte';
  import Thumb from '$lib/site/Thumb.svelte';
  import Masthead from '$lib/ui/Masthead.svelte';
  import { counted } from '$lib/ui/words';

  const theme = $derived(Number(page.params.theme));
  const of = $derived(page.url.searchParams.get('of') ?? '');
  let roles = $state.raw<Schemas['RoleTaken'][]>([]);
  let taken = $state.raw<Schemas['Taken'] | null>(null);
  let name = $state('');
  let problem = $state('');

  $effect(() => {
    void read(theme, of);
  });

  async function read(id: number, path: string) {
    if (!(await arrived(page.url.pathname))) return;
    try {
      if (!name) {
        const cards = await ask(() => api.GET('/api/cloth'));
        name = cards.rows.find((row) => row.themeId === id)?.theme ?? 'this theme';
        roles = await ask(() => api.GET('/api/coverage', { params: { query: { theme: id } } }));
      }
      const wanted = path || (roles.find((one) => one.hiding)?.path ?? roles[0]?.path ?? '');
      taken = wanted ? await ask(() => api.GET('/api/coverage/spots', { params: { query: { theme: id, of: wanted } } })) : null;
      problem = '';
    } catch (e) {
      problem = said(e);
    }
  }

  const hiding = $derived(taken?.pages.filter((one) => one.hiding) ?? []);
  const plain = $derived(taken?.pages.filter((one) => !one.hiding) ?? []);
  const src = (one: Schemas['PageTaken']) =>
    `/preview/${theme}/draft/site/${one.site}/${one.page}.html?still=true&mark=${encodeURIComponent(taken?.roles.join(',') ?? '')}`;
</script>

<svelte:head><title>{taken?.of ?? 'Coverage'} · Umber Loom</title></svelte:head>

{#snippet pages(all: Schemas['PageTaken'][])}
  <ul class="flex flex-wrap gap-x-5 gap-y-5">
    {#each all as one (`${one.site}/${one.page}`)}
      <li class="w-60">
        <a
          class="block hover:outline-2 hover:outline-accent"
          href="/bench/{theme}?site={one.site}&page={one.page}&role={encodeURIComponent(taken?.roles[0] ?? '')}"
          aria-label="Open “{one.title}” of {one.name} on the bench"
          ><Thumb src={src(one)} title="{one.title} of {one.name}" box={240} height={1000} /></a
        >
        <p class="mt-1 flex items-baseline gap-2">
          <span class="min-w-0 grow truncate"><span class="font-semibold">{one.title}</span> <span class="caption">{one.name}</span></span>
          <span class="caption shrink-0"
            >{one.taking ? counted(one.taking, 'spot', 'spots') : ''}{#if one.hiding}<span class="text-must"
                >{one.taking ? ', ' : ''}{one.hiding} without</span
              >{/if}</span
          >
        </p>
      </li>
    {/each}
  </ul>
{/snippet}

{#if session.name}
  <div class="flex h-screen min-h-0 flex-col">
    <Masthead />
    {#if problem}
      <div class="mx-auto max-w-md py-16 text-center">
        <h1 class="font-display text-2xl text-heading">Nothing to look at</h1>
        <p class="mt-2 mb-6 text-muted">{problem}</p>
        <a class="button h-9" href="/sites">All sites</a>
      </div>
    {:else}
      <div class="grid min-h-0 grow grid-cols-[19rem_minmax(0,1fr)]">
        <nav class="flex min-h-0 flex-col border-r border-line p-3" aria-label="Roles">
          <p class="caption mb-2">
            <a class="text-link underline underline-offset-2" href="/sites">Sites</a> ·
            <a class="text-link underline underline-offset-2" href="/bench/{theme}">{name}</a>
          </p>
          <RoleBars {roles} chosen={taken?.roles ?? []} href={(path) => `/coverage/${theme}?of=${encodeURIComponent(path)}`} />
        </nav>
        <main class="min-h-0 overflow-y-auto px-6 py-5">
          {#if taken}
            <h1 class="font-display text-3xl leading-tight break-all text-heading">{taken.of}</h1>
            <p class="mb-5 text-muted">
              Taken at {counted(taken.taking, 'spot', 'spots')} on {counted(taken.pages.length + taken.more, 'page', 'pages')} in
              {counted(taken.sites, 'site', 'sites')}{taken.hiding
                ? `; ${counted(taken.hiding, 'spot', 'spots')} should take it and ${taken.hiding === 1 ? 'does' : 'do'} not`
                : ''}.
              {#if taken.roles.length > 1}Through {taken.roles.length} roles.{/if}
            </p>
            {#if hiding.length}
              <h2 class="font-display mb-2 text-xl text-heading">Pages where it is hidden</h2>
              {@render pages(hiding)}
            {/if}
            {#if plain.length}
              <h2 class="font-display mt-8 mb-2 text-xl text-heading">Pages that take it everywhere they should</h2>
              {@render pages(plain)}
            {/if}
            {#if taken.more}<p class="mt-4 text-muted">And {counted(taken.more, 'page', 'pages')} more.</p>{/if}
          {:else if roles.length === 0}
            <div class="py-16 text-center">
              <h1 class="font-display text-2xl text-heading">No site wears this theme</h1>
              <p class="mt-2 mb-6 text-muted">Where its roles are taken is seen on the pages of sites that wear it.</p>
              <a class="button h-9" href="/sites">All sites</a>
            </div>
          {/if}
        </main>
      </div>
    {/if}
  </div>
{/if}
