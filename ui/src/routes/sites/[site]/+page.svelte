<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { toast } from 'svelte-sonner';
  import { api, ask, store, said, Problem, type Schemas } from '$lib/api/client';
  import { arrived } from '$lib/account/arriving';
  import { session } from '$lib/account/session.svelte';
  import DoneList from '$lib/site/DoneList.svelte';
  import OwnSheet from '$lib/site/OwnSheet.svelte';
  import PictureShelf from '$lib/picture/PictureShelf.svelte';
  import { shelfOfSite } from '$lib/picture/shelf';
  import PieceList from '$lib/site/PieceList.svelte';
  import PlateForm from '$lib/site/PlateForm.svelte';
  import { modifiersOf } from '$lib/site/standing';
  import PublishedBuilds from '$lib/release/PublishedBuilds.svelte';
  import SiteStands from '$lib/release/SiteStands.svelte';
  import StrayList from '$lib/site/StrayList.svelte';
  import Reading from '$lib/site/Reading.svelte';
  import Thumb from '$lib/site/Thumb.svelte';
  import UnreadableSite from '$lib/site/UnreadableSite.svelte';
  import TryTheme from '$lib/site/TryTheme.svelte';
  import Masthead from '$lib/ui/Masthead.svelte';
  import { refused } from '$lib/ui/refused';
  import { steady } from '$lib/ui/steady';
  import UndoRedo from '$lib/ui/UndoRedo.svelte';
  import { counted } from '$lib/ui/words';

  const slug = $derived(page.params.site ?? '');
  let site = $state.raw<Schemas['WholeSite'] | null>(null);
  let themes = $state.raw<Schemas['Card'][]>([]);
  let kinds = $state.raw<string[]>([]);
  let byKind = $state(true);
  /** The pages in their order, or those of each kind together, the kind of the first page first. */
  const runs = $derived.by(() => {
    const pages = site?.pages ?? [];
    if (!byKind) return [{ kind: '', pages }];
    return [...new Set(pages.map((one) => one.kind))].map((kind) => ({ kind, pages: pages.filter((one) => one.kind === kind) }));
  });
  const about = (one: Schemas['WholeSite']['pages'][number]) =>
    [byKind ? '' : one.kind, one.overrides && `${one.overrides} of its own`].filter(Boolean).join(' · ');
  /** Counts when it was put on another release. */
  let standing = $state(0);
  let modifiers = $state.raw<Schemas['LayerView'][]>([]);
  let problem = $state('');
  let unreadable = $state(false);
  let title = $state('');
  let kind = $state('article');
  let leaving = $state('');

  /** The group of roles that the lists are narrowed to; none for all. */
  const group = $derived(page.url.searchParams.get('group') ?? '');
  const places = $derived(
    (site?.places ?? [])
      .map((place) => ({ ...place, own: place.own.filter((one) => !group || one.group === group) }))
      .filter((place) => place.own.length)
  );
  const strays = $derived((site?.strays ?? []).filter((one) => !group || one.group === group));
  const preview = (one: string) =>
    `/preview/${site?.themeId}/draft/${encodeURIComponent(site?.combo || 'default')}/${slug}/${one}.html?still=true&at=${site?.revision}`;

  async function read() {
    try {
      const found = await ask(() => api.GET('/api/sites/{site}', { params: { path: { site: slug } } }));
      modifiers = await modifiersOf(found.themeId);
      site = found;
    } catch (e) {
      problem = said(e);
      unreadable = e instanceof Problem && e.status === 422;
    }
  }

  onMount(async () => {
    if (!(await arrived(page.url.pathname))) return;
    await read();
    if (problem) return;
    kinds = await ask(() => api.GET('/api/page-kinds'));
    themes = (await ask(() => api.GET('/api/themes', { params: { query: {} } }))).cards;
  });

  /** What is done comes one after the other, in the order in which it was asked for. */
  let last: Promise<unknown> = Promise.resolve();

  /** Does something to the site and shows it as it is then; resolves to why it was refused, empty when it was done. */
  function done(work: () => Promise<unknown>): Promise<string> {
    const next = last.then(() => one(work));
    last = next;
    return next;
  }

  async function one(work: () => Promise<unknown>): Promise<string> {
    try {
      await work();
      await read();
      return '';
    } catch (e) {
      const reason = refused(e);
      await read();
      return reason;
    }
  }

  const path = $derived({ path: { site: slug } });
  const base = $derived(site?.revision ?? 0);
  const step = (way: 'undo' | 'redo') => done(() => store(() => api.POST(`/api/sites/{site}/${way}`, { params: path })));
  const plate = (wanted: Schemas['Nameplate']) =>
    done(() => store(() => api.PUT('/api/sites/{site}/nameplate', { params: path, body: { base, ...wanted } })));
  const previews = $derived(`/preview/${site?.themeId}/draft/default/${slug}/`);
  const look = (contexts: Record<string, string>, scheme: string) =>
    done(() => store(() => api.PUT('/api/sites/{site}/look', { params: path, body: { base, contexts, scheme } })));
  /** A theme that is looked at before it is worn; none while nothing is tried. */
  let tried = $state<number | null>(null);
  const wear = (theme: number, fitted: boolean) =>
    done(async () => {
      await store(() => api.PUT('/api/sites/{site}/theme', { params: path, body: { theme, fitted } }));
      tried = null;
      toast.success('Wears another theme now', { description: 'What it says itself is kept; what it wore before stands below.' });
    });
  const follow = (place: string, one = '') =>
    done(() => store(() => api.POST('/api/sites/{site}/follow', { params: path, body: { base, place, path: one } })));

  async function copy() {
    try {
      const made = await store(() => api.POST('/api/sites/{site}/copy', { params: path, body: { name: '' } }));
      await goto(`/sites/${made.slug}`);
      await read();
    } catch (e) {
      toast.error('Not copied.', { description: said(e) });
    }
  }

  async function putAway() {
    try {
      await store(() => api.PUT('/api/sites/{site}/away', { params: path }));
      await goto('/sites');
    } catch (e) {
      toast.error('Not put away.', { description: said(e) });
    }
  }

  async function remove() {
    try {
      await store(() => api.DELETE('/api/sites/{site}', { params: { ...path, query: { name: leaving } } }));
      await goto('/sites');
    } catch (e) {
      toast.error('Not deleted.', { description: said(e) });
    }
  }

  async function addPage(event: SubmitEvent) {
    event.preventDefault();
    const refused = await done(() => store(() => api.POST('/api/sites/{site}/pages', { params: path, body: { base, kind, title } })));
    if (!refused) title = '';
  }

  function move(at: number, by: number) {
    const order = site!.pages.map((one) => one.slug);
    const [moved] = order.splice(at, 1);
    order.splice(at + by, 0, moved!);
    return done(() => store(() => api.PUT('/api/sites/{site}/order', { params: path, body: { base, pages: order } })));
  }

  /** The bench with the page, the place and the role picked. */
  function onBench(place: Schemas['WholePlace'], role: string): string {
    const of =
      site?.pages.find((one) => one.slug === place.page) ??
      site?.pages.find((one) => place.place.startsWith('scope:site-kind=') && place.place.includes(`:${one.kind}`)) ??
      site?.pages[0];
    return `/bench/${site?.themeId}?${new URLSearchParams({ site: slug, page: of?.slug ?? '', role, place: place.place })}`;
  }

  const scheme = $derived(modifiers.find((one) => one.meaning === 'scheme'));
