<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { goto } from '$app/navigation';
  import Download from '@lucide/svelte/icons/download';
  import { api, ask, said, type Schemas } from '$lib/api/client';
  import { session } from '$lib/account/session.svelte';
  import KitChoices from '$lib/kit/KitChoices.svelte';
  import KitText from '$lib/kit/KitText.svelte';
  import { asked, size, type Asked } from '$lib/kit/asked';

  const id = Number(page.params.theme);

  let kit = $state.raw<Schemas['KitView'] | null>(null);
  let releases = $state.raw<Schemas['ReleaseView'][]>([]);
  let wanted = $state.raw<Asked>({
    site: '',
    state: page.url.searchParams.get('release') ?? 'draft',
    forms: [],
    fonts: true,
    tokens: true,
    without: []
  });
  let shown = $state('');
  let text = $state('');
  let tokens = $state.raw<Record<string, string>>({});
  let search = $state('');
  let problem = $state('');
  let counting = $state(false);

  const folders = $derived.by(() => {
    const groups: { name: string; files: Schemas['FileView'][]; bytes: number }[] = [];
    for (const file of kit?.files ?? []) {
      const name = file.name.includes('/') ? file.name.slice(0, file.name.lastIndexOf('/')) : '';
      const group = groups.find((g) => g.name === name);
      if (group) {
        group.files.push(file);
        group.bytes += file.bytes;
      } else groups.push({ name, files: [file], bytes: file.bytes });
    }
    return groups.sort((a, b) => Number(a.name !== '') - Number(b.name !== ''));
  });
  const largest = $derived(Math.max(1, ...(kit?.files ?? []).map((f) => f.bytes)));
  const stylesheet = $derived(kit?.files.find((f) => f.name === 'theme.css'));
  const matching = (name: string) => !search || name.toLowerCase().includes(search.toLowerCase());

  onMount(async () => {
    const { data } = await api.GET('/api/session');
    if (!data) return goto(`/sign-in?to=${encodeURIComponent(page.url.pathname)}`);
    session.name = data.name;
    try {
      const [sites, all] = await Promise.all([
        ask(() => api.GET('/api/sites', { params: { query: { theme: id } } })),
        ask(() => api.GET('/api/themes/{id}/releases', { params: { path: { id } } }))
      ]);
      releases = all.releases;
      wanted = { ...wanted, site: sites.find((s) => s.themeId === id && !s.specimen)?.slug ?? '' };
      await read();
      await open('theme.css');
    } catch (e) {
      problem = said(e);
    }
  });

  let last = 0;
  /** The last that was asked for is shown. */
  async function read() {
    const mine = ++last;
    counting = true;
    const found = await ask(() => api.GET('/api/themes/{id}/kit', { params: { path: { id }, query: wanted } }));
    if (mine !== last) return;
    kit = found;
    counting = false;
  }

  async function open(name: string) {
    shown = name;
    const file = await ask(() => api.GET('/api/themes/{id}/kit/file', { params: { path: { id }, query: { ...wanted, name } } }));
    text = file.text;
    tokens = file.tokens;
  }

  async function choose(change: Partial<Asked>) {
    wanted = { ...wanted, ...change };
    try {
      await read();
      await open(kit?.files.some((f) => f.name === shown) ? shown : 'theme.css');
      problem = '';
    } catch (e) {
      problem = said(e);
    }
  }

  const name = (path: string) => path.slice(path.lastIndexOf('/') + 1);
</script>

<svelte:head><title>Kit of {kit?.theme ?? ''} · Umber Loom</title></svelte:head>

