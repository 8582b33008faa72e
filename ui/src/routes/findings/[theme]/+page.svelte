<script lang="ts">
  import { toast } from 'svelte-sonner';
  import { page } from '$app/state';
  import { arrived } from '$lib/account/arriving';
  import { api, store, said, type Schemas } from '$lib/api/client';
  import FindingCard from '$lib/finding/FindingCard.svelte';
  import Masthead from '$lib/ui/Masthead.svelte';
  import { Report } from '$lib/finding/report.svelte';
  import { Queue } from '$lib/ui/queue';
  import UndoRedo from '$lib/ui/UndoRedo.svelte';
  import { counted } from '$lib/ui/words';
  import { untrack } from 'svelte';

  type Entry = Schemas['FindingEntry'];
  const theme = $derived(Number(page.params.theme));
  const WEIGHTS = [
    { name: 'must', words: 'Must fix', bar: 'bg-must' },
    { name: 'should', words: 'Should fix', bar: 'bg-should' },
    { name: 'note', words: 'Good to know', bar: 'bg-muted' }
  ];
  const ACCEPTED = 'accepted';
  const THEME = '';

  const reports = $derived(new Report(theme));
  const report = $derived(reports.now);
  let problem = $state('');
  let weight = $state('');
  let kind = $state('');
  let place = $state<string | null>(null);

  $effect(() => {
    void theme;
    untrack(() => void read());
  });

  async function read() {
    if (!(await arrived(page.url.pathname))) return;
    try {
      await reports.read();
      problem = '';
    } catch (e) {
      problem = said(e);
    }
  }

  /** What is asked for while something is on its way is done after it, on what it left. */
  const queue = new Queue();
  const change = (what: () => Promise<unknown>, refused: string) =>
    queue.add(async () => {
      try {
        await what();
      } catch (e) {
        toast.error(refused, { description: said(e) });
      }
      await read();
    });

  const path = (finding: string) => ({ path: { id: theme, finding } });
  const fix = (one: Schemas['FixView']) =>
    change(
      () =>
        store(() =>
          api.POST('/api/themes/{id}/edits', {
            params: { path: { id: theme } },
            body: { base: report?.revision ?? 0, edit: one.edit }
          })
        ),
      'Not fixed.'
    );
  const step = (way: 'undo' | 'redo') =>
    change(
      () =>
        store(() =>
          api.POST(`/api/themes/{id}/${way}`, {
            params: { path: { id: theme } },
            body: { base: report?.revision ?? 0, combo: '', bays: [] }
          })
        ),
      way === 'undo' ? 'Not undone.' : 'Not redone.'
    );
  const accept = (entry: Entry, reason: string) =>
    change(
      () => store(() => api.PUT('/api/themes/{id}/findings/{finding}', { params: path(entry.id), body: { reason } })),
      'Not accepted.'
    );
  const reopen = (entry: Entry) =>
    change(() => store(() => api.DELETE('/api/themes/{id}/findings/{finding}', { params: path(entry.id) })), 'Not reopened.');

  const entries = $derived(report?.entries ?? []);
  const open = $derived(reports.open);
  const weightOf = (one: Entry) => (one.accepted.by ? ACCEPTED : one.weight);
  const matches = (one: Entry, without: 'weight' | 'kind' | 'place' | '' = '') =>
    (without === 'weight' || (weight ? weightOf(one) === weight : !one.accepted.by)) &&
    (without === 'kind' || !kind || one.kind === kind) &&
    (without === 'place' || place === null || one.site === place);
  const shown = $derived(entries.filter((one) => matches(one)));
  const most = $derived(Math.max(1, ...WEIGHTS.map((one) => open.filter((entry) => entry.weight === one.name).length)));

  function tally(of: (one: Entry) => string, without: 'kind' | 'place') {
    const counts = new Map<string, number>();
    for (const one of entries) if (matches(one, without)) counts.set(of(one), (counts.get(of(one)) ?? 0) + 1);
    return [...counts].sort((a, b) => b[1] - a[1]);
  }
  const kinds = $derived(tally((one) => one.kind, 'kind'));
  const places = $derived(tally((one) => one.site, 'place'));
  const nameOf = (site: string) => (site === THEME ? 'the theme itself' : (entries.find((one) => one.site === site)?.siteName ?? site));
</script>

