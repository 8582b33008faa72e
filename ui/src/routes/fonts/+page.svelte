<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { api, ask, Problem, type Schemas } from '$lib/api/client';
  import { arrived } from '$lib/account/arriving';
  import FontSheet from '$lib/font/FontSheet.svelte';
  import Masthead from '$lib/ui/Masthead.svelte';

  let families = $state.raw<Schemas['FamilyFacts'][] | null>(null);
  let message = $state('');
  let kind = $state('');
  let words = $state('');
  let opened = $state('');

  const kinds = $derived([...new Set(families?.map((one) => one.kind))]);
  const shown = $derived((families ?? []).filter((one) => kind === '' || one.kind === kind));
  const open = $derived(shown.find((one) => one.name === opened) ?? shown[0]);

  onMount(async () => {
    if (!(await arrived(page.url.pathname))) return;
    try {
      families = await ask(() => api.GET('/api/fonts/facts'));
    } catch (e) {
      message = e instanceof Problem ? e.message : String(e);
    }
  });

  function walk(event: KeyboardEvent) {
    const by = { ArrowDown: 1, ArrowUp: -1, Home: -shown.length, End: shown.length }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const at = shown.findIndex((one) => one.name === open?.name);
    opened = shown[Math.min(shown.length - 1, Math.max(0, at + by))]?.name ?? '';
    document.getElementById(`font-${opened.replaceAll(' ', '-')}`)?.scrollIntoView({ block: 'nearest' });
  }
</script>

<svelte:head><title>Fonts · Umber Loom</title></svelte:head>

<div class="flex h-screen flex-col">
  <Masthead />
  <main class="flex min-h-0 grow flex-col">
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line px-6 py-3">
      <h1 class="font-display text-2xl text-heading">Fonts</h1>
      <div class="flex flex-wrap gap-1" role="radiogroup" aria-label="Kind of family">
        {#each ['', ...kinds] as one (one)}
          <button
            class="rounded-sm px-2 py-0.5 {kind === one ? 'bg-chosen font-semibold' : 'text-muted hover:text-text'}"
            role="radio"
            aria-checked={kind === one}
            onclick={() => (kind = one)}>{one || 'all'}</button
          >
        {/each}
      </div>
      <label class="ml-auto flex items-center gap-2">
        <span class="text-muted">Words</span>
        <input class="field w-64" bind:value={words} placeholder="At six the tide turns" maxlength="80" />
      </label>
    </div>
    {#if message}<p class="m-6" role="alert">{message}</p>{/if}
    {#if families}
      <div class="flex min-h-0 grow">
        <ol
          class="min-h-0 w-[34rem] shrink-0 overflow-auto border-r border-line outline-offset-[-2px]"
          role="listbox"
          tabindex="0"
          aria-label="Families"
          aria-activedescendant={open && `font-${open.name.replaceAll(' ', '-')}`}
          onkeydown={walk}
        >
          {#each shown as one (one.name)}
            <!-- svelte-ignore a11y_click_events_have_key_events (the list hears the keys) -->
            <li
              id="font-{one.name.replaceAll(' ', '-')}"
              class="cursor-pointer border-b border-border px-6 py-2 [contain-intrinsic-size:auto_5rem] [content-visibility:auto] {one.name ===
              open?.name
                ? 'bg-chosen'
                : 'hover:bg-raised'}"
              role="option"
              aria-selected={one.name === open?.name}
              onclick={() => (opened = one.name)}
            >
              <p class="truncate text-[1.75rem]/10 text-heading" aria-hidden="true" style:font-family="'{one.name}'">
                {words || 'At six the tide turns'}
              </p>
              <p class="flex gap-3">
                <span class="font-semibold">{one.name}</span><span class="text-muted">{one.kind}</span>
                <span class="value ml-auto text-muted">{Math.round(one.bytes / 1024)} kB</span>
              </p>
            </li>
          {/each}
        </ol>
        {#if open}{#key open.name}<FontSheet family={open} {words} />{/key}{/if}
      </div>
    {/if}
  </main>
</div>
