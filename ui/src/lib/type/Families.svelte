<script lang="ts">
  import { untrack } from 'svelte';
  import { Popover } from 'bits-ui';
  import { api, ask, type Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import { firstOf } from '$lib/font/facts.svelte';
  import RangeStrip from './RangeStrip.svelte';
  import { sampleOf, type Sample } from '$lib/font/specimen';

  /**
   * The families of a theme, and those that can be taken instead, as specimens in the words and colors of the pages. One
   * that is pointed at, or walked to, is seen on all pages before it is taken; up to three stand side by side in the bays.
   */
  let { bench }: { bench: Bench } = $props();

  type Facts = Schemas['FamilyFacts'];
  const PAUSE = 120;
  const MOST_BESIDE = 3;
  const ALL = '';
  const PAIRS = '+';

  const families = $derived(bench.shown?.type.families ?? []);
  let opened = $state('');
  let kind = $state(ALL);
  let wanted = $state({ italics: false, tabular: false, smallCapitals: false });
  /** Measures of letters that people choose by, with what their ends are called. */
  const MEASURES = [
    { name: 'xHeight', label: 'Height of small letters, em', low: 'low', high: 'tall', places: 2 },
    { name: 'width', label: 'Width of a letter, em', low: 'narrow', high: 'wide', places: 2 },
    { name: 'contrast', label: 'Thick strokes to thin', low: 'even', high: 'strong', places: 1 }
  ] as const;
  let spans = $state<Partial<Record<(typeof MEASURES)[number]['name'], [number, number]>>>({});
  /** Names of the families that have every letter of the pages; nothing while that is not asked for. */
  let covering = $state.raw<Set<string> | null>(null);
  let facts = $state.raw<Facts[]>([]);
  let active = $state(0);
  let beside = $state<string[]>([]);
  let sample = $state.raw<Sample | null>(null);
  let waiting: ReturnType<typeof setTimeout> | undefined;
  let list: HTMLElement | undefined = $state();

  const open = $derived(families.find((one) => one.path === opened) ?? families[0]);
  /** What is stored, whatever is tried. */
  const stored = $derived(firstOf(bench.saved?.instruments.type.families.find((one) => one.path === open?.path)?.value ?? ''));
  /** The family of running text, which one for headings is to go with. */
  const text = $derived(firstOf(bench.shown?.type.styles.find((one) => one.role === 'body')?.familyName ?? ''));
  let pairs = $state.raw<Schemas['Pairing'][]>([]);
  const why = $derived(new Map(pairs.map((one) => [one.name, one.why])));
  const offered = $derived(
    (kind === PAIRS ? pairs.flatMap((pair) => facts.filter((one) => one.name === pair.name)) : facts).filter(
      (one) =>
        (kind === ALL || kind === PAIRS || one.kind === kind) &&
        (!wanted.italics || one.italics) &&
        (!wanted.tabular || one.tabular) &&
        (!wanted.smallCapitals || one.smallCapitals) &&
        (!covering || covering.has(one.name)) &&
        MEASURES.every(({ name }) => !spans[name] || (one[name] >= spans[name][0] && one[name] <= spans[name][1]))
    )
  );
  const narrowed = $derived(Object.values(spans).filter(Boolean).length + (covering ? 1 : 0));
  const now = $derived(facts.find((one) => one.name === stored));
  const kinds = $derived([...new Set(facts.map((one) => one.kind))].sort());
  const heading = $derived(/head|display|title/.test(open?.name ?? ''));

  // The list keeps its order while one chooses from it: what was taken must not move what is about to be pressed.
  $effect(() => {
    void opened;
    const like = untrack(() => stored) || stored;
    void ask(() => api.GET('/api/fonts/facts', { params: { query: { like } } })).then((all) => {
      facts = all;
      active = 0;
    });
  });
  $effect(() => {
    if (kind !== PAIRS) return;
    void ask(() => api.GET('/api/fonts/pairs', { params: { query: { text } } })).then((all) => (pairs = all));
  });
  $effect(() => {
    void bench.saved;
    sample = sampleOf(bench.firstPage());
  });
  $effect(() => () => {
    clearTimeout(waiting);
    bench.revert();
  });

  const edit = (one: Facts) => ({
    op: 'value' as const,
    place: open!.place,
    path: open!.path,
    text: `${one.name}, ${one.generic}`
  });

  function point(at: number, soon = PAUSE) {
    active = at;
    clearTimeout(waiting);
    const one = offered[at];
    if (!one || !open || beside.length > 0) return;
    waiting = setTimeout(() => (one.name === stored ? bench.revert() : void bench.probe(edit(one))), soon);
  }

  function leave() {
    clearTimeout(waiting);
    if (beside.length === 0) bench.revert();
  }

  function take(one: Facts | undefined) {
    clearTimeout(waiting);
    beside = [];
    if (one && open) void bench.commit(edit(one));
  }

  /** Up to three stand in the bays, one in each; a fourth takes the first one's room. */
  function stand(name: string) {
    clearTimeout(waiting);
    if (!open) return;
    beside = beside.includes(name) ? beside.filter((one) => one !== name) : [...beside, name].slice(-MOST_BESIDE);
    const edits = beside.flatMap((one) => facts.filter((fact) => fact.name === one).map((fact) => ({ edit: edit(fact), note: one })));
    if (edits.length) void bench.compare(edits);
    else bench.revert();
  }

  function key(event: KeyboardEvent) {
    const to: Record<string, number> = {
      ArrowDown: Math.min(active + 1, offered.length - 1),
      ArrowUp: Math.max(active - 1, 0),
      Home: 0,
      End: offered.length - 1
    };
    if (event.key in to) {
      point(to[event.key] ?? 0, 0);
      list?.children[active]?.scrollIntoView({ block: 'nearest' });
    } else if (event.key === 'Enter') take(offered[active]);
    else if (event.key === ' ') stand(offered[active]?.name ?? '');
    else if (event.key === 'Escape') {
      beside = [];
      leave();
    } else return;
    event.preventDefault();
  }

  async function cover(wanted: boolean) {
    if (!wanted) return void (covering = null);
    const text = bench.letters();
    covering = new Set(await ask(() => api.GET('/api/fonts/covering', { params: { query: { text } } })));
  }

  /** What all families of the theme make a page load, as they are stored. */
  const load = $derived.by(() => {
    const names = new Set(bench.saved?.instruments.type.families.map((one) => firstOf(one.value)));
    const worn = facts.filter((one) => names.has(one.name));
    return { count: worn.length, bytes: worn.reduce((sum, one) => sum + one.bytes, 0) };
  });
  const idOf = (one: Facts | undefined) => one && `family-${one.name.replaceAll(' ', '-')}`;
  const size = (bytes: number) => `${Math.round(bytes / 1024)} kB`;
  const features = (one: Facts) =>
    [
      one.varies ? `${one.lightest}–${one.heaviest}` : one.weights.join(', '),
      one.italics && 'italics',
      one.tabular && 'figures',
      one.smallCapitals && 'small caps'
    ]
      .filter(Boolean)
      .join(' · ');
</script>

<Compartment label="Families" frame="w-74 shrink-0">
  <div class="flex h-full flex-col">
    <div class="flex shrink-0 border-b border-border" role="radiogroup" aria-label="Family to choose for">
      {#each families as view (view.path)}
        <button
          class="min-w-0 grow basis-0 border-b-2 px-2 pt-1 pb-1.5 text-left {view.path === open?.path
            ? 'border-accent'
            : 'border-transparent text-muted hover:text-text'}"
          role="radio"
          aria-checked={view.path === open?.path}
          onclick={() => ((opened = view.path), (beside = []), bench.revert())}
          onpointerenter={() => bench.light([view.path])}
          onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}
        >
          <span class="caption block">{view.name}</span>
          <span class="block truncate" style:font-family={view.value} title={firstOf(view.value)}>{firstOf(view.value)}</span>
        </button>
      {:else}<p class="p-2 text-muted">
          No token of this theme is a family: its text styles name theirs themselves. Make one under Tokens to choose here.
        </p>
      {/each}
    </div>
    <div class="flex shrink-0 items-center gap-1 px-2 py-1">
      <select class="field h-7! min-w-0 grow px-1! py-0!" aria-label="Kind of family" bind:value={kind}>
        <option value={ALL}>all kinds</option>
        {#if text}<option value={PAIRS}>goes with {text}</option>{/if}
        {#each kinds as one (one)}<option value={one}>{one}</option>{/each}
      </select>
      {#each [['italics', 'Italics'], ['tabular', 'Even 123'], ['smallCapitals', 'Small caps']] as const as [name, words] (name)}
        <button
          class="shrink-0 rounded-sm border px-1 py-0.5 text-xs {wanted[name]
            ? 'border-accent bg-chosen'
            : 'border-border text-muted hover:text-text'}"
          aria-pressed={wanted[name]}
          onclick={() => (wanted[name] = !wanted[name])}>{words}</button
        >
      {/each}
      <Popover.Root>
        <Popover.Trigger
          class="shrink-0 rounded-sm border px-1 py-0.5 text-xs {narrowed
            ? 'border-accent bg-chosen'
            : 'border-border text-muted hover:text-text'}"
          aria-label="Choose by how letters are drawn{narrowed ? `, ${narrowed} at work` : ''}">Drawn</Popover.Trigger
        >
        <Popover.Portal>
          <Popover.Content
            class="z-40 flex w-72 flex-col gap-3 rounded-[3px] border border-line bg-raised p-3"
            sideOffset={4}
            align="start"
          >
            {#if facts.length}
              {#each MEASURES as measure (measure.name)}
                <RangeStrip
                  label={measure.label}
                  low={measure.low}
                  high={measure.high}
                  places={measure.places}
                  all={facts.map((one) => one[measure.name]).filter((value) => value > 0)}
                  own={now?.[measure.name]}
                  onchange={(span) => (spans = { ...spans, [measure.name]: span ?? undefined })}
                />
              {/each}
            {/if}
            <label class="flex items-center gap-2 border-t border-border pt-2">
              <input type="checkbox" checked={covering !== null} onchange={(event) => void cover(event.currentTarget.checked)} />
              has every letter of the pages in the bays
            </label>
            <p class="caption">{offered.length} of {facts.length} families; the colored line is {stored || 'none of them'}</p>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
    <ol
      bind:this={list}
      class="min-h-0 grow overflow-auto outline-offset-[-2px]"
      role="listbox"
      tabindex="0"
      aria-label="Families for {open?.name ?? 'text'}"
      aria-activedescendant={offered[active] && idOf(offered[active])}
      onkeydown={key}
      onpointerleave={leave}
    >
      {#each offered as one, at (one.name)}
        <!-- svelte-ignore a11y_click_events_have_key_events (the list hears the keys) -->
        <li
          id={idOf(one)}
          class="group relative cursor-pointer border-b border-border px-2 py-1 [contain-intrinsic-size:auto_3.5rem] [content-visibility:auto] {at ===
          active
            ? 'bg-chosen'
            : ''}"
          role="option"
          aria-selected={one.name === stored}
          onpointerenter={() => point(at)}
          onclick={() => take(one)}
        >
          <p
            aria-hidden="true"
            class="truncate rounded-sm px-1.5 {heading ? 'text-xl/8 font-semibold' : 'text-base/8'}"
            style:font-family="'{one.name}'"
            style:background-color={sample?.ground}
            style:color={heading ? sample?.headingColor : sample?.textColor}
          >
            {heading ? sample?.heading : sample?.text}
          </p>
          <p class="flex items-baseline gap-2">
            <span class={one.name === stored ? 'font-semibold' : ''}>{one.name}</span>
            <span class="caption truncate">{one.name === stored ? 'worn' : kind === PAIRS ? why.get(one.name) : features(one)}</span>
            <span class="value ml-auto shrink-0 text-xs text-muted">{size(one.bytes)}</span>
          </p>
          <span
            class="absolute right-14 bottom-1.5 rounded-sm border bg-ground px-1 text-xs opacity-0 group-hover:opacity-100 {beside.includes(
              one.name
            )
              ? 'border-accent opacity-100'
              : 'border-border'}"
            aria-hidden="true"
            title="In a bay of its own, beside others; with the space bar, too"
            onclick={(event) => (event.stopPropagation(), stand(one.name))}>Beside</span
          >
        </li>
      {:else}{#if facts.length}<li class="p-3 text-muted">No family is like that. Take one of the marks above back.</li>{/if}{/each}
    </ol>
    <p class="caption shrink-0 border-t border-border px-2 py-0.5">
      {load.count === 1 ? 'One family' : `${load.count} families`}: a page that shows all loads {size(load.bytes)}
    </p>
  </div>
</Compartment>
