<script lang="ts">
  import { Popover } from 'bits-ui';
  import Undo from '@lucide/svelte/icons/undo-2';
  import Redo from '@lucide/svelte/icons/redo-2';
  import History from '@lucide/svelte/icons/history';
  import { api, ask, type Schemas } from '$lib/api/client';
  import type { Bench } from './bench.svelte';
  import TextValue from '$lib/ui/TextValue.svelte';
  import WeaveMark from './WeaveMark.svelte';

  let { bench }: { bench: Bench } = $props();

  let entries = $state.raw<Schemas['HistoryView'][]>([]);

  const rail = $derived(bench.saved?.rail);
  const findings = $derived(bench.shown?.findings ?? []);
  const weave = $derived({
    warp: bench.shown?.color.hues.map((hue) => hue.seed.hex).slice(0, 6) ?? [],
    weft: bench.shown?.color.surfaces.flatMap((s) => s.roles.filter((r) => r.role === 'ground' || r.role === 'accent').map((r) => r.cells[0]?.hex ?? '')).slice(0, 6) ?? []
  });
  const status = $derived(
    bench.state === 'saving' ? 'Saving …' : bench.state === 'probing' ? 'Trying, not saved' : bench.state === 'failed' ? 'Not saved, no answer' : 'Saved'
  );
  const SAID = { start: '', edit: '', undo: 'undid ', redo: 'redid ' } as Record<string, string>;

  async function readHistory(open: boolean) {
    if (open) entries = await ask(() => api.GET('/api/themes/{id}/history', { params: { path: { id: bench.id } } }));
  }

  async function rename(text: string) {
    return (await bench.commit({ op: 'name', text })) ? '' : bench.refused;
  }

  function at(time: string) {
    return new Date(time).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
  }
</script>

<header class="flex h-11 shrink-0 items-center gap-3 border-b border-line px-3">
  <a class="flex items-center gap-2 text-muted hover:text-ink" href="/library" aria-label="Back to the library">
    <img src="/mark.svg" alt="" width="18" height="18" /> <span>Library</span>
  </a>
  <span class="h-5 w-px bg-line"></span>
  <WeaveMark {weave} size={26} />
  <h1 class="font-display truncate text-lg leading-none text-heading">{bench.saved?.name ?? ''}</h1>
  <Popover.Root>
    <Popover.Trigger class="button button-quiet h-7 px-2 text-muted">Rename</Popover.Trigger>
    <Popover.Portal>
      <Popover.Content role="dialog" aria-label="Rename the theme" class="z-40 rounded-[3px] border border-line bg-raised p-4" sideOffset={6}>
        <TextValue label="Name of the theme" value={bench.saved?.name ?? ''} width="w-64" oncommit={rename} />
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
  <div class="flex items-center gap-1">
    <button class="button px-2" disabled={!rail?.undo} aria-label={rail?.undo ? `Undo ${rail.undo}` : 'Nothing to undo'} title={rail?.undo ? `Undo ${rail.undo}` : 'Nothing to undo'} onclick={() => bench.undo()}><Undo size={15} /></button>
    <button class="button px-2" disabled={!rail?.redo} aria-label={rail?.redo ? `Redo ${rail.redo}` : 'Nothing to redo'} title={rail?.redo ? `Redo ${rail.redo}` : 'Nothing to redo'} onclick={() => bench.redo()}><Redo size={15} /></button>
    <Popover.Root onOpenChange={readHistory}>
      <Popover.Trigger class="button px-2" aria-label="History"><History size={15} /></Popover.Trigger>
      <Popover.Portal>
        <Popover.Content role="dialog" aria-label="History of the theme" class="z-40 max-h-96 w-96 overflow-y-auto rounded-[3px] border border-line bg-raised p-2" sideOffset={6} align="start">
          <ol aria-label="History">
            {#each entries as entry (entry.number)}
              <li class="flex gap-3 px-2 py-1">
                <span class="value w-8 shrink-0 text-right text-muted">{entry.number}</span>
                <span class="min-w-0 grow break-words">{SAID[entry.kind] ?? ''}{entry.label}</span>
                <span class="caption shrink-0 text-right">{entry.person}<br />{at(entry.at)}</span>
              </li>
            {/each}
          </ol>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  </div>
  <p class="min-w-0 truncate text-muted" aria-live="polite" data-testid="saved-state">
    <span class={bench.state === 'failed' ? 'font-semibold text-must' : bench.state === 'saved' ? 'text-good' : 'text-ink'}>{status}</span>
    {#if rail}<span class="value"> · {bench.saved?.revision}</span> · {SAID[rail.kind] ?? ''}{rail.label}{/if}
  </p>
  <span class="grow"></span>
  <Popover.Root>
    <Popover.Trigger class="button {findings.length ? 'text-must' : 'text-good'}">
      {findings.length === 0 ? 'No findings' : `${findings.length} ${findings.length === 1 ? 'finding' : 'findings'}`}
    </Popover.Trigger>
    <Popover.Portal>
      <Popover.Content role="dialog" aria-label="Findings of the theme" class="z-40 max-h-96 w-[28rem] overflow-y-auto rounded-[3px] border border-line bg-raised p-3" sideOffset={6} align="end">
        {#if findings.length === 0}
          <p class="p-2">Every declared pair reaches its ratio, and every reference resolves.</p>
        {:else}
          <ul class="flex flex-col gap-3" aria-label="Findings">
            {#each findings as f (f.code + f.path + f.message)}
              <li class="border-l-2 border-must pl-3">
                <p class="value text-muted">{f.path}</p>
                <p>{f.message}</p>
                <p class="text-muted">{f.remedy}</p>
              </li>
            {/each}
          </ul>
        {/if}
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
  <a class="button button-strong" href="/kit/{bench.id}">Kit</a>
</header>
