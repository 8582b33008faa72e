<script lang="ts">
  import { api, ask, type Schemas } from '$lib/api/client';
  import { counted } from '$lib/ui/words';

  /**
   * How the text of a site reads: every block of text as a point on the measure of its lines, a row for each window, and the
   * letters that its fonts have not. Read again whenever the site is another.
   */
  let { site, theme, revision }: { site: string; theme: number; revision: number } = $props();

  const W = 640;
  const FROM = 20;
  const TO = 110;
  const ROW = 26;
  const LEFT = 64;

  let reading = $state.raw<Schemas['SiteReading'] | null>(null);
  let open = $state(false);

  $effect(() => {
    void revision;
    void ask(() => api.GET('/api/sites/{site}/reading', { params: { path: { site } } })).then((all) => (reading = all));
  });

  const x = (characters: number) => LEFT + ((Math.min(TO, Math.max(FROM, characters)) - FROM) / (TO - FROM)) * (W - LEFT - 8);
  const widest = (block: Schemas['LinesOfBlock']) => Math.max(...block.characters);
  const long = $derived(
    (reading?.blocks ?? []).filter((block) => widest(block) > (reading?.most ?? 0)).sort((a, b) => widest(b) - widest(a))
  );
  const shown = $derived(open ? long : long.slice(0, 4));
  const height = $derived((reading?.windows.length ?? 0) * ROW);
</script>

{#if reading}
  {#if reading.blocks.length === 0}
    <p class="text-muted">No text here runs over several lines of a text column.</p>
  {:else}
    <svg
      viewBox="0 0 {W} {height + 16}"
      class="w-full max-w-3xl"
      role="img"
      aria-label={reading.windows
        .map((window, i) => {
          const over = reading?.blocks.filter((block) => (block.characters[i] ?? 0) > (reading?.most ?? 0)).length ?? 0;
          return `${window} px: ${reading?.blocks.length} blocks, ${over} with lines too long`;
        })
        .join('; ')}
    >
      <rect x={x(reading.fewest)} y="0" width={x(reading.aim) - x(reading.fewest)} {height} class="fill-good opacity-25" />
      <path d="M{x(reading.ideal)} 0 V{height}" class="stroke-good" />
      <path d="M{x(reading.most)} 0 V{height}" class="stroke-must" />
      {#each reading.windows as window, row (window)}
        <text x="0" y={row * ROW + ROW / 2 + 4} class="value fill-muted text-[11px]">{window} px</text>
        <path d="M{LEFT} {(row + 1) * ROW} H{W}" class="stroke-border" />
        {#each reading.blocks as block, i (i)}
          {@const characters = block.characters[row] ?? 0}
          <circle
            cx={x(characters)}
            cy={row * ROW + ROW / 2 + ((i % 5) - 2) * 3}
            r="3"
            class={characters > reading.most ? 'fill-must' : 'fill-ink opacity-50'}
            ><title>{block.title}: {characters.toFixed(0)} characters. “{block.words} …”</title></circle
          >
        {/each}
      {/each}
      <g class="value fill-muted text-[10px]" text-anchor="middle">
        {#each [reading.fewest, reading.ideal, reading.aim, reading.most] as number (number)}
          <text x={x(number)} y={height + 12}>{number}</text>
        {/each}
      </g>
    </svg>
    <p class="caption">
      Characters in a line of {counted(reading.blocks.length, 'block of text', 'blocks of text')}, as the fonts set them.
    </p>
    {#if long.length}
      <ul class="mt-2 max-w-3xl">
        {#each shown as block, i (i)}
          <li class="flex gap-3 border-b border-border py-1">
            <span class="value w-10 shrink-0 text-right text-must">{widest(block).toFixed(0)}</span>
            <span class="min-w-0 grow truncate">“{block.words} …”</span>
            <a
              class="shrink-0 text-link underline underline-offset-2"
              href="/bench/{theme}?site={site}&page={block.page}&role={block.style}">{block.title}</a
            >
          </li>
        {/each}
      </ul>
      {#if long.length > shown.length}<button class="mt-1 text-link underline underline-offset-2" onclick={() => (open = true)}
          >Show all {long.length}</button
        >{/if}
    {/if}
  {/if}
  {#each reading.lacking as one (one.family)}
    <p class="mt-2 border-l-2 border-should pl-3">
      {one.family} has no <span class="text-lg">{one.letters}</span>: another font shows {one.letters.length === 1 ? 'it' : 'them'} on {one.pages.join(
        ', '
      )}.
    </p>
  {/each}
{/if}
