<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import Rung from './Rung.svelte';

  /** Every step of a scale as text of its size, largest on top, dressed as the style that takes it, at both ends. */
  let { bench, scale, styles }: { bench: Bench; scale: Schemas['TypeScaleView']; styles: Schemas['StyleView'][] } = $props();

  const body = $derived(styles.find((style) => style.role === 'body'));
  const rungs = $derived(
    scale.steps.map((step) => {
      const taking = styles.filter((style) => !style.follows && style.size === `{${step.path}}`);
      return { step, taking, dress: taking[0] ?? body };
    })
  );
</script>

<Compartment label="Ladder of sizes" frame="min-w-72 grow border-l border-border" inside="px-3 pb-3" focusable>
  <div class="caption sticky top-0 z-10 flex justify-between bg-ground py-1">
    <span>at {scale.wideViewport} px</span><span>at {scale.narrowViewport} px</span>
  </div>
  <ol class="flex flex-col-reverse" aria-label="Steps of the scale">
    {#each rungs as { step, taking, dress } (step.path)}<Rung {bench} {scale} {step} {taking} {dress} />{/each}
  </ol>
</Compartment>
