<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { DRAFT, type Releases } from './releases.svelte';

  let { releases }: { releases: Releases } = $props();

  const HEIGHT = 84;
  /** Where the first cloth begins, so that its first seam has room for its number. */
  const LEFT = 28;
  const LOOSE = 190;
  const LEAST = 92;
  /** Names of sites under a seam; a house with a thousand still fits. */
  const MOST_NAMES = 4;
  let width = $state(1200);

  const line = $derived(releases.line);
  const all = $derived(releases.all);
  const piece = $derived(Math.min(320, Math.max(LEAST, (width - LEFT - LOOSE) / Math.max(1, line.length))));
  const whole = $derived(Math.max(width, LEFT + piece * line.length + LOOSE));
  const draftAt = $derived(LEFT + piece * line.length);

  function hanging(number: string): Schemas['StandingView'][] {
    return all?.sites.filter((site) => site.release === number) ?? [];
  }
  const loose = $derived(hanging(''));
  const day = (at: string) => new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' });
  const threads = (weave: Schemas['Weave']) => weave.warp.map((color, i) => ({ color, width: [10, 4, 7, 3, 5, 3][i % 6] ?? 4 }));
  const id = $props.id();

  function key(event: KeyboardEvent) {
    const names = [...line.map((one) => one.number), DRAFT];
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (!step) return;
    event.preventDefault();
    const next = names[Math.min(names.length - 1, Math.max(0, names.indexOf(releases.chosen) + step))];
    if (!next) return;
    void releases.choose(next);
    document.getElementById(`${id}-${next}`)?.focus();
  }
</script>

{#snippet cloth(weave: Schemas['Weave'], at: number, long: number, woven: boolean, name: string)}
  <defs>
    <pattern id="{id}-{name}-p" width="44" height="44" patternUnits="userSpaceOnUse" x={at}>
      <rect width="44" height="44" fill={weave.weft[0] ?? 'currentColor'} />
      {#each threads(weave) as thread, i (i)}
        <rect x={2 + i * 7} width={thread.width} height="44" fill={thread.color} />
      {/each}
      {#each weave.weft.slice(1) as color, i (i)}
        <rect y={4 + i * 9} width="44" height={i % 2 ? 2 : 4} fill={color} opacity="0.75" />
      {/each}
    </pattern>
  </defs>
  {#if woven}
    <rect x={at} y="0" width={long} height={HEIGHT} fill="url(#{id}-{name}-p)" />
  {:else}
    <!-- What is not released yet is warp without weft. -->
    {#each Array.from({ length: 14 }, (_, i) => i) as i (i)}
      {@const thread = threads(weave)[i % Math.max(1, weave.warp.length)]}
      <line
        x1={at}
        x2={at + long - 40 - (i % 4) * 26}
        y1={3 + i * 6}
        y2={3 + i * 6 + (i % 3) - 1}
        stroke={thread?.color ?? 'currentColor'}
        stroke-width={i % 3 === 0 ? 2.5 : 1.5}
      />
    {/each}
  {/if}
{/snippet}

<div class="overflow-x-auto" bind:clientWidth={width}>
  <div class="relative" style:width="{whole}px" role="toolbar" aria-label="Releases, the oldest first" tabindex="-1" onkeydown={key}>
    <svg width={whole} height={HEIGHT} aria-hidden="true" class="block text-line">
      {#if all}
        {#each line as one, i (one.id)}
          {@render cloth(one.weave, LEFT + i * piece, piece, true, one.number)}
        {/each}
        {@render cloth(all.weave, draftAt, LOOSE, false, DRAFT)}
        {#each line as one, i (one.id)}
          <!-- A seam: two stitches beside each other, dashed for one that is for trying. -->
          <line x1={LEFT + (i + 1) * piece} x2={LEFT + (i + 1) * piece} y1="0" y2={HEIGHT} class="stroke-ground" stroke-width="5" />
          <line
            x1={LEFT + (i + 1) * piece}
            x2={LEFT + (i + 1) * piece}
            y1="0"
            y2={HEIGHT}
            class="stroke-ink"
            stroke-width="1.5"
            stroke-dasharray={one.trial ? '3 7' : '9 4'}
          />
        {/each}
      {/if}
    </svg>
    <div class="flex" style:padding-left="{LEFT}px">
      {#each line as one (one.id)}
        {@const chosen = releases.chosen === one.number}
        <div class="shrink-0 pr-3 text-right" style:width="{piece}px">
          <button
            id="{id}-{one.number}"
            class="-mr-3 rounded-b-sm px-2 py-0.5 {chosen ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
            aria-pressed={chosen}
            tabindex={chosen ? 0 : -1}
            onclick={() => void releases.choose(one.number)}
          >
            <span class="value">{one.number}</span>
            <span class="block text-xs text-muted">{day(one.at)}</span>
          </button>
          <ul class="mt-1" aria-label="Sites on {one.number}">
            {#each hanging(one.number).slice(0, MOST_NAMES) as site (site.slug)}
              <li class="-mr-3 border-r-2 border-ink pr-2 text-xs leading-6">
                <a class="hover:underline" href="/sites/{site.slug}">{site.name}</a>
              </li>
            {/each}
            {#if hanging(one.number).length > MOST_NAMES}
              <li class="-mr-3 border-r-2 border-ink pr-2 text-xs text-muted">and {hanging(one.number).length - MOST_NAMES} more</li>
            {/if}
          </ul>
        </div>
      {/each}
      <div class="shrink-0 pl-5" style:width="{LOOSE}px">
        <button
          id="{id}-{DRAFT}"
          class="rounded-b-sm px-2 py-0.5 text-left {releases.chosen === DRAFT ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
          aria-pressed={releases.chosen === DRAFT}
          tabindex={releases.chosen === DRAFT ? 0 : -1}
          onclick={() => void releases.choose(DRAFT)}
        >
          Draft
          <span class="block text-xs font-normal text-muted">{all?.next.any ? 'not released' : 'as released'}</span>
        </button>
        {#if loose.length}
          <p class="mt-1 px-2 text-xs text-muted">
            {line.length ? 'On no release: ' : ''}{loose
              .slice(0, 8)
              .map((site) => site.name)
              .join(', ')}{loose.length > 8 ? ` and ${loose.length - 8} more` : ''}
          </p>
        {/if}
      </div>
    </div>
  </div>
</div>
