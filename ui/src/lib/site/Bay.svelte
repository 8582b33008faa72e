<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import Eye from '@lucide/svelte/icons/eye';
  import Moon from '@lucide/svelte/icons/moon';
  import Sun from '@lucide/svelte/icons/sun';
  import X from '@lucide/svelte/icons/x';
  import Maximize from '@lucide/svelte/icons/maximize-2';
  import Minimize from '@lucide/svelte/icons/minimize-2';
  import type { RoleKind } from '$lib/contract/governing';
  import type { Bench } from '$lib/theme/bench.svelte';
  import ComboButton from '$lib/theme/ComboButton.svelte';
  import type { Step } from '$lib/theme/picked.svelte';
  import { LivePage } from './livePage';
  import { EDGE, type BayState } from './bays.svelte';

  let {
    bench,
    bay,
    number,
    scale,
    alone,
    closable,
    onalone,
    onclose
  }: {
    bench: Bench;
    bay: BayState;
    /** Its place among the bays, from 1. */
    number: number;
    scale: number;
    alone: boolean;
    closable: boolean;
    /** None where there is no other bay. */
    onalone?: () => void;
    onclose?: () => void;
  } = $props();

  const KIND_OF_TAB = { color: 'color', type: 'type', space: 'space', widths: 'width' } as const;
  const WIDTHS = [
    { name: 'Phone', width: 390 },
    { name: 'Tablet', width: 820 },
    { name: 'Desk', width: 1280 }
  ];

  const NARROW = 230;

  let frame: HTMLIFrameElement | undefined = $state();
  let entrance: HTMLButtonElement | undefined = $state();

  /** Links of a page are no stops on the way through the bench: who wants to be among them goes in, and out by Escape. */
  function enter() {
    const doc = frame?.contentDocument;
    doc?.querySelector<HTMLElement>('a[href], button, input, select, textarea, summary, [tabindex="0"]')?.focus();
  }
  let room = $state(0);
  let loaded = $state(false);
  let pointed = $state<{ box: DOMRect; roles: { kind: RoleKind; path: string }[] } | null>(null);
  let detach: (() => void) | undefined;
  /** Where the frame is or is going. */
  let address = '';

  const page = $derived(bench.looks.page(bay));
  const site = $derived(bench.sites.find((s) => s.slug === bay.site));
  const key = $derived(bench.looks.bayKey(bay));
  /** The address names no scope: a page says itself of which kind it is, also one that a link led to. */
  const look = $derived(bench.looks.key(bay.contexts));
  const words = $derived(bench.modifiers.map((m) => bay.contexts[m.name] ?? m.standard).join(', ') || 'default');
  const source = $derived(
    `/preview/${bench.id}/${bay.revision ?? 'draft'}/${encodeURIComponent(look || 'default')}/${bay.site}/${bay.page}.html`
  );
  const seen = $derived(bench.sight.ways.find((way) => way.id === bay.seeing));
  const filter = $derived([0, 3, 6].map((row) => [...(seen?.matrix.slice(row, row + 3) ?? []), 0, 0].join(' ')).join(' ') + ' 0 0 0 1 0');
  const scheme = $derived(bench.scheme);
  const dark = $derived(scheme !== null && bay.contexts[scheme.modifier] === scheme.dark);

  function choose(modifier: string, context: string) {
    bay.contexts = { ...bay.contexts, [modifier]: context };
    void bench.look();
  }
  const kind = $derived<RoleKind>(KIND_OF_TAB[bench.tab as keyof typeof KIND_OF_TAB] ?? 'color');
  const governing = $derived(pointed?.roles.find((r) => r.kind === kind));

  function onload() {
    detach?.();
    pointed = null;
    const doc = frame?.contentDocument;
    if (!doc) return;
    address = doc.location.pathname;
    const page = /\/([^/]+)\.html$/.exec(address)?.[1];
    if (page) bay.page = page;
    detach = bay.revision === null ? bench.attach(new LivePage(doc, () => key), bay) : undefined;
    if (bench.pick) bench.open(bench.pick, true);
    doc.addEventListener('mousemove', (e) => (pointed = rolesAt(e.target as Element)));
    doc.addEventListener('mouseleave', () => (pointed = null));
    doc.addEventListener('scroll', () => (pointed = null), { passive: true });
    doc.addEventListener('submit', (e) => e.preventDefault());
    doc.addEventListener('click', pickAt);
    // Keys pressed while a page has the focus belong to the bench, save for what is written into the page's own fields.
    doc.addEventListener('keydown', (e) => {
      if (e.key === 'Escape') entrance?.focus();
      if (!(e.target as Element).matches('input, textarea')) window.dispatchEvent(new KeyboardEvent('keydown', e));
    });
    loaded = true;
    if (bench.wanted && bench.bays[0] === bay) pickWanted(doc);
  }

  /** Picks the first spot that takes the role somebody came for; the role alone where no spot does. */
  function pickWanted(doc: Document) {
    const path = bench.wanted;
    bench.wanted = '';
    const target = [...doc.body.querySelectorAll('*')].find((one) => rolesAt(one)?.roles.some((role) => role.path === path));
    target?.scrollIntoView({ block: 'center' });
    const roles = (target && rolesAt(target)?.roles) ?? [];
    if (target) openAt(target, path, roles);
    else bench.open({ path, contexts: { ...bay.contexts }, roles });
  }

  function openAt(target: Element, path: string, roles: { kind: RoleKind; path: string }[], trace = false) {
    bench.open(
      {
        path,
        contexts: { ...bay.contexts },
        scopes: [...(page?.scopes ?? []), ...spots(target)],
        roles,
        around: site?.specimen ? undefined : around(target)
      },
      trace
    );
  }

  $effect(() => () => detach?.());

  /** A page that a link led to is there already: loaded a second time, it would lose what was just written into it. */
  $effect(() => {
    if (!frame || source === address) return;
    address = source;
    frame.src = source;
  });

  const rolesAt = (target: Element) => bench.governing.standingAt(target);

  function pickAt(event: MouseEvent) {
    const target = event.target as Element;
    if (target.closest('a') && !event.altKey) return;
    event.preventDefault();
    const found = rolesAt(target);
    const path = found?.roles.find((r) => r.kind === kind)?.path;
    if (found && path) openAt(target, path, found.roles, !(bench.tab in KIND_OF_TAB));
  }

  /** The spots with names that lie around an element, and the piece it lies in as a whole, from wide to narrow. */
  function spots(target: Element): string[] {
    const found: string[] = [];
    for (let one: Element | null = target; one; one = one.parentElement) {
      const scope = one.getAttribute('data-at');
      if (scope && one.hasAttribute('data-spot')) found.unshift(scope);
      const piece = one.getAttribute('data-at-piece');
      if (piece) found.unshift(piece);
    }
    return found;
  }

  /** The places around an element: itself, the sections it lies in, its page, and on to all sites. */
  function around(target: Element): Step[] {
    const steps: Step[] = [];
    const whole = page?.scopes ?? [];
    for (let one: Element | null = target; one; one = one.parentElement) {
      const scope = one.getAttribute('data-at');
      if (!scope || (one !== target && !scope.startsWith('section='))) continue;
      steps.push({
        place: `scope:${scope}`,
        words: `this ${one === target ? 'element' : named(one)}${one.hasAttribute('data-piece') ? ', here alone' : scope.includes(':~') ? ', on every page' : ''}`,
        reaching: [...whole, ...spots(one), ...(one.hasAttribute('data-spot') ? [] : [scope])]
      });
      const piece = one.getAttribute('data-at-piece');
      if (piece)
        steps.push({
          place: `scope:${piece}`,
          words: `this ${named(one)}, on every page`,
          reaching: [...whole, ...(one.parentElement ? spots(one.parentElement) : []), piece]
        });
    }
    const words = [
      'the theme',
      `${page?.kind ?? ''} pages, all sites`,
      `all of ${site?.name ?? ''}`,
      `${page?.kind ?? ''} pages of ${site?.name ?? ''}`,
      'this page'
    ];
    for (let i = whole.length; i > 0; i--)
      steps.push({ place: `scope:${whole[i - 1]}`, words: words[i] ?? '', reaching: whole.slice(0, i) });
    return [...steps, { place: '', words: 'the theme', reaching: [] }];
  }

  const REGIONS: Record<string, string> = { nav: 'menu', main: 'main part' };

  function named(section: Element): string {
    const heading = section.querySelector('h1, h2, h3, h4, h5, h6')?.textContent?.trim() ?? '';
    const kind = section.matches('header, footer, nav, main, figure, form, table')
      ? (REGIONS[section.localName] ?? section.localName)
      : 'section';
    return heading ? `${kind} “${heading.length > 24 ? `${heading.slice(0, 24)}…` : heading}”` : kind;
  }

  /** Too narrow for a page's name beside the tools. */
  const narrow = $derived(bay.width * scale < NARROW);

  let start: { x: number; width: number } | null = null;

  function dragWidth(event: PointerEvent) {
    if (start) bay.width = Math.round(Math.min(1920, Math.max(320, start.width + (event.clientX - start.x) / scale)));
  }
