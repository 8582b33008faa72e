<script lang="ts">
  import { Popover } from 'bits-ui';
  import { api, ask, type Schemas } from '$lib/api/client';
  import type { Bench } from './bench.svelte';

  /** What is wrong or untidy, each with its remedy to be applied on the spot. */
  let { bench }: { bench: Bench } = $props();

  let open = $state(false);
  let untidy = $state.raw<Schemas['FindingView'][]>([]);

  const found = $derived(bench.shown?.findings ?? []);
  const checked = $derived((bench.shown?.pairs ?? 0) > 0);
  const must = $derived(found.filter((f) => f.weight === 'must').length);
  const COLOR = { must: 'border-must', should: 'border-should', note: 'border-line' } as Record<string, string>;

  $effect(() => {
    if (open && bench.saved)
      void ask(() => api.GET('/api/themes/{id}/untidy', { params: { path: { id: bench.id } } })).then((all) => (untidy = all));
  });

  function look(path: string) {
    bench.tab = 'tokens';
    bench.open({ path, contexts: bench.working, roles: [{ kind: 'color', path }] }, true);
    open = false;
  }
</script>

{#snippet item(f: Schemas['FindingView'])}
  <li class="border-l-2 pl-3 {COLOR[f.weight] ?? 'border-line'}">
    <button class="value break-all text-left text-link hover:underline" onclick={() => look(f.path)}>{f.path}</button>
    <p>{f.message}</p>
    <p class="text-muted">{f.remedy}</p>
    {#if f.code === 'undressed'}<p class="mt-1"><a class="button" href="/dress/{bench.id}">Dress it</a></p>{/if}
    {#if f.fixes.length}
      <p class="mt-1 flex flex-wrap gap-1">
        {#each f.fixes as fix (fix.label)}<button class="button" onclick={() => bench.commit(fix.edit)}>{fix.label}</button>{/each}
      </p>
    {/if}
  </li>
{/snippet}

<Popover.Root bind:open>
  <Popover.Trigger class="button {must ? 'text-must' : found.length ? 'text-should' : checked ? 'text-good' : 'text-muted'}">
    {found.length === 0
      ? checked
        ? 'No findings'
        : 'Nothing to check yet'
      : `${found.length} ${found.length === 1 ? 'finding' : 'findings'}`}
  </Popover.Trigger>
  <Popover.Portal>
    <Popover.Content
      role="dialog"
      aria-label="Findings of the theme"
      class="z-40 max-h-[28rem] w-[30rem] overflow-y-auto rounded-[3px] border border-line bg-raised p-3"
      sideOffset={6}
      align="end"
    >
      {#if found.length === 0}
        <p class="p-2">
          {#if !checked}No token fills a role yet, so no pair of colors could be measured. <a
              class="text-link underline"
              href="/dress/{bench.id}">Dress the theme</a
            > first.{:else}In the combinations that are shown, every declared pair reaches its ratio and every reference resolves.{/if}
        </p>
      {:else}
        <ul class="flex flex-col gap-3" aria-label="Findings">
          {#each found as f (f.code + f.path + f.message)}{@render item(f)}{/each}
        </ul>
      {/if}
      {#if untidy.length}
        <h2 class="mt-4 mb-2 border-t border-border pt-3 font-semibold">Untidy, over all combinations</h2>
        <ul class="flex flex-col gap-3" aria-label="Untidy">
          {#each untidy as f (f.code + f.path + f.message)}{@render item(f)}{/each}
        </ul>
      {/if}
      <p class="mt-3 border-t border-border pt-2">
        <a class="text-link underline" href="/findings/{bench.id}">All findings, of the sites too</a>
      </p>
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
