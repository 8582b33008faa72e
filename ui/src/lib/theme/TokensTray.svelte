<script lang="ts">
  import { untrack } from 'svelte';
  import ChevronRight from '@lucide/svelte/icons/chevron-right';
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import TokenPicture from '$lib/ui/TokenPicture.svelte';
  import type { Bench } from './bench.svelte';
  import BulkForm from './BulkForm.svelte';
  import NewToken from './NewToken.svelte';
  import TokenEditor from './TokenEditor.svelte';
  import { FLAGS, Tokens, type Line } from './tokens.svelte';

  /** Every token as a tree. Only the lines in sight are drawn, so ten thousand tokens scroll like ten. */
  let { bench }: { bench: Bench } = $props();

  const LINE = 26;
  const SPARE = 8;
  const COLUMNS =
    'grid gap-x-3 grid-cols-[minmax(9rem,1.2fr)_minmax(8rem,1.4fr)_4rem] @min-[37rem]:grid-cols-[minmax(9rem,1.2fr)_minmax(8rem,1.4fr)_minmax(6rem,1fr)_6.5rem_4rem]';
  /** Columns that a narrow tray leaves out; the editor beside it says what stands in them. */
  const WIDE = 'hidden @min-[37rem]:block';

  const tokens = new Tokens(untrack(() => bench));
  let scroller: HTMLElement | undefined = $state();
  let top = $state(0);
  let room = $state(300);
  let editing = $state('');
  let typed = $state('');
  let refused = $state('');
  let panel = $state<'' | 'bulk' | 'new'>('');

  const lines = $derived(tokens.lines);
  const first = $derived(Math.max(0, Math.floor(top / LINE) - SPARE));
  const visible = $derived(lines.slice(first, Math.ceil((top + room) / LINE) + SPARE));
  const activeIndex = $derived(lines.findIndex((line) => line.path === tokens.active));
  const row = $derived(tokens.byPath.get(tokens.active));
  const findings = $derived(new Map((bench.shown?.findings ?? []).map((f) => [f.path, f.weight])));

  $effect(() => {
    void bench.saved?.revision;
    void bench.working;
    untrack(() => {
      if (tokens.carry(bench.saved?.rail.moved ?? [])) bringIntoSight();
    });
    void tokens.load();
  });

  // What is picked elsewhere is shown here, too.
  $effect(() => {
    const path = bench.pick?.path;
    if (!path || !tokens.loaded) return;
    untrack(() => {
      if (tokens.active === path) return;
      tokens.reveal(path);
      bringIntoSight();
    });
  });

  // Without a search the tree is back, and the active token is in it.
  $effect(() => {
    if (tokens.searching) return;
    untrack(() => {
      if (!tokens.byPath.has(tokens.active)) return;
      tokens.reveal(tokens.active);
      bringIntoSight();
    });
  });

  function bringIntoSight() {
    requestAnimationFrame(() => show(activeIndex));
  }

  function show(index: number) {
    if (!scroller || index < 0) return;
    if (index * LINE < scroller.scrollTop) scroller.scrollTop = index * LINE;
    else if ((index + 1) * LINE > scroller.scrollTop + room) scroller.scrollTop = (index + 1) * LINE - room;
  }

  function activate(line: Line) {
    tokens.activate(line.path);
    if (line.token) bench.open({ path: line.path, contexts: { ...bench.working }, roles: [{ kind: 'color', path: line.path }] }, true);
  }

  function edit(line: Line) {
    if (!line.token) return;
    editing = line.path;
    typed = line.token.written;
    refused = '';
  }

  async function take(line: Line) {
    if (editing !== line.path || !line.token) return;
    if (typed === line.token.written) {
      editing = '';
      return;
    }
    refused = await bench.take({ op: 'value', place: line.token.place, path: line.path, text: typed });
    if (refused !== '') return;
    editing = '';
    scroller?.focus();
  }

  function key(event: KeyboardEvent) {
    if (event.target !== scroller) return;
    const line = lines[activeIndex];
    const moves: Record<string, number> = {
      ArrowDown: 1,
      ArrowUp: -1,
      PageDown: Math.floor(room / LINE),
      PageUp: -Math.floor(room / LINE),
      Home: -lines.length,
      End: lines.length
    };
    const by = moves[event.key];
    if (by !== undefined) {
      event.preventDefault();
      const index = Math.min(lines.length - 1, Math.max(0, activeIndex + by));
      const next = lines[index];
      if (next) activate(next);
      show(index);
    } else if (event.key === 'ArrowRight' && line?.group) tokens.toggle(line.path, true);
    else if (event.key === 'ArrowLeft' && line) {
      if (line.group && tokens.open.has(line.path)) tokens.toggle(line.path, false);
      else {
        const parent = lines.find((l) => l.path === line.path.split('.').slice(0, -1).join('.'));
        if (parent) activate(parent);
      }
    } else if (event.key === 'Enter' && line) {
      event.preventDefault();
      if (line.group) tokens.toggle(line.path);
      else edit(line);
    }
  }

  const place = (text: string) => bench.looks.words(text);
  const MARKS: Record<string, string> = { derived: 'derived', detached: 'by hand', recipe: 'recipe', deprecated: 'deprecated' };
