<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { Held } from '$lib/ui/held.svelte';
  import { Nudge } from '$lib/ui/nudge.svelte';
  import { dress as dressed } from './dress';

  /**
   * One step of the ladder: its size is taken hold of in the words themselves. The whole scale runs through it; with the Alt
   * key it leaves the scale alone, and stands out as a kink until it is put back.
   */
  let {
    bench,
    scale,
    step,
    taking,
    dress
  }: {
    bench: Bench;
    scale: Schemas['TypeScaleView'];
    step: Schemas['StepView'];
    taking: Schemas['StyleView'][];
    dress: Schemas['StyleView'] | undefined;
  } = $props();

  const WORDS = 'At six the tide turns, lights lit';
  const MOST_HIGH = 112;
  const STEP = 0.5;
  const LEAST = 4;
  const MOST = 400;

  let alone = false;
  let start: { y: number; px: number } | null = null;
  const held = { wide: new Held(), narrow: new Held() };
  const keys = new Nudge<number>();
  type End = keyof typeof held;

  const name = $derived(step.name.replace('minus-', '−'));
  const px = (end: End) => (end === 'wide' ? step.widePx : step.narrowPx);
  const fit = (to: number) => Math.min(MOST, Math.max(LEAST, Math.round(to / STEP) * STEP));
  const edit = (end: End, to: number, only = alone) => ({
    op: 'stepTo' as const,
    place: scale.place,
    path: scale.path,
    step: step.name,
    end,
    px: to,
    alone: only
  });

  function grip(event: PointerEvent & { currentTarget: HTMLElement }, end: End) {
    event.currentTarget.setPointerCapture(event.pointerId);
    start = { y: event.clientY, px: px(end) };
    alone = event.altKey || step.detached;
  }

  function drag(event: PointerEvent, end: End) {
    if (!start) return;
    const to = fit(start.px + (start.y - event.clientY) / 2);
    if (to !== held[end].wanted) held[end].move(to, (size) => bench.probe(edit(end, size)));
  }

  function release(end: End) {
    start = null;
    void held[end].letGo((to) => bench.commit(edit(end, to)));
  }

  function key(event: KeyboardEvent, end: End) {
    const by: Record<string, number> = { ArrowUp: STEP, ArrowDown: -STEP, PageUp: 4, PageDown: -4 };
    const more = by[event.key];
    if (more === undefined) return;
    event.preventDefault();
    const only = event.altKey || step.detached;
    keys.press(
      px(end),
      (now) => fit(now + more),
      (to) => bench.commit(edit(end, to, only)),
      (to) => bench.probe(edit(end, to, only)),
      end
    );
  }
</script>

{#snippet words(end: End)}
  <div
    class="flex h-(--high) cursor-ns-resize touch-none items-center overflow-hidden leading-[1.2] text-heading select-none {end === 'wide'
      ? 'min-w-0 grow'
      : 'w-[23%] shrink-0 justify-end border-l border-dotted border-border pl-2'}"
    style:--high="{Math.min(MOST_HIGH, Math.max(22, step.widePx * 1.25))}px"
    role="slider"
    tabindex="0"
    aria-label="Step {name} at the {end} end"
    aria-valuemin={LEAST}
    aria-valuemax={MOST}
    aria-valuenow={px(end)}
    aria-valuetext="{px(end).toFixed(1)} px"
    title="Drag up or down: the scale follows. With Alt this step alone."
    onpointerdown={(event) => grip(event, end)}
    onpointermove={(event) => drag(event, end)}
    onpointerup={() => release(end)}
    onpointercancel={() => release(end)}
    onkeydown={(event) => key(event, end)}
  >
    <span class="block h-[1.2em] overflow-hidden" style={dress && dressed(dress, px(end), '1.2')}>{end === 'wide' ? WORDS : 'At six'}</span>
  </div>
{/snippet}

<li class="relative flex items-center gap-3 border-t py-0.5 {step.detached ? 'border-should bg-chosen' : 'border-border'}">
  <div class="w-26 shrink-0">
    <p class="flex items-baseline gap-1.5">
      <span class="value">{name}</span>
      <span class="flex min-w-0 flex-wrap gap-x-1.5">
        {#each taking as style (style.path)}
          <button
            class="caption hover:underline {bench.pick?.path === style.path ? 'text-text underline' : ''}"
            onclick={() => bench.open({ path: style.path, contexts: bench.working, roles: [{ kind: 'type', path: style.path }] })}
            >{style.role}</button
          >
        {/each}
      </span>
    </p>
    <p class="value text-xs whitespace-nowrap text-muted">{step.narrowPx.toFixed(1)} → {step.widePx.toFixed(1)}</p>
    {#if step.detached}
      <p class="mt-0.5 flex gap-2 text-xs whitespace-nowrap">
        <button class="underline" onclick={() => bench.commit({ op: 'attach', place: scale.place, path: step.path })}>Put back</button>
        <button class="underline" onclick={() => bench.commit(edit('wide', step.widePx, false))}>Move all</button>
      </p>
    {/if}
  </div>
  {@render words('wide')}
  {@render words('narrow')}
</li>
