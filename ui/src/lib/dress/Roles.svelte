<script lang="ts">
  import Rotate from '@lucide/svelte/icons/rotate-ccw';
  import X from '@lucide/svelte/icons/x';
  import type { Dressing, RoleRow } from './dressing.svelte';
  import { referred } from './referred';

  /** What pages read, part by part: what each role is to be, and how sure the proposal is. */
  let { dressing, onmoved }: { dressing: Dressing; onmoved: () => void } = $props();

  const parts = $derived(
    dressing.bench.contract.parts
      .map((part) => ({ ...part, rows: dressing.rows.filter((row) => row.part === part.name) }))
      .filter((part) => part.rows.length > 0)
  );
  const SAID = { own: 'its own', proposed: 'proposed', written: 'dressed', chosen: 'chosen', unset: '' };
  const name = (row: RoleRow) => row.path.replace(/^surface\.page\./, '');
  const css = (written: string) => dressing.tokens.find((token) => token.path === referred(written)[0])?.css ?? '';
  function pick(row: RoleRow) {
    dressing.picked = row.path;
    const token = referred(dressing.roles[row.path] ?? '')[0];
    if (token) document.querySelector(`[data-token="${CSS.escape(token)}"]`)?.scrollIntoView({ block: 'nearest' });
  }
  const short = (written: string) =>
    written.includes(' / ')
      ? referred(written)
          .map((path) => path.split('.').at(-1))
          .join(' · ')
      : written.replace(/^\{|\}$/g, '').replace(dressing.prefix, '');
</script>

<div class="h-full overflow-y-auto px-3 py-2" onscroll={onmoved} data-threads="roles" role="group" aria-label="Roles that pages read">
  {#each parts as part (part.name)}
    <h2 class="caption sticky top-0 z-10 bg-ground py-1">{part.title}</h2>
    {#each part.rows as row (row.path)}
      {@const now = dressing.roles[row.path]}
      {@const origin = dressing.origin(row)}
      <div class="flex items-center gap-1 rounded-[3px] {dressing.picked === row.path ? 'bg-chosen' : ''}" data-role={row.path}>
        <button
          class="grid min-w-0 grow grid-cols-[7.5rem_1fr_5rem] items-center gap-2 px-1 py-1 text-left hover:underline"
          aria-pressed={dressing.picked === row.path}
          title={row.purpose}
          onclick={() => pick(row)}
        >
          <span class="truncate {row.core ? 'font-semibold' : ''}">{name(row)}</span>
          <span class="flex min-w-0 items-center gap-2">
            {#if row.type === 'color'}<span
                class="size-4 shrink-0 border {origin === 'unset' ? 'border-dashed border-border' : 'border-line'}"
                style:background={origin === 'own' ? row.css : css(now ?? '')}
              ></span>{/if}
            {#if origin === 'unset'}<span class="truncate text-muted italic"
                >{row.on ? `as ${row.on.replace(/^surface\.page\./, '')}` : 'the contract’s own'}</span
              >
            {:else}<span class="value truncate">{short(now ?? row.written)}</span>{/if}
          </span>
          <span class="caption flex items-center justify-end gap-1">
            {SAID[origin]}
            {#if origin === 'proposed'}<span class="h-1.5 w-6 bg-sunk" title="Confidence {Math.round(row.confidence * 100)} %: {row.reason}"
                ><span class="block h-full bg-accent" style:width="{row.confidence * 100}%"></span></span
              >{/if}
          </span>
        </button>
        {#if now !== undefined}
          <button
            class="grid size-6 shrink-0 place-items-center text-muted hover:text-ink"
            aria-label="Leave {name(row)} on its fallback"
            title="Leave it on its fallback"
            onclick={() => dressing.leave(row.path)}><X size={12} /></button
          >
        {:else if row.proposed && !row.set}
          <button
            class="grid size-6 shrink-0 place-items-center text-muted hover:text-ink"
            aria-label="Take the proposal for {name(row)}"
            title="Take the proposal {row.proposed}"
            onclick={() => dressing.restore(row)}><Rotate size={12} /></button
          >
        {:else}<span class="size-6 shrink-0"></span>{/if}
      </div>
    {/each}
  {/each}
</div>
