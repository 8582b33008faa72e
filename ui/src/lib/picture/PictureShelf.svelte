<script lang="ts">
  import { onMount } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { Problem } from '$lib/api/client';
  import TextValue from '$lib/ui/TextValue.svelte';
  import { counted } from '$lib/ui/words';
  import FocalPoint from './FocalPoint.svelte';
  import type { Shelf, Shelved } from './shelf';

  /** Pictures: what each shows, how it may be used, where it stands, and which point of it stays in sight. */
  let {
    shelf: source,
    places = '',
    onchange
  }: {
    shelf: Shelf;
    /** Addresses of the pages that pictures stand on, without their names. */ places?: string;
    /** What stands somewhere shows another picture now. */ onchange?: () => void;
  } = $props();

  let shelf = $state.raw<Shelved[] | null>(null);
  let offered = $state.raw<Shelved[]>([]);
  let chosen = $state('');
  let over = $state(false);
  let message = $state('');
  let width = $state(1200);
  let height = $state(800);

  const picture = $derived(shelf?.find((one) => one.name === chosen) ?? shelf?.[0]);
  const unsaid = $derived((shelf ?? []).filter((one) => !one.license && !one.placeholder).length);
  const others = $derived((shelf ?? []).filter((one) => one !== picture));
  const offers = $derived(offered.filter((one) => !shelf?.some((mine) => mine.name === one.name)));
  const size = (one: Shelved) =>
    [
      one.width ? `${one.width} × ${one.height} px` : 'drawn in lines',
      one.bytes < 1000 ? `${one.bytes} B` : `${Math.round(one.bytes / 1000)} kB`,
      one.sizes.length && `also ${one.sizes.join(', ')} px wide`
    ]
      .filter(Boolean)
      .join(' · ');

  onMount(read);
  async function read() {
    [shelf, offered] = await Promise.all([source.all(), source.offered?.() ?? []]);
  }

  async function done(work: () => Promise<unknown>): Promise<string> {
    message = '';
    try {
      await work();
    } catch (e) {
      message = e instanceof Problem || e instanceof Error ? e.message : String(e);
    }
    await read();
    return message;
  }

  function take(files: FileList | null | undefined) {
    return done(async () => {
      for (const file of files ?? []) chosen = await source.add(file);
    });
  }

  const say = (one: Shelved, change: Partial<Shelved>, again = false) =>
    done(async () => {
      const { license, source: from, alt, focalX, focalY } = { ...one, ...change };
      await source.say(one.name, { license, source: from, alt, focalX, focalY });
      if (!again)
        toast.message(`What is said of ${one.name} was changed`, {
          action: { label: 'Put it back', onClick: () => void say(one, {}, true) }
        });
    });

  const keepRoom = () =>
    done(async () => {
      chosen = (await source.keepRoom?.(width, height)) ?? chosen;
    });

  const instead = (one: Shelved, name: string) =>
    done(async () => {
      await source.instead?.(one.name, name);
      chosen = name;
      onchange?.();
    });

  const fromElsewhere = (name: string) =>
    done(async () => {
      chosen = (await source.take?.(name)) ?? chosen;
    });

  const remove = (one: Shelved) => done(() => source.remove(one.name));
</script>

