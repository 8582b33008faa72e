<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { goto } from '$app/navigation';
  import Download from '@lucide/svelte/icons/download';
  import { api, ask, Problem, type Schemas } from '$lib/api/client';
  import { session } from '$lib/account/session.svelte';

  const id = Number(page.params.theme);

  let kit = $state.raw<Schemas['KitView'] | null>(null);
  let site = $state('');
  let shown = $state('');
  let text = $state('');
  let problem = $state('');

  const folders = $derived.by(() => {
    const groups: { name: string; files: Schemas['FileView'][] }[] = [];
    for (const file of kit?.files ?? []) {
      const name = file.name.includes('/') ? file.name.slice(0, file.name.lastIndexOf('/')) : '';
      const group = groups.find((g) => g.name === name);
      if (group) group.files.push(file);
      else groups.push({ name, files: [file] });
    }
    return groups.sort((a, b) => Number(a.name !== '') - Number(b.name !== ''));
  });
  const largest = $derived(Math.max(1, ...(kit?.files ?? []).map((f) => f.bytes)));
  const stylesheet = $derived(kit?.files.find((f) => f.name === 'theme.css'));

  onMount(async () => {
    const { data } = await api.GET('/api/session');
    if (!data) return goto(`/sign-in?to=${encodeURIComponent(page.url.pathname)}`);
    session.name = data.name;
    try {
      const sites = await ask(() => api.GET('/api/sites', { params: { query: { theme: id } } }));
      site = sites.find((s) => s.themeId === id && !s.specimen)?.slug ?? '';
      await read();
      await open('theme.css');
    } catch (e) {
      problem = e instanceof Problem ? e.message : String(e);
    }
  });

  async function read() {
    kit = await ask(() => api.GET('/api/themes/{id}/kit', { params: { path: { id }, query: { site } } }));
  }

  async function open(name: string) {
    shown = name;
    text = (await ask(() => api.GET('/api/themes/{id}/kit/file', { params: { path: { id }, query: { site, name } } }))).text;
  }

  async function choose(next: string) {
    site = next;
    await read();
    await open(kit?.files.some((f) => f.name === shown) ? shown : 'theme.css');
  }

  const size = (bytes: number) =>
    bytes < 1000 ? `${bytes} B` : bytes < 1_000_000 ? `${(bytes / 1000).toFixed(1)} kB` : `${(bytes / 1_000_000).toFixed(2)} MB`;
  const last = (name: string) => name.slice(name.lastIndexOf('/') + 1);
</script>

<svelte:head><title>Kit of {kit?.theme ?? ''} · Umber Loom</title></svelte:head>

<div class="flex h-screen flex-col">
  <header class="flex h-11 shrink-0 items-center gap-3 border-b border-line px-3">
    <a class="flex items-center gap-2 text-muted hover:text-ink" href="/library"
      ><img src="/mark.svg" alt="" width="18" height="18" /> Library</a
    >
    <span class="h-5 w-px bg-line"></span>
    <h1 class="font-display text-lg leading-none text-heading">{kit ? `Kit of ${kit.theme}` : 'Kit'}</h1>
    {#if kit}<a class="text-link underline underline-offset-2" href="/bench/{id}">Back to the bench</a>{/if}
    <span class="grow"></span>
    {#if kit}
      <label class="flex items-center gap-2">
        <span class="text-muted">Pages of</span>
        <select class="field" value={site} onchange={(e) => choose(e.currentTarget.value)}>
          {#each kit.sites as slug (slug)}<option value={slug}>{slug}</option>{/each}
          <option value="">no site (whole stylesheet)</option>
        </select>
      </label>
      <a class="button button-strong" href="/api/themes/{id}/kit.zip?site={site}" download
        ><Download size={15} aria-hidden="true" /> Download {size(kit.archive)}</a
      >
    {/if}
  </header>

  {#if problem}
    <main class="mx-auto max-w-md px-6 py-24 text-center">
      <h2 class="font-display text-2xl text-heading">There is no kit to show</h2>
      <p class="mt-2 mb-6 text-muted">{problem}</p>
      <a class="button h-9" href="/library">Back to the library</a>
    </main>
  {:else if kit}
    <main class="flex min-h-0 grow">
      <section class="w-[27rem] shrink-0 overflow-y-auto border-r border-line p-4" aria-label="Files">
        <p class="mb-4">
          <span class="font-display block text-3xl leading-tight text-heading">{size(stylesheet?.compressed ?? 0)}</span>
          <span class="text-muted"
            >of stylesheet over the wire ({size(stylesheet?.bytes ?? 0)} as written), {kit.files.length} files, {size(kit.bytes)} in all.</span
          >
        </p>
        {#each kit.leftOut as said (said)}
          <p class="mb-4 border-l-2 border-should pl-3"><span class="font-semibold">Stays out:</span> {said}</p>
        {/each}
        <div class="caption grid grid-cols-[minmax(0,1fr)_4.5rem_4.5rem] border-b border-line pb-1">
          <span>File</span><span class="text-right">as is</span><span class="text-right">compressed</span>
        </div>
        {#each folders as folder (folder.name)}
          {#if folder.name}<h2 class="caption mt-3 mb-0.5 font-semibold">{folder.name}/</h2>{/if}
          <ul>
            {#each folder.files as file (file.name)}
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
                    <span class="truncate pl-1">{last(file.name)}</span><span class="value text-right">{size(file.bytes)}</span><span
                      class="value pr-1 text-right">{size(file.compressed)}</span
                    >
                  </button>
                {:else}
                  <span class="grid grid-cols-[minmax(0,1fr)_4.5rem_4.5rem] items-center py-1 text-muted"
                    ><span class="truncate pl-1">{last(file.name)}</span><span class="value text-right">{size(file.bytes)}</span><span
                      class="value pr-1 text-right">{size(file.compressed)}</span
                    ></span
                  >
                {/if}
              </li>
            {/each}
          </ul>
        {/each}
      </section>
      <section class="flex min-w-0 grow flex-col" aria-label="File viewer">
        <h2 class="value border-b border-border px-4 py-2">{shown}</h2>
        <!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
        <pre
          class="value min-h-0 grow overflow-auto bg-raised p-4 leading-5"
          role="region"
          tabindex="0"
          aria-label="Text of {shown}">{text}</pre>
      </section>
    </main>
  {/if}
</div>
