<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { roleEdit } from '$lib/space/length';
  import type { Bench } from '$lib/theme/bench.svelte';
  import CurveField from '$lib/ui/CurveField.svelte';
  import Track from '$lib/ui/Track.svelte';

  /** How things change: how long it takes and along which curve, on a thing that runs while one looks. */
  let { bench, motion, accent, ground }: { bench: Bench; motion: Schemas['MotionView']; accent: string; ground: string } = $props();

  const LONGEST = 1000;
  const easing = $derived(`cubic-bezier(${motion.curve.join(', ')})`);

  function edit(change: Partial<Schemas['MotionView']>) {
    const { ms, curve, delayMs } = { ...motion, ...change };
    // While one is tried, a role that is unset looks as if it were set.
    const stored = bench.saved?.instruments.shape.motions.find((one) => one.path === motion.path) ?? motion;
    return roleEdit(bench, motion.path, stored.place, `${ms}ms cubic-bezier(${curve.join(', ')}) ${delayMs}ms`);
  }

  let there = $state(false);
</script>

<div class="flex flex-col gap-2">
  <p>{motion.purpose}</p>
  <button
    class="relative h-9 w-full overflow-hidden border border-line text-left hover:border-ink"
    style:background={ground}
    aria-label="Let it run"
    title="Click to let it run"
    onclick={() => (there = !there)}
  >
    <span
      class="runner absolute top-1 size-7"
      style:background={accent}
      style:left={there ? 'calc(100% - 2rem)' : '0.25rem'}
      style:transition="left {Math.max(motion.ms, 1)}ms {easing}
      {motion.delayMs}ms"
    ></span>
  </button>
  <Track
    label="Time"
    value={motion.ms}
    min={0}
    max={LONGEST}
    step={10}
    text={(v) => (v === 0 ? 'at once' : `${v} ms`)}
    onprobe={(ms) => bench.probe(edit({ ms }))}
    oncommit={(ms) => bench.commit(edit({ ms }))}
  />
  <CurveField
    points={motion.curve}
    onprobe={(curve) => bench.probe(edit({ curve: [...curve] }))}
    oncommit={(curve) => bench.commit(edit({ curve: [...curve] }))}
  />
  <p class="caption">Readers who ask for less motion get none.</p>
</div>

<style>
  @media (prefers-reduced-motion: reduce) {
    .runner {
      transition: none !important;
    }
  }
</style>
