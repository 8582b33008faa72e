<script lang="ts">
  import { api, ask, store, type Schemas } from '$lib/api/client';
  import TextValue from '$lib/ui/TextValue.svelte';
  import { at, counted, SAID } from '$lib/ui/words';
  import type { Bench } from './bench.svelte';

  /** The edits of a theme in words; any state can be stepped to, named, compared with another, and made the newest again. */
  let { bench }: { bench: Bench } = $props();

  type Entry = Schemas['HistoryView'];
  const PAGE = 100;

  let entries = $state.raw<Entry[]>([]);
  let checkpoints = $state.raw<Entry[]>([]);
  let chosen = $state(-1);
  let against = $state<number | null>(null);
  let comparison = $state.raw<Schemas['CompareView'] | null>(null);
  let ended = $state(false);

  /** Steps back and forth are one row: what they came to together, and the state that they left. */
  type Row = Entry & { said: string };
  const rows = $derived.by<Row[]>(() => {
    const all: Row[] = [];
    for (let i = 0; i < entries.length; i++) {
      const first = entries[i]!;
      let end = i;
      const steps = (one: Entry | undefined) => one !== undefined && (one.kind === 'undo' || one.kind === 'redo') && !one.checkpoint;
      while (steps(first) && steps(entries[end + 1])) end++;
      const run = entries.slice(i, end + 1);
      const back = run.filter((one) => one.kind === 'undo').length - run.filter((one) => one.kind === 'redo').length;
      all.push({
        ...first,
        said:
          run.length === 1
            ? `${SAID[first.kind] ?? ''}${first.label}`
            : back === 0
              ? `Undid and redid ${counted(run.length / 2, 'edit', 'edits')}`
              : `${back > 0 ? 'Undid' : 'Redid'} ${counted(Math.abs(back), 'edit', 'edits')}`
      });
      i = end;
    }
    return all;
  });

  const newest = $derived(bench.saved?.revision ?? 0);
  const other = $derived(against ?? newest);
  const entry = $derived(entries.find((e) => e.number === chosen) ?? checkpoints.find((e) => e.number === chosen));
  const shownIn = $derived(bench.bays.map((bay, i) => ({ number: i + 1, revision: bay.revision })).filter((bay) => bay.revision !== null));

  $effect(() => {
    void newest;
    void read();
  });

  async function read() {
    const params = { path: { id: bench.id } };
    [entries, checkpoints] = await Promise.all([
      ask(() => api.GET('/api/themes/{id}/history', { params: { ...params, query: { most: PAGE } } })),
      ask(() => api.GET('/api/themes/{id}/checkpoints', { params }))
    ]);
    ended = entries.length < PAGE;
    if (chosen < 0) chosen = entries[0]?.number ?? 0;
  }

  async function more() {
    const before = entries.at(-1)?.number ?? 0;
    const older = await ask(() =>
      api.GET('/api/themes/{id}/history', { params: { path: { id: bench.id }, query: { before, most: PAGE } } })
    );
    entries = [...entries, ...older];
    ended = older.length < PAGE;
  }

  $effect(() => {
    const [from, to] = [Math.min(chosen, other), Math.max(chosen, other)];
    if (chosen < 0 || from === to) {
      comparison = null;
      return;
    }
    let current = true;
    void ask(() => api.GET('/api/themes/{id}/compare', { params: { path: { id: bench.id }, query: { from, to } } })).then((found) => {
      // An answer that took longer than a later one tells of what is no longer asked.
      if (current) comparison = found;
    });
    return () => (current = false);
  });

  async function mark(name: string) {
    try {
      checkpoints = await store(() =>
        api.PUT('/api/themes/{id}/checkpoints', { params: { path: { id: bench.id } }, body: { number: chosen, name } })
      );
      await read();
      return '';
    } catch (e) {
      return e instanceof Error ? e.message : String(e);
    }
  }

  /** The first two bays show the two states side by side: the same page, width and combination. */
  function sideBySide() {
    const [first, second] = bench.bays;
    if (!first || !second) return;
    second.site = first.site;
    second.page = first.page;
    second.width = first.width = 1024;
    second.contexts = { ...first.contexts };
    first.revision = Math.min(chosen, other);
    second.revision = Math.max(chosen, other) === newest ? null : Math.max(chosen, other);
    void bench.look();
  }

  const backToDraft = () => bench.bays.forEach((bay) => (bay.revision = null));
  const place = (text: string) => bench.looks.words(text);

  function key(event: KeyboardEvent) {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const index = rows.findIndex((e) => e.number === chosen) + by;
    const next = rows[index];
    if (by === 0 || !next) return;
    event.preventDefault();
    chosen = next.number;
    document.getElementById(`revision-${next.number}`)?.focus();
  }
</script>

