<script lang="ts">
  import Plus from '@lucide/svelte/icons/plus';
  import type { Bench } from '$lib/theme/bench.svelte';
  import Bay from './Bay.svelte';
  import { BayState, EDGE } from './bays.svelte';

  let { bench }: { bench: Bench } = $props();

  const MOST = 4;
  const ADD = 32;

  let room = $state(0);
  let alone = $state<BayState | null>(null);
  const bays = $derived(bench.bays);

  const visible = $derived(alone ? [alone] : bays);
  /** All bays are drawn to one scale, so that sizes can be compared across them. */
  const scale = $derived(
    Math.max(0.1, Math.min(1, (room - ADD - visible.length * EDGE) / visible.reduce((sum, bay) => sum + bay.width, 0)))
  );

  function add() {
    const last = bays.at(-1);
    const contexts = { ...(last?.contexts ?? bench.working) };
    const scheme = bench.scheme;
    if (scheme) contexts[scheme.modifier] = contexts[scheme.modifier] === scheme.dark ? scheme.light : scheme.dark;
    bench.bays.push(new BayState(last?.site ?? '', last?.page ?? '', 390, contexts));
    void bench.look();
  }
</script>

<div class="flex h-full min-h-0 bg-ground" role="region" aria-label="Bays" data-area bind:clientWidth={room}>
  {#if bays.length === 0}
    <p class="m-auto max-w-sm text-center text-muted">
      There is no site here whose pages could be shown. Start the application with the demo data to get one.
    </p>
  {:else if room > 0}
    {#each bays as bay, i (bay)}
      {#if visible.includes(bay)}
        <Bay
          {bench}
          {bay}
          number={i + 1}
          {scale}
          alone={alone === bay}
          closable={bays.length > 1 && !alone}
          onalone={() => (alone = alone === bay ? null : bay)}
          onclose={() => (bench.bays = bays.filter((other) => other !== bay))}
        />
      {/if}
    {/each}
    <div class="flex min-w-8 grow flex-col items-center pt-1">
      {#if bays.length < MOST && !alone}
        <button class="grid size-6 place-items-center rounded-[3px] hover:bg-hover" aria-label="Add a bay" onclick={add}
          ><Plus size={15} /></button
        >
      {/if}
    </div>
  {/if}
</div>
