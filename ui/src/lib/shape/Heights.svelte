<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { Nudge } from '$lib/ui/nudge.svelte';
  import { roleEdit } from '$lib/space/length';
  import { lightEdit, type Light } from './light';

  /** Things at their heights, pulled up and down; below, what of the pages throws which shadow. */
  let {
    bench,
    light,
    shadows,
    ground,
    raised
  }: { bench: Bench; light: Light | undefined; shadows: Schemas['ShadowView'][]; ground: string; raised: string } = $props();

  const NONE = '0px 0px 0px 0px #00000000';
  const PER_PX = 1.4;
  const ROOM = 96;
  const GAP = 0.5;

  let held = $state.raw<{ at: number; from: number; y: number; height: number } | null>(null);

  const keys = new Nudge<number>();

  const heights = $derived(light?.heights ?? []);
  const shownAt = (i: number) => (held?.at === i ? held.height : (keys.of(`${i}`) ?? heights[i]?.height ?? 0));
  const all = $derived(heights.map((one) => one.height));

  function put(i: number, height: number) {
    const least = (all[i - 1] ?? 0) + GAP;
    const most = (all[i + 1] ?? 96.5) - GAP;
    return Math.round(Math.min(most, Math.max(least, height)) * 2) / 2;
  }
  const edit = (i: number, height: number) => lightEdit(bench, light, { heights: all.map((one, k) => (k === i ? height : one)) });

  function pull(event: PointerEvent, i: number) {
    if (!held || event.buttons === 0) return;
    const height = put(i, held.from + (held.y - event.clientY) / PER_PX);
    if (height === held.height) return;
    held = { ...held, height };
    void bench.probe(edit(i, height));
  }

  async function letGo(i: number) {
    const done = held;
    if (done && done.height !== done.from) await bench.commit(edit(i, done.height));
    held = null;
  }

  function key(event: KeyboardEvent, i: number) {
    const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (!by) return;
    event.preventDefault();
    const far = by * (event.shiftKey ? 4 : 0.5);
    keys.press(
      all[i] ?? 0,
      (now) => put(i, now + far),
      (to) => bench.commit(edit(i, to)),
      (to) => bench.probe(edit(i, to)),
      `${i}`
    );
  }

  const taken = (shadow: Schemas['ShadowView'], path: string) => shadow.written === `{${path}}`;
  const none = (shadow: Schemas['ShadowView']) => !heights.some((one) => taken(shadow, one.path)) && /#?0{8}$|transparent/.test(shadow.css);
  function give(shadow: Schemas['ShadowView'], text: string) {
    const stored = bench.saved?.instruments.shape.shadows.find((one) => one.path === shadow.path);
    return roleEdit(bench, shadow.path, stored?.place ?? '', text);
  }
</script>

{#if light}
  <div class="flex items-end gap-5 px-5 pt-2" style:height="{ROOM + 60}px" style:background={ground}>
    {#each heights as one, i (one.path)}
      <div class="flex flex-col items-center gap-1">
        <div
          class="size-14 touch-none cursor-ns-resize border border-line/40"
          style:background={raised}
          style:box-shadow={one.css}
          style:margin-bottom="{Math.min(ROOM, shownAt(i) * PER_PX)}px"
          role="slider"
          tabindex="0"
          aria-label="Height {one.name}"
          aria-orientation="vertical"
          aria-valuemin="0"
          aria-valuemax="96"
          aria-valuenow={shownAt(i)}
          aria-valuetext="{shownAt(i)} px above the ground"
          onpointerdown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            held = { at: i, from: one.height, y: event.clientY, height: one.height };
          }}
          onpointermove={(event) => pull(event, i)}
          onpointerup={() => void letGo(i)}
          onpointercancel={() => ((held = null), bench.revert())}
          onkeydown={(event) => key(event, i)}
        ></div>
        <span class="value rounded-sm bg-ground px-1 text-xs">{shownAt(i)} px</span>
      </div>
    {/each}
  </div>
  <div class="flex gap-3 py-1">
    <button
      class="caption h-6 underline"
      disabled={all.length >= 8}
      onclick={() => bench.commit(lightEdit(bench, light, { heights: [...all, Math.min(96, Math.round((all.at(-1) ?? 2) * 1.6))] }))}
      >Another height</button
    >
    {#if all.length > 1}<button
        class="caption h-6 underline"
        onclick={() => bench.commit(lightEdit(bench, light, { heights: all.slice(0, -1) }))}>One less</button
      >{/if}
  </div>
{/if}
<ul class="border-t border-border">
  {#each shadows as shadow (shadow.path)}
    <li class="flex items-center gap-3 border-b border-border py-1.5">
      <button
        class="min-w-0 grow text-left leading-4 hover:underline"
        onpointerenter={() => bench.light([shadow.path])}
        onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}
        onclick={() => bench.open({ path: shadow.path, contexts: bench.working, roles: [] }, true)}
        >{shadow.purpose}{#if !shadow.place}<span class="caption"> · unset</span>{/if}</button
      >
      <div class="flex shrink-0 gap-1" role="radiogroup" aria-label="Shadow of: {shadow.purpose}">
        <button
          class="grid h-7 w-10 place-items-center border text-xs {none(shadow) ? 'border-2 border-accent' : 'border-line'}"
          role="radio"
          aria-checked={none(shadow)}
          onpointerenter={() => void bench.probe(give(shadow, NONE))}
          onpointerleave={() => bench.revert()}
          onclick={() => bench.commit(give(shadow, NONE))}>none</button
        >
        {#each heights as one (one.path)}
          <button
            class="grid h-7 w-8 place-items-center border {taken(shadow, one.path) ? 'border-2 border-accent' : 'border-line'}"
            role="radio"
            aria-checked={taken(shadow, one.path)}
            aria-label="{one.height} px"
            title="as at {one.height} px"
            style:background={ground}
            onpointerenter={() => void bench.probe(give(shadow, `{${one.path}}`))}
            onpointerleave={() => bench.revert()}
            onclick={() => bench.commit(give(shadow, `{${one.path}}`))}
            ><span class="size-3" style:background={raised} style:box-shadow={one.css}></span></button
          >
        {/each}
        {#if !none(shadow) && !heights.some((one) => taken(shadow, one.path))}<span class="caption self-center pl-1">its own</span>{/if}
      </div>
    </li>
  {/each}
</ul>
