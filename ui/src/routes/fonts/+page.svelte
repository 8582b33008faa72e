<script lang="ts">
  import { onMount } from 'svelte';
  import FileUp from '@lucide/svelte/icons/file-up';
  import { toast } from 'svelte-sonner';
  import { page } from '$app/state';
  import { api, ask, store, upload, said, type Schemas } from '$lib/api/client';
  import { arrived } from '$lib/account/arriving';
  import BroughtIn from '$lib/font/BroughtIn.svelte';
  import FontSheet from '$lib/font/FontSheet.svelte';
  import OwnFaces from '$lib/font/OwnFaces.svelte';
  import type { Sample } from '$lib/font/specimen';
  import WordsOf from '$lib/font/WordsOf.svelte';
  import Masthead from '$lib/ui/Masthead.svelte';

  type Brought = Schemas['Brought'];
  const OWN = 'own';

  let families = $state.raw<Schemas['FamilyFacts'][] | null>(null);
  let message = $state('');
  let kind = $state('');
  let words = $state('');
  let theme = $state(0);
  let sample = $state.raw<Sample | null>(null);
  let opened = $state('');
  let brought = $state.raw<Brought[]>([]);
  let reading = $state(0);
  let over = $state(false);
  let picker: HTMLInputElement | undefined = $state();

  const kinds = $derived([...new Set(families?.map((one) => one.kind))]);
  const shown = $derived((families ?? []).filter((one) => kind === '' || one.kind === kind));
  const open = $derived(shown.find((one) => one.name === opened) ?? shown[0]);

  const idOf = (name: string) => `font-${name.replaceAll(' ', '-')}`;

  async function read() {
    try {
      families = await ask(() => api.GET('/api/fonts/facts'));
    } catch (e) {
      message = said(e);
    }
  }

  onMount(async () => {
    if (await arrived(page.url.pathname)) await read();
  });

  async function bring(files: File[]) {
    if (!files.length) return;
    reading = files.length;
    try {
      brought = await store(async () => {
        const response = await upload('/api/fonts/own', files);
        const body: unknown = await response.json().catch(() => null);
        return response.ok ? { data: body as Brought[], response } : { error: body, response };
      });
      await read();
      const first = brought.find((one) => one.kept);
      if (first) show(first.family);
    } catch (e) {
      toast.error('No font was brought in.', { description: said(e) });
    } finally {
      reading = 0;
    }
  }

  function show(family: string) {
    kind = '';
    opened = family;
    requestAnimationFrame(() => document.getElementById(idOf(family))?.scrollIntoView({ block: 'nearest' }));
  }

  async function remove(family: string) {
    try {
      const removed = await store(() => api.POST('/api/fonts/own/removed', { body: { family } }));
      brought = [];
      await read();
      toast.success(`${family} was removed.`, { action: { label: 'Undo', onClick: () => void putBack(removed) } });
    } catch (e) {
      toast.error('Nothing was removed.', { description: said(e) });
    }
  }

  async function putBack(removed: Schemas['RemovedFamily']) {
    try {
      await store(() => api.POST('/api/fonts/own/put-back', { body: { files: removed.files } }));
      await read();
      show(removed.family);
    } catch (e) {
      toast.error('It was not put back.', { description: said(e) });
    }
  }

  function walk(event: KeyboardEvent) {
    const by = { ArrowDown: 1, ArrowUp: -1, Home: -shown.length, End: shown.length }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const at = shown.findIndex((one) => one.name === open?.name);
    opened = shown[Math.min(shown.length - 1, Math.max(0, at + by))]?.name ?? '';
    document.getElementById(idOf(opened))?.scrollIntoView({ block: 'nearest' });
  }
</script>

<svelte:head><title>Fonts · Umber Loom</title></svelte:head>
<OwnFaces families={families ?? []} />

<svelte:window
  ondragover={(event) => {
    if (!event.dataTransfer?.types.includes('Files')) return;
    event.preventDefault();
    over = true;
  }}
  ondragleave={(event) => {
    if (!event.relatedTarget) over = false;
  }}
  ondrop={(event) => {
    event.preventDefault();
    over = false;
    void bring([...(event.dataTransfer?.files ?? [])]);
  }}
