<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import TextValue from '$lib/ui/TextValue.svelte';
  import Track from '$lib/ui/Track.svelte';

  /** A hue's seed, by text and in OKLCH, and how its ramp leaves it toward both ends. */
  let { bench, hue }: { bench: Bench; hue: Schemas['HueView'] } = $props();

  const seed = $derived(hue.seed);
  let shaping = $state(false);

  const edit = (text: string) => ({ op: 'value', place: hue.place, path: seed.path, text });
  const oklch = (l: number, c: number, h: number) => `oklch(${l} ${c} ${h})`;

  const lightness = $derived(`linear-gradient(to right in oklab, ${[0, 0.25, 0.5, 0.75, 1].map((l) => oklch(l, seed.chroma, seed.hue)).join(', ')})`);
  const chroma = $derived(`linear-gradient(to right in oklab, ${oklch(seed.lightness, 0, seed.hue)}, ${oklch(seed.lightness, 0.33, seed.hue)})`);
  const hues = $derived(`linear-gradient(to right, ${Array.from({ length: 13 }, (_, i) => oklch(seed.lightness, Math.max(seed.chroma, 0.05), i * 30)).join(', ')})`);

  const shape = $derived({ hueLight: hue.hueLight, hueDark: hue.hueDark, chromaLight: hue.chromaLight, chromaDark: hue.chromaDark });
  const ramp = (change: Partial<typeof shape>) => ({
    op: 'ramp',
    place: hue.place,
    path: hue.path,
    ramp: { stops: hue.stops, ...shape, ...change }
  });
  const degrees = (v: number) => `${v > 0 ? '+' : ''}${Math.round(v)}°`;
  const percent = (v: number) => `${Math.round(v * 100)} %`;

  async function take(text: string) {
    return (await bench.commit(edit(text))) ? '' : bench.refused;
  }
</script>

<section class="flex w-[17.5rem] shrink-0 flex-col gap-2 overflow-y-auto border-l border-border p-3" aria-label="Seed of {hue.name}">
  <div class="flex items-end gap-2">
    <span class="checker size-11 shrink-0 border border-line"><span class="block size-full" style:background={seed.hex}></span></span>
    <TextValue label="Seed of {hue.name}" value={seed.written} width="w-40" oncommit={take} />
  </div>
  <p class="caption">
    Depth {seed.depth}.
    {seed.depth >= 60 ? 'Can be text on white.' : seed.depth >= 45 ? 'Can be a shape or large text on white.' : 'Too light to stand on white.'}
    {#if !seed.inSrgb}Outside sRGB; shown as {seed.hex}.{/if}
  </p>
  <Track label="Lightness" value={seed.lightness} min={0} max={1} step={0.005} track={lightness} text={seed.lightness.toFixed(2)}
    onprobe={(v) => bench.probe(edit(oklch(v, seed.chroma, seed.hue)))} oncommit={(v) => bench.commit(edit(oklch(v, seed.chroma, seed.hue)))} />
  <Track label="Chroma" value={seed.chroma} min={0} max={0.33} step={0.002} track={chroma} text={seed.chroma.toFixed(3)}
    onprobe={(v) => bench.probe(edit(oklch(seed.lightness, v, seed.hue)))} oncommit={(v) => bench.commit(edit(oklch(seed.lightness, v, seed.hue)))} />
  <Track label="Hue" value={seed.hue} min={0} max={360} step={1} track={hues} text="{Math.round(seed.hue)}°"
    onprobe={(v) => bench.probe(edit(oklch(seed.lightness, seed.chroma, v)))} oncommit={(v) => bench.commit(edit(oklch(seed.lightness, seed.chroma, v)))} />
  <button class="button self-start" aria-expanded={shaping} onclick={() => (shaping = !shaping)}>Shape of the ramp</button>
  {#if shaping}
    <Track label="Hue, light end" value={hue.hueLight} min={-90} max={90} step={1} text={degrees(hue.hueLight)}
      onprobe={(v) => bench.probe(ramp({ hueLight: v }))} oncommit={(v) => bench.commit(ramp({ hueLight: v }))} />
    <Track label="Hue, dark end" value={hue.hueDark} min={-90} max={90} step={1} text={degrees(hue.hueDark)}
      onprobe={(v) => bench.probe(ramp({ hueDark: v }))} oncommit={(v) => bench.commit(ramp({ hueDark: v }))} />
    <Track label="Chroma, light" value={hue.chromaLight} min={0} max={1.5} step={0.05} text={percent(hue.chromaLight)}
      onprobe={(v) => bench.probe(ramp({ chromaLight: v }))} oncommit={(v) => bench.commit(ramp({ chromaLight: v }))} />
    <Track label="Chroma, dark" value={hue.chromaDark} min={0} max={1.5} step={0.05} text={percent(hue.chromaDark)}
      onprobe={(v) => bench.probe(ramp({ chromaDark: v }))} oncommit={(v) => bench.commit(ramp({ chromaDark: v }))} />
  {/if}
</section>
