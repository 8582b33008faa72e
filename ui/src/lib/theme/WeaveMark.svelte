<script lang="ts">
  import type { Schemas } from '$lib/api/client';

  let { weave, size = 48, repeat = 1 }: { weave: Schemas['Weave']; size?: number; repeat?: number } = $props();

  const UNIT = 8;

  /** Thread widths alternate, so that the plaid has a beat. */
  function threads(colors: string[]) {
    const widths = [10, 4, 7, 3, 5, 3];
    let at = 2;
    return colors.map((color, i) => {
      const width = widths[i % widths.length] ?? 4;
      const thread = { color, at, width };
      at += width + 2;
      return thread;
    });
  }

  const warp = $derived(threads(weave.warp));
  const weft = $derived(threads(weave.weft));
  const sett = $derived(Math.max(...[...warp, ...weft].map((t) => t.at + t.width), UNIT) + 2);
  const id = $props.id();
</script>

<svg width={size} height={size} viewBox="0 0 {sett * repeat} {sett * repeat}" aria-hidden="true" class="shrink-0">
  <defs>
    <pattern id="{id}-over" width="4" height="4" patternUnits="userSpaceOnUse">
      <rect width="2" height="2" fill="white" />
      <rect x="2" y="2" width="2" height="2" fill="white" />
    </pattern>
    <mask id="{id}-mask"><rect width="100%" height="100%" fill="url(#{id}-over)" /></mask>
    <pattern id="{id}-sett" width={sett} height={sett} patternUnits="userSpaceOnUse">
      <rect width={sett} height={sett} fill={weave.weft[0] ?? '#888888'} />
      {#each warp as t (t.at)}<rect x={t.at} y="0" width={t.width} height={sett} fill={t.color} />{/each}
      <g mask="url(#{id}-mask)">
        {#each weft as t (t.at)}<rect x="0" y={t.at} width={sett} height={t.width} fill={t.color} />{/each}
      </g>
    </pattern>
  </defs>
  <rect width="100%" height="100%" fill="url(#{id}-sett)" />
</svg>
