<script lang="ts">
  import { seen } from '$lib/ui/seen';
  import { around, type Box } from './around';

  /** A page cut out around one of its elements, which is framed; drawn when it comes into sight. */
  let {
    src,
    title,
    at,
    box = 160,
    high = 96
  }: {
    src: string;
    title: string;
    /** Which element, as the served page numbers them. */ at: number;
    box?: number;
    high?: number;
  } = $props();

  const WINDOW = { width: 1280, height: 760 };
  let near = $state(false);
  let spot = $state.raw<Box | null>(null);
  const shown = $derived(around(spot ?? { x: 0, y: 0, ...WINDOW }, WINDOW, box / high));
  const scale = $derived(box / shown.width);

  let frame: HTMLIFrameElement | undefined = $state();

  function find() {
    const page = frame?.contentDocument;
    const element = page?.querySelector(`[data-nth="${at}"]`);
    // Brought into the middle by hand: what scrolls itself into view would scroll the list around the picture too.
    const place = element?.getBoundingClientRect();
    if (place) frame?.contentWindow?.scrollTo(0, place.y + place.height / 2 - WINDOW.height / 2);
    const found = element?.getBoundingClientRect();
    // What is not seen at rest is not framed: the page from its top on says where it is.
    spot = found?.width && found.height ? found : { x: 0, y: 0, ...WINDOW };
  }
</script>

<span
  class="relative block overflow-hidden border border-line bg-sunk"
  style:width="{box}px"
  style:height="{high}px"
  use:seen={() => (near = true)}
>
  {#if near}
    <iframe
      bind:this={frame}
      {src}
      {title}
      tabindex="-1"
      sandbox="allow-same-origin"
      scrolling="no"
      class="pointer-events-none absolute top-0 left-0 origin-top-left border-0"
      style:width="{WINDOW.width}px"
      style:height="{WINDOW.height}px"
      style:transform="scale({scale}) translate({-shown.x}px, {-shown.y}px)"
      style:visibility={spot ? 'visible' : 'hidden'}
      onload={find}
    ></iframe>
    {#if spot && spot.width < WINDOW.width}
      <span
        class="pointer-events-none absolute border-2 border-accent outline outline-ground"
        style:left="{(spot.x - shown.x) * scale - 3}px"
        style:top="{(spot.y - shown.y) * scale - 3}px"
        style:width="{spot.width * scale + 6}px"
        style:height="{spot.height * scale + 6}px"
      ></span>
    {/if}
  {/if}
</span>