{#if shelf}
  <p class="caption mb-2">
    {shelf.length ? counted(shelf.length, 'picture', 'pictures') : `No pictures yet: ${source.empty}`}{' '}{#if unsaid}
      · <span class="text-must">nobody said how {unsaid === 1 ? 'one' : unsaid} may be used</span>{/if}
  </p>
  <div class="flex items-stretch border border-line">
    <!-- svelte-ignore a11y_no_static_element_interactions (what is dropped here can be chosen with the button beside it) -->
    <div
      class="flex max-h-96 w-72 shrink-0 flex-col border-r border-border {over ? 'bg-chosen' : ''}"
      ondragover={(e) => {
        e.preventDefault();
        over = true;
      }}
      ondragleave={() => (over = false)}
      ondrop={(e) => {
        e.preventDefault();
        over = false;
        void take(e.dataTransfer?.files);
      }}
    >
      <div class="grid min-h-0 grow grid-cols-3 content-start gap-2 overflow-y-auto p-3">
        {#each shelf as one (one.name)}
          <button
            class="flex flex-col border bg-raised p-1 text-left {one === picture
              ? 'border-accent outline-1 outline-accent'
              : 'border-line'}"
            aria-pressed={one === picture}
            title={one.name}
            onclick={() => (chosen = one.name)}
          >
            <img class="h-14 w-full object-contain" src="{source.base}{one.name}" alt="" />
            <span class="mt-1 truncate text-xs">{one.name}</span>
            <span class="truncate text-xs {one.license || one.placeholder ? 'text-muted' : 'text-must'}"
              >{one.placeholder ? 'keeps room' : one.license ? counted(one.used.length, 'place', 'places') : 'no license'}</span
            >
          </button>
        {/each}
      </div>
      <div class="flex flex-col items-start gap-1.5 border-t border-border px-3 py-2">
        <label class="button cursor-pointer"
          >Add files<input
            class="sr-only"
            type="file"
            accept="image/*"
            multiple
            aria-label="Picture files"
            onchange={(e) => void take(e.currentTarget.files)}
          /></label
        >
        {#if offers.length}
          <select
            class="field w-full"
            aria-label="A picture of the theme"
            value=""
            onchange={(e) => void fromElsewhere(e.currentTarget.value)}
          >
            <option value="" disabled>From the theme’s shelf…</option>
            {#each offers as one (one.name)}<option value={one.name}>{one.name}</option>{/each}
          </select>
        {/if}
        {#if source.keepRoom}
          <span class="flex items-center gap-1.5">
            <button class="button" onclick={keepRoom}>Keep room for</button>
            <input class="field w-14 px-1!" type="number" min="16" max="4096" aria-label="Width of the room in px" bind:value={width} />
            ×
            <input class="field w-14 px-1!" type="number" min="16" max="4096" aria-label="Height of the room in px" bind:value={height} /> px
          </span>
        {/if}
      </div>
    </div>
    {#if picture}
      <div class="flex min-w-0 grow gap-5 p-4">
        {#key picture.name}
          <FocalPoint
            src="{source.base}{picture.name}"
            x={picture.focalX}
            y={picture.focalY}
            onset={(focalX, focalY) => void say(picture, { focalX, focalY })}
          />
          <div class="flex min-w-0 grow flex-col gap-2">
            <div>
              <h3 class="truncate font-semibold">{picture.name}</h3>
              <p class="caption">{size(picture)}</p>
            </div>
            {#if picture.placeholder}
              <p class="text-muted">It keeps the room of a picture, in the theme’s colors, and never leaves in a kit.</p>
            {:else}
              <TextValue
                label="In words, for who does not see it"
                width="w-full"
                value={picture.alt}
                oncommit={(alt) => say(picture, { alt })}
              />
              <div class="grid grid-cols-2 gap-3">
                <TextValue label="License" width="w-full" value={picture.license} oncommit={(license) => say(picture, { license })} />
                <TextValue label="Source" width="w-full" value={picture.source} oncommit={(source) => say(picture, { source })} />
              </div>
            {/if}
            <p class="caption">
              {#if picture.used.length}Stands on {#each picture.used as place, i (place.page)}{i ? ', ' : ''}{#if place.page}<a
                      class="text-link underline underline-offset-2"
                      href="{places}{place.page}">{place.words}</a
                    >{:else}{place.words}{/if}{/each}{:else}Stands nowhere yet{/if}
            </p>
            <div class="mt-auto flex flex-wrap items-center gap-2">
              {#if source.instead && others.length && picture.used.some((one) => one.page)}
                <select
                  class="field max-w-56"
                  aria-label="Another picture in its place"
                  value=""
                  onchange={(e) => void instead(picture, e.currentTarget.value)}
                >
                  <option value="" disabled>Put another in its place…</option>
                  {#each others as one (one.name)}<option value={one.name}>{one.name}</option>{/each}
                </select>
              {/if}
              {#if !picture.used.length}<button class="button button-quiet" onclick={() => void remove(picture)}>Off the shelf</button>{/if}
            </div>
          </div>
        {/key}
      </div>
    {/if}
  </div>
  {#if message}<p class="mt-2 border-l-2 border-must pl-2" role="alert">{message}</p>{/if}
{/if}