<div class="flex h-full min-h-0">
  <section class="flex w-[27rem] shrink-0 flex-col border-r border-border" aria-label="Edits">
    <ol class="min-h-0 grow overflow-y-auto p-1" aria-label="History">
      {#each rows as e (e.number)}
        <li>
          <button
            id="revision-{e.number}"
            class="grid w-full grid-cols-[2.5rem_1fr_auto] items-baseline gap-2 rounded-[3px] px-2 py-1 text-left {e.number === chosen
              ? 'bg-chosen'
              : 'hover:bg-hover'}"
            aria-pressed={e.number === chosen}
            onclick={() => (chosen = e.number)}
            onkeydown={key}
          >
            <span class="value text-right text-muted">{e.number}</span>
            <span class="min-w-0 break-words"
              >{#if e.checkpoint}<span class="font-display font-semibold text-heading">{e.checkpoint}</span> ·
              {/if}{e.said}</span
            >
            <span class="caption text-right">{e.person}<br />{at(e.at)}</span>
          </button>
        </li>
      {/each}
    </ol>
    {#if !ended}<button class="button m-2 self-start" onclick={more}>Show older</button>{/if}
  </section>

  <section class="flex w-64 shrink-0 flex-col gap-3 overflow-y-auto border-r border-border p-3" aria-label="Chosen state">
    {#if entry}
      <div>
        <h2 class="font-semibold">Revision {entry.number}{entry.number === newest ? ', the newest' : ''}</h2>
        <p class="caption">{SAID[entry.kind] ?? ''}{entry.label}, {entry.person}, {at(entry.at)}</p>
      </div>
      {#key entry.number}
        <TextValue label="Checkpoint’s name; empty for none" value={entry.checkpoint} width="w-full" oncommit={mark} />
      {/key}
      <label class="flex flex-col gap-0.5">
        <span class="caption">Compare it with</span>
        <select
          class="field"
          value={String(other)}
          onchange={(e) => (against = Number(e.currentTarget.value) === newest ? null : Number(e.currentTarget.value))}
        >
          <option value={String(newest)}>the draft, revision {newest}</option>
          {#if entry.number > 0}<option value={String(entry.number - 1)}>the revision before it, {entry.number - 1}</option>{/if}
          {#each checkpoints.filter((c) => c.number !== newest && c.number !== entry.number - 1) as c (c.number)}<option
              value={String(c.number)}>{c.checkpoint}, revision {c.number}</option
            >{/each}
        </select>
      </label>
      <div class="flex flex-col items-start gap-1">
        <button class="button" disabled={chosen === newest} onclick={() => bench.bays.forEach((bay) => (bay.revision = chosen))}
          >Show it in all bays</button
        >
        <button class="button" disabled={chosen === other || bench.bays.length < 2} onclick={sideBySide}
          >Before and after, side by side</button
        >
        {#if shownIn.length}<button class="button" onclick={backToDraft}>All bays back to the draft</button>{/if}
        <button class="button" disabled={chosen === newest} onclick={() => bench.restore(chosen)}>Make it the newest</button>
      </div>
      <p class="caption">Making an old state the newest is an edit like any other: it can be undone.</p>
    {/if}
  </section>

  <section class="flex min-w-0 grow flex-col" aria-label="Differences">
    {#if comparison}
      <p class="border-b border-border px-3 py-2">
        <strong>{comparison.count}</strong>
        {comparison.count === 1 ? 'token differs' : 'tokens differ'} between revisions {comparison.from} and {comparison.to}{comparison.structure
          ? '; sets, modifiers or their order differ, too'
          : ''}.
      </p>
      <!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
      <div class="min-h-0 grow overflow-y-auto" tabindex="0" role="group" aria-label="Tokens that differ">
        <table class="w-full table-fixed border-collapse">
          <thead class="sticky top-0 bg-ground"
            ><tr
              >{#each ['Token', 'In', 'Before', 'After'] as head (head)}<th
                  class="caption px-3 py-1 text-left font-normal {head === 'In' ? 'w-28' : ''}"
                  scope="col">{head}</th
                >{/each}</tr
            ></thead
          >
          <tbody>
            {#each comparison.changes as c (c.place + c.path)}
              <tr class="border-t border-border align-top">
                <th class="value px-3 py-1 text-left font-normal break-all" scope="row">{c.path}</th>
                <td class="caption px-3 py-1">{place(c.place)}</td>
                {#each [{ text: c.before, hex: c.beforeHex, none: 'was not there' }, { text: c.after, hex: c.afterHex, none: 'is gone' }] as side (side.none)}
                  <td class="value px-3 py-1 break-all">
                    {#if side.text}<span class="flex items-center gap-2"
                        >{#if side.hex}<span class="size-4 shrink-0 border border-line" style:background={side.hex}
                          ></span>{/if}{side.text}</span
                      >{:else}<span class="text-muted">{side.none}</span>{/if}
                  </td>
                {/each}
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
    {:else}
      <p class="m-auto max-w-xs text-center text-muted">Choose an earlier state to see what changed between it and the draft.</p>
    {/if}
  </section>
</div>
