<script lang="ts">
  import { Popover } from 'bits-ui';
  import Undo from '@lucide/svelte/icons/undo-2';
  import Redo from '@lucide/svelte/icons/redo-2';
  import History from '@lucide/svelte/icons/history';
  import { SAID } from '$lib/ui/words';
  import type { Bench } from './bench.svelte';
  import Findings from './Findings.svelte';
  import ReleaseLink from '$lib/release/ReleaseLink.svelte';
  import TextValue from '$lib/ui/TextValue.svelte';
  import WeaveMark from './WeaveMark.svelte';

  let { bench }: { bench: Bench } = $props();

  const rail = $derived(bench.saved?.rail);
  /** In whose history, where that is a site's. */
  const of = $derived(bench.stacks.of ? `, in ${bench.stacks.of}` : '');
  const weave = $derived({
    warp: bench.shown?.color.hues.map((hue) => hue.seed.hex).slice(0, 6) ?? [],
    weft:
      bench.shown?.color.surfaces
        .flatMap((s) => s.roles.filter((r) => r.role === 'ground' || r.role === 'accent').map((r) => r.cells[0]?.hex ?? ''))
        .slice(0, 6) ?? []
  });
  const status = $derived(
    bench.state === 'saving'
      ? 'Saving …'
      : bench.state === 'probing'
        ? 'Trying, not saved'
        : bench.state === 'failed'
          ? 'Not saved, no answer'
          : 'Saved'
  );
  const rename = (text: string) => bench.take({ op: 'setName', name: text.trim() });
</script>

<header class="flex h-11 shrink-0 items-center gap-3 border-b border-line px-3" data-area>
  <a class="flex items-center gap-2 text-muted hover:text-ink" href="/library" aria-label="Back to the library">
    <img src="/mark.svg" alt="" width="18" height="18" /> <span>Library</span>
  </a>
  <span class="h-5 w-px bg-line"></span>
  <WeaveMark {weave} size={26} />
  <h1 class="font-display max-w-72 shrink-0 truncate text-lg leading-none text-heading" title={bench.saved?.name}>
    {bench.saved?.name ?? ''}
  </h1>
  <Popover.Root>
    <Popover.Trigger class="button button-quiet h-7 px-2 text-muted">Rename</Popover.Trigger>
    <Popover.Portal>
      <Popover.Content
        role="dialog"
        aria-label="Rename the theme"
        class="z-40 rounded-[3px] border border-line bg-raised p-4"
        sideOffset={6}
      >
        <TextValue label="Name of the theme" value={bench.saved?.name ?? ''} width="w-64" oncommit={rename} />
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
  <div class="flex items-center gap-1">
    <button
      class="button px-2"
      disabled={!bench.stacks.undo}
      aria-label={bench.stacks.undo ? `Undo ${bench.stacks.undo}${of}` : 'Nothing to undo'}
      title={bench.stacks.undo ? `Undo ${bench.stacks.undo}${of}` : 'Nothing to undo'}
      onclick={() => bench.undo()}><Undo size={15} /></button
    >
    <button
      class="button px-2"
      disabled={!bench.stacks.redo}
      aria-label={bench.stacks.redo ? `Redo ${bench.stacks.redo}${of}` : 'Nothing to redo'}
      title={bench.stacks.redo ? `Redo ${bench.stacks.redo}${of}` : 'Nothing to redo'}
      onclick={() => bench.redo()}><Redo size={15} /></button
    >
    <button class="button px-2" aria-label="History" aria-pressed={bench.tab === 'history'} onclick={() => (bench.tab = 'history')}
      ><History size={15} /></button
    >
  </div>
  <p class="min-w-0 truncate text-muted" aria-live="polite" data-testid="saved-state">
    <span class={bench.state === 'failed' ? 'font-semibold text-must' : bench.state === 'saved' ? 'text-good' : 'text-ink'}>{status}</span>
    {#if rail}<span class="value"> · {bench.saved?.revision}</span> · {SAID[rail.kind] ?? ''}{rail.label}{/if}
  </p>
  <span class="grow"></span>
  <Findings {bench} />
  <a class="button" href="/dress/{bench.id}">Dress</a>
  <ReleaseLink theme={bench.id} revision={bench.saved?.revision ?? 0} />
  <a class="button button-strong" href="/kit/{bench.id}">Kit</a>
</header>
