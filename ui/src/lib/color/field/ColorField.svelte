<script lang="ts">
  import { Popover } from 'bits-ui';
  import Copy from '@lucide/svelte/icons/copy';
  import Pipette from '@lucide/svelte/icons/pipette';
  import { api, ask, type Schemas } from '$lib/api/client';
  import TextValue from '$lib/ui/TextValue.svelte';
  import Track from '$lib/ui/Track.svelte';
  import OklchPlane from './OklchPlane.svelte';
  import { recent } from './recent.svelte';

  type Offered = { path: string; hex: string };
  type Dropper = { open: () => Promise<{ sRGBHex: string }> };

  /**
   * A color wherever one is asked for: written in any CSS form, picked in OKLCH, taken from the screen, from what was
   * chosen lately or from the theme; and copied in every form.
   */
  let {
    label,
    value,
    hex,
    width = 'w-40',
    hideLabel = false,
    offered = [],
    references = false,
    swatch = 'size-7',
    onprobe,
    onrevert,
    oncommit
  }: {
    label: string;
    /** As it is written, which may be a reference. */
    value: string;
    /** What it comes to. */
    hex: string;
    width?: string;
    hideLabel?: boolean;
    /** Colors of the theme. */
    offered?: Offered[];
    /** Whether a color of the theme is taken as a reference to its token. */
    references?: boolean;
    swatch?: string;
    onprobe?: (text: string) => unknown;
    /** After something was tried that is not taken. */
    onrevert?: () => void;
    /** Resolves to what is wrong with it; empty when it was taken. */
    oncommit: (text: string) => Promise<string>;
  } = $props();

  let open = $state(false);
  let forms = $state.raw<Schemas['Forms'] | null>(null);
  let refused = $state('');
  let copied = $state('');
  let asked = 0;

  const Dropper = (globalThis as { EyeDropper?: new () => Dropper }).EyeDropper;
  const hue = $derived(forms?.hue ?? 0);
  const alpha = $derived(forms?.alpha ?? 1);
  const write = (l: number, c: number, h: number, a = alpha) =>
    `oklch(${+l.toFixed(4)} ${+c.toFixed(4)} ${+h.toFixed(2)}${a < 1 ? ` / ${+a.toFixed(3)}` : ''})`;
  const edge = $derived(forms?.edges[Math.round((forms?.lightness ?? 0) * ((forms?.edges.length ?? 1) - 1))]);

  async function look(text: string) {
    const turn = ++asked;
    const found = await ask(() => api.GET('/api/color', { params: { query: { text, hue } } })).catch(() => null);
    if (turn === asked && found) forms = found;
  }

  function opened(now: boolean) {
    refused = copied = '';
    if (now) void look(value.startsWith('#') || (value.includes('(') && !value.includes('{')) ? value : hex);
    else onrevert?.();
  }

  function probe(text: string) {
    void look(text);
    return onprobe?.(text);
  }

  async function take(text: string) {
    refused = await oncommit(text);
    if (refused !== '') return refused;
    recent.add(text);
    if (!text.startsWith('{')) void look(text);
    return '';
  }

  async function drop() {
    if (!Dropper) return;
    const picked = await new Dropper().open().catch(() => null);
    if (picked) void take(picked.sRGBHex);
  }

  async function copy(form: Schemas['Form']) {
    await navigator.clipboard?.writeText(form.text).catch(() => undefined);
    copied = form.name;
  }

  const gradient = (steps: string[], space = 'oklab') => `linear-gradient(to right in ${space}, ${steps.join(', ')})`;
  const lightnessTrack = $derived(gradient([0, 0.25, 0.5, 0.75, 1].map((l) => write(l, forms?.chroma ?? 0, hue, 1))));
  const chromaTrack = $derived(gradient([write(forms?.lightness ?? 0, 0, hue, 1), write(forms?.lightness ?? 0, 0.4, hue, 1)]));
  const hueTrack = $derived(
    `linear-gradient(to right, ${Array.from({ length: 13 }, (_, i) => write(forms?.lightness ?? 0.6, Math.max(forms?.chroma ?? 0, 0.06), i * 30, 1)).join(', ')})`
  );
</script>

