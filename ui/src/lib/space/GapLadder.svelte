<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import TextValue from '$lib/ui/TextValue.svelte';
  import { lengthEdit } from './length';

  /** A gap as the room between two blocks, beside every length that it could have. */
  let { bench, gap, offered }: { bench: Bench; gap: Schemas['LengthView']; offered: { path: string; label: string; widePx: number }[] } =
    $props();

  const PER_PX = 0.5;
  const MOST = 56;

  const taken = (path: string) => gap.written === `{${path}}`;
  const own = $derived(gap.written !== '' && !offered.some((one) => taken(one.path)));
  const edit = (path: string) => lengthEdit(bench, gap, `{${path}}`);
</script>

<div
  class="grid grid-cols-[5.5rem_4rem_minmax(0,1fr)] items-center gap-x-3 border-t border-border py-1.5 {bench.pick?.path === gap.path
    ? 'bg-chosen'
    : ''}"
  role="presentation"
  onpointerenter={() => bench.light([gap.path])}
  onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}
>
  <button
    class="text-left hover:underline"
    title={gap.purpose}
    onclick={() => bench.open({ path: gap.path, contexts: bench.working, roles: [{ kind: 'space', path: gap.path }] })}
    ><span class="block font-semibold">{gap.name}</span><span class="value text-xs text-muted"
      >{gap.narrowPx === gap.widePx ? gap.widePx : `${gap.narrowPx}–${gap.widePx}`} px{gap.place ? '' : ' · unset'}</span
    ></button
  >
  <div class="flex h-16 flex-col justify-center overflow-hidden" aria-hidden="true">
    <span class="h-1.5 shrink-0 bg-ink/40"></span>
    <span class="shrink-0 border-x border-dashed border-accent bg-chosen" style:height="{Math.min(52, gap.widePx)}px"></span>
    <span class="h-1.5 shrink-0 bg-ink/40"></span>
  </div>
  <div class="flex min-w-0 flex-wrap items-end gap-1" role="radiogroup" aria-label="Length of the gap {gap.name}">
    {#each offered as one (one.path)}
      <button
        class="flex min-h-6 min-w-6 flex-col items-center justify-end gap-0.5 rounded-sm border px-1 py-0.5 {taken(one.path)
          ? 'border-accent bg-chosen'
          : 'border-transparent hover:border-line'}"
        role="radio"
        aria-checked={taken(one.path)}
        aria-label="{one.label}, {one.widePx} px"
        title="{one.label}: {one.widePx} px"
        onpointerenter={() => !taken(one.path) && void bench.probe(edit(one.path))}
        onpointerleave={() => bench.revert()}
        onclick={() => void bench.commit(edit(one.path))}
      >
        <span class="w-3 bg-accent" style:height="{Math.max(2, Math.min(MOST, one.widePx * PER_PX))}px"></span>
        <span class="value text-[10px]">{Math.round(one.widePx)}</span>
      </button>
    {/each}
    {#if own || !offered.length}
      <TextValue
        label="{gap.name} as written"
        hideLabel
        width="w-24"
        value={gap.written}
        oncommit={(text) => bench.take(lengthEdit(bench, gap, text))}
      />
    {/if}
  </div>
</div>
