<script lang="ts">
  import type { Block, Laying } from './laying.svelte';

  /** The piece that a block is a placement of, or the way to make it one. */
  let { laying, block }: { laying: Laying; block: Block } = $props();

  const page = $derived(laying.page!);
  const piece = $derived(page.pieces.find((one) => one.name === block.piece));
  const kinds = $derived([...new Set(page.pages.map((one) => one.kind))]);

  let asked = $state(false);
  let title = $state('');
  /** Empty for every page, a kind, or `-` for this page and those it is put on. */
  let where = $state('');

  async function begin(event: SubmitEvent) {
    event.preventDefault();
    const refused = await laying.begin(block.at, title, where === '', where && where !== '-' ? [where] : []);
    if (!refused) {
      asked = false;
      title = '';
    }
  }
</script>

{#if piece}
  <p class="border-t border-border pt-2">
    Piece “{piece.title}”, on {piece.pages.length} of {page.pages.length} pages. What is changed in it changes on all of them{piece.ofTheme
      ? ', and in every site that wears the theme'
      : ''}.
    {#if block.own}<span class="font-semibold">{block.own} of its own here.</span>{/if}
  </p>
  <div class="flex flex-wrap gap-1">
    <a class="button" href="/sites/{page.site}#pieces">Where it stands</a>
    {#if piece.pages.length > 1}<button class="button" onclick={() => laying.takeOff(piece.name)}>Take it off this page</button>{/if}
    {#if block.own}<a class="button" href="/bench/{page.themeId}?site={page.site}&page={page.slug}">Look at it on the bench</a>{/if}
  </div>
{:else if asked}
  <form class="flex flex-wrap items-end gap-2 border-t border-border pt-2" onsubmit={begin}>
    <label class="flex min-w-32 grow flex-col"
      ><span class="caption">Name of the piece</span><input class="field" bind:value={title} required maxlength="120" /></label
    >
    <label class="flex flex-col"
      ><span class="caption">Stands on</span><select class="field" bind:value={where}
        ><option value="">every page</option>{#each kinds as kind (kind)}<option value={kind}>{kind} pages</option>{/each}<option value="-"
          >this page, and where I put it</option
        ></select
      ></label
    >
    <button class="button" type="submit" disabled={!title.trim()}>Make it a piece</button>
    <button class="button button-quiet" type="button" onclick={() => (asked = false)}>Not now</button>
  </form>
{:else}
  <div class="border-t border-border pt-2">
    <button class="button button-quiet -ml-2" onclick={() => (asked = true)}>Make it a piece that pages share…</button>
  </div>
{/if}
