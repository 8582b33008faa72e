<script lang="ts">
  import { api, ask, problemOf, upload, type Schemas } from '$lib/api/client';
  import type { Bench, Edit } from '$lib/theme/bench.svelte';

  /** Where colors come from: pasted text, a palette file, a picture, or a harmony. Pointing at one tries it on the pages. */
  let { bench, hue, ontaken }: { bench: Bench; hue: Schemas['HueView'] | undefined; ontaken: (path: string) => void } = $props();

  type Proposal = Schemas['Proposal'];
  type Swatch = Schemas['Swatch'];

  let text = $state('');
  let proposals = $state.raw<Proposal[]>([]);
  let chosen = $state.raw<Swatch | null>(null);
  let name = $state('');
  let refused = $state('');
  let busy = $state(false);
  /** Whether the proposals are turns of the seed's hue, which a wheel shows. */
  let turned = $state(false);

  const place = $derived(hue?.place || bench.homes.hue || '');
  const edit = (swatch: Swatch): Edit => ({ op: 'value', place, path: hue?.seed.path ?? '', text: swatch.written });

  async function find(search: () => Promise<Proposal[]>) {
    refused = '';
    chosen = null;
    turned = false;
    busy = true;
    try {
      proposals = await search();
    } catch (e) {
      refused = e instanceof Error ? e.message : String(e);
    }
    busy = false;
  }

  const paste = () => find(async () => [await ask(() => api.POST('/api/palette/text', { body: { text } }))]);
  async function harmonies() {
    await find(() => ask(() => api.GET('/api/palette/harmonies', { params: { query: { seed: hue?.seed.written ?? '' } } })));
    turned = refused === '';
  }

  const RADIUS = 17;
  const spoke = (degrees: number) => ({
    x: 22 + RADIUS * Math.cos((degrees * Math.PI) / 180),
    y: 22 - RADIUS * Math.sin((degrees * Math.PI) / 180)
  });

  const made = () => find(() => ask(() => api.GET('/api/palette/starters')));

  async function file(event: Event & { currentTarget: HTMLInputElement }) {
    const picked = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (!picked) return;
    if (/\.(gpl|css|txt)$/i.test(picked.name)) {
      text = await picked.text();
      return paste();
    }
    return find(async () => {
      const response = await upload('/api/palette/picture', [picked]);
      const body: unknown = await response.json().catch(() => ({}));
      if (!response.ok) throw problemOf(response.status, body);
      return [body as Proposal];
    });
  }

  async function take() {
    if (chosen && hue && (await bench.commit(edit(chosen)))) ontaken(hue.path);
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    if (!chosen) return;
    const path = `color.${name.trim()}`;
    refused = await bench.take({ op: 'hue', place, path, text: chosen.written });
    if (refused === '') ontaken(path);
  }

  function choose(swatch: Swatch) {
    chosen = swatch;
    name = swatch.name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  }
</script>

<div class="flex max-h-[24rem] w-[30rem] flex-col gap-3 overflow-y-auto">
  <div class="flex items-end gap-2">
    <label class="flex grow flex-col gap-0.5"
      ><span class="caption">Colors in any CSS form, custom properties, or a GPL palette</span>
      <textarea class="field value h-14! py-1" bind:value={text}></textarea></label
    >
    <button class="button" disabled={text.trim() === '' || busy} onclick={paste}>Read</button>
  </div>
  <div class="flex flex-wrap items-center gap-2">
    <label class="button has-focus-visible:outline-2 has-focus-visible:outline-accent"
      >From a picture or file<input
        class="sr-only"
        type="file"
        accept="image/png,image/jpeg,image/webp,image/svg+xml,.gpl,.css,.txt"
        onchange={file}
      /></label
    >
    {#if hue}<button class="button" disabled={busy} onclick={harmonies}>Harmonies of {hue.name}</button>{/if}
    <button class="button" disabled={busy} onclick={made}>Palettes to begin with</button>
  </div>
  {#if refused}<p class="text-must" role="alert">{refused}</p>{/if}
  <div class="flex flex-col gap-2" role="group" aria-label="Proposals" onpointerleave={() => bench.revert()}>
    {#each proposals as proposal (proposal.name)}
      <section aria-label={proposal.name}>
        <p class="caption flex items-center gap-2">
          <span class="grow">{proposal.name}</span>
          {#if hue && proposal.swatches.length > 1}<button
              class="hover:underline"
              onclick={() => bench.compare(proposal.swatches.map((s) => ({ edit: edit(s), note: s.hex })))}>one in each bay</button
            >{/if}
        </p>
        <div class="flex flex-wrap gap-1">
          {#if turned && hue}
            <svg
              width="44"
              height="44"
              class="mr-2 shrink-0"
              role="img"
              aria-label="{proposal.name}: hues at {proposal.swatches
                .map((s) => `${Math.round(s.hue)}°`)
                .join(', ')}, the seed at {Math.round(hue.seed.hue)}°"
            >
              <circle cx="22" cy="22" r={RADIUS} fill="none" stroke="var(--surface-border)" />
              {#each [{ hue: hue.seed.hue, hex: hue.seed.hex }, ...proposal.swatches] as dot, i (i)}
                {@const at = spoke(dot.hue)}
                <path d="M22 22L{at.x} {at.y}" stroke="var(--surface-line)" />
                <circle
                  cx={at.x}
                  cy={at.y}
                  r={i === 0 ? 5 : 4}
                  fill={dot.hex}
                  stroke="var(--surface-text)"
                  stroke-width={i === 0 ? 1.5 : 0}
                />
              {/each}
            </svg>
          {/if}
          {#each proposal.swatches as swatch (swatch.name + swatch.written)}
            <button
              class="flex flex-col items-start border {chosen === swatch ? 'border-2 border-ink' : 'border-line'} hover:border-ink"
              aria-pressed={chosen === swatch}
              aria-label="{swatch.name} {swatch.hex}, depth {swatch.depth}{swatch.share
                ? `, ${Math.round(swatch.share * 100)} percent`
                : ''}"
              onpointerenter={() => hue && bench.probe(edit(swatch))}
              onclick={() => choose(swatch)}
            >
              <span class="block h-8 w-18" style:background={swatch.hex}></span>
              <span class="value px-1 text-[0.625rem]!"
                >{swatch.share ? `${Math.round(swatch.share * 100)} %` : swatch.name || swatch.hex}</span
              >
            </button>
          {/each}
        </div>
        {#if proposal.passedOver.length}<p class="caption">Passed over, since it is no color: {proposal.passedOver.join(', ')}</p>{/if}
      </section>
    {/each}
  </div>
  {#if chosen}
    <form class="flex items-end gap-2 border-t border-border pt-2" onsubmit={add}>
      {#if hue}<button class="button button-strong" type="button" onclick={take}>Seed of {hue.name}</button>{/if}
      <label class="flex grow flex-col gap-0.5"
        ><span class="caption">or a new hue named</span><input class="field" required bind:value={name} /></label
      >
      <button class="button" type="submit">Add the hue</button>
    </form>
  {/if}
</div>
