<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import TextValue from '$lib/ui/TextValue.svelte';
  import PictureWell from './PictureWell.svelte';

  /** What a site shows of itself, as it stands on a light ground and on a dark one; set where it stands. */
  let {
    site,
    base,
    onset
  }: { site: Schemas['WholeSite']; /** Where its pictures lie. */ base: string; onset: (plate: Schemas['Nameplate']) => Promise<string> } =
    $props();

  const plate = $derived(site.plate);
  /** As it goes out: made from the icon, on the theme's ground where it may not be clear. */
  const drawn = (file: string) => `${base}icons/${file}?at=${site.revision}`;
  /** A page whose own picture is looked at; empty for that of the whole site. */
  let shared = $state('');
  const sharedAs = $derived(`${base}${shared ? `sharing/${shared}` : 'sharing'}.png?at=${site.revision}`);
  const set = (change: Partial<Schemas['Nameplate']>) => onset({ ...plate, ...change });
</script>

<div class="flex flex-wrap items-stretch gap-4">
  <div class="flex min-w-80 grow items-center gap-3 border border-line px-4 py-3 on-white">
    <PictureWell site={site.slug} label="Logo" value={plate.logo} pictures={site.pictures} {base} onchoose={(logo) => set({ logo })} />
    <div class="flex min-w-0 grow gap-3">
      <TextValue label="Name" value={plate.name} width="w-44" oncommit={(name) => set({ name })} />
      <div class="min-w-0 grow">
        <TextValue label="Tagline" value={plate.tagline} width="w-full" oncommit={(tagline) => set({ tagline })} />
      </div>
    </div>
  </div>
  <div class="flex w-80 items-center gap-3 border border-line on-black px-4 py-3">
    <PictureWell
      site={site.slug}
      label="Logo in the dark"
      value={plate.logoDark}
      pictures={site.pictures}
      {base}
      onchoose={(logoDark) => set({ logoDark })}
    />
    <span class="min-w-0"
      ><span class="block truncate font-semibold">{plate.name}</span>
      <span class="block truncate text-sm">{plate.tagline}</span></span
    >
  </div>
  <div class="flex items-center gap-3 border border-line px-4 py-3">
    <PictureWell site={site.slug} label="Icon" value={plate.icon} pictures={site.pictures} {base} onchoose={(icon) => set({ icon })} />
    {#if plate.icon}
      <!-- Where it will appear: in a tab, and on the first screen of a phone. -->
      <span
        class="flex w-36 items-center gap-1.5 rounded-t-md border border-b-0 border-line bg-ground px-2 py-1"
        title="In a browser’s tab"
      >
        <img class="size-4 shrink-0" src={drawn('favicon.ico')} alt="" />
        <span class="min-w-0 truncate text-xs">{site.pages[0]?.title ?? plate.name}</span>
      </span>
      <span class="flex w-16 flex-col items-center gap-1" title="On a phone’s first screen">
        <img class="size-12 rounded-xl border border-line" src={drawn('icon-180.png')} alt="" />
        <span class="w-full truncate text-center text-[10px]">{plate.name}</span>
      </span>
      <span class="flex w-16 flex-col items-center gap-1" title="Where a phone cuts it round">
        <img class="size-12 rounded-full border border-line" src={drawn('icon-maskable-512.png')} alt="" />
        <span class="w-full truncate text-center text-[10px]">{plate.name}</span>
      </span>
    {/if}
  </div>
  {#if site.pages.length}
    <!-- As others show it where somebody passes the address on. -->
    <figure class="flex items-center gap-3 border border-line px-4 py-3">
      <img class="aspect-[1200/630] w-44 border border-line object-cover" src={sharedAs} alt="As it is shared" />
      <figcaption class="flex w-36 flex-col items-start gap-1.5">
        <span class="text-sm">Where its address is passed on</span>
        <select class="field h-6! w-full py-0! text-xs" aria-label="Picture that is shared" bind:value={shared}>
          <option value="">all of the site</option>
          {#each site.pages as page (page.slug)}<option value={page.slug}>{page.title}</option>{/each}
        </select>
      </figcaption>
    </figure>
  {/if}
</div>
<p class="caption mt-1">
  Where each is shown or hidden is chosen on the bench, under Parts, for the whole site, a kind of pages, a page or its header alone.
</p>