<svelte:head><title>Findings · Umber Loom</title></svelte:head>

<div class="flex h-screen flex-col">
  <Masthead />
  <main class="flex min-h-0 grow flex-col">
    <div class="flex flex-wrap items-baseline gap-x-4 border-b border-line px-6 py-3">
      <h1 class="font-display text-2xl text-heading">Findings</h1>
      {#if report}
        <p class="text-muted">
          {report.theme}, in all its looks, and {counted(report.sites, 'site that uses', 'sites that use')} it{report.more
            ? `; ${report.more} more were not looked at`
            : ''}
        </p>
      {/if}
      <span class="ml-auto flex items-center gap-2">
        {#if report}<UndoRedo undo={report.undo} redo={report.redo} onstep={(way) => void step(way)} />{/if}
        <a class="button button-quiet" href="/bench/{theme}">Bench</a>
      </span>
    </div>
    {#if problem}<p class="m-6" role="alert">{problem}</p>{/if}
    {#if report}
      <div class="flex min-h-0 grow">
        <aside class="w-60 shrink-0 overflow-auto border-r border-border px-6 py-4" aria-label="What is shown">
          <ul aria-label="By weight">
            {#each WEIGHTS as one (one.name)}
              {@const count = open.filter((entry) => entry.weight === one.name).length}
              <li>
                <button
                  class="w-full rounded-sm px-2 py-1 text-left {weight === one.name ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
                  aria-pressed={weight === one.name}
                  onclick={() => (weight = weight === one.name ? '' : one.name)}
                >
                  <span class="flex"><span class="grow">{one.words}</span><span class="value">{count}</span></span>
                  <span class="mt-0.5 block h-1.5 bg-sunk"
                    ><span class="block h-full {one.bar}" style:width="{(count / most) * 100}%"></span></span
                  >
                </button>
              </li>
            {/each}
            <li>
              <button
                class="flex w-full rounded-sm px-2 py-1 text-left {weight === ACCEPTED ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
                aria-pressed={weight === ACCEPTED}
                onclick={() => (weight = weight === ACCEPTED ? '' : ACCEPTED)}
                ><span class="grow">Accepted</span><span class="value">{entries.length - open.length}</span></button
              >
            </li>
          </ul>
          <h2 class="mt-4 mb-1 px-2 font-semibold">Place</h2>
          <ul>
            {#each places as [site, count] (site)}
              <li>
                <button
                  class="flex w-full gap-2 rounded-sm px-2 py-0.5 text-left {place === site ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
                  aria-pressed={place === site}
                  onclick={() => (place = place === site ? null : site)}
                  ><span class="min-w-0 grow truncate">{nameOf(site)}</span><span class="value">{count}</span></button
                >
              </li>
            {/each}
          </ul>
          <h2 class="mt-4 mb-1 px-2 font-semibold">Kind</h2>
          <ul>
            {#each kinds as [name, count] (name)}
              <li>
                <button
                  class="flex w-full gap-2 rounded-sm px-2 py-0.5 text-left {kind === name ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
                  aria-pressed={kind === name}
                  onclick={() => (kind = kind === name ? '' : name)}
                  ><span class="min-w-0 grow truncate">{name.replaceAll('-', ' ')}</span><span class="value">{count}</span></button
                >
              </li>
            {/each}
          </ul>
        </aside>
        <!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
        <section class="min-w-0 grow overflow-auto px-6 pb-6" aria-label="Findings" tabindex="0">
          {#if shown.length}
            <ol>
              {#each shown as one (one.id)}
                <FindingCard
                  {theme}
                  finding={one}
                  revision={report.revision}
                  onfix={(wanted) => void fix(wanted)}
                  onaccept={(reason) => void accept(one, reason)}
                  onreopen={() => void reopen(one)}
                />
              {/each}
            </ol>
          {:else if entries.length === 0}
            <p class="py-6">
              Every check of the theme and its sites passes. What was checked: pairs of colors, references, type, spaces, corners, focus,
              links, headings, pictures and lines of text.
            </p>
          {:else if open.length === 0 && !weight}
            <p class="py-6">Nothing is open: every finding is accepted, each for a reason.</p>
          {:else}<p class="py-6 text-muted">No finding matches. Clear a filter at the left.</p>{/if}
        </section>
      </div>
    {/if}
  </main>
</div>
