<script lang="ts">
  import { onMount } from 'svelte';
  import DoneList from '$lib/site/DoneList.svelte';
  import type { Bench } from './bench.svelte';
  import ThemeHistory from './ThemeHistory.svelte';

  /** The log of the theme, or of a site whose pages are in the bays. It begins where edits go to. */
  let { bench }: { bench: Bench } = $props();

  let site = $state('');
  onMount(() => (site = bench.looks.site));

  const owner = $derived(bench.owners.find((one) => one.site === site));
</script>

<div class="flex h-full min-h-0 flex-col">
  {#if bench.owners.length > 1}
    <div class="flex h-8 shrink-0 items-center gap-1 border-b border-border px-2" role="group" aria-label="Whose edits">
      {#each bench.owners as one (one.site)}
        <button
          class="h-6 rounded-[3px] px-2 {one === owner ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
          aria-pressed={one === owner}
          onclick={() => (site = one.site)}>{one.name}</button
        >
      {/each}
    </div>
  {/if}
  <div class="min-h-0 grow">
    {#if owner?.site}
      <DoneList site={owner.site} name={owner.name} revision={owner.revision} frame="h-full max-w-3xl p-1" />
    {:else}
      <ThemeHistory {bench} />
    {/if}
  </div>
</div>
