<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import LiftForm from './LiftForm.svelte';
  import Thumb from './Thumb.svelte';

  /** Strays of several sites that are one to the eye: where they stand, what is near them, and the look with and without them. */
  let {
    group,
    theme,
    onreturn,
    onlift
  }: {
    group: Schemas['LikeView'];
    theme: number;
    onreturn: () => Promise<void>;
    onlift: (path: string) => Promise<string>;
  } = $props();

  let open = $state(false);
  let busy = $state(false);

  type Where = { site: string; page: string; title: string; ids: string[] };
  const pages = $derived.by(() => {
    const found: Where[] = [];
    for (const stray of group.strays) {
      const known = found.find((one) => one.site === stray.site && one.page === stray.page);
      if (known) known.ids.push(stray.id);
      else found.push({ site: stray.site, page: stray.page, title: stray.title, ids: [stray.id] });
    }
    return found;
  });
  /** In the look that the site stands in. */
  const src = (where: Where) => `/preview/${theme}/draft/site/${where.site}/${where.page}.html?still=true`;
</script>

<li class="border-b border-border">
  <div class="grid min-h-10 grid-cols-[1.5rem_minmax(0,1fr)_minmax(0,1fr)_auto] items-center gap-3">
    <span class="size-5 border border-line" style:background={group.css || undefined}></span>
    <span class="min-w-0">
      <span class="block truncate">{group.words}</span>
      <span class="caption flex flex-wrap gap-x-2">
        {#each pages as where (`${where.site}/${where.page}`)}
          <a class="inline-flex min-h-6 items-center text-link underline underline-offset-2" href="/sites/{where.site}?stray={where.page}"
            >{where.title}</a
          >
        {/each}
      </span>
    </span>
    <span class="flex min-w-0 items-center gap-2 text-muted">
      {#if group.nearest}
        {#if group.css}<span class="size-5 shrink-0 border border-line" style:background={group.nearestCss}></span>{/if}
        <span class="value min-w-0 truncate">{group.css ? `ΔE ${group.distance}` : `${group.distance} %`} from {group.nearest}</span>
      {:else}nothing in the theme is like it{/if}
    </span>
    <span class="flex gap-1">
      <button class="button" aria-expanded={open} onclick={() => (open = !open)}>Look</button>
      <button
        class="button"
        disabled={busy}
        onclick={async () => {
          busy = true;
          await onreturn();
          busy = false;
        }}>Return {group.strays.length > 1 ? `all ${group.strays.length}` : ''}</button
      >
    </span>
  </div>
  {#if open}
    <div class="flex flex-wrap items-end gap-x-6 gap-y-3 pt-1 pb-4 pl-9">
      {#each pages.slice(0, 3) as where (`${where.site}/${where.page}`)}
        <figure>
          <div class="flex gap-2">
            <Thumb src={src(where)} title="{where.title} as it is" box={200} height={1100} />
            <Thumb
              src="{src(where)}&without={encodeURIComponent(where.ids.join(','))}"
              title="{where.title} returned"
              box={200}
              height={1100}
            />
          </div>
          <figcaption class="caption">{where.title}: as it is, and returned</figcaption>
        </figure>
      {/each}
      <LiftForm
        label="Or as a token of the theme"
        count={group.strays.length}
        begins={group.css ? 'color.' : 'own.'}
        {busy}
        onlift={async (path) => {
          busy = true;
          await onlift(path);
          busy = false;
        }}
      />
    </div>
  {/if}
</li>