/>

<div class="flex h-screen flex-col">
  <Masthead />
  <main class="flex min-h-0 grow flex-col">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line px-6 py-3">
      <h1 class="font-display text-2xl text-heading">Fonts</h1>
      <span class="grow"></span>
      <WordsOf bind:sample bind:theme />
      <label class="flex items-center gap-2">
        <span class="text-muted">Words</span>
        <input class="field w-52" bind:value={words} placeholder={sample?.heading ?? 'At six the tide turns'} maxlength="80" />
      </label>
      <button class="button" disabled={reading > 0} onclick={() => picker?.click()}><FileUp size={15} /> Bring in your own</button>
      <input
        bind:this={picker}
        class="sr-only"
        type="file"
        multiple
        tabindex="-1"
        accept=".ttf,.otf,.woff,.woff2"
        aria-label="Font files"
        onchange={(event) => {
          void bring([...(event.currentTarget.files ?? [])]);
          event.currentTarget.value = '';
        }}
      />
      <div class="-mx-2 flex w-full flex-wrap gap-1" role="radiogroup" aria-label="Kind of family">
        {#each ['', ...kinds] as one (one)}
          <button
            class="rounded-sm px-2 py-0.5 {kind === one ? 'bg-chosen font-semibold' : 'text-muted hover:text-text'}"
            role="radio"
            aria-checked={kind === one}
            onclick={() => (kind = one)}>{one || 'all'}</button
          >
        {/each}
      </div>
    </div>
    {#if message}<p class="m-6" role="alert">{message}</p>{/if}
    {#if reading || brought.length}
      <BroughtIn {brought} {reading} onshow={show} onclose={() => (brought = [])} />
    {/if}
    {#if over}
      <p class="border-b border-line bg-chosen px-6 py-3">
        Let go to bring them in: TTF, OTF, WOFF or WOFF2, all files of a family at once if you like.
      </p>
    {/if}
    {#if families}
      <div class="flex min-h-0 grow">
        <ol
          class="min-h-0 w-[34rem] shrink-0 overflow-auto border-r border-line outline-offset-[-2px]"
          role="listbox"
          tabindex="0"
          aria-label="Families"
          aria-activedescendant={open && idOf(open.name)}
          onkeydown={walk}
        >
          {#each shown as one (one.name)}
            <!-- svelte-ignore a11y_click_events_have_key_events (the list hears the keys) -->
            <li
              id={idOf(one.name)}
              class="cursor-pointer border-b border-border px-6 py-2 [contain-intrinsic-size:auto_5rem] [content-visibility:auto] {one.name ===
              open?.name
                ? 'bg-chosen'
                : 'hover:bg-raised'}"
              role="option"
              aria-selected={one.name === open?.name}
              onclick={() => (opened = one.name)}
            >
              <p
                class="truncate text-[1.75rem]/10 text-heading {sample ? 'rounded-sm px-2' : ''}"
                aria-hidden="true"
                style:font-family="'{one.name}'"
                style:background-color={sample?.ground}
                style:color={sample?.headingColor}
              >
                {words || sample?.heading || 'At six the tide turns'}
              </p>
              {#if sample}
                <p
                  class="truncate rounded-sm px-2 text-base/7"
                  aria-hidden="true"
                  style:font-family="'{one.name}'"
                  style:background-color={sample.ground}
                  style:color={sample.textColor}
                >
                  {sample.text}
                </p>
              {/if}
              <p class="flex gap-3">
                <span class="font-semibold">{one.name}</span><span class="text-muted">{one.kind}</span>
                {#if !one.travels}<span class="text-should">stays out of kits</span>{/if}
                <span class="value ml-auto text-muted">{Math.round(one.bytes / 1024)} kB</span>
              </p>
            </li>
          {/each}
        </ol>
        {#if open}{#key open.name}<FontSheet
              family={open}
              {words}
              {sample}
              onremove={open.kind === OWN ? () => void remove(open.name) : undefined}
            />{/key}{/if}
      </div>
    {/if}
  </main>
</div>
