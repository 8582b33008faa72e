<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { Bench } from './bench.svelte';

  let { bench }: { bench: Bench } = $props();

  const MEMBERS: Record<string, string> = {
    fontFamily: 'family',
    fontSize: 'size',
    fontWeight: 'weight',
    lineHeight: 'line height',
    letterSpacing: 'letter spacing'
  };

  const isColor = (written: string) => written.startsWith('#') || written.startsWith('oklch(');
</script>

{#if bench.pick}
  <aside class="flex w-72 shrink-0 flex-col overflow-y-auto border-l border-line bg-raised p-3" aria-label="Trace of {bench.pick.path}">
    <div class="flex items-start gap-2">
      <div class="min-w-0 grow">
        <h2 class="font-semibold">Why this looks so</h2>
        <p class="value break-all text-muted">{bench.pick.path} · {bench.pick.scheme}</p>
      </div>
      <button class="grid size-6 shrink-0 place-items-center rounded-[3px] hover:bg-hover" aria-label="Close the trace" onclick={() => bench.unpick()}><X size={14} /></button>
    </div>
    {#if bench.pick.roles.length > 1}
      <div class="mt-2 flex flex-wrap gap-1" role="group" aria-label="Roles that govern the picked element">
        {#each bench.pick.roles as role (role.kind)}
          <button
            class="value rounded-[3px] border px-1.5 {role.path === bench.pick.path ? 'border-accent bg-chosen' : 'border-line hover:bg-hover'}"
            aria-pressed={role.path === bench.pick.path}
            onclick={() => bench.pick && bench.choose({ ...bench.pick, path: role.path })}>{role.path}</button>
        {/each}
      </div>
    {/if}
    <ol class="mt-3 flex flex-col">
      {#each bench.trace?.hops ?? [] as hop (hop.path)}
        <li class="relative border-l border-line pb-3 pl-4 before:absolute before:top-1.5 before:-left-[4px] before:size-[7px] before:rounded-full before:bg-accent">
          <p class="value break-all">{hop.path}{#if hop.member}<span class="text-muted"> ({MEMBERS[hop.member] ?? hop.member})</span>{/if}</p>
          {#each hop.candidates as c (c.place)}
            <p class="value flex items-center gap-1.5 break-all {c.wins ? '' : 'text-muted line-through'}">
              {#if isColor(c.written)}<span class="size-3 shrink-0 border border-line" style:background={c.written}></span>{/if}
              {c.written}
            </p>
            <p class="caption">{c.wins ? 'written in' : 'hidden, written in'} {c.place.replace(/^(set|context):/, '')}</p>
          {/each}
          {#if hop.recipe}<p class="caption">computed by the recipe of {hop.recipe}</p>{/if}
        </li>
      {/each}
    </ol>
    {#if bench.trace && bench.trace.hops.length === 0}
      <p class="text-muted">Nothing in this theme sets {bench.pick.path}, so the browser’s own style shows.</p>
    {/if}
  </aside>
{/if}
