<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import type { Schemas } from '$lib/api/client';
  import { lengthEdit, lengthText } from './length';
  import { Nudge } from '$lib/ui/nudge.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import TextValue from '$lib/ui/TextValue.svelte';

  let { bench }: { bench: Bench } = $props();

  const FROM = 320;
  const TO = 2560;
  const NAMES: Record<string, string> = {
    text: 'widest line of running text',
    content: 'tables, figures, headings',
    wide: 'header, footer, wide pictures',
    gutter: 'kept free at both sides'
  };

  const space = $derived(bench.shown?.space);
  const ruler = $derived(space?.ruler ?? []);
  let cursor = $state(1280);
  let plot = $state(0);

  /** Between two rows that the server computed, the bands run in straight lines. */
  const at = $derived.by(() => {
    const after = ruler.findIndex((row) => row.viewport >= cursor);
    const high = ruler[after];
    const low = ruler[after - 1] ?? high;
    if (!high || !low) return null;
    const share = high.viewport === low.viewport ? 0 : (cursor - low.viewport) / (high.viewport - low.viewport);
    const mix = (key: 'gutter' | 'text' | 'content' | 'wide') => low[key] + (high[key] - low[key]) * share;
    return { gutter: mix('gutter'), text: mix('text'), content: mix('content'), wide: mix('wide') };
  });

  const H = 190;
  const x = (viewport: number) => ((viewport - FROM) / (TO - FROM)) * plot;
  const y = (px: number) => (px / TO) * H;

  /** The page stands in the middle, so a band is drawn to both sides of the center line. */
  function band(width: (row: Schemas['Bands']) => number) {
    const upper = ruler.map((row) => `${x(row.viewport).toFixed(1)},${(H / 2 - y(width(row)) / 2).toFixed(1)}`);
    const lower = [...ruler].reverse().map((row) => `${x(row.viewport).toFixed(1)},${(H / 2 + y(width(row)) / 2).toFixed(1)}`);
    return [...upper, ...lower].join(' ');
  }

  const BANDS = [
    { name: 'page', of: (r: Schemas['Bands']) => r.viewport, look: 'fill-sunk stroke-line' },
    { name: 'inside the gutters', of: (r: Schemas['Bands']) => r.viewport - 2 * r.gutter, look: 'fill-raised stroke-line' },
    { name: 'wide', of: (r: Schemas['Bands']) => r.wide, look: 'fill-accent/15 stroke-accent/60' },
    { name: 'content', of: (r: Schemas['Bands']) => r.content, look: 'fill-accent/30 stroke-accent' },
    { name: 'text', of: (r: Schemas['Bands']) => r.text, look: 'fill-accent/60 stroke-accent' }
  ];

  const edit = (view: Schemas['LengthView'], text: string) => lengthEdit(bench, view, text);

  /** Where the lines are taken hold of: toward the wide end, one beside the other. */
  const PULLED = ['wide', 'content', 'text', 'gutter'] as const;
  const STEP = 8;
  /** The window at which the gutter is taken hold of, where it has reached its widest. */
  const GUTTER_AT = 1900;
  const keys = new Nudge<number>();
  let pulled = $state.raw<{ name: string; px: number } | null>(null);

  const handles = $derived(
    PULLED.flatMap((name, i) => {
      const view = space?.widths.find((one) => one.name === name);
      const row = ruler.at(-1);
      if (!view || !row) return [];
      const half = name === 'gutter' ? GUTTER_AT / 2 - row.gutter : row[name] / 2;
      return [{ name, view, x: name === 'gutter' ? x(GUTTER_AT) : plot - 24 - i * 44, y: H / 2 - y(half) }];
    })
  );

  function pull(event: PointerEvent, name: string, view: Schemas['LengthView']) {
    const svg = (event.currentTarget as SVGElement).ownerSVGElement;
    if (!svg || event.buttons === 0) return;
    const half = ((H / 2 - (event.clientY - svg.getBoundingClientRect().top)) / H) * TO;
    const px = name === 'gutter' ? GUTTER_AT / 2 - half : 2 * half;
    const to = Math.round(Math.min(name === 'gutter' ? 320 : 2400, Math.max(0, px)) / STEP) * STEP;
    if (pulled?.px === to) return;
    pulled = { name, px: to };
    void bench.probe(edit(view, lengthText(view, to)));
  }

  async function letGo(view: Schemas['LengthView']) {
    const done = pulled;
    if (done) await bench.commit(edit(view, lengthText(view, done.px)));
    pulled = null;
  }

  function step(event: KeyboardEvent, name: string, view: Schemas['LengthView']) {
    const by = (event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0) * (name === 'gutter' ? -1 : 1) * STEP;
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    keys.press(
      view.widePx,
      (now) => Math.max(0, now + by),
      (to) => bench.commit(edit(view, lengthText(view, to))),
      (to) => bench.probe(edit(view, lengthText(view, to))),
      name
    );
  }

  function point(event: PointerEvent & { currentTarget: SVGSVGElement }) {
    const share = (event.clientX - event.currentTarget.getBoundingClientRect().left) / plot;
    cursor = Math.round(Math.min(TO, Math.max(FROM, FROM + share * (TO - FROM))));
  }
