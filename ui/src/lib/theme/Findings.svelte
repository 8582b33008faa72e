<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { Schemas } from '$lib/api/client';
  import { counted } from '$lib/ui/words';
  import { Report } from '$lib/finding/report.svelte';
  import type { Bench } from './bench.svelte';

  /** What is wrong with the theme and its sites, counted as on the screen of findings; each with its fixes. */
  let { bench }: { bench: Bench } = $props();

  /** More are read on a screen of their own. */
  const MOST = 40;

  let open = $state(false);
  // svelte-ignore state_referenced_locally
  const report = new Report(bench.id);

  const found = $derived(report.open);
  const checked = $derived((bench.shown?.pairs ?? 0) > 0);
  const COLOR = { must: 'border-must', should: 'border-should', note: 'border-line' } as Record<string, string>;

  $effect(() => {
    // Every edit of the theme, and of the sites in the bays, may bring some and take others away.
    void bench.saved;
    report.readSoon();
  });
  $effect(() => () => report.stop());

  function look(path: string) {
    bench.tab = 'tokens';
    bench.open({ path, contexts: bench.working, roles: [{ kind: 'color', path }] }, true);
    open = false;
  }
</script>

{#snippet item(f: Schemas['FindingEntry'])}
  <li class="border-l-2 pl-3 {COLOR[f.weight] ?? 'border-line'}">
    {#if f.site}<a class="text-link hover:underline" href="/sites/{f.site}">{f.pageTitle}, {f.siteName}</a>
    {:else if f.path}<button class="value break-all text-left text-link hover:underline" onclick={() => look(f.path)}>{f.path}</button>{/if}
    <p>{f.message}</p>
    <p class="text-muted">{f.remedy}</p>
    {#if f.kind === 'undressed'}<p class="mt-1"><a class="button" href="/dress/{bench.id}">Map roles</a></p>{/if}
    {#if f.fixes.length}
      <p class="mt-1 flex flex-wrap gap-1">
        {#each f.fixes as fix (fix.label)}<button class="button" onclick={() => bench.commit(fix.edit)}>{fix.label}</button>{/each}
      </p>
    {/if}
  </li>
{/snippet}

<Popover.Root bind:open>
  <Popover.Trigger
    class="button {report.must ? 'text-must' : found.length ? 'text-should' : checked && report.now ? 'text-good' : 'text-muted'}"
  >
    {!report.now
      ? 'Findings'
      : found.length
        ? counted(found.length, 'finding', 'findings')
        : checked
          ? 'No findings'
          : 'Nothing to check yet'}
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
              href="/dress/{bench.id}">Map roles</a
            > first.{:else}Every check of the theme and its sites passes.{/if}
        </p>
      {:else}
        <ul class="flex flex-col gap-3" aria-label="Findings">
          {#each found.slice(0, MOST) as f (f.id)}{@render item(f)}{/each}
        </ul>
      {/if}
      <p class="mt-3 border-t border-border pt-2">
        <a class="text-link underline" href="/findings/{bench.id}"
          >{found.length > MOST ? `All ${found.length}` : 'All findings'}, with pictures</a
        >
      </p>
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
