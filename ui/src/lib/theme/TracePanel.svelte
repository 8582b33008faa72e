<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { Schemas } from '$lib/api/client';
  import PlaceRuler from '$lib/place/PlaceRuler.svelte';
  import TokenPicture from '$lib/ui/TokenPicture.svelte';
  import type { Bench } from './bench.svelte';

  /** Why a token has its value, as a chain whose links can be followed; and, the other way, what depends on it. */
  let { bench }: { bench: Bench } = $props();

  const WORDS: Record<string, string> = {
    fontFamily: 'family',
    fontSize: 'size',
    fontWeight: 'weight',
    lineHeight: 'line height',
    letterSpacing: 'letter spacing',
    offsetX: 'offset x',
    offsetY: 'offset y',
    timingFunction: 'easing',
    of: 'derived from',
    with: 'mixed with',
    hue: 'shades of'
  };
  const MANY = 12;

  let all = $state(false);

  const trace = $derived(bench.trace);
  /** The narrowest place that it is looked at in. */
  const scope = $derived(
    bench.writable.find((one) => one.kind === 'scope' && one.of === '' && one.scope === bench.pick?.scopes?.at(-1))?.words
  );
  const words = $derived(
    bench.pick ? [...bench.modifiers.map((m) => bench.pick?.contexts[m.name] ?? m.standard), ...(scope ? [scope] : [])].join(' · ') : ''
  );
  const listed = $derived(all ? (trace?.dependents ?? []) : (trace?.dependents ?? []).slice(0, MANY));

  $effect(() => {
    void bench.pick?.path;
    all = false;
  });

  const member = (name: string) =>
    name
      .split('.')
      .map((part) => WORDS[part] ?? (/^\d+$/.test(part) ? `${Number(part) + 1}.` : part))
      .join(' ');
  const place = (text: string) => bench.looks.words(text);

  function follow(path: string) {
    if (bench.pick) bench.open({ ...bench.pick, path }, true);
  }

  /** How many links lead from the picked token to a hop. */
  function depth(hop: Schemas['HopView'], hops: Schemas['HopView'][]): number {
    let at: Schemas['HopView'] | undefined = hop;
    let count = 0;
    while (at && at.from && count < 6) {
      const from: string = at.from;
      at = hops.find((h) => h.path === from);
      count++;
    }
    return count;
  }
</script>

{#if bench.pick}
  <aside class="flex w-76 shrink-0 contain-strict flex-col border-l border-line bg-raised" aria-label="Trace of {bench.pick.path}">
    <div class="flex items-start gap-2 px-3 pt-3">
      <div class="min-w-0 grow">
        <h2 class="font-semibold">Why this looks so</h2>
        <p class="value break-all text-muted">{bench.pick.path}</p>
        {#if words}<p class="caption">{words}</p>{/if}
      </div>
      <button
        class="grid size-6 shrink-0 place-items-center rounded-[3px] hover:bg-hover"
        aria-label="Close the trace"
        onclick={() => bench.unpick()}><X size={14} /></button
      >
    </div>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
    <div class="min-h-0 grow overflow-y-auto px-3 pb-3" tabindex="0" role="group" aria-label="Chain and dependents of {bench.pick.path}">
      {#if bench.pick.roles.length > 1}
        <div class="mt-2 flex flex-wrap gap-1" role="group" aria-label="Roles that govern the picked element">
          {#each bench.pick.roles as role (role.kind)}
            <button
              class="value rounded-[3px] border px-1.5 {role.path === bench.pick.path
                ? 'border-accent bg-chosen'
                : 'border-line hover:bg-hover'}"
              aria-pressed={role.path === bench.pick.path}
              onclick={() => bench.pick && bench.open({ ...bench.pick, path: role.path })}>{role.path}</button
            >
          {/each}
        </div>
      {/if}
      <PlaceRuler {bench} />
      {#if trace?.description}<p class="mt-2 text-muted">{trace.description}</p>{/if}
      {#if trace?.deprecated}<p class="mt-2 text-should">
          Deprecated{trace.deprecated === 'deprecated' ? '' : `: ${trace.deprecated}`}
        </p>{/if}
      <ol class="mt-3 flex flex-col" aria-label="Chain">
        {#each trace?.hops ?? [] as hop, i (hop.path)}
          <li
            class="relative border-l border-line pb-3 pl-4 before:absolute before:top-1.5 before:-left-[4px] before:size-[7px] before:rounded-full before:bg-accent"
            style:margin-left="{(depth(hop, trace?.hops ?? []) > 0 ? depth(hop, trace?.hops ?? []) - 1 : 0) * 10}px"
          >
            {#if hop.member}<p class="caption">{member(hop.member)}</p>{/if}
            <p class="flex items-center gap-2">
              <TokenPicture type={hop.type} css={hop.css} />
              {#if i === 0}<span class="value break-all">{hop.path}</span>{:else}<button
                  class="value break-all text-left text-link hover:underline"
                  onclick={() => follow(hop.path)}>{hop.path}</button
                >{/if}
            </p>
            {#each hop.candidates as c (c.place)}
              <p class="value break-all {c.wins ? '' : 'text-muted line-through'}">{c.written}</p>
              <p class="caption">{c.wins ? 'written in' : 'hidden, written in'} {place(c.place)}</p>
            {/each}
            {#if hop.unset}<p class="caption">{hop.unset}</p>{/if}
            {#if hop.recipe}<p class="caption">computed by the recipe of {hop.recipe}</p>{/if}
            {#if !hop.resolved}<p class="caption font-semibold text-must">cannot be resolved</p>{/if}
          </li>
        {/each}
      </ol>
      {#if trace && trace.hops.length === 0}
        <p class="text-muted">Nothing in this theme sets {bench.pick.path}, so the browser’s own style shows.</p>
      {/if}
      {#if trace && trace.contexts.length > 1}
        <h3 class="caption mt-1 font-semibold">Written in {trace.contexts.length} places</h3>
        <ul>
          {#each trace.contexts as c (c.place)}<li class="value flex gap-2">
              <span class="caption w-28 shrink-0 truncate">{place(c.place)}</span><span class="truncate">{c.written}</span>
            </li>{/each}
        </ul>
      {/if}
      {#if trace && trace.hops.length > 0}
        <h3 class="mt-3 font-semibold">
          {trace.dependentCount === 0
            ? 'Nothing depends on it'
            : `${trace.dependentCount} ${trace.dependentCount === 1 ? 'token depends' : 'tokens depend'} on it`}
        </h3>
        <p class="caption">
          {bench.places === 0
            ? 'No place in the bays shows it.'
            : `${bench.places} ${bench.places === 1 ? 'place' : 'places'} in the bays ${bench.places === 1 ? 'shows' : 'show'} it, outlined.`}

          <a class="text-link underline underline-offset-2" href="/coverage/{bench.id}?of={encodeURIComponent(bench.pick.path)}"
            >On all sites</a
          >
        </p>
        <ul class="mt-1" aria-label="Dependents">
          {#each listed as path (path)}
            <li><button class="value break-all text-left text-link hover:underline" onclick={() => follow(path)}>{path}</button></li>
          {/each}
        </ul>
        {#if (trace?.dependents.length ?? 0) > listed.length}<button class="button mt-1" onclick={() => (all = true)}
            >Show {(trace?.dependents.length ?? 0) - listed.length} more</button
          >{/if}
      {/if}
    </div>
  </aside>
{/if}
