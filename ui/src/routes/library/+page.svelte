<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { toast } from 'svelte-sonner';
  import Plus from '@lucide/svelte/icons/plus';
  import FileUp from '@lucide/svelte/icons/file-up';
  import { api, ask, Problem, type Schemas } from '$lib/api/client';
  import { session } from '$lib/account/session.svelte';
  import { importFile } from '$lib/kit/importing';
  import NewTheme from '$lib/theme/NewTheme.svelte';
  import WeaveMark from '$lib/theme/WeaveMark.svelte';

  let themes = $state.raw<Schemas['Card'][] | null>(null);
  let creating = $state(false);
  let dragging = $state(false);
  let refused = $state('');
  let chooser: HTMLInputElement | undefined = $state();

  onMount(async () => {
    const { data } = await api.GET('/api/session');
    if (!data) return goto('/sign-in?to=/library');
    session.name = data.name;
    themes = await ask(() => api.GET('/api/themes'));
  });

  async function take(files: FileList | null | undefined) {
    const file = files?.[0];
    if (!file) return;
    refused = '';
    try {
      const { id, notes } = await importFile(file);
      toast.success(`Imported ${file.name}`, { description: notes.join(' '), duration: notes.length ? Infinity : 8000 });
      await goto(`/bench/${id}`);
    } catch (e) {
      refused = e instanceof Problem ? e.message : String(e);
    } finally {
      if (chooser) chooser.value = '';
    }
  }

  async function signOut() {
    await ask(() => api.DELETE('/api/session'));
    session.name = '';
    await goto('/sign-in');
  }

  const when = (at: string) =>
    new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
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
    void take(e.dataTransfer?.files);
  }}
/>

{#if session.name}
  <header class="flex h-12 items-center gap-3 border-b border-line px-6">
    <img src="/mark.svg" alt="" width="22" height="22" />
    <span class="font-display text-lg text-heading">Umber Loom</span>
    <span class="ml-auto text-muted">{session.name}</span>
    <button class="button button-quiet" onclick={signOut}>Sign out</button>
  </header>

  <main class="mx-auto max-w-6xl px-6 py-8">
    <div class="mb-6 flex items-end gap-3">
      <div>
        <h1 class="font-display text-3xl leading-tight text-heading">Library</h1>
        <p class="text-muted">Every theme with its own cloth: hues lengthwise, surfaces across.</p>
      </div>
      <div class="ml-auto flex gap-2">
        <input bind:this={chooser} class="sr-only" type="file" accept=".zip,.json" tabindex="-1" aria-label="Kit file"
          onchange={(e) => take(e.currentTarget.files)} />
        <button class="button h-9" onclick={() => chooser?.click()}><FileUp size={16} aria-hidden="true" /> Import a kit</button>
        <button class="button button-strong h-9" onclick={() => (creating = true)}><Plus size={16} aria-hidden="true" /> New theme</button>
      </div>
    </div>

    {#if refused}
      <div class="mb-6 flex items-start gap-4 border-l-4 border-must bg-raised px-4 py-3" role="alert">
        <p class="min-w-0 grow break-words"><strong class="text-must">Not imported.</strong> {refused}</p>
        <button class="button" onclick={() => (refused = '')}>Dismiss</button>
      </div>
    {/if}

    {#if themes && themes.length === 0}
      <div class="border border-dashed border-line px-8 py-16 text-center">
        <h2 class="font-display text-xl text-heading">No cloth on the loom yet</h2>
        <p class="mx-auto mt-2 mb-6 max-w-md text-muted">
          Start a theme from a starter or from one color of your brand, or drop a kit here to bring one in.
        </p>
        <button class="button button-strong h-9" onclick={() => (creating = true)}>Start the first theme</button>
      </div>
    {:else if themes}
      <ul class="grid grid-cols-[repeat(auto-fill,minmax(18rem,1fr))] gap-5">
        {#each themes as theme (theme.id)}
          <li class="relative flex flex-col border border-line bg-raised hover:border-accent has-[a:focus-visible]:outline-2 has-[a:focus-visible]:outline-accent">
            <div class="h-28 overflow-hidden border-b border-line"><WeaveMark weave={theme.weave} size={560} repeat={6} /></div>
            <div class="flex grow flex-col gap-1 p-4">
              <h2 class="font-display text-xl leading-7 text-heading">
                <a class="after:absolute after:inset-0 focus-visible:outline-none" href="/bench/{theme.id}">{theme.name}</a>
              </h2>
              <p class="min-h-10 text-muted">{theme.description || 'No description yet.'}</p>
              <p class="caption">{theme.families.join(' · ')}</p>
              <p class="caption mt-2 flex items-center gap-3 border-t border-border pt-2">
                <span>Revision {theme.revision}</span>
                <span>{when(theme.changedAt)}</span>
                {#if theme.findings > 0}<span class="ml-auto font-semibold text-must">{theme.findings} {theme.findings === 1 ? 'finding' : 'findings'}</span>
                {:else}<span class="ml-auto text-good">All pairs readable</span>{/if}
              </p>
              <a class="relative z-10 self-start text-link underline underline-offset-2" href="/kit/{theme.id}" aria-label="Kit of {theme.name}">Kit</a>
            </div>
          </li>
        {/each}
      </ul>
    {/if}
  </main>
{/if}

{#if dragging}
  <div class="pointer-events-none fixed inset-3 z-50 grid place-items-center border-2 border-dashed border-accent bg-ground/90">
    <p class="font-display text-2xl text-heading">Drop the kit to import it</p>
  </div>
{/if}

<NewTheme bind:open={creating} />
