<script lang="ts">
  import type { Dressing } from './dressing.svelte';
  import { referred } from './referred';

  /** A thread from each token to the roles that it dresses, in the token's color; those whose ends are out of sight are not drawn. */
  let { dressing, moved }: { dressing: Dressing; /** Counts up when something was scrolled. */ moved: number } = $props();

  let loom: HTMLElement | undefined = $state();
  let threads = $state.raw<{ key: string; d: string; color: string; width: number }[]>([]);

  $effect(() => {
    void moved;
    const roles = dressing.roles;
    const picked = dressing.picked;
    void dressing.view;
    const frame = requestAnimationFrame(() => (threads = drawn(roles, picked)));
    return () => cancelAnimationFrame(frame);
  });

  function seen(element: Element, within: Element): number | null {
    const box = element.getBoundingClientRect();
    const room = within.getBoundingClientRect();
    const y = box.top + box.height / 2;
    return y > room.top + 20 && y < room.bottom ? y : null;
  }

  function drawn(roles: Record<string, string>, picked: string) {
    const tokens = document.querySelector('[data-threads=tokens]');
    const rows = document.querySelector('[data-threads=roles]');
    if (!loom || !tokens || !rows) return [];
    const own = loom.getBoundingClientRect();
    const all = [];
    for (const [role, written] of Object.entries(roles)) {
      const row = rows.querySelector(`[data-role="${CSS.escape(role)}"]`);
      const to = row && seen(row, rows);
      if (to === null || to === undefined) continue;
      for (const path of referred(written)) {
        const cell = tokens.querySelector(`[data-token="${CSS.escape(path)}"]`);
        const from = cell && seen(cell, tokens);
        if (from === null || from === undefined) continue;
        const [y1, y2] = [from - own.top, to - own.top];
        const token = dressing.tokens.find((one) => one.path === path);
        all.push({
          key: `${role} ${path}`,
          d: `M0 ${y1}C${own.width / 2} ${y1} ${own.width / 2} ${y2} ${own.width} ${y2}`,
          color: token?.type === 'color' ? token.css : 'var(--surface-line, currentColor)',
          width: role === picked ? 3 : 1.5
        });
      }
    }
    return all;
  }
</script>

<div bind:this={loom} class="h-full w-16 shrink-0" aria-hidden="true">
  <svg class="size-full overflow-visible">
    {#each threads as thread (thread.key)}
      <path d={thread.d} fill="none" stroke="currentColor" class="text-line" stroke-width={thread.width + 1} opacity="0.35" />
      <path d={thread.d} fill="none" stroke={thread.color} stroke-width={thread.width} />
    {/each}
  </svg>
</div>
