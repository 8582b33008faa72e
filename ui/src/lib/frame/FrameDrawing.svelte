<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { choose, chosenOf } from '$lib/contract/choosing';
  import type { BayState } from '$lib/site/bays.svelte';
  import { untrack } from 'svelte';
  import { LengthPull } from '$lib/space/pull.svelte';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { addressOf, boxOf, follow, nearest, toward, type Box } from './drawn';

  /**
   * The regions of a page as the browser lays them out, drawn small over the page itself: one is picked, moved to where else
   * it can stand, or pulled at its edge.
   */
  let {
    bench,
    bay,
    width,
    room,
    widest,
    regions,
    picked,
    onpick,
    onfound,
    onstaying
  }: {
    bench: Bench;
    bay: BayState;
    /** Of the window that is drawn, px. */ width: number;
    /** Height that the drawing may take, px, and width. */ room: number;
    widest: number;
    regions: Schemas['PartEntry'][];
    picked: string;
    onpick: (part: string) => void;
    /** Hears which regions the page has, from its top on, what is chosen on it, and the surface of each region. */
    onfound?: (parts: string[], chosen: Record<string, string>, surfaces: Record<string, string>) => void;
    /** Hears how much of the window what stays in sight takes while the page is scrolled, px, by parts. */
    onstaying?: (heights: Record<string, number>) => void;
  } = $props();

  const MOVES_AFTER = 4;
  const MOST = 400;
  const CHOICE = 'data-choice-';

  let frame: HTMLIFrameElement | undefined = $state();
  let height = $state(800);
  let boxes = $state.raw<{ part: Schemas['PartEntry']; box: Box }[]>([]);
  let held = $state.raw<{ part: string; x: number; y: number; within: Box; value: string } | null>(null);
  let detach: (() => void) | undefined;

  const scale = $derived(Math.min(room / height, widest / width));
  const moving = (part: string) => bench.contract.choices.find((one) => one.part === part && one.values.some((value) => value.spot.length));
  const spotsOf = (choice: Schemas['ChoiceEntry']) =>
    new Map(choice.values.filter((one) => one.spot.length).map((one) => [one.value, one.spot]));
  const pulled = $derived(bench.contract.roles.filter((role) => role.pulledAt));
  const lengthOf = (path: string) => bench.shown?.space.parts.find((one) => one.path === path);

  function measure() {
    const doc = frame?.contentDocument;
    if (!doc?.body) return;
    // What is held stays under the pointer: the sheet keeps its size meanwhile.
    if (!held && !pull.path) height = Math.max(200, Math.min(1400, Math.ceil(doc.body.getBoundingClientRect().height)));
    boxes = regions
      .flatMap((part) => {
        const box = boxOf(doc, part.region);
        return box ? [{ part, box }] : [];
      })
      .sort((a, b) => b.box.width * b.box.height - a.box.width * a.box.height);
    onstaying?.(Object.fromEntries(boxes.map(({ part, box }) => [part.name, stayingIn(doc, part.region, box.height)])));
    onfound?.(
      [...boxes].sort((a, b) => a.box.y - b.box.y || a.box.x - b.box.x).map((one) => one.part.name),
      chosenOn(doc),
      Object.fromEntries(boxes.map(({ part }) => [part.name, surfaceIn(doc, part.region)]))
    );
  }

  /** What stays is seen without what lies above the window's edge. */
  function stayingIn(doc: Document, region: string, height: number): number {
    const one = doc.querySelector(region);
    const style = one && doc.defaultView?.getComputedStyle(one);
    if (!style || !['sticky', 'fixed'].includes(style.position)) return 0;
    return Math.max(0, height + Math.min(0, parseFloat(style.insetBlockStart) || 0));
  }

  const surfaceIn = (doc: Document, region: string) =>
    doc.querySelector(region)?.closest('[data-surface]')?.getAttribute('data-surface') ?? 'page';

  const chosenOn = (doc: Document) =>
    Object.fromEntries(
      [...doc.documentElement.attributes]
        .filter((one) => one.name.startsWith(CHOICE))
        .map((one) => [one.name.slice(CHOICE.length), one.value])
    );

  /** Where the regions stand is seen when the page that was given something has been laid out. */
  let later = 0;
  function measureSoon() {
    cancelAnimationFrame(later);
    later = requestAnimationFrame(measure);
  }

  function onload() {
    detach?.();
    const doc = frame?.contentDocument;
    if (!doc?.body) return;
    const { page, letGo } = follow(doc, bench, bay);
    page.onshown = measureSoon;
    detach = letGo;
    measure();
    void doc.fonts.ready.then(measure);
  }
  $effect(() => () => {
    cancelAnimationFrame(later);
    detach?.();
  });

  function take(event: PointerEvent & { currentTarget: HTMLElement }, part: string) {
    onpick(part);
    const choice = moving(part);
    const doc = frame?.contentDocument;
    if (!choice || !doc) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const within = (choice.within && boxOf(doc, choice.within)) || { x: 0, y: 0, width, height };
    held = { part, x: event.clientX, y: event.clientY, within, value: '' };
  }

  function move(event: PointerEvent & { currentTarget: HTMLElement }) {
    if (!held) return;
    const choice = moving(held.part);
    if (!choice || (!held.value && Math.hypot(event.clientX - held.x, event.clientY - held.y) < MOVES_AFTER)) return;
    const sheet = event.currentTarget.parentElement!.getBoundingClientRect();
    const value = nearest(spotsOf(choice), held.within, (event.clientX - sheet.left) / scale, (event.clientY - sheet.top) / scale);
    if (value === held.value) return;
    held = { ...held, value };
    void bench.probe(choose(bench, choice, value));
  }

  async function drop() {
    const done = held;
    held = null;
    const choice = done?.value ? moving(done.part) : undefined;
    if (!done || !choice) return;
    const stored = bench.saved?.instruments.choices.find((one) => one.name === choice.name);
    if (stored?.value === done.value) bench.revert();
    else await bench.commit(choose(bench, choice, done.value));
  }

  function key(event: KeyboardEvent, part: string) {
    const choice = moving(part);
    if (!event.key.startsWith('Arrow') || !choice) return;
    event.preventDefault();
    const now = chosenOf(bench, choice.name)?.value ?? choice.standard;
    const to = toward(spotsOf(choice), now, event.key);
    if (to !== now) void bench.commit(choose(bench, choice, to));
  }

  const pull = new LengthPull(
    untrack(() => bench),
    MOST
  );
  const waysOf = (role: Schemas['RoleEntry'], sign: number): Record<string, number> =>
    role.pulledAt === 'block' ? { ArrowDown: 1, ArrowUp: -1 } : { ArrowRight: sign, ArrowLeft: -sign };

  const heldChoice = $derived(held?.value ? moving(held.part) : undefined);
