<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { toast } from 'svelte-sonner';
  import Plus from '@lucide/svelte/icons/plus';
  import FileUp from '@lucide/svelte/icons/file-up';
  import Search from '@lucide/svelte/icons/search';
  import Download from '@lucide/svelte/icons/download';
  import { said as saidOf, type Schemas } from '$lib/api/client';
  import { arrived } from '$lib/account/arriving';
  import { session } from '$lib/account/session.svelte';
  import { importFiles, previewFiles, type Said } from '$lib/kit/importing';
  import ImportPreview from '$lib/kit/ImportPreview.svelte';
  import { Library, type Card } from '$lib/library/library.svelte';
  import DeleteForGood from '$lib/library/DeleteForGood.svelte';
  import ThemeCard from '$lib/library/ThemeCard.svelte';
  import NewTheme from '$lib/theme/NewTheme.svelte';
  import Masthead from '$lib/ui/Masthead.svelte';

  const library = new Library();
  let creating = $state(false);
  let dragging = $state(false);
  let refused = $state<{ title: string; message: string } | null>(null);
  let going = $state.raw<Card | null>(null);
  let chooser: HTMLInputElement | undefined = $state();

  onMount(async () => {
    if (!(await arrived('/library'))) return;
    await tried(() => library.read(), 'The library could not be read.');
  });

  /** Says what went wrong above the cards. */
  async function tried(work: () => Promise<unknown>, title: string) {
    refused = null;
    try {
      await work();
    } catch (e) {
      refused = { title, message: saidOf(e) };
    }
  }

  let coming = $state.raw<{ files: File[]; preview: Schemas['Preview']; said?: Said } | null>(null);
  let taking = $state(false);

  function take(chosen: FileList | null | undefined) {
    const files = [...(chosen ?? [])];
    if (files.length === 0) return;
    void tried(async () => {
      try {
        coming = { files, preview: await previewFiles(files) };
      } finally {
        if (chooser) chooser.value = '';
      }
    }, 'Not imported.');
  }

  /** Reads the same files again, with what was said of them. */
  function again(said: Said) {
    if (!coming) return;
    const { files } = coming;
    void tried(async () => {
      const preview = await previewFiles(files, said);
      if (coming?.files === files) coming = { files, preview, said };
    }, 'That does not go together.');
  }

  function takeIn() {
    if (!coming) return;
    const { files, said } = coming;
    taking = true;
    void tried(async () => {
      try {
        const { id, lacking } = await importFiles(files, said);
        toast.success(`Imported ${files[0]?.name}`);
        await goto(lacking > 0 ? `/dress/${id}` : `/bench/${id}`);
      } finally {
        taking = false;
        coming = null;
      }
    }, 'Not imported.');
  }

  let typing: ReturnType<typeof setTimeout> | undefined;

  function search(text: string) {
    library.search = text;
    clearTimeout(typing);
    typing = setTimeout(() => void tried(() => library.read(), 'The library could not be searched.'), 200);
  }

  const putAway = (theme: Card, away: boolean) =>
    tried(async () => {
      await library.setPutAway(theme.id, away);
      toast.success(away ? `Put away ${theme.name}` : `Brought back ${theme.name}`, {
        action: { label: away ? 'Bring back' : 'Put away', onClick: () => void putAway(theme, !away) }
      });
    }, 'Nothing was put away.');

  const copy = (theme: Card) =>
    tried(async () => {
      await library.copy(theme.id);
      toast.success(`Copied ${theme.name}`);
    }, 'Not copied.');

  function show(away: boolean) {
    library.putAway = away;
    void tried(() => library.read(), 'The library could not be read.');
  }
</script>

<svelte:head><title>Library · Umber Loom</title></svelte:head>

<svelte:window
  ondragover={(e) => {
    e.preventDefault();
    dragging = true;
  }}
  ondragleave={(e) => {
    if (!e.relatedTarget) dragging = false;
  }}
  ondrop={(e) => {
    e.preventDefault();
    dragging = false;
    take(e.dataTransfer?.files);
  }}
/>