</script>

<div class="flex h-full min-h-0 min-w-max">
  <Compartment label="Widths" frame="w-[25rem] shrink-0" inside="p-3">
    {#each space?.widths ?? [] as view (view.path)}
      <div class="border-t border-border py-2 first:border-0 {bench.pick?.path === view.path ? 'bg-chosen' : ''}">
        <div class="flex items-center gap-3">
          <button
            class="w-16 text-left font-semibold hover:underline"
            onclick={() => bench.open({ path: view.path, contexts: bench.working, roles: [{ kind: 'width', path: view.path }] })}
            >{view.name}</button
          >
          {#if view.narrowPx === view.widePx}
            <NumberField
              label="{view.name} in px"
              short="↔"
              value={view.widePx}
              unit="px"
              min={0}
              max={2400}
              step={4}
              places={1}
              onprobe={(v) => bench.probe(edit(view, lengthText(view, v)))}
              oncommit={(v) => bench.commit(edit(view, lengthText(view, v)))}
            />
          {/if}
          <TextValue
            label="{view.name} as written"
            hideLabel
            width={view.narrowPx === view.widePx ? 'w-28' : 'w-60'}
            value={view.written}
            oncommit={(text) => bench.take(edit(view, text))}
          />
        </div>
        <p class="caption mt-0.5">{NAMES[view.name] ?? ''}</p>
      </div>
    {/each}
  </Compartment>

  <Compartment label="Page ruler" frame="min-w-[26rem] grow border-l border-border" inside="flex flex-col p-3">
    {#if ruler.length > 0}
      <p class="value mb-1 flex flex-wrap gap-x-5" aria-live="polite">
        <span>viewport {cursor}</span>
        {#if at}<span>gutter {at.gutter.toFixed(1)}</span><span>text {at.text.toFixed(0)}</span><span>content {at.content.toFixed(0)}</span
          ><span>wide {at.wide.toFixed(0)} px</span>{/if}
      </p>
      <div class="min-w-0" bind:clientWidth={plot}>
        {#if plot > 0}
          <svg
            width={plot}
            height={H + 18}
            viewBox="0 0 {plot} {H + 18}"
            role="group"
            aria-label="The page in every window"
            class="cursor-crosshair touch-none"
            onpointermove={point}
          >
            {#each BANDS as b (b.name)}<polygon points={band(b.of)} class={b.look} />{/each}
            <path
              d="M{x(cursor)} 0 V{H}"
              class="stroke-ink"
              stroke-width="1.5"
              role="slider"
              tabindex="0"
              aria-label="Viewport read by the cursor"
              aria-valuemin={FROM}
              aria-valuemax={TO}
              aria-valuenow={cursor}
              onkeydown={(e) => {
                const by = e.key === 'ArrowRight' ? 10 : e.key === 'ArrowLeft' ? -10 : 0;
                cursor = Math.min(TO, Math.max(FROM, cursor + by));
              }}
            />
            {#each handles as one (one.name)}
              <g
                class="cursor-ns-resize"
                role="slider"
                tabindex="0"
                aria-label="Line of {one.name}"
                aria-orientation="vertical"
                aria-valuemin="0"
                aria-valuemax={TO}
                aria-valuenow={one.view.widePx}
                aria-valuetext="{one.view.widePx} px"
                onpointerdown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
                onpointermove={(event) => pull(event, one.name, one.view)}
                onpointerup={() => void letGo(one.view)}
                onpointercancel={() => ((pulled = null), bench.revert())}
                onkeydown={(event) => step(event, one.name, one.view)}
              >
                <rect x={one.x - 7} y={one.y - 4} width="14" height="8" class="fill-raised stroke-ink" stroke-width="1.25" />
                <text x={one.x} y={one.y - 7} text-anchor="middle" class="fill-ink text-[9px]">{one.name}</text>
              </g>
            {/each}
            {#each [320, 640, 960, 1280, 1600, 1920, 2240, 2560] as tick (tick)}
              <text
                x={x(tick)}
                y={H + 13}
                text-anchor={tick === FROM ? 'start' : tick === TO ? 'end' : 'middle'}
                class="value fill-muted text-[10px]">{tick}</text
              >
            {/each}
          </svg>
        {/if}
      </div>
      <ul class="caption mt-1 flex gap-4">
        {#each BANDS as b (b.name)}<li class="flex items-center gap-1">
            <svg width="12" height="10" aria-hidden="true"><rect width="12" height="10" class={b.look} /></svg>{b.name}
          </li>{/each}
      </ul>
    {:else}
      <p class="p-3 text-muted">The ruler needs the tokens width.text, width.content, width.wide and width.gutter.</p>
    {/if}
  </Compartment>
</div>
