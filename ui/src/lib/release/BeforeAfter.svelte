<script lang="ts">
  import { changedRegions, type Region } from './compared';

  /** A page in two states: beside each other, in each other's place, or the later one with what changed outlined. */
  let { before, after, title, names }: { before: string; after: string; title: string; names: [string, string] } = $props();

  const WAYS = [
    { id: 'beside', words: 'Beside each other' },
    { id: 'blink', words: 'In turn' },
    { id: 'outline', words: 'Outlined' }
  ];
  const PAGE = 1280;
  const BLINK_MS = 900;
  let way = $state('beside');
  let room = $state(900);
  let shownAfter = $state(true);
  let old = $state<HTMLIFrameElement>();
  let fresh = $state<HTMLIFrameElement>();
  let loaded = $state(0);
  let height = $state(1600);
  let regions = $state.raw<Region[]>([]);

  const beside = $derived(way === 'beside');
  const scale = $derived((beside ? (room - 12) / 2 : room) / PAGE);

  $effect(() => {
    void before;
    void after;
    loaded = 0;
    regions = [];
  });
  $effect(() => {
    if (way !== 'blink') {
      shownAfter = true;
      return;
    }
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    if (still) return;
    const timer = setInterval(() => (shownAfter = !shownAfter), BLINK_MS);
    return () => clearInterval(timer);
  });

  function onload() {
    loaded++;
    const one = old?.contentDocument;
    const other = fresh?.contentDocument;
    if (!one?.body || !other?.body || loaded < 2) return;
    height = Math.max(one.documentElement.scrollHeight, other.documentElement.scrollHeight, 400);
    regions = changedRegions(one, other);
  }
</script>

<div class="mb-2 flex items-center gap-2">
  <div class="flex gap-1" role="group" aria-label="How both are shown">
    {#each WAYS as one (one.id)}
      <button
        class="rounded-sm px-2 py-0.5 {way === one.id ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
        aria-pressed={way === one.id}
        onclick={() => (way = one.id)}>{one.words}</button
      >
    {/each}
  </div>
  {#if way === 'blink'}
    <button class="button button-quiet" onclick={() => (shownAfter = !shownAfter)}>{shownAfter ? names[1] : names[0]}</button>
  {/if}
  <span class="ml-auto text-xs text-muted" aria-live="polite"
    >{loaded < 2 ? '' : regions.length ? `${regions.length} places look otherwise` : 'Nothing looks otherwise here'}</span
  >
</div>
<!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
<div
  class="max-h-[34rem] overflow-auto border border-line bg-sunk"
  role="region"
  tabindex="0"
  aria-label="{title}, before and after"
  bind:clientWidth={room}
>
  <div class="relative" style:height="{height * scale}px">
    <iframe
      bind:this={old}
      src={before}
      title="{title}, {names[0]}"
      sandbox="allow-same-origin"
      tabindex="-1"
      scrolling="no"
      class="pointer-events-none absolute top-0 left-0 origin-top-left border-0"
      style:width="{PAGE}px"
      style:height="{height}px"
      style:transform="scale({scale})"
      style:visibility={beside || !shownAfter ? 'visible' : 'hidden'}
      {onload}
    ></iframe>
    <div
      class="absolute top-0 origin-top-left"
      style:left={beside ? `${(room - 12) / 2 + 12}px` : '0'}
      style:width="{PAGE}px"
      style:height="{height}px"
      style:transform="scale({scale})"
      style:visibility={shownAfter ? 'visible' : 'hidden'}
    >
      <iframe
        bind:this={fresh}
        src={after}
        title="{title}, {names[1]}"
        sandbox="allow-same-origin"
        tabindex="-1"
        scrolling="no"
        class="pointer-events-none border-0"
        style:width="{PAGE}px"
        style:height="{height}px"
        {onload}
      ></iframe>
      {#if way === 'outline'}
        {#each regions as region, i (i)}
          <span
            class="absolute border-[3px] border-must"
            data-testid="changed-region"
            style:left="{region.x - 4}px"
            style:top="{region.y - 4}px"
            style:width="{region.width + 8}px"
            style:height="{region.height + 8}px"
          ></span>
        {/each}
      {/if}
    </div>
  </div>
</div>
