<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import Track from '$lib/ui/Track.svelte';
  import CarriedBy from './CarriedBy.svelte';
  import ColorField from './field/ColorField.svelte';
  import { offered } from './offered';
  import { reshaped } from './ramp';

  /** A hue's seed, by text and in OKLCH, what it can be text on, and the other hue that its shades may lean toward. */
  let { bench, hue }: { bench: Bench; hue: Schemas['HueView'] } = $props();

  const seed = $derived(hue.seed);
  const others = $derived(
    (bench.shown?.color.hues ?? []).filter((h) => h.path !== hue.path && h.place === hue.place && h.tintFrom !== hue.path)
  );

  const edit = (text: string) => ({ op: 'value' as const, place: hue.place, path: seed.path, text });
  const oklch = (l: number, c: number, h: number) => `oklch(${l} ${c} ${h})`;

  const lightness = $derived(
    `linear-gradient(to right in oklab, ${[0, 0.25, 0.5, 0.75, 1].map((l) => oklch(l, seed.chroma, seed.hue)).join(', ')})`
  );
  const chroma = $derived(
    `linear-gradient(to right in oklab, ${oklch(seed.lightness, 0, seed.hue)}, ${oklch(seed.lightness, 0.33, seed.hue)})`
  );
  const hues = $derived(
    `linear-gradient(to right, ${Array.from({ length: 13 }, (_, i) => oklch(seed.lightness, Math.max(seed.chroma, 0.05), i * 30)).join(', ')})`
  );

  const tint = (tintFrom: string, tintChroma: number) => reshaped(hue, { tintFrom, tintChroma });
  /** A hint that reads as neutral. */
  const HINT = 0.012;

  const take = (text: string) => bench.take(edit(text));
</script>

<Compartment label="Seed of {hue.name}" frame="w-[17.5rem] shrink-0 border-l border-border" inside="flex flex-col gap-2 p-3">
  <ColorField
    label="Seed of {hue.name}"
    value={seed.written}
    hex={seed.hex}
    swatch="size-11"
    width="w-44"
    offered={offered(bench)}
    onprobe={(text) => bench.probe(edit(text))}
    onrevert={() => bench.revert()}
    oncommit={take}
  />
  {#if !seed.inSrgb}
    <div>
      <div class="grid h-7 grid-cols-2 border border-line" aria-hidden="true">
        <span style:background={seed.written}></span><span style:background={seed.hex}></span>
      </div>
      <p class="caption flex justify-between">
        <span>kept, for wide screens</span><span>elsewhere <span class="value">{seed.hex}</span></span>
      </p>
    </div>
  {/if}
  <Track
    label="Lightness"
    value={seed.lightness}
    min={0}
    max={1}
    step={0.005}
    track={lightness}
    text={(v) => v.toFixed(2)}
    onprobe={(v) => bench.probe(edit(oklch(v, seed.chroma, seed.hue)))}
    oncommit={(v) => bench.commit(edit(oklch(v, seed.chroma, seed.hue)))}
  />
  <Track
    label="Chroma"
    value={seed.chroma}
    min={0}
    max={0.33}
    step={0.002}
    track={chroma}
    text={(v) => v.toFixed(3)}
    onprobe={(v) => bench.probe(edit(oklch(seed.lightness, v, seed.hue)))}
    oncommit={(v) => bench.commit(edit(oklch(seed.lightness, v, seed.hue)))}
  />
  <Track
    label="Hue"
    value={seed.hue}
    min={0}
    max={360}
    step={1}
    track={hues}
    text={(v) => `${Math.round(v)}°`}
    onprobe={(v) => bench.probe(edit(oklch(seed.lightness, seed.chroma, v)))}
    oncommit={(v) => bench.commit(edit(oklch(seed.lightness, seed.chroma, v)))}
  />
  <div>
    <p class="caption mb-0.5">Depth {seed.depth}; as text on the surfaces, {bench.schemes.join(' and ')}</p>
    <CarriedBy {bench} hex={seed.hex} depth={seed.depth} />
  </div>
  {#if others.length}
    <label class="flex items-center gap-2"
      ><span class="w-23 shrink-0 text-muted">Shades lean</span>
      <select
        class="field min-w-0 grow"
        value={hue.tintFrom}
        onchange={(e) => bench.commit(tint(e.currentTarget.value, hue.tintFrom ? hue.tintChroma : HINT))}
      >
        <option value="">to their own seed</option>
        {#each others as other (other.path)}<option value={other.path}>toward {other.name}</option>{/each}
      </select></label
    >
    {#if hue.tintFrom}
      <Track
        label="Tint"
        value={hue.tintChroma}
        min={0}
        max={0.06}
        step={0.001}
        text={(v) => v.toFixed(3)}
        onprobe={(v) => bench.probe(tint(hue.tintFrom, v))}
        oncommit={(v) => bench.commit(tint(hue.tintFrom, v))}
      />
    {/if}
  {/if}
</Compartment>
