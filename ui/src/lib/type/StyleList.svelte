<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { dress } from './dress';

  /** The styles by their names, each dressed as itself; those that are not set stand back. */
  let {
    bench,
    styles,
    chosen,
    onchoose
  }: {
    bench: Bench;
    styles: Schemas['StyleView'][];
    chosen: string;
    onchoose: (style: Schemas['StyleView']) => void;
  } = $props();

  const PX = 14;

  function walk(event: KeyboardEvent & { currentTarget: HTMLElement }) {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const at = styles.findIndex((one) => one.path === chosen);
    const next = by && styles[at + by];
    if (!next) return;
    event.preventDefault();
    onchoose(next);
    event.currentTarget.querySelectorAll<HTMLElement>('[role=radio]')[at + by]?.focus();
  }
</script>

<div
  class="w-24 shrink-0 overflow-auto border-r border-border py-1"
  role="radiogroup"
  tabindex="-1"
  aria-label="Text style"
  onkeydown={walk}
>
  {#each styles as one (one.path)}
    <button
      class="block h-6 w-full truncate px-2 text-left {one.path === chosen ? 'bg-chosen' : 'hover:bg-hover'} {one.follows
        ? 'text-muted'
        : ''}"
      role="radio"
      aria-checked={one.path === chosen}
      tabindex={one.path === chosen ? 0 : -1}
      title={one.follows ? `Not set: as ${one.follows.replace('type.', '')}` : undefined}
      onclick={() => onchoose(one)}
      onpointerenter={() => bench.light([one.path])}
      onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}><span style={dress(one, PX)}>{one.role}</span></button
    >
  {/each}
  <a class="caption mt-1 block border-t border-border px-2 pt-1 underline" href="/type-sheet/{bench.id}">Type sheet</a>
</div>
