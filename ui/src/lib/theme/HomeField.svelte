<script lang="ts">
  import type { Bench } from './bench.svelte';

  /** Asks into which set something new goes, where nothing of its kind stands in the theme yet. */
  let { bench, kind, place = $bindable('') }: { bench: Bench; kind: string; place?: string } = $props();

  const home = $derived(bench.homes[kind] ?? '');
  const sets = $derived(bench.writable.filter((one) => one.kind === 'set'));
  $effect(() => {
    place = home;
  });
</script>

{#if home === '' && sets.length > 0}
  <label class="flex flex-col gap-1"
    ><span>Into the set</span>
    <select class="field" required bind:value={place}>
      <option value="" disabled>Choose a set</option>
      {#each sets as one (one.place)}<option value={one.place}>{one.words}</option>{/each}
    </select>
  </label>
{:else if sets.length === 0}
  <p class="text-must">The theme has no set yet. Make one under Sets first.</p>
{/if}
