<script lang="ts">
  import { toast } from 'svelte-sonner';
  import { api, ask, problemOf, store, upload, type Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import Track from '$lib/ui/Track.svelte';
  import GroundPlace from './GroundPlace.svelte';

  /** What lies on a surface's color, and the scrim that keeps text on it readable. */
  let { bench, surface }: { bench: Bench; surface: Schemas['SurfaceView'] } = $props();

  type Lying = NonNullable<Schemas['OnGroundEdit']['ground']>;

  const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

  let pictures = $state.raw<Schemas['ShelvedPicture'][]>([]);
  let gradients = $state.raw<{ path: string; css: string }[]>([]);
  let wanted = $state('');
  let busy = $state(false);

  const ground = $derived(surface.grounds[0]);
  const kind = $derived(wanted || (ground?.kind ?? ''));
  const path = $derived(`surface.${surface.name}`);
  /** The first scheme's colors: what patterns are drawn in to choose from. */
  const first = (role: string) => surface.roles.find((r) => r.role === role)?.cells[0]?.hex ?? 'transparent';
  const plain = $derived(first('ground'));
  const drawn = $derived(first(ground?.role ?? 'border'));
  const roles = $derived(surface.roles.map((r) => r.role));

  /** Pictures come and go with edits, also by undo and by others. */
  $effect(() => {
    void bench.saved?.revision;
    void ask(() => api.GET('/api/themes/{id}/pictures', { params: { path: { id: bench.id } } })).then((kept) => (pictures = kept));
  });

  $effect(() => {
    void ask(() =>
      api.GET('/api/themes/{id}/tokens', { params: { path: { id: bench.id }, query: { combo: bench.looks.workingKey } } })
    ).then((tokens) => {
      gradients = tokens.tokens.filter((t) => t.type === 'gradient').map((t) => ({ path: t.path, css: t.css }));
    });
  });

  $effect(() => {
    void surface.name;
    wanted = '';
  });

  const edit = (change: Lying | null) => ({ op: 'onGround' as const, place: surface.place, path, ground: change ?? undefined });
  const set = (change: Lying) => bench.commit(edit(change));
  const attempt = (change: Lying) => bench.probe(edit(change));

  async function choose(next: string) {
    wanted = next;
    if (next === '') {
      if (ground) await bench.commit(edit(null));
      wanted = '';
    }
  }

  async function take(change: Lying) {
    if (await set(change)) wanted = '';
  }

  async function add(file: File | undefined) {
    if (!file) return;
    busy = true;
    try {
      const response = await upload(`/api/themes/${bench.id}/pictures`, [file]);
      const body: unknown = await response.json().catch(() => ({}));
      if (!response.ok) throw problemOf(response.status, body);
      const kept = body as Schemas['PictureKept'];
      await bench.look();
      await take({ kind: 'picture', source: kept.name });
    } catch (e) {
      toast.error('The picture was not kept', { description: e instanceof Error ? e.message : String(e) });
    }
    busy = false;
  }

  async function remove(name: string) {
    try {
      await store(() => api.DELETE('/api/themes/{id}/pictures/{name}', { params: { path: { id: bench.id, name } } }));
    } catch (e) {
      toast.error('The picture stays', { description: e instanceof Error ? e.message : String(e) });
    }
    await bench.look();
  }

  /** Pictures have addresses in a style sheet beside them; here they come from where the theme keeps them. */
  const here = (css: string) => css.replaceAll('url("ground/', `url("/api/themes/${bench.id}/pictures/`);
  const percent = (share: number) => `${Math.floor(share * 100)} %`;
  const unreadable = (veil: Schemas['VeilView']) => ground !== undefined && !ground.missing && !ground.scrim && veil.alpha > 0;

  /** How text stands on the ground in a scheme, in words. */
  function standing(veil: Schemas['VeilView']): string {
    const scrim = `${Math.round(veil.alpha * 1000) / 10} %`;
    if (ground?.missing) return 'the source is missing';
    if (veil.alpha === 0) return 'readable without a scrim';
    if (unreadable(veil)) return `readable on ${percent(veil.readable)} only; a scrim of ${scrim} is needed`;
    return `scrim of ${scrim}; without it ${percent(veil.readable)} would be readable`;
  }
</script>

<div class="flex flex-col gap-3 p-3">
  <div class="flex gap-1" role="group" aria-label="Kind of ground">
    {#each ['', ...bench.grounds.kinds] as k (k)}
      <button class="button {kind === k ? 'bg-chosen! font-semibold' : ''}" aria-pressed={kind === k} onclick={() => choose(k)}
        >{capital(k || 'plain color')}</button
      >
    {/each}
  </div>

  {#if kind === 'picture'}
    <div class="flex flex-wrap gap-2" role="group" aria-label="Pictures of this theme">
      {#each pictures as picture (picture.name)}
        <div class="w-24">
          <button
            class="block h-14 w-full border-2 {ground?.kind === 'picture' && ground.source === picture.name
              ? 'border-ink'
              : 'border-line hover:border-ink'}"
            aria-label="Stand on {picture.name}"
            aria-pressed={ground?.source === picture.name}
            onclick={() => take({ kind: 'picture', source: picture.name })}
            ><img class="size-full object-cover" src="/api/themes/{bench.id}/pictures/{picture.name}" alt="" /></button
          >
          <p class="caption flex">
            <span class="grow truncate" title="{picture.name}, {Math.round(picture.bytes / 1024)} KB">{picture.name}</span>
            <button
              class="grid size-6 shrink-0 place-items-center hover:text-ink"
              aria-label="Take {picture.name} away from the theme; this cannot be undone"
              title="Take it away; this cannot be undone"
              onclick={() => remove(picture.name)}>×</button
            >
          </p>
        </div>
      {/each}
      <label
        class="grid h-14 w-24 cursor-pointer place-items-center border border-dashed border-line text-center text-xs hover:bg-hover has-focus-visible:outline-2 has-focus-visible:outline-accent"
        ondragover={(e) => e.preventDefault()}
        ondrop={(e) => {
          e.preventDefault();
          void add(e.dataTransfer?.files[0]);
        }}
      >
        {busy ? 'Looking …' : 'Add or drop a picture'}<input
          class="sr-only"
          type="file"
          accept="image/png,image/jpeg,image/webp,image/svg+xml"
          disabled={busy}
          onchange={(e) => {
            void add(e.currentTarget.files?.[0]);
            e.currentTarget.value = '';
          }}
        /></label
      >
    </div>
    <p class="caption">
      <a class="text-link underline underline-offset-2" href="/pictures/{bench.id}">All pictures of this theme</a>, with licenses and
      sources
    </p>
  {:else if kind === 'pattern'}
    <div class="grid grid-cols-6 gap-1" role="group" aria-label="Patterns">
      {#each bench.grounds.patterns as pattern (pattern.id)}
        <button
          class="h-12 border-2 {ground?.kind === 'pattern' && ground.source === pattern.id ? 'border-ink' : 'border-line hover:border-ink'}"
          aria-label={pattern.words}
          title={pattern.words}
          aria-pressed={ground?.source === pattern.id}
          style:background-color={plain}
          style:color={drawn}
          style:background-image={pattern.image}
          style:background-size={pattern.size}
          onpointerenter={() => attempt({ kind: 'pattern', source: pattern.id })}
          onpointerleave={() => bench.revert()}
          onclick={() => take({ kind: 'pattern', source: pattern.id })}
        ></button>
      {/each}
    </div>
  {:else if kind === 'gradient'}
    {#if gradients.length === 0}<p class="text-muted">This theme has no gradient yet. Add one under Tokens, with the type gradient.</p>{/if}
    <div class="grid grid-cols-3 gap-1" role="group" aria-label="Gradients of this theme">
      {#each gradients as gradient (gradient.path)}
        <button
          class="border-2 {ground?.kind === 'gradient' && ground.source === gradient.path ? 'border-ink' : 'border-line hover:border-ink'}"
          aria-pressed={ground?.source === gradient.path}
          onpointerenter={() => attempt({ kind: 'gradient', source: gradient.path })}
          onpointerleave={() => bench.revert()}
          onclick={() => take({ kind: 'gradient', source: gradient.path })}
        >
          <span class="block h-8" style:background="linear-gradient(to right, {gradient.css})"></span><span
            class="value block truncate px-1 text-left">{gradient.path}</span
          ></button
        >
      {/each}
    </div>
  {/if}

  {#if ground}
    {#if ground.kind === 'picture'}
      {#key ground.source}
        <GroundPlace
          src="/api/themes/{bench.id}/pictures/{ground.source}"
          position={ground.position}
          size={ground.size}
          repeat={ground.repeat}
          blend={ground.blend}
          color={plain}
          onprobe={(position) => attempt({ position })}
          oncommit={(position) => set({ position })}
        />
      {/key}
      <div class="flex flex-wrap items-end gap-2">
        <label class="flex flex-col gap-0.5"
          ><span class="caption">Size</span><select
            class="field"
            value={ground.size}
            onchange={(e) => set({ size: e.currentTarget.value })}
          >
            {#if !bench.grounds.sizes.includes(ground.size)}<option>{ground.size}</option>{/if}{#each bench.grounds.sizes as s (s)}<option
                >{s}</option
              >{/each}</select
          ></label
        >
        <label class="flex flex-col gap-0.5"
          ><span class="caption">Repeat</span><select
            class="field"
            value={ground.repeat}
            onchange={(e) => set({ repeat: e.currentTarget.value })}
            >{#each bench.grounds.repeats as r (r)}<option>{r}</option>{/each}</select
          ></label
        >
        <label class="flex flex-col gap-0.5"
          ><span class="caption">Blend</span><select
            class="field"
            value={ground.blend}
            onchange={(e) => set({ blend: e.currentTarget.value })}
            >{#each bench.grounds.blends as b (b)}<option>{b}</option>{/each}</select
          ></label
        >
      </div>
    {:else if ground.kind === 'gradient'}
      <Track
        label="Angle"
        value={ground.angle}
        min={0}
        max={359}
        step={1}
        text={(v) => `${Math.round(v)}°`}
        onprobe={(angle) => attempt({ angle })}
        oncommit={(angle) => set({ angle })}
      />
    {:else}
      <label class="flex items-center gap-2"
        ><span class="text-muted">Drawn in the color of</span><select
          class="field"
          value={ground.role}
          onchange={(e) => set({ role: e.currentTarget.value })}
          >{#each roles as role (role)}<option>{role}</option>{/each}</select
        ></label
      >
    {/if}
    <label class="flex items-center gap-2"
      ><input type="checkbox" checked={ground.scrim} onchange={() => set({ scrim: !ground.scrim })} /> Scrim in the ground’s color, as much as
      the text needs</label
    >
    <div class="grid grid-cols-2 gap-2">
      {#each ground.veils as veil (veil.scheme)}
        <figure class="m-0">
          <div
            class="flex min-h-24 flex-col justify-center gap-0.5 border border-line px-3 py-2"
            style="background-color: {veil.hex}; {here(veil.css)}"
          >
            {#each veil.texts as text (text.role)}<span style:color={text.hex}>{capital(text.role)}</span>{/each}
          </div>
          <figcaption class="caption {unreadable(veil) ? 'font-semibold text-must!' : ''}">{veil.scheme}: {standing(veil)}</figcaption>
        </figure>
      {/each}
    </div>
  {:else if kind === ''}
    <p class="caption">
      Sections on this surface show its ground color. A picture, a gradient or a drawn pattern can lie on it; a scrim in the same color then
      keeps the text readable in every scheme.
    </p>
  {/if}
</div>
