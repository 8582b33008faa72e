<script lang="ts">
  import type { BayState } from '$lib/site/bays.svelte';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { addressOf, boxOf, follow } from './drawn';

  /** A region with what is around it, small and live, at one value of a choice. */
  let {
    bench,
    bay,
    region,
    choice,
    width,
    label
  }: { bench: Bench; bay: BayState; region: string; choice: string; /** Of the window, px. */ width: number; label: string } = $props();

  /** What is seen above a region, px of the page. */
  const ABOVE = 40;
  const TALL = 1100;

  let frame: HTMLIFrameElement | undefined = $state();
  let room = $state(0);
  let top = $state(0);
  let letGo: (() => void) | undefined;
  const scale = $derived(room / width);

  function onload() {
    letGo?.();
    const doc = frame?.contentDocument;
    if (!doc?.body) return;
    letGo = follow(doc, bench, bay, choice).letGo;
    const box = boxOf(doc, region);
    top = box ? Math.max(0, box.y + box.height > TALL ? TALL / 2 : box.y - ABOVE) : 0;
  }
  $effect(() => () => letGo?.());
</script>

<span class="relative block h-full w-full overflow-hidden" bind:clientWidth={room}>
  <iframe
    bind:this={frame}
    src={addressOf(bench, bay, choice)}
    title={label}
    tabindex="-1"
    sandbox="allow-same-origin"
    class="pointer-events-none absolute top-0 left-0 origin-top-left border-0"
    style:width="{width}px"
    style:height="{TALL}px"
    style:transform="scale({scale}) translateY({-top}px)"
    {onload}
  ></iframe>
</span>