</script>

{#snippet pages()}
  <select
    class="value h-6 min-w-8 grow truncate bg-ground"
    aria-label="Page"
    bind:value={() => `${bay.site}/${bay.page}`, (v) => ([bay.site, bay.page] = v.split('/') as [string, string])}
  >
    {#each bench.sites as s (s.slug)}
      <optgroup label={s.name}>
        {#each s.pages as p (p.slug)}<option value="{s.slug}/{p.slug}">{p.title}</option>{/each}
      </optgroup>
    {/each}
  </select>
{/snippet}

{#snippet tools()}
  {#if bay.note}<span class="value shrink-0 truncate rounded-[3px] bg-chosen px-1.5 py-0.5">{bay.note}</span>{/if}
  {#if bay.revision !== null}
    <button
      class="value shrink-0 rounded-[3px] bg-chosen px-1.5 py-0.5 hover:bg-hover"
      aria-label="Shows revision {bay.revision}; back to the draft"
      title="Back to the draft"
      onclick={() => (bay.revision = null)}>rev. {bay.revision}</button
    >
  {/if}
  <DropdownMenu.Root>
    <DropdownMenu.Trigger
      class="grid size-6 shrink-0 place-items-center rounded-[3px] hover:bg-hover {bay.seeing ? 'bg-chosen' : ''}"
      aria-label="How bay {number} is seen: {seen?.words ?? 'with all cones'}"
      title={seen?.words ?? 'seen with all cones'}><Eye size={14} /></DropdownMenu.Trigger
    >
    <DropdownMenu.Portal to="main">
      <DropdownMenu.Content class="z-40 rounded-[3px] border border-line bg-raised py-1" sideOffset={4} align="end">
        <DropdownMenu.RadioGroup bind:value={bay.seeing}>
          {#each [{ id: '', words: 'with all cones' }, ...bench.sight.ways] as way (way.id)}
            <DropdownMenu.RadioItem
              value={way.id}
              class="cursor-pointer px-3 py-1 data-highlighted:bg-hover data-[state=checked]:font-semibold"
              >{way.words}</DropdownMenu.RadioItem
            >
          {/each}
        </DropdownMenu.RadioGroup>
      </DropdownMenu.Content>
    </DropdownMenu.Portal>
  </DropdownMenu.Root>
  {#if scheme}
    <button
      class="grid size-6 shrink-0 place-items-center rounded-[3px] hover:bg-hover"
      aria-label={dark ? `Show in ${scheme.light}` : `Show in ${scheme.dark}`}
      onclick={() => choose(scheme.modifier, dark ? scheme.light : scheme.dark)}
    >
      {#if dark}<Moon size={14} />{:else}<Sun size={14} />{/if}
    </button>
  {/if}
  {#if onalone}<button
      class="grid size-6 shrink-0 place-items-center rounded-[3px] hover:bg-hover"
      aria-label={alone ? 'Show all bays' : 'Fill the area with this bay'}
      onclick={onalone}
    >
      {#if alone}<Minimize size={13} />{:else}<Maximize size={13} />{/if}
    </button>{/if}
  {#if closable}
    <button class="grid size-6 shrink-0 place-items-center rounded-[3px] hover:bg-hover" aria-label="Close this bay" onclick={onclose}
      ><X size={14} /></button
    >
  {/if}
{/snippet}

{#snippet width()}
  <select
    class="value h-6 shrink-0 text-xs! bg-ground"
    aria-label="Width"
    bind:value={() => String(bay.width), (v) => (bay.width = Number(v))}
  >
    {#each WIDTHS as w (w.width)}<option value={String(w.width)}>{w.width} px</option>{/each}
    {#if !WIDTHS.some((w) => w.width === bay.width)}<option value={String(bay.width)}>{bay.width} px</option>{/if}
  </select>
{/snippet}

{#snippet combination()}
  {#if bench.modifiers.length > 0}<ComboButton
      modifiers={bench.modifiers}
      contexts={bay.contexts}
      of="bay {number}"
      width="h-6 min-w-0 grow"
      onchoose={choose}
    />{/if}
{/snippet}

<section
  class="relative flex min-w-0 shrink-0 contain-strict flex-col border-r border-line"
  style:width="{bay.width * scale + EDGE}px"
  aria-label="Bay: {bay.page} at {bay.width} px, {words}"
>
  <!-- Always says both, which page and in which combination: in two lines, in a narrow bay in three. -->
  <div class="flex flex-col justify-center overflow-hidden border-b border-border pl-1 {narrow ? 'h-20' : 'h-14'}">
    {#if narrow}
      <div class="flex h-6 items-center">{@render pages()}</div>
      <div class="flex h-6 items-center text-xs text-muted">{@render combination()}</div>
      <div class="flex h-6 items-center text-xs text-muted">{@render width()}<span class="grow"></span>{@render tools()}</div>
    {:else}
      <div class="flex h-6 items-center">{@render pages()}{@render tools()}</div>
      <div class="flex h-6 items-center text-xs text-muted">{@render width()}{@render combination()}</div>
    {/if}
  </div>

  <div class="flex min-h-0 grow">
    <div class="relative min-w-0 grow overflow-hidden bg-sunk" bind:clientHeight={room}>
      <button bind:this={entrance} class="button sr-only absolute top-1 left-1 z-10 focus:not-sr-only focus:absolute" onclick={enter}
        >Enter the page; Escape leaves it</button
      >
      <iframe
        bind:this={frame}
        tabindex="-1"
        title="{site?.name ?? bay.site}, {bay.page}, {words}"
        sandbox="allow-same-origin"
        class="absolute top-0 left-0 origin-top-left border-0"
        style:width="{bay.width}px"
        style:height="{room / scale}px"
        style:transform="scale({scale})"
        style:filter={seen ? `url(#seen-${number})` : undefined}
        style:visibility={loaded ? 'visible' : 'hidden'}
        {onload}
      ></iframe>
      {#if !loaded}
        <!-- Seen only when a page takes its time. -->
        <div class="outline-of-a-page absolute inset-0 flex flex-col gap-3 p-6" aria-hidden="true">
          <span class="h-3 w-2/5 bg-border"></span><span class="mt-4 h-6 w-3/5 bg-border"></span><span class="h-3 w-4/5 bg-border"
          ></span><span class="h-3 w-3/4 bg-border"></span><span class="mt-4 h-24 w-full bg-border"></span>
        </div>
      {/if}
      {#if seen}
        <svg class="absolute size-0" aria-hidden="true"
          ><filter id="seen-{number}" color-interpolation-filters="linearRGB"><feColorMatrix type="matrix" values={filter} /></filter></svg
        >
      {/if}
      {#if pointed && governing}
        <div
          class="pointer-events-none absolute border border-accent"
          style:left="{pointed.box.left * scale}px"
          style:top="{pointed.box.top * scale}px"
          style:width="{pointed.box.width * scale}px"
          style:height="{pointed.box.height * scale}px"
        ></div>
        <p class="value pointer-events-none absolute bottom-0 left-0 max-w-full truncate bg-accent px-2 py-0.5 text-on-accent">
          {governing.path}
        </p>
      {/if}
    </div>
    <button
      class="grid w-6 shrink-0 cursor-ew-resize touch-none place-items-center border-l border-border bg-ground text-muted hover:bg-hover"
      aria-label="Width of this bay, {bay.width} px; arrow keys change it"
      onpointerdown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        start = { x: e.clientX, width: bay.width };
      }}
      onpointermove={dragWidth}
      onpointerup={() => (start = null)}
      onkeydown={(e) => {
        const by = e.key === 'ArrowRight' ? 10 : e.key === 'ArrowLeft' ? -10 : 0;
        if (by) bay.width = Math.min(1920, Math.max(320, bay.width + by));
      }}><span class="h-8 w-1 border-x border-line" aria-hidden="true"></span></button
    >
  </div>
</section>

<style>
  .outline-of-a-page {
    opacity: 0;
    animation: appear 200ms 200ms forwards;
  }
  @keyframes appear {
    to {
      opacity: 0.6;
    }
  }
</style>