<div class="flex h-screen flex-col">
  <header class="flex h-11 shrink-0 items-center gap-3 border-b border-line px-3">
    <a class="flex items-center gap-2 text-muted hover:text-ink" href="/library"
      ><img src="/mark.svg" alt="" width="18" height="18" /> Library</a
    >
    <span class="h-5 w-px bg-line"></span>
    <h1 class="font-display text-lg leading-none text-heading">{kit ? `Kit of ${kit.theme}` : 'Kit'}</h1>
    {#if kit}
      <span class="value {kit.state === 'draft' ? 'text-muted' : 'font-semibold'}">{kit.state}</span>
      <a class="text-link underline underline-offset-2" href="/bench/{id}">Back to the bench</a>
    {/if}
    <span class="grow"></span>
    {#if kit}
      <a class="button button-strong" href="/api/themes/{id}/kit.zip?{asked(wanted)}" download
        ><Download size={15} aria-hidden="true" /> Download {size(kit.archive)}</a
      >
    {/if}
  </header>

  {#if problem && !kit}
    <main class="mx-auto max-w-md px-6 py-24 text-center">
      <h2 class="font-display text-2xl text-heading">There is no kit to show</h2>
      <p class="mt-2 mb-6 text-muted">{problem}</p>
      <a class="button h-9" href="/library">Back to the library</a>
    </main>
  {:else if kit}
    <main class="flex min-h-0 grow">
      <KitChoices {kit} {releases} {wanted} onchoose={choose} />
      <section class="w-[22rem] shrink-0 overflow-y-auto border-r border-line p-4" aria-label="Files" aria-busy={counting}>
        <p class="mb-3">
          <span class="font-display block text-3xl leading-tight text-heading">{size(stylesheet?.compressed ?? 0)}</span>
          <span class="text-muted"
            >of stylesheet over the wire ({size(stylesheet?.bytes ?? 0)} as written), {kit.files.length} files, {size(kit.bytes)} in all.</span
          >
        </p>
        {#if problem}<p class="mb-3 border-l-2 border-must pl-3" role="alert">{problem}</p>{/if}
        {#each kit.leftOut as reason (reason)}
          <p class="mb-3 border-l-2 border-should pl-3"><span class="font-semibold">Stays out:</span> {reason}</p>
        {/each}
        <input class="field mb-2 w-full" type="search" placeholder="Find a file" aria-label="Find a file" bind:value={search} />
        <div class="caption grid grid-cols-[minmax(0,1fr)_4.5rem_4.5rem] border-b border-line pb-1">
          <span>File</span><span class="text-right">as is</span><span class="text-right">compressed</span>
        </div>
        {#each folders as folder (folder.name)}
          {@const files = folder.files.filter((file) => matching(file.name))}
          {#if folder.name && files.length}
            <h2 class="caption mt-3 mb-0.5 flex font-semibold">
              <span class="grow">{folder.name}/</span><span class="value">{size(folder.bytes)}</span>
            </h2>
          {/if}
          <ul>
            {#each files as file (file.name)}
              <li class="relative border-b border-border">
                <span class="absolute bottom-0 left-0 h-0.5 bg-accent/50" style:width="{(file.bytes / largest) * 100}%"></span>
                {#if file.readable}
                  <button
                    class="grid w-full grid-cols-[minmax(0,1fr)_4.5rem_4.5rem] items-center py-1 text-left {file.name === shown
                      ? 'bg-chosen font-semibold'
                      : 'hover:bg-hover'}"
                    aria-pressed={file.name === shown}
                    onclick={() => open(file.name)}
                  >
                    <span class="truncate pl-1">{name(file.name)}</span><span class="value text-right">{size(file.bytes)}</span><span
                      class="value pr-1 text-right">{size(file.compressed)}</span
                    >
                  </button>
                {:else}
                  <span class="grid grid-cols-[minmax(0,1fr)_4.5rem_4.5rem] items-center py-1 text-muted"
                    ><span class="truncate pl-1">{name(file.name)}</span><span class="value text-right">{size(file.bytes)}</span><span
                      class="value pr-1 text-right">{size(file.compressed)}</span
                    ></span
                  >
                {/if}
              </li>
            {/each}
          </ul>
        {/each}
      </section>
      <KitText theme={id} name={shown} {text} {tokens} />
    </main>
  {/if}
</div>
