<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';

  /** How many characters a line of a style holds in each bay, against what is easy to read. */
  let { bench, style }: { bench: Bench; style: Schemas['StyleView'] } = $props();

  const bays = $derived(bench.bays.map((bay) => bay.width));
  const column = $derived(bench.shown?.space.widths.find((one) => one.path === 'width.text'));

  const measure = $derived(style.measure);

  const W = 320;
  const FROM = 20;
  const TO = 110;
  const x = (characters: number) => ((Math.min(TO, Math.max(FROM, characters)) - FROM) / (TO - FROM)) * W;

  /** At a viewport between two that were told: on the straight line between them. */
  function at(viewport: number): number {
    const lines = style.measure.lines;
    const after = lines.findIndex((one) => one.viewport >= viewport);
    if (after <= 0) return lines.at(after)?.characters ?? 0;
    const [a, b] = [lines[after - 1]!, lines[after]!];
    return a.characters + ((viewport - a.viewport) / (b.viewport - a.viewport)) * (b.characters - a.characters);
  }

  const say = (characters: number) => ({
    op: 'measured' as const,
    place: column?.place || bench.target,
    path: 'width.text',
    characters
  });

  const marks = $derived([...new Set(bays)].map((bay) => ({ bay, characters: at(bay) })).sort((a, b) => a.characters - b.characters));
  const words = (characters: number) =>
    characters > measure.most ? 'too long' : characters > measure.aim ? 'long' : characters < measure.fewest ? 'short' : 'good';
</script>

<figure class="mt-1">
  <figcaption class="caption flex items-center justify-between gap-2">
    <span class="whitespace-nowrap" title="Of running English">Characters in a line</span>
    {#if column}
      <span
        class="flex items-center gap-1 whitespace-nowrap"
        title={column.characters
          ? 'The text column is said in characters: it follows when family, size or spacing of running text change.'
          : 'Say the text column in characters, and it follows the text from then on.'}
      >
        {column.characters ? 'column follows' : 'column'}
        <NumberField
          label="Characters of the text column"
          short="↔"
          size="w-16"
          value={column.characters || measure.ideal}
          min={20}
          max={200}
          step={1}
          places={0}
          onprobe={(v) => bench.probe(say(v))}
          oncommit={(v) => bench.commit(say(v))}
        />
        {#if !column.characters}<button class="underline hover:text-text" onclick={() => bench.commit(say(measure.ideal))}>Set</button>{/if}
      </span>
    {/if}
  </figcaption>
  <svg
    viewBox="0 -2 {W} 62"
    class="w-full"
    role="img"
    aria-label={marks.map((m) => `${m.bay} px: ${m.characters.toFixed(0)} characters, ${words(m.characters)}`).join('; ')}
  >
    <rect x="0" y="22" width={W} height="10" class="fill-chosen" />
    <rect x={x(measure.fewest)} y="22" width={x(measure.aim) - x(measure.fewest)} height="10" class="fill-good opacity-40" />
    <path d="M{x(measure.most)} 18 V36" class="stroke-must" stroke-width="1.5" />
    <path d="M{x(measure.ideal)} 20 V34" class="stroke-good" stroke-width="1.5" />
    <g class="value fill-muted text-[10px]" text-anchor="middle">
      {#each [measure.fewest, measure.ideal, measure.most] as number (number)}<text x={x(number)} y="46">{number}</text>{/each}
    </g>
    {#each marks as { bay, characters }, i (bay)}
      <path d="M{x(characters)} 21 l-4 -7 h8 z" class={characters > measure.most ? 'fill-must' : 'fill-text'} />
      <text
        x={x(characters)}
        y={i % 2 ? 58 : 10}
        class="value fill-text text-[10px]"
        text-anchor={x(characters) < 40 ? 'start' : x(characters) > W - 40 ? 'end' : 'middle'}>{characters.toFixed(0)} at {bay}</text
      >
    {/each}
  </svg>
</figure>
