<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import TextValue from '$lib/ui/TextValue.svelte';

  /** The pieces of a site, each with the pages it stands on as a row of small pages, which put it there or take it off. */
  let {
    pieces,
    pages,
    onput,
    onspread,
    onrename,
    onshare,
    ondissolve
  }: {
    pieces: Schemas['PieceView'][];
    pages: Schemas['WholePage'][];
    onput: (piece: string, page: string, there: boolean) => Promise<string>;
    onspread: (piece: string, everywhere: boolean, kinds: string[]) => Promise<string>;
    onrename: (piece: string, title: string) => Promise<string>;
    /** Gives a piece to the theme, or takes it back. */
    onshare: (piece: string, shared: boolean) => Promise<string>;
    ondissolve: (piece: string) => Promise<string>;
  } = $props();

  const kinds = $derived([...new Set(pages.map((one) => one.kind))]);
  /** A rule puts the piece on pages by itself; what follows no rule is put on pages one by one. */
  const ruled = (piece: Schemas['PieceView'], page: Schemas['WholePage']) => piece.everywhere || piece.kinds.includes(page.kind);
</script>

{#if pieces.length === 0}
  <p class="text-muted">No piece yet. A header, a footer, a notice or a section becomes one where its page is laid out.</p>
{:else}
  <ul>
    {#each pieces as piece (piece.name)}
      <li class="grid grid-cols-[minmax(0,14rem)_minmax(0,1fr)_auto] items-center gap-x-6 gap-y-1 border-t border-border py-2">
        <div>
          <TextValue
            label="Name of {piece.title}"
            hideLabel
            width="w-full"
            value={piece.title}
            oncommit={(title) => onrename(piece.name, title)}
          />
          <p class="caption mt-0.5">
            on {piece.pages.length} of {pages.length} pages{piece.own ? ` · ${piece.own} of a placement’s own` : ''}
          </p>
        </div>
        <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
          <label class="flex items-center gap-1.5"
            ><input
              type="checkbox"
              aria-label="{piece.title} on all sites"
              checked={piece.ofTheme}
              onchange={(e) => void onshare(piece.name, e.currentTarget.checked)}
            /> all sites</label
          >
          <label class="flex items-center gap-1.5"
            ><input
              type="checkbox"
              aria-label="{piece.title} on every page"
              checked={piece.everywhere}
              onchange={(e) => void onspread(piece.name, e.currentTarget.checked, [])}
            /> every page</label
          >
          {#if !piece.everywhere}
            {#each kinds as kind (kind)}
              <label class="flex items-center gap-1.5"
                ><input
                  type="checkbox"
                  aria-label="{piece.title} on {kind} pages"
                  checked={piece.kinds.includes(kind)}
                  onchange={(e) =>
                    void onspread(
                      piece.name,
                      false,
                      e.currentTarget.checked ? [...piece.kinds, kind] : piece.kinds.filter((one) => one !== kind)
                    )}
                />
                {kind}</label
              >
            {/each}
          {/if}
          <div class="flex gap-1" role="group" aria-label="Pages with {piece.title}">
            {#each pages as page (page.slug)}
              {@const there = piece.pages.includes(page.slug)}
              <button
                class="relative h-9 w-7 border {there
                  ? 'border-ink bg-raised'
                  : 'border-line bg-transparent'} hover:outline-2 hover:outline-accent"
                role="checkbox"
                aria-checked={there}
                aria-label="{piece.title} on “{page.title}”"
                title="{page.title}{there ? ': has it' : ': does not have it'}{ruled(piece, page) ? ', by its kind' : ''}"
                onclick={() => void onput(piece.name, page.slug, !there)}
              >
                {#if there}<span class="absolute inset-x-1 top-1.5 h-1.5 bg-ink"></span>{/if}
                <span class="absolute inset-x-1 top-4 h-px bg-line"></span>
                <span class="absolute inset-x-1 top-5.5 h-px bg-line"></span>
                <span class="absolute inset-x-1 top-7 h-px bg-line"></span>
              </button>
            {/each}
          </div>
        </div>
        <button
          class="button button-quiet text-muted"
          title="On every page it becomes markup of that page"
          onclick={() => void ondissolve(piece.name)}>Dissolve</button
        >
      </li>
    {/each}
  </ul>
{/if}
