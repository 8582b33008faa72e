<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';

  /** The theme's weights as words of that weight; the one a style takes can be dragged, for all that take it. */
  let {
    bench,
    style,
    styles,
    weights,
    onset
  }: {
    bench: Bench;
    style: Schemas['StyleView'];
    styles: Schemas['StyleView'][];
    weights: Schemas['ValueView'][];
    onset: (text: string) => void;
  } = $props();

  const taken = $derived(weights.find((one) => `{${one.path}}` === style.weight));
  const sharing = $derived(
    styles.filter((one) => !one.follows && one.weight === style.weight && one.path !== style.path).map((one) => one.role)
  );
  const edit = (weight: Schemas['ValueView'], to: number) => ({
    op: 'value' as const,
    place: weight.place,
    path: weight.path,
    text: String(to)
  });
</script>

<div class="mt-1 flex items-center gap-x-2">
  <div class="flex min-w-0 flex-wrap gap-x-1" role="radiogroup" aria-label="Weight of {style.role}">
    {#each weights as one (one.path)}
      <button
        class="rounded-sm px-1.5 text-base/6 {one.path === taken?.path ? 'bg-chosen' : 'hover:bg-hover'}"
        role="radio"
        aria-checked={one.path === taken?.path}
        style:font-family={style.familyName}
        style:font-weight={one.value}
        onclick={() => onset(`{${one.path}}`)}>{one.name}</button
      >
    {:else}<span class="text-muted">Weight {style.weight}</span>{/each}
  </div>
  {#if taken}
    <span class="ml-auto" title={sharing.length ? `This weight is also that of ${sharing.join(', ')}.` : undefined}>
      <NumberField
        label="{taken.name} weight"
        short="↔"
        size="w-20"
        value={Number(taken.value)}
        min={1}
        max={1000}
        step={10}
        places={0}
        onprobe={(v) => bench.probe(edit(taken, v))}
        oncommit={(v) => bench.commit(edit(taken, v))}
      />
    </span>
  {/if}
</div>
