<script lang="ts">
  import { onDestroy, onMount } from 'svelte';
  import { api, ask, type Schemas } from '$lib/api/client';
  import Compartment from '$lib/ui/Compartment.svelte';
  import { counted } from '$lib/ui/words';
  import type { Bench } from './bench.svelte';

  /** Own style sheets of the theme, and of the sites whose pages are in the bays: the pages follow while one is written. */
  let { bench }: { bench: Bench } = $props();

  let properties = $state.raw<string[] | null>(null);
  /** Whose it is: a site by its short name, or the theme. */
  let site = $state('');
  /** What is written of each and not stored, so that looking at another loses nothing. */
  let drafts = $state<Record<string, string>>({});
  /** Counts how often the editor was begun anew. */
  let anew = $state(0);
  let read = $state.raw<Schemas['Read'] | null>(null);

  onMount(async () => (properties = await ask(() => api.GET('/api/css-properties'))));
  onDestroy(() => bench.tryStyle(''));

  const owner = $derived(bench.owners.find((one) => one.site === site) ?? bench.owners[0]);
  const stored = $derived(owner?.own.css ?? '');
  const reach = (of: string) => (of ? 'on its own pages, after the theme’s' : 'on every page of every site');
  const written = $derived(drafts[site] ?? stored);
  const marks = $derived(
    read
      ? [
          ...read.faults.map((one) => ({ ...one, weight: 'must' })),
          ...read.removed.map((what) => ({
            line: 0,
            column: 0,
            words: `Nothing here may load anything: ${what} will be left out.`,
            weight: 'must'
          })),
          ...read.unknown.map((one) => ({ ...one, weight: 'should' })),
          ...read.strays.map((one) => ({ ...one, weight: 'should' }))
        ]
      : []
  );

  function choose(other: string) {
    site = other;
    read = null;
    bench.tryStyle('');
  }

  function heard(answer: Schemas['Read']) {
    read = answer;
    bench.tryStyle(site, answer.text);
  }

  async function keep() {
    if (await bench.storeStyle(site, written)) {
      delete drafts[site];
      bench.tryStyle('');
    }
  }
</script>

<div class="flex h-full min-w-[54rem]">
  <Compartment label="Whose style sheet" frame="w-52 shrink-0 border-r border-border" inside="py-1">
    <ul>
      {#each bench.owners as one (one.site)}
        <li>
          <button
            class="block w-full px-3 py-1 text-left {one.site === site ? 'bg-chosen' : 'hover:bg-hover'}"
            aria-pressed={one.site === site}
            onclick={() => choose(one.site)}
          >
            <span class="flex items-baseline gap-2"
              ><span class="min-w-0 grow truncate {one.site === site ? 'font-semibold' : ''}">{one.name}</span>
              {#if (drafts[one.site] ?? one.own.css) !== one.own.css}<span class="caption">not stored</span>
              {:else if one.own.css}<span class="caption">{counted(one.own.css.split('\n').length - 1, 'line', 'lines')}</span>{/if}</span
            >
            <span class="caption block">{reach(one.site)}</span>
          </button>
        </li>
      {/each}
    </ul>
  </Compartment>
  <div class="min-w-0 grow">
    {#if properties}
      {#key `${site} ${anew} ${stored}`}
        <!-- The editor is half of what the bench would load, so it comes when it is opened. -->
        {#await import('$lib/site/CssEditor.svelte') then { default: CssEditor }}
          <CssEditor
            of={{ site, theme: bench.id }}
            text={written}
            label="Own style sheet of {owner?.name}"
            {properties}
            height="100%"
            onread={heard}
            onwritten={(text) => (drafts[site] = text)}
          />
        {/await}
      {/key}
    {/if}
  </div>
  <Compartment label="What was read" frame="w-80 shrink-0 border-l border-border" inside="flex flex-col gap-2 px-3 py-2" focusable>
    <div class="flex items-center gap-2">
      <button class="button" disabled={written === stored} onclick={keep}>Store it</button>
      <button
        class="button button-quiet"
        disabled={written === stored}
        onclick={() => {
          delete drafts[site];
          anew += 1;
          choose(site);
        }}>As it was</button
      >
    </div>
    <div role="status">
      {#if marks.length}
        <ul class="flex flex-col gap-1.5">
          {#each marks as mark, at (at)}
            <li class="flex gap-2">
              <span class="value w-8 shrink-0 text-right text-muted">{mark.line || ''}</span>
              <span class={mark.weight === 'must' ? 'text-must' : ''}>{mark.words}</span>
            </li>
          {/each}
        </ul>
      {:else if written.trim()}
        <p class="text-muted">All of it holds: no fault, nothing from elsewhere, nothing that hides what the theme says.</p>
      {:else}
        <p class="text-muted">
          Nothing is written. What tokens cannot say can stand here; it comes after everything else, {reach(site)}. Write
          <span class="value">--</span> for what the theme gives.
        </p>
      {/if}
    </div>
  </Compartment>
</div>
