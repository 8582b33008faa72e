<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';

  /** Lengths that rise and have no recipe, with how they grow. */
  let { bench, scale }: { bench: Bench; scale: Schemas['FoundScaleView'] } = $props();

  const number = (value: number) => String(Math.round(value * 1000) / 1000);
  const growth = $derived(
    scale.growth === 'linear'
      ? `${number(scale.by)} px from step to step`
      : scale.growth === 'geometric'
        ? `each step ${number(scale.by)} times the one before`
        : 'steps set by hand'
  );
</script>

<section class="mb-4" aria-label="Scale {scale.name}">
  <h2 class="mb-2 flex items-baseline gap-3">
    <span class="font-semibold">{scale.group}</span><span class="caption"
      >{growth}{#if scale.growth !== 'by_hand' && scale.residual > 0.005}, off by {Math.round(scale.residual * 100)} % at most{/if}</span
    >
  </h2>
  <ol class="flex flex-wrap items-end gap-x-3 gap-y-3">
    {#each scale.steps as step (step.path)}
      <li>
        <button
          class="flex flex-col items-center gap-1 hover:text-link"
          title="{step.path}: {step.written}"
          onclick={() => bench.open({ path: step.path, contexts: bench.working, roles: [] }, true)}
        >
          {#if scale.ofType}<span class="text-heading" style:font-size="{Math.min(step.widePx, 72)}px" style:line-height="1">Ag</span>
          {:else}<span
              class="border border-accent bg-chosen"
              style:width="{Math.min(step.widePx, 96)}px"
              style:height="{Math.min(step.widePx, 96)}px"
            ></span>{/if}
          <span class="value">{number(step.widePx)} px</span><span class="caption">{step.name}</span>
        </button>
      </li>
    {/each}
  </ol>
</section>
