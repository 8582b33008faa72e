<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import FoundScale from '$lib/space/FoundScale.svelte';
  import Families from './Families.svelte';
  import Ladder from './Ladder.svelte';
  import ScaleEnds from './ScaleEnds.svelte';
  import StylePanel from './StylePanel.svelte';

  let { bench }: { bench: Bench } = $props();

  const type = $derived(bench.shown?.type);
  const scale = $derived(type?.scales[0]);
  const found = $derived((bench.shown?.space.found ?? []).filter((one) => one.ofType));
</script>

<div class="flex h-full min-h-0 min-w-max">
  {#if !bench.pick}<Families {bench} />{/if}
  {#if scale}
    <Ladder {bench} {scale} styles={type?.styles ?? []} />
    <ScaleEnds {bench} {scale} />
  {:else}
    <Compartment label="Sizes" frame="min-w-80 grow border-l border-border" inside="p-3" focusable>
      {#each found as one (one.group + one.name)}<FoundScale {bench} scale={one} />{:else}<p class="p-3 text-muted">
          This theme has no type scale. Sizes that rise are shown here; make them under Tokens, or give text styles sizes of their own.
        </p>{/each}
    </Compartment>
  {/if}
  <StylePanel {bench} />
</div>