{#if session.name}
  <Masthead />

  <main class="mx-auto max-w-6xl px-6 py-8">
    <div class="mb-5 flex flex-wrap items-end gap-3">
      <div>
        <h1 class="font-display text-3xl leading-tight text-heading">{library.putAway ? 'Put away' : 'Library'}</h1>
        <p class="text-muted">
          {library.putAway
            ? 'Themes that are out of the way, each as it was left.'
            : 'Every theme with its own cloth: hues lengthwise, surfaces across.'}
        </p>
      </div>
      <div class="ml-auto flex gap-2">
        <input
          bind:this={chooser}
          class="sr-only"
          type="file"
          accept=".zip,.json,.css,.scss,.gpl,.ase,.txt"
          multiple
          tabindex="-1"
          aria-label="Kit file"
          onchange={(e) => take(e.currentTarget.files)}
        />
        <button class="button h-9" onclick={() => chooser?.click()}><FileUp size={16} aria-hidden="true" /> Import</button>
        <button class="button button-strong h-9" onclick={() => (creating = true)}><Plus size={16} aria-hidden="true" /> New theme</button>
      </div>
    </div>

    <div class="mb-6 flex flex-wrap items-center gap-x-5 gap-y-2 border-y border-border py-2">
      <label class="relative flex items-center">
        <span class="sr-only">Search themes by name</span>
        <Search class="pointer-events-none absolute left-2 text-muted" size={14} aria-hidden="true" />
        <input
          class="field w-64 pl-7"
          type="search"
          placeholder="Search by name"
          maxlength="100"
          value={library.search}
          oninput={(e) => search(e.currentTarget.value)}
        />
      </label>
      <p class="text-muted" aria-live="polite">
        {#if library.cards}{library.count} {library.count === 1 ? 'theme' : 'themes'}{library.search.trim() ? ' found' : ''}{/if}
      </p>
      {#if library.putAway}
        <button class="button" onclick={() => show(false)}>Back to the library</button>
      {:else if library.putAwayCount > 0}
        <button class="button button-quiet text-muted" onclick={() => show(true)}>{library.putAwayCount} put away</button>
      {/if}
      <a
        class="ml-auto inline-flex items-center gap-1.5 text-link underline underline-offset-2"
        href="/api/everything.zip"
        download
        title="All themes and sites in open formats, in one archive"><Download size={14} aria-hidden="true" /> Export everything</a
      >
    </div>

    {#if refused}
      <div class="mb-6 flex items-start gap-4 border-l-4 border-must bg-raised px-4 py-3" role="alert">
        <p class="min-w-0 grow break-words"><strong class="text-must">{refused.title}</strong> {refused.message}</p>
        <button class="button" onclick={() => (refused = null)}>Dismiss</button>
      </div>
    {/if}

    {#if library.cards && library.cards.length === 0 && library.search.trim()}
      <div class="border border-dashed border-line px-8 py-12 text-center">
        <h2 class="font-display text-xl text-heading">No theme is called so</h2>
        <p class="mx-auto mt-2 mb-5 max-w-md text-muted">
          Search for another part of its name{library.putAwayCount > 0 && !library.putAway ? ', or look among those put away' : ''}.
        </p>
        <button class="button h-9" onclick={() => search('')}>Show all</button>
      </div>
    {:else if library.cards && library.cards.length === 0 && !library.putAway}
      <div class="border border-dashed border-line px-8 py-16 text-center">
        <h2 class="font-display text-xl text-heading">No cloth on the loom yet</h2>
        <p class="mx-auto mt-2 mb-6 max-w-md text-muted">
          Start a theme from a starter or from one color of your brand, or drop a kit here to bring one in.
        </p>
        <button class="button button-strong h-9" onclick={() => (creating = true)}>Start the first theme</button>
      </div>
    {:else if library.cards}
      <ul class="grid grid-cols-[repeat(auto-fill,minmax(18rem,1fr))] gap-5">
        {#each library.cards as theme (theme.id)}
          <ThemeCard
            {theme}
            putAway={library.putAway}
            oncopy={() => copy(theme)}
            onputaway={(away) => putAway(theme, away)}
            ondelete={() => (going = theme)}
          />
        {/each}
      </ul>
      {#if library.cards.length < library.count}
        <div class="mt-6 text-center">
          <button class="button h-9" onclick={() => tried(() => library.more(), 'The library could not be read.')}>
            Show more ({library.count - library.cards.length} left)
          </button>
        </div>
      {/if}
    {/if}
  </main>
{/if}

{#if dragging}
  <div class="pointer-events-none fixed inset-3 z-50 grid place-items-center border-2 border-dashed border-accent bg-ground/90">
    <p class="font-display text-2xl text-heading">Drop a kit, tokens or style sheets to look at them</p>
  </div>
{/if}

<NewTheme bind:open={creating} />
{#if coming}<ImportPreview
    preview={coming.preview}
    file={coming.files.map((f) => f.name).join(', ')}
    busy={taking}
    said={coming.said}
    onsay={again}
    ontake={takeIn}
    onleave={() => (coming = null)}
  />{/if}
<DeleteForGood {library} bind:theme={going} />