</script>

<svelte:head><title>{site?.name ?? 'Site'} · Umber Loom</title></svelte:head>

{#if session.name}
  <Masthead />
  <main class="mx-auto max-w-6xl px-6 py-6" use:steady>
    {#if unreadable}
      <UnreadableSite {slug} {problem} />
    {:else if problem}
      <div class="mx-auto max-w-md py-16 text-center">
        <h1 class="font-display text-2xl text-heading">No such site</h1>
        <p class="mt-2 mb-6 text-muted">{problem}</p>
        <a class="button h-9" href="/sites">All sites</a>
      </div>
    {:else if site}
      <div class="mb-4 flex flex-wrap items-end gap-x-6 gap-y-3">
        <div class="min-w-0 grow">
          <p class="caption">
            <a class="text-link underline underline-offset-2" href="/sites">Sites</a> · {counted(site.pages.length, 'page', 'pages')}
          </p>
          <h1 class="font-display text-3xl leading-tight text-heading">{site.name}</h1>
          <p class="text-muted">{site.plate.tagline || 'No tagline yet'}</p>
        </div>
        <div class="flex gap-2">
          <UndoRedo undo={site.undo} redo={site.redo} onstep={(way) => void step(way)} />
          <button class="button" onclick={copy}>Copy the site</button>
          <button class="button" onclick={putAway}>Put away</button>
          <a class="button" href="/api/sites/{slug}/archive.zip" download>Take it out</a>
          <a class="button button-strong" href="/bench/{site.themeId}?site={slug}">Open on the bench</a>
        </div>
      </div>

      <section class="mb-6 grid grid-cols-2 gap-x-8 gap-y-3 border-y border-border py-3 lg:grid-cols-4" aria-label="What it wears">
        <label class="flex flex-col gap-1"
          ><span class="caption">Theme</span>
          <select
            class="field"
            aria-label="Theme"
            bind:value={() => String(tried ?? site?.themeId), (id) => (tried = Number(id) === site?.themeId ? null : Number(id))}
          >
            {#each themes as one (one.id)}<option value={String(one.id)}>{one.name}</option>{/each}
            {#if !themes.some((one) => one.id === site?.themeId)}<option value={String(site.themeId)}>{site.theme}</option>{/if}
          </select></label
        >
        {#each modifiers.filter((one) => one !== scheme) as modifier (modifier.name)}
          <label class="flex flex-col gap-1"
            ><span class="caption">{modifier.name}</span>
            <select
              class="field"
              bind:value={
                () => site?.look[modifier.name] ?? modifier.standard,
                (context) => void look({ ...site!.look, [modifier.name]: context }, site!.scheme)
              }
            >
              {#each modifier.contexts as context (context.name)}<option>{context.name}</option>{/each}
            </select></label
          >
        {/each}
        {#if scheme}
          <label class="flex flex-col gap-1"
            ><span class="caption">{scheme.name}</span>
            <select class="field" bind:value={() => site!.scheme, (policy) => void look(site!.look, policy)}>
              <option value="reader">as the reader’s system asks</option>
              <option value="light">light only</option>
              <option value="dark">dark only</option>
            </select></label
          >
        {/if}
      </section>

      <section class="mb-6" aria-labelledby="stands">
        <h2 class="font-display mb-2 text-xl text-heading" id="stands">Stands on</h2>
        {#key site.themeId}<SiteStands {slug} theme={site.themeId} onchange={() => standing++} />{/key}
      </section>

      <section class="mb-6" aria-labelledby="live">
        <h2 class="font-display mb-2 text-xl text-heading" id="live">What readers see</h2>
        <PublishedBuilds {slug} seen="{site.revision}/{standing}" />
      </section>

      <section class="mb-6" aria-labelledby="plate">
        <h2 class="font-display mb-2 text-xl text-heading" id="plate">Nameplate</h2>
        <PlateForm {site} base={previews} onset={plate} />
      </section>

      {#if tried !== null}
        {#key tried}
          <TryTheme
            {site}
            theme={tried}
            name={themes.find((one) => one.id === tried)?.name ?? site.wore.find((one) => one.themeId === tried)?.theme ?? 'another theme'}
            onwear={(fitted) => wear(tried ?? 0, fitted)}
            onstay={() => (tried = null)}
          />
        {/key}
      {/if}

      {#if group}
        <p class="mb-4 flex items-center gap-3 border-l-2 border-ink pl-3" role="status">
          Only {group}, out of {counted(
            site.places.reduce((sum, place) => sum + place.own.length, 0),
            'value',
            'values'
          )} of its own and {counted(site.strays.length, 'stray', 'strays')}.
          <a class="text-link underline underline-offset-2" href="/sites/{slug}">Show all</a>
        </p>
      {/if}

      <section class="mb-8" aria-labelledby="pages">
        <div class="mb-2 flex items-baseline gap-4">
          <h2 class="font-display text-xl text-heading" id="pages">Pages</h2>
          <div class="flex gap-1" role="radiogroup" aria-label="Pages stand">
            {#each [true, false] as by (by)}
              <button
                class="rounded-sm px-2 {byKind === by ? 'bg-chosen font-semibold' : 'text-muted hover:text-text'}"
                role="radio"
                aria-checked={byKind === by}
                onclick={() => (byKind = by)}>{by ? 'by kind' : 'in their order'}</button
              >
            {/each}
          </div>
        </div>
        <div class="flex flex-wrap gap-x-8 gap-y-5">
          {#each runs as run (run.kind)}
            <div class="max-w-full">
              {#if run.kind}<h3 class="caption mb-1.5 border-b border-border font-semibold">{run.kind}</h3>{/if}
              <ul class="flex flex-wrap gap-x-5 gap-y-6" aria-label={run.kind ? `Pages of the kind ${run.kind}` : 'Pages in their order'}>
                {#each run.pages as one (one.slug)}
                  {@const i = site.pages.indexOf(one)}
                  <li class="w-60">
                    <a
                      class="block hover:outline-2 hover:outline-accent"
                      href="/bench/{site.themeId}?site={slug}&page={one.slug}"
                      aria-label="Open “{one.title}” on the bench"><Thumb src={preview(one.slug)} title={one.title} /></a
                    >
                    <div class="mt-1 flex items-start gap-1">
                      <p class="min-w-0 grow">
                        <span class="block truncate font-semibold">{one.title}</span>
                        <span class="caption block"
                          >{about(one)}{#if one.strays}{about(one) && '\u00a0· '}<span class="text-must"
                              >{counted(one.strays, 'stray', 'strays')}</span
                            >{/if}</span
                        >
                      </p>
                      {#if !byKind}
                        <button
                          class="button button-quiet h-6 px-1"
                          disabled={i === 0}
                          aria-label="Move “{one.title}” forward"
                          onclick={() => move(i, -1)}>←</button
                        >
                        <button
                          class="button button-quiet h-6 px-1"
                          disabled={i === site.pages.length - 1}
                          aria-label="Move “{one.title}” back"
                          onclick={() => move(i, 1)}>→</button
                        >
                      {/if}
                    </div>
                    <div class="flex gap-1">
                      <a class="button button-quiet h-6 px-1 text-xs" href="/sites/{slug}/{one.slug}" aria-label="Lay out “{one.title}”"
                        >Lay out</a
                      >
                      <button
                        class="button button-quiet h-6 px-1 text-xs text-muted"
                        onclick={() =>
                          done(() =>
                            store(() =>
                              api.POST('/api/sites/{site}/pages/{page}/copy', { params: { path: { site: slug, page: one.slug } } })
                            )
                          )}>Copy</button
                      >
                      <button
                        class="button button-quiet h-6 px-1 text-xs text-muted"
                        onclick={() =>
                          done(() =>
                            store(() => api.DELETE('/api/sites/{site}/pages/{page}', { params: { path: { site: slug, page: one.slug } } }))
                          )}>Remove</button
                      >
                    </div>
                  </li>
                {/each}
              </ul>
            </div>
          {/each}
        </div>
        <div class="mt-6 w-60">
          <form class="flex h-40 flex-col justify-center gap-2 border border-dashed border-line p-3" onsubmit={addPage}>
            <label class="flex flex-col"
              ><span class="caption">Title of a new page</span><input class="field" bind:value={title} required maxlength="120" /></label
            >
            <label class="flex items-center gap-2"
              ><span class="caption">Kind</span><select class="field grow" bind:value={kind}
                >{#each kinds as one (one)}<option>{one}</option>{/each}</select
              ></label
            >
            <button class="button" type="submit" disabled={!title.trim()}>Add the page</button>
          </form>
        </div>
      </section>

      <section class="mb-8" aria-labelledby="pictures">
        <h2 class="font-display mb-1 text-xl text-heading" id="pictures">Pictures</h2>
        <PictureShelf shelf={shelfOfSite(slug, site.themeId, previews)} places="/sites/{slug}/" onchange={() => void read()} />
      </section>

      <section class="mb-8" aria-labelledby="reading">
        <h2 class="font-display mb-1 text-xl text-heading" id="reading">Reading</h2>
        <Reading site={slug} theme={site.themeId} revision={site.revision} />
      </section>

      <section class="mb-8" aria-labelledby="pieces">
        <h2 class="font-display mb-1 text-xl text-heading" id="pieces">Pieces</h2>
        <PieceList
          pieces={site.pieces}
          pages={site.pages}
          onput={(piece, page, there) => {
            const at = { params: { path: { site: slug, piece, page } } };
            return done(() =>
              store(() =>
                there
                  ? api.PUT('/api/sites/{site}/pieces/{piece}/pages/{page}', at)
                  : api.DELETE('/api/sites/{site}/pieces/{piece}/pages/{page}', at)
              )
            );
          }}
          onspread={(piece, everywhere, kinds) =>
            done(() =>
              store(() =>
                api.PUT('/api/sites/{site}/pieces/{piece}/spread', {
                  params: { path: { site: slug, piece } },
                  body: { base, everywhere, kinds }
                })
              )
            )}
          onrename={(piece, title) =>
            done(() =>
              store(() =>
                api.PUT('/api/sites/{site}/pieces/{piece}/title', { params: { path: { site: slug, piece } }, body: { base, title } })
              )
            )}
          onshare={(piece, shared) => {
            const at = { params: { path: { site: slug, piece } } };
            return done(() =>
              store(() =>
                shared ? api.PUT('/api/sites/{site}/pieces/{piece}/shared', at) : api.DELETE('/api/sites/{site}/pieces/{piece}/shared', at)
              )
            );
          }}
          ondissolve={(piece) =>
            done(() => store(() => api.DELETE('/api/sites/{site}/pieces/{piece}', { params: { path: { site: slug, piece } } })))}
        />
      </section>

      <div class="grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)]">
        <section aria-labelledby="own">
          <h2 class="font-display text-xl text-heading" id="own">Of its own</h2>
          {#if places.length === 0}
            <p class="text-muted">It follows the theme{group ? ` in all that is ${group}` : ''}.</p>
          {:else}
            <p class="mb-2 text-muted">What it says itself, from wide to narrow.</p>
            {#each places as place (place.place)}
              <div class="border-t border-border py-2">
                <p class="flex items-center gap-2">
                  <span class="font-semibold">{place.words}</span>
                  {#if place.under}<span class="caption">only in {place.under}</span>{/if}
                  <button class="button button-quiet ml-auto h-6 px-1.5 text-xs" onclick={() => follow(place.place)}>Follow again</button>
                </p>
                <ul>
                  {#each place.own as one (one.path)}
                    <li class="grid grid-cols-[1rem_minmax(0,1fr)_auto_auto] items-baseline gap-2 py-0.5">
                      <span class="size-3 self-center border border-line" style:background={one.group === 'color' ? one.css : 'transparent'}
                      ></span>
                      <span class="min-w-0">
                        <span class="value block break-all">{one.path}: {one.written}</span>
                        <span class="caption block"
                          >{one.reason}{one.reason && one.instead ? '. ' : ''}{one.instead ? `Without it ${one.instead}` : ''}</span
                        >
                      </span>
                      <a
                        class="button button-quiet h-6 px-1 text-xs text-muted"
                        aria-label="On the bench: {one.path} at {place.words}"
                        href={onBench(place, one.path)}>On the bench</a
                      >
                      <button
                        class="button button-quiet h-6 px-1 text-xs text-muted"
                        aria-label="Follow: {one.path} at {place.words}"
                        onclick={() => follow(place.place, one.path)}>Follow</button
                      >
                    </li>
                  {/each}
                </ul>
              </div>
            {/each}
          {/if}
          {#if site.wore.length}
            <h2 class="font-display mt-8 text-xl text-heading">What it wore</h2>
            <ul class="mt-1">
              {#each site.wore as one (one.themeId)}
                <li class="flex items-center gap-3 border-t border-border py-1">
                  <span class="grow">{one.theme || 'a theme that is gone'}</span>
                  <span class="caption">until {new Date(one.until).toLocaleDateString()}</span>
                  {#if one.theme}<button class="button" onclick={() => (tried = one.themeId)}>Put on again</button>{/if}
                  <button
                    class="button button-quiet text-muted"
                    aria-label="Forget that it wore {one.theme || 'a theme that is gone'}"
                    onclick={() =>
                      done(() =>
                        store(() => api.DELETE('/api/sites/{site}/wore/{theme}', { params: { path: { site: slug, theme: one.themeId } } }))
                      )}>Forget</button
                  >
                </li>
              {/each}
            </ul>
          {/if}
        </section>

        <section aria-labelledby="strays">
          <h2 class="font-display text-xl text-heading" id="strays">Strays</h2>
          <StrayList
            {strays}
            {preview}
            all={!group}
            onreturn={(ids) =>
              done(() =>
                store(() => api.POST('/api/sites/{site}/strays/return', { params: path, body: { base, strays: ids, reason: '' } }))
              )}
            onlift={(ids, to, reason) =>
              done(async () => {
                const strays = ids.map((id) => ({ site: slug, id }));
                const entries = await store(() =>
                  api.POST('/api/strays/lift', { body: { theme: site!.themeId, path: to, reason, strays } })
                );
                const back = () => done(() => store(() => api.POST('/api/strays/take-back', { body: { entries } })));
                toast.success(`Lifted into the theme as ${to}`, { action: { label: 'Undo', onClick: () => void back() } });
              })}
            onkeep={(ids, reason) =>
              done(() => store(() => api.POST('/api/sites/{site}/strays/keep', { params: path, body: { base, strays: ids, reason } })))}
          />
        </section>
      </div>

      <section class="mt-10" aria-labelledby="css">
        <h2 class="font-display text-xl text-heading" id="css">Own style sheet</h2>
        <p class="mb-2 text-muted">For what the theme has no word for yet.</p>
        {#key `${slug} ${site.css}`}
          <OwnSheet
            site={slug}
            css={site.css}
            {preview}
            pages={site.pages}
            onstore={(css) => done(() => store(() => api.PUT('/api/sites/{site}/css', { params: path, body: { base, css } })))}
          />
        {/key}
      </section>

      <section class="mt-10" aria-labelledby="done">
        <h2 class="font-display mb-1 text-xl text-heading" id="done">What was done</h2>
        <DoneList site={slug} name={site.name} revision={site.revision} frame="max-h-72 max-w-3xl" />
      </section>

      <section class="mt-12 flex flex-wrap items-center gap-3 border-t border-border pt-4" aria-label="Delete the site">
        <p class="text-muted">
          Deleting loses {counted(site.pages.length, 'page', 'pages')}, their pictures and the history of {counted(
            site.revision + 1,
            'revision',
            'revisions'
          )}. It cannot be undone.
        </p>
        <input class="field" aria-label="Name of the site to delete" placeholder="Write “{site.name}”" bind:value={leaving} />
        <button class="button border-must text-must" disabled={leaving !== site.name} onclick={remove}>Delete for good</button>
      </section>
    {/if}
  </main>
{/if}
