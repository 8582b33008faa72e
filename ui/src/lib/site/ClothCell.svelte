<script lang="ts">
  /**
   * A crossing of the cloth: the site's threads go over and under the lengthwise ones. Where it differs on purpose they are
   * knotted, where by accident they are frayed.
   */
  let { threads, overrides, strays }: { threads: string[]; overrides: number; strays: number } = $props();

  const WIDTH = 112;
  const HEIGHT = 44;
  const WARP = 8;
  const PICKS = 5;

  const warp = Array.from({ length: WIDTH / WARP }, (_, i) => i * WARP + WARP / 2);
  const picks = $derived(
    Array.from({ length: PICKS }, (_, i) => ({
      y: 4 + i * 9,
      color: threads[i % Math.max(1, threads.length)] ?? 'var(--surface-line)',
      odd: i % 2
    }))
  );
  /** Frayed threads stop short of the middle. */
  const frayed = $derived(strays > 0 ? (overrides > 0 ? [3, 4] : [1, 2, 3]) : []);
  const knot = $derived(overrides > 0);
  const x = $derived(overrides > 0 && strays > 0 ? 30 : WIDTH / 2);
  const gap = $derived(overrides > 0 && strays > 0 ? 66 : 34);
</script>

<svg viewBox="0 0 {WIDTH} {HEIGHT}" preserveAspectRatio="none" class="block h-11 w-full" aria-hidden="true">
  {#each warp as at (at)}<line x1={at} x2={at} y1="0" y2={HEIGHT} stroke="var(--surface-border)" stroke-width="4" />{/each}
  {#each picks as pick, i (i)}
    {#if frayed.includes(i)}
      <g stroke={pick.color} stroke-width="5" stroke-dasharray="{WARP} {WARP}" stroke-dashoffset={pick.odd ? WARP : 0}>
        <line x1="0" x2={gap} y1={pick.y} y2={pick.y} />
        <line x1={gap + 36} x2={WIDTH} y1={pick.y} y2={pick.y} />
      </g>
      <!-- Loose ends. -->
      <g stroke={pick.color} stroke-width="1.2" fill="none">
        <path d="M{gap} {pick.y} q6 -1 9 -5 M{gap} {pick.y} q7 1 11 -1 M{gap} {pick.y} q5 3 9 5" />
        <path d="M{gap + 36} {pick.y} q-6 -1 -9 -5 M{gap + 36} {pick.y} q-7 2 -11 1 M{gap + 36} {pick.y} q-5 3 -8 6" />
      </g>
    {:else}
      <line
        x1="0"
        x2={WIDTH}
        y1={pick.y}
        y2={pick.y}
        stroke={pick.color}
        stroke-width="5"
        stroke-dasharray="{WARP} {WARP}"
        stroke-dashoffset={pick.odd ? WARP : 0}
      />
    {/if}
  {/each}
  {#if knot}
    <g fill="none" stroke-linecap="round">
      <path d="M{x - 26} 22 C{x - 12} 8 {x - 2} 8 {x} 22 S{x + 12} 36 {x + 26} 22" stroke="var(--surface-ground)" stroke-width="11" />
      <path d="M{x - 26} 22 C{x - 12} 36 {x - 2} 36 {x} 22 S{x + 12} 8 {x + 26} 22" stroke="var(--surface-ground)" stroke-width="11" />
      <path d="M{x - 26} 22 C{x - 12} 8 {x - 2} 8 {x} 22 S{x + 12} 36 {x + 26} 22" stroke={picks[1]?.color} stroke-width="5" />
      <path d="M{x - 26} 22 C{x - 12} 36 {x - 2} 36 {x} 22 S{x + 12} 8 {x + 26} 22" stroke={picks[0]?.color} stroke-width="5" />
    </g>
  {/if}
</svg>
