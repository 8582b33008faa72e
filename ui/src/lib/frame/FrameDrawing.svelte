<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { choose, chosenOf } from '$lib/contract/choosing';
  import type { BayState } from '$lib/site/bays.svelte';
  import { lengthEdit } from '$lib/space/length';
  import type { Bench, Edit } from '$lib/theme/bench.svelte';
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
    regions,
    picked,
    onpick,
    onfound
  }: {
    bench: Bench;
    bay: BayState;
    /** Of the window that is drawn, px. */ width: number;
    /** Height that the drawing may take, px. */ room: number;
    regions: Schemas['PartEntry'][];
    picked: string;
    onpick: (part: string) => void;
    /** Hears which regions the page has, from its top on, and what is chosen on it. */
    onfound?: (parts: string[], chosen: Record<string, string>) => void;
  } = $props();

  const MOVES_AFTER = 4;
  const MOST = 400;
  const CHOICE = 'data-choice-';

  let frame: HTMLIFrameElement | undefined = $state();
  let height = $state(800);
  let boxes = $state.raw<{ part: Schemas['PartEntry']; box: Box }[]>([]);
  let held = $state.raw<{ part: string; x: number; y: number; within: Box; value: string } | null>(null);
  let pull = $state.raw<{ path: string; from: number; at: number; px: number } | null>(null);
  let let_go: (() => void) | undefined;

  const scale = $derived(room / height);
  const moving = (part: string) => bench.contract.choices.find((one) => one.part === part && one.values.some((value) => value.spot.length));
  const spotsOf = (choice: Schemas['ChoiceEntry']) =>
    new Map(choice.values.filter((one) => one.spot.length).map((one) => [one.value, one.spot]));
  const pulled = $derived(bench.contract.roles.filter((role) => role.pulledAt));
  const lengthOf = (path: string) => bench.shown?.space.parts.find((one) => one.path === path);

  function measure() {
    const doc = frame?.contentDocument;
    if (!doc?.body) return;
    height = Math.max(200, Math.min(1400, Math.ceil(doc.body.getBoundingClientRect().height)));
    boxes = regions
      .flatMap((part) => {
        const box = boxOf(doc, part.region);
        return box ? [{ part, box }] : [];
      })
      .sort((a, b) => b.box.width * b.box.height - a.box.width * a.box.height);
    onfound?.(
      [...boxes].sort((a, b) => a.box.y - b.box.y || a.box.x - b.box.x).map((one) => one.part.name),
      chosenOn(doc)
    );
  }

  const chosenOn = (doc: Document) =>
    Object.fromEntries(
      [...doc.documentElement.attributes]
        .filter((one) => one.name.startsWith(CHOICE))
        .map((one) => [one.name.slice(CHOICE.length), one.value])
    );

  /** Shows what an edit would do, and where the regions stand then. */
  const probe = (edit: Edit) => void bench.probe(edit).then(() => requestAnimationFrame(measure));

  function onload() {
    let_go?.();
    const doc = frame?.contentDocument;
    if (!doc?.body) return;
    let_go = follow(doc, bench, bay);
    measure();
    void doc.fonts.ready.then(measure);
  }
  $effect(() => () => let_go?.());
  $effect(() => {
    void bench.saved;
    void bench.tried;
    const later = requestAnimationFrame(() => requestAnimationFrame(measure));
    return () => cancelAnimationFrame(later);
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
    probe(choose(bench, choice, value));
  }

  async function drop() {
    const done = held;
    held = null;
    const choice = done?.value ? moving(done.part) : undefined;
    if (!done || !choice) return;
    if (chosenOf(bench, choice.name)?.value === done.value && !bench.tried) bench.revert();
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

  const textOf = (px: number) => `${Math.round(Math.min(MOST, Math.max(0, px)) * 2) / 2}px`;
  function draw(event: PointerEvent, role: Schemas['RoleEntry'], sign: number) {
    if (!pull) return;
    const view = lengthOf(role.path);
    const by = (sign * ((role.pulledAt === 'block' ? event.clientY : event.clientX) - pull.at)) / scale / role.pulledTimes;
    pull = { ...pull, px: Math.max(0, pull.from + by) };
    if (view) probe(lengthEdit(bench, view, textOf(pull.px)));
  }

  async function letGo(role: Schemas['RoleEntry']) {
    const view = lengthOf(role.path);
    const done = pull;
    pull = null;
    if (done && view && done.px !== done.from) await bench.commit(lengthEdit(bench, view, textOf(done.px)));
  }

  function step(event: KeyboardEvent, role: Schemas['RoleEntry'], sign: number) {
    const ways: Record<string, number> = role.pulledAt === 'block' ? { ArrowDown: 1, ArrowUp: -1 } : { ArrowRight: sign, ArrowLeft: -sign };
    const by = (ways[event.key] ?? 0) * (event.shiftKey ? 8 : 1);
    const view = lengthOf(role.path);
    if (!by || !view) return;
    event.preventDefault();
    void bench.commit(lengthEdit(bench, view, textOf(view.widePx + by)));
  }

  const held_choice = $derived(held?.value ? moving(held.part) : undefined);
</script>

<!-- What is small here has its equal beside the drawing: a name for each region, pictures for each value, a number for each length. -->
<figure data-equivalent class="shrink-0" style:width="{width * scale}px">
  <div class="relative overflow-hidden border border-line bg-ground" style:height="{room}px">
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
            class="absolute touch-none {inline ? 'w-2 cursor-ew-resize' : 'h-2 cursor-ns-resize'} {pull?.path === role.path
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
              event.currentTarget.setPointerCapture(event.pointerId);
              onpick(part.name);
              if (view) pull = { path: role.path, from: view.widePx, px: view.widePx, at: inline ? event.clientX : event.clientY };
            }}
            onpointermove={(event) => draw(event, role, inline ? sign : 1)}
            onpointerup={() => void letGo(role)}
            onpointercancel={() => ((pull = null), bench.revert())}
            onkeydown={(event) => step(event, role, sign)}
          ></div>
        {/if}
      {/each}
    {/each}
    {#if held && held_choice}
      {#each spotsOf(held_choice) as [value, [right = 0, down = 0]] (value)}
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
