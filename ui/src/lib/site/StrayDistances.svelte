<script lang="ts">
  import type { Schemas } from '$lib/api/client';

  /** Stray colors on a line by how far each is from the nearest role; a mark on it chooses all that are nearer. */
  let {
    strays,
    chosen = $bindable()
  }: {
    strays: Schemas['StrayView'][];
    chosen: string[];
  } = $props();

  const FURTHEST = 30;
  const H = 26;
  let width = $state(300);
  let below = $state(0);

  const colors = $derived(strays.filter((one) => one.css && one.distance >= 0));
  const share = (distance: number) => Math.sqrt(Math.min(distance, FURTHEST) / FURTHEST);
  const x = (distance: number) => 8 + share(distance) * (width - 16);
  /** Dots that would hide each other stand above one another. */
  const dots = $derived.by(() => {
    const rows: number[] = [];
    return [...colors]
      .sort((a, b) => a.distance - b.distance)
      .map((one) => {
        const at = x(one.distance);
        let row = rows.findIndex((end) => end < at - 9);
        if (row < 0) row = rows.length;
        rows[row] = at;
        return { one, at, row: Math.min(row, 2) };
      });
  });

  function choose(share: number) {
    below = share * share * FURTHEST;
    chosen = colors.filter((one) => one.distance < below || (share === 1 && one.distance >= below)).map((one) => one.id);
  }
</script>

{#if colors.length > 2}
  <div class="border-b border-border py-2" bind:clientWidth={width}>
    <svg {width} height={H} aria-hidden="true" class="block overflow-visible">
      <path d="M8 {H - 4.5} H{width - 8}" class="stroke-line" />
      {#each [1, 2, 5, 10, 20] as tick (tick)}<path d="M{x(tick)} {H - 8} v7" class="stroke-line" />{/each}
      {#each dots as { one, at, row } (one.id)}
        <circle
          cx={at}
          cy={H - 10 - row * 8}
          r="4"
          fill={one.css}
          class={chosen.includes(one.id) ? 'stroke-ink' : 'stroke-line'}
          stroke-width={chosen.includes(one.id) ? 2 : 1}><title>{one.value}: ΔE {one.distance} from {one.nearest}</title></circle
        >
      {/each}
    </svg>
    <label class="flex items-center gap-3">
      <input
        type="range"
        class="w-full accent-accent"
        min="0"
        max="1"
        step="0.005"
        value={share(below)}
        aria-label="Choose all colors nearer than a distance"
        aria-valuetext="ΔE {below.toFixed(1)}"
        oninput={(e) => choose(e.currentTarget.valueAsNumber)}
      />
      <span class="value w-40 shrink-0 text-right whitespace-nowrap"
        >{below > 0 ? `${chosen.length} nearer than ΔE ${below.toFixed(1)}` : 'choose by distance'}</span
      >
    </label>
  </div>
{/if}
