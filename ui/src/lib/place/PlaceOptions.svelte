<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';

  /** Every place that values can be written into, as options: sets and contexts, then what holds on pages of one kind alone. */
  let { bench }: { bench: Bench } = $props();

  const plain = $derived(bench.writable.filter((one) => one.kind !== 'scope'));
  const scopes = $derived([...new Set(bench.writable.filter((one) => one.kind === 'scope').map((one) => one.scope))]);
  const at = (scope: string) => bench.writable.filter((one) => one.kind === 'scope' && one.scope === scope);
</script>

<optgroup label="In the whole theme">
  {#each plain as one (one.place)}<option value={one.place}>{one.words}</option>{/each}
</optgroup>
{#each scopes as scope (scope)}
  <optgroup label="Only on {at(scope)[0]?.words}">
    {#each at(scope) as one (one.place)}<option value={one.place}>{one.words}{one.holds ? ` (${one.holds})` : ''}</option>{/each}
  </optgroup>
{/each}