</script>

<div class="flex h-full min-h-0">
  <section class="@container flex min-w-0 grow flex-col" aria-label="Tokens">
    <div class="flex flex-wrap items-center gap-2 border-b border-border px-3 py-1.5">
      <input
        class="field min-w-24 flex-1"
        type="search"
        placeholder="Path, value, place"
        aria-label="Search tokens"
        bind:value={tokens.search}
        onkeydown={(e) => {
          if (e.key === 'ArrowDown') {
            e.preventDefault();
            scroller?.focus();
          }
        }}
      />
      <select class="field w-26 shrink-0" aria-label="Type of token" bind:value={tokens.type}
        ><option value="">every type</option>{#each tokens.types as type (type)}<option value={type}>{type}</option>{/each}</select
      >
      <select class="field w-32 shrink-0" aria-label="Which tokens" bind:value={tokens.flag}
        ><option value="">all tokens</option>{#each FLAGS as flag (flag.id)}<option value={flag.id}>{flag.name}</option>{/each}</select
      >
      <span class="caption whitespace-nowrap" aria-live="polite">{tokens.found.length} of {tokens.rows.length}</span>
      <button class="button" aria-expanded={panel === 'new'} onclick={() => (panel = panel === 'new' ? '' : 'new')}>New token</button>
      <button class="button" aria-expanded={panel === 'bulk'} onclick={() => (panel = panel === 'bulk' ? '' : 'bulk')}
        >Change several</button
      >
    </div>
    {#if panel === 'new'}<NewToken
        {bench}
        group={tokens.active}
        onmade={(path) => {
          panel = '';
          void tokens.load().then(() => tokens.reveal(path));
        }}
      />{/if}
    {#if panel === 'bulk'}<BulkForm {bench} group={tokens.active} />{/if}
    <div class="caption {COLUMNS} border-b border-line px-3 py-0.5" aria-hidden="true">
      <span>Name</span><span>Written</span><span class={WIDE}>Comes to</span><span class={WIDE}>In</span><span class="text-right"
        >Used by</span
      >
    </div>
    <div
      bind:this={scroller}
      bind:clientHeight={room}
      class="relative min-h-0 grow overflow-y-auto"
      role="treegrid"
      tabindex="0"
      aria-label="Tokens of the theme; arrow keys move, right and left open and close a group, Enter edits"
      aria-rowcount={lines.length}
      aria-activedescendant={activeIndex >= 0 ? `token-${activeIndex}` : undefined}
      onscroll={(e) => (top = e.currentTarget.scrollTop)}
      onkeydown={key}
    >
      <div role="presentation" style:height="{lines.length * LINE}px">
        <div role="rowgroup" style:transform="translateY({first * LINE}px)">
          {#each visible as line, i (line.path + (line.group ? '/' : ''))}
            {@const index = first + i}
            <!-- svelte-ignore a11y_click_events_have_key_events (the tree itself listens to the keyboard) -->
            <div
              id="token-{index}"
              role="row"
              tabindex="-1"
              aria-level={line.level}
              aria-rowindex={index + 1}
              aria-expanded={line.group ? tokens.open.has(line.path) : undefined}
              aria-selected={line.path === tokens.active}
              class="{COLUMNS} cursor-default items-center px-3 {line.path === tokens.active ? 'bg-chosen' : 'hover:bg-hover'}"
              style:height="{LINE}px"
              onclick={() => (line.group ? (tokens.toggle(line.path), tokens.activate(line.path)) : activate(line))}
              ondblclick={() => edit(line)}
            >
              <span role="gridcell" class="flex min-w-0 items-center gap-1.5" style:padding-left="{(line.level - 1) * 14}px">
                {#if line.group}
                  {#if tokens.open.has(line.path)}<ChevronDown size={13} class="shrink-0" />{:else}<ChevronRight
                      size={13}
                      class="shrink-0"
                    />{/if}
                  <span class="truncate font-semibold">{line.name}</span><span class="caption">{line.count}</span>
                {:else}
                  {#if line.token}<span class="grid w-7 shrink-0 place-items-center"
                      ><TokenPicture type={line.token.type} css={line.token.css} size={15} /></span
                    >{/if}
                  <span class="value truncate {line.token?.marks.includes('deprecated') ? 'line-through' : ''}">{line.name}</span>
                  {#if line.token?.findings.length || findings.has(line.path)}<span
                      class="font-bold text-must"
                      title={line.token?.findings[0]?.message ?? 'see the findings'}>!<span class="sr-only"> has a finding</span></span
                    >{/if}
                {/if}
              </span>
              {#if line.token}
                <span role="gridcell" class="min-w-0">
                  {#if editing === line.path}
                    <!-- svelte-ignore a11y_autofocus (it was just asked for) -->
                    <input
                      class="field value h-6! w-full"
                      aria-label="Value of {line.path}"
                      aria-invalid={refused !== ''}
                      title={refused}
                      bind:value={typed}
                      autofocus
                      onblur={() => take(line)}
                      onkeydown={(e) => {
                        if (e.key === 'Enter') void take(line);
                        if (e.key === 'Escape') {
                          editing = '';
                          scroller?.focus();
                        }
                        e.stopPropagation();
                      }}
                    />
                  {:else}<span class="value block truncate" title={line.token.written}>{line.token.written}</span>{/if}
                </span>
                <span role="gridcell" class="value min-w-0 truncate text-muted {WIDE}" title={line.token.resolved}
                  >{line.token.resolved === line.token.written ? '' : line.token.resolved}{#if !line.token.resolved}<span class="text-must"
                      >not resolved</span
                    >{/if}</span
                >
                <span role="gridcell" class="caption truncate {WIDE}" title={place(line.token.place)}
                  >{place(line.token.place)}{#each line.token.marks.filter((mark) => mark in MARKS) as mark (mark)}{' '}· {MARKS[
                      mark
                    ]}{/each}</span
                >
                <span role="gridcell" class="value text-right text-muted">{line.token.users || ''}</span>
              {:else}<span role="gridcell" class="col-span-2 @min-[37rem]:col-span-4"><span class="sr-only">{line.count} tokens</span></span
                >{/if}
            </div>
          {/each}
        </div>
      </div>
    </div>
    {#if refused && editing}<p class="border-t border-border px-3 py-1 text-must" role="alert">{refused}</p>{/if}
    {#if tokens.loaded && lines.length === 0}<p class="px-3 py-6 text-center text-muted">
        {tokens.searching ? 'No token fits. Search for less, or take a filter away.' : 'This theme has no token yet. Make the first one.'}
      </p>{/if}
  </section>
  {#if row}{#key tokens.opened}<TokenEditor {bench} {row} />{/key}{/if}
</div>
