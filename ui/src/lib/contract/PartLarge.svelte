<script lang="ts">
  import { untrack } from 'svelte';
  import type { Schemas } from '$lib/api/client';
  import { LivePage } from '$lib/site/livePage';
  import { LengthPull } from '$lib/space/pull.svelte';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { KINDS, type RoleKind } from './governing';
  import { handlesOn, type Handle } from './handles';
  import { statesOf, type State } from './states';

  /** A part as large as it is: its lengths are pulled at its edges, and what is pointed at says what governs it. */
  let {
    bench,
    part,
    surface,
    onopen,
    onstates
  }: {
    bench: Bench;
    part: Schemas['PartEntry'];
    surface: string;
    onopen: (path: string) => void;
    /** Told of the states that there are. */
    onstates: (states: State[]) => void;
  } = $props();

  const MOST = 400;
  /** As high as what it shows, within these, px. */
  const LOWEST = 96;
  const TALLEST = 300;

  let frame: HTMLIFrameElement | undefined = $state();
  let detach: (() => void) | undefined;
  let handles = $state.raw<Handle[]>([]);
  let height = $state(LOWEST);
  let pointed = $state.raw<{ box: DOMRect; roles: { kind: RoleKind; path: string }[] } | null>(null);

  const key = $derived(bench.looks.workingKey);
  const source = $derived(
    `/preview/${bench.id}/draft/${encodeURIComponent(key || 'default')}/~part/${part.name}.html?surface=${encodeURIComponent(surface)}`
  );
  const lengths = $derived([...(bench.shown?.space.parts ?? []), ...(bench.shown?.space.gaps ?? []), ...(bench.shown?.space.shape ?? [])]);
  const pull = new LengthPull(
    untrack(() => bench),
    MOST
  );

  function measure() {
    const doc = frame?.contentDocument;
    if (!doc?.body) return;
    const end = (doc.querySelector('main') ?? doc.body).getBoundingClientRect().bottom;
    // What is held stays under the pointer.
    if (!pull.path) height = Math.min(TALLEST, Math.max(LOWEST, Math.ceil(end)));
    handles = handlesOn(
      doc,
      bench.governing,
      untrack(() => lengths).map((one) => one.path)
    );
  }

  let later = 0;
  function measureSoon() {
    cancelAnimationFrame(later);
    later = requestAnimationFrame(measure);
  }

  function onload() {
    detach?.();
    pointed = null;
    const doc = frame?.contentDocument;
    if (!doc?.body) return;
    onstates(statesOf(doc));
    const page = new LivePage(doc, () => key);
    page.onshown = measureSoon;
    detach = bench.attach(page);
    doc.addEventListener('mousemove', (event) => (pointed = rolesAt(event.target as Element)));
    doc.addEventListener('mouseleave', () => (pointed = null));
    doc.addEventListener('submit', (event) => event.preventDefault());
    doc.addEventListener('click', (event) => {
      event.preventDefault();
      const roles = rolesAt(event.target as Element)?.roles ?? [];
      const wanted = KINDS.map((kind) => roles.find((one) => one.kind === kind)).find((one) => one);
      if (wanted) onopen(wanted.path);
    });
    measure();
    void doc.fonts.ready.then(measure);
  }
  $effect(() => () => {
    cancelAnimationFrame(later);
    detach?.();
  });

  const rolesAt = (target: Element) => bench.governing.standingAt(target);
  const viewOf = (path: string) => lengths.find((one) => one.path === path);
  const ways = (axis: 'x' | 'y'): Record<string, number> =>
    axis === 'x' ? { ArrowRight: 1, ArrowLeft: -1 } : { ArrowDown: 1, ArrowUp: -1 };
</script>

<figure data-equivalent class="relative shrink-0 overflow-hidden border border-line bg-ground" style:height="{height}px">
  <iframe
    bind:this={frame}
    src={source}
    title="{part.title} on {surface}, large"
    tabindex="-1"
    sandbox="allow-same-origin"
    class="h-full w-full border-0"
    {onload}
  ></iframe>
  {#if pointed}
    <span
      class="pointer-events-none absolute border border-dashed border-accent"
      style:left="{pointed.box.left}px"
      style:top="{pointed.box.top}px"
      style:width="{pointed.box.width}px"
      style:height="{pointed.box.height}px"
    ></span>
    <figcaption class="value pointer-events-none absolute right-0 bottom-0 bg-raised px-2 py-0.5">
      {#each pointed.roles as role, i (role.kind)}{i ? ' · ' : ''}<span class="text-muted">{role.kind}</span> {role.path}{/each}
    </figcaption>
  {/if}
  {#each handles as handle (handle.path)}
    {@const view = viewOf(handle.path)}
    {#if view}
      <button
        class="absolute touch-none border border-raised {handle.axis === 'x'
          ? '-ml-1 -mt-3 h-6 w-2 cursor-ew-resize'
          : '-mt-1 -ml-3 h-2 w-6 cursor-ns-resize'} {pull.path === handle.path ? 'bg-accent' : 'bg-accent/70 hover:bg-accent'}"
        role="slider"
        style:left="{handle.x}px"
        style:top="{handle.y}px"
        aria-label="{view.purpose || handle.path}, on the part itself"
        aria-orientation={handle.axis === 'x' ? 'horizontal' : 'vertical'}
        aria-valuemin="0"
        aria-valuemax={MOST}
        aria-valuenow={view.widePx}
        aria-valuetext="{view.widePx} px"
        title="{view.purpose || handle.path}: {view.widePx} px"
        onpointerdown={(event) => pull.take(event, view)}
        onpointermove={(event) => pull.move(event, view, (dx, dy) => (handle.axis === 'x' ? dx : dy))}
        onpointerup={() => void pull.letGo(view)}
        onpointercancel={() => pull.cancel()}
        onkeydown={(event) => pull.key(event, view, ways(handle.axis))}
      ></button>
    {/if}
  {/each}
</figure>
