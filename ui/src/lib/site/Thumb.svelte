<script lang="ts">
  import { seen } from '$lib/ui/seen';

  /** A page as it is, small; drawn when it comes into sight. */
  let {
    src,
    title,
    width = 1280,
    height = 860,
    box = 240
  }: { src: string; title: string; width?: number; height?: number; box?: number } = $props();

  let near = $state(false);
  let loaded = $state(false);
  const scale = $derived(box / width);
</script>

<span
  class="relative block overflow-hidden border border-line bg-sunk"
  style:width="{box}px"
  style:height="{height * scale}px"
  use:seen={() => (near = true)}
>
  {#if near}
    <iframe
      {src}
      {title}
      tabindex="-1"
      sandbox="allow-same-origin"
      scrolling="no"
      class="pointer-events-none absolute top-0 left-0 origin-top-left border-0"
      style:width="{width}px"
      style:height="{height}px"
      style:transform="scale({scale})"
      style:visibility={loaded ? 'visible' : 'hidden'}
      onload={() => (loaded = true)}
    ></iframe>
  {/if}
</span>