</script>

<!-- What is small here has its equal beside the drawing: a name for each region, pictures for each value, a number for each length. -->
<figure data-equivalent class="shrink-0" style:width="{width * scale}px">
  <div class="relative overflow-hidden border border-line bg-ground" style:height="{height * scale}px">
    <iframe
      bind:this={frame}
      src={addressOf(bench, bay)}
      title="The page at {width} px"
      tabindex="-1"
      sandbox="allow-same-origin"
      class="pointer-events-none absolute top-0 left-0 origin-top-left border-0 opacity-45"
      style:width="{width}px"
      style:height="{height}px"
      style:transform="scale({scale})"
      {onload}
    ></iframe>
    {#each boxes as { part, box } (part.name)}
      {@const choice = moving(part.name)}
      <button
        class="absolute touch-none border text-left {choice ? 'cursor-move' : 'cursor-pointer'} {picked === part.name
          ? 'border-2 border-accent bg-accent/15'
          : 'border-ink/60 hover:bg-accent/10'}"
        style:left="{box.x * scale}px"
        style:top="{box.y * scale}px"
        style:width="{box.width * scale}px"
        style:height="{Math.max(6, box.height * scale)}px"
        aria-label="{part.title}{choice ? `: ${chosenOf(bench, choice.name)?.value ?? choice.standard}; arrow keys move it` : ''}"
        aria-pressed={picked === part.name}
        title={part.title}
        onpointerdown={(event) => take(event, part.name)}
        onpointermove={move}
        onpointerup={() => void drop()}
        onpointercancel={() => ((held = null), bench.revert())}
        onkeydown={(event) => key(event, part.name)}
        onclick={() => onpick(part.name)}
      ></button>
    {/each}
    {#each boxes as { part, box } (part.name)}
      {#each pulled.filter((role) => role.part === part.name) as role (role.path)}
        {@const inline = role.pulledAt === 'inline'}
        {@const sign = inline && box.x + box.width / 2 > width / 2 ? -1 : 1}
        {@const view = lengthOf(role.path)}
        {#if !inline || box.width < width * 0.7}
          <div
            class="absolute touch-none {inline ? 'w-2 cursor-ew-resize' : 'h-2 cursor-ns-resize'} {pull.path === role.path
              ? 'bg-accent'
              : 'bg-accent/50 hover:bg-accent'}"
            style:left="{inline ? (sign < 0 ? box.x : box.x + box.width) * scale - 4 : (box.x + box.width / 2) * scale - 14}px"
            style:top="{inline ? (box.y + box.height / 2) * scale - 14 : Math.min(height, box.y + box.height) * scale - 4}px"
            style:width={inline ? undefined : '28px'}
            style:height={inline ? '28px' : undefined}
            role="slider"
            tabindex="0"
            aria-label="{role.purpose}, at {width} px"
            aria-orientation={inline ? 'horizontal' : 'vertical'}
            aria-valuemin="0"
            aria-valuemax={MOST}
            aria-valuenow={view?.widePx ?? 0}
            aria-valuetext="{view?.widePx ?? 0} px"
            title="{role.purpose}: {view?.widePx ?? 0} px"
            onpointerdown={(event) => {
              onpick(part.name);
              if (view) pull.take(event, view);
            }}
            onpointermove={(event) => view && pull.move(event, view, (dx, dy) => (inline ? sign * dx : dy) / scale / role.pulledTimes)}
            onpointerup={() => view && void pull.letGo(view)}
            onpointercancel={() => pull.cancel()}
            onkeydown={(event) => view && pull.key(event, view, waysOf(role, sign))}
          ></div>
        {/if}
      {/each}
    {/each}
    {#if held && heldChoice}
      {#each spotsOf(heldChoice) as [value, [right = 0, down = 0]] (value)}
        <span
          class="pointer-events-none absolute -mt-1 -ml-1 size-2 border border-ink {value === held.value ? 'bg-accent' : 'bg-ground'}"
          style:left="{Math.min(width - 16, Math.max(16, held.within.x + right * held.within.width)) * scale}px"
          style:top="{Math.min(height - 16, Math.max(16, held.within.y + down * held.within.height)) * scale}px"
        ></span>
      {/each}
    {/if}
  </div>
  <figcaption class="caption truncate pt-0.5">{width} px</figcaption>
</figure>