<div class="flex items-end gap-2">
  <Popover.Root bind:open onOpenChange={opened}>
    <Popover.Trigger aria-label="Pick {label}" class="checker {swatch} shrink-0 border border-line hover:border-ink"
      ><span class="block size-full" style:background={hex}></span></Popover.Trigger
    >
    <Popover.Portal>
      <Popover.Content
        role="dialog"
        aria-label={label}
        class="z-50 flex gap-4 rounded-[3px] border border-line bg-raised p-4"
        sideOffset={6}
        collisionPadding={8}
      >
        {#if forms}
          <div class="flex w-[16rem] flex-col gap-2">
            <OklchPlane
              {hue}
              lightness={forms.lightness}
              chroma={forms.chroma}
              edges={forms.edges}
              onprobe={(l, c) => probe(write(l, c, hue))}
              oncommit={(l, c) => take(write(l, c, hue))}
            />
            <Track
              label="Lightness"
              value={forms.lightness}
              min={0}
              max={1}
              step={0.005}
              track={lightnessTrack}
              text={(v) => v.toFixed(2)}
              onprobe={(v) => probe(write(v, forms!.chroma, hue))}
              oncommit={(v) => take(write(v, forms!.chroma, hue))}
            />
            <Track
              label="Chroma"
              value={forms.chroma}
              min={0}
              max={0.4}
              step={0.002}
              track={chromaTrack}
              text={(v) => v.toFixed(3)}
              onprobe={(v) => probe(write(forms!.lightness, v, hue))}
              oncommit={(v) => take(write(forms!.lightness, v, hue))}
            />
            <Track
              label="Hue"
              value={hue}
              min={0}
              max={360}
              step={1}
              track={hueTrack}
              text={(v) => `${Math.round(v)}°`}
              onprobe={(v) => probe(write(forms!.lightness, forms!.chroma, v))}
              oncommit={(v) => take(write(forms!.lightness, forms!.chroma, v))}
            />
            <Track
              label="Alpha"
              value={alpha}
              min={0}
              max={1}
              step={0.01}
              text={(v) => `${Math.round(v * 100)} %`}
              onprobe={(v) => probe(write(forms!.lightness, forms!.chroma, hue, v))}
              oncommit={(v) => take(write(forms!.lightness, forms!.chroma, hue, v))}
            />
            <p class="caption">
              Depth {forms.depth}. {#if forms.inSrgb}Every screen shows it{edge
                  ? `; this hue holds chroma ${edge.srgb.toFixed(2)} here`
                  : ''}.{:else if forms.inP3}Needs a Display P3 screen; others show {forms.nearest}.{:else}No common screen shows it; the
                nearest in sRGB is {forms.nearest}.{/if}
            </p>
            {#if !forms.inSrgb}<div class="grid h-6 grid-cols-2 border border-line text-center" aria-hidden="true">
                <span style:background={forms.written}></span><span style:background={forms.nearest}></span>
              </div>{/if}
            {#if refused}<p class="text-must" role="alert">{refused}</p>{/if}
          </div>
          <div class="flex max-h-[22rem] w-[15rem] flex-col gap-3 overflow-y-auto">
            {#if Dropper}<button class="button self-start" onclick={drop}><Pipette size={14} aria-hidden="true" /> From the screen</button
              >{/if}
            {#if recent.colors.length}
              <section aria-label="Chosen lately">
                <p class="caption mb-1">Chosen lately</p>
                <div class="flex flex-wrap gap-1">
                  {#each recent.colors as text (text)}<button
                      class="size-6 border border-line hover:border-ink"
                      style:background={text}
                      aria-label={text}
                      title={text}
                      onpointerenter={() => onprobe?.(text)}
                      onpointerleave={() => onrevert?.()}
                      onclick={() => take(text)}
                    ></button>{/each}
                </div>
              </section>
            {/if}
            {#if offered.length}
              <section aria-label="Colors of the theme">
                <p class="caption mb-1">Colors of the theme</p>
                <!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
                <div class="flex max-h-36 flex-wrap overflow-y-auto" tabindex="0" role="group" aria-label="Seeds and shades">
                  {#each offered as o (o.path)}{@const text = references ? `{${o.path}}` : o.hex}<button
                      class="size-6 border border-transparent hover:border-ink"
                      style:background={o.hex}
                      aria-label={o.path}
                      title={o.path}
                      onpointerenter={() => onprobe?.(text)}
                      onpointerleave={() => onrevert?.()}
                      onclick={() => take(text)}
                    ></button>{/each}
                </div>
              </section>
            {/if}
            <section aria-label="Copy it as">
              <p class="caption mb-1">Copy it as</p>
              {#each forms.forms as form (form.name)}
                <button
                  class="group flex h-6 w-full items-center gap-2 px-1 text-left hover:bg-hover"
                  aria-label="Copy as {form.name}: {form.text}{form.nearest ? ', the nearest in sRGB' : ''}"
                  title={form.nearest ? 'This form cannot say the color; it says the nearest in sRGB' : undefined}
                  onclick={() => copy(form)}
                >
                  <span class="value min-w-0 grow truncate">{form.text}</span>{#if form.nearest}<span class="caption">nearest</span>{/if}
                  {#if copied === form.name}<span class="caption" role="status">copied</span>{:else}<Copy
                      size={12}
                      class="text-muted"
                      aria-hidden="true"
                    />{/if}
                </button>
              {/each}
            </section>
          </div>
        {:else}<p class="caption w-40">Reading the color …</p>{/if}
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
  <TextValue {label} {value} {hideLabel} {width} oncommit={take} />
</div>
