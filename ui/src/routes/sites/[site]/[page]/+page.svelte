<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { arrived } from '$lib/account/arriving';
  import { session } from '$lib/account/session.svelte';
  import HeadingOrder from '$lib/laying/HeadingOrder.svelte';
  import { Laying } from '$lib/laying/laying.svelte';
  import PickedElement from '$lib/laying/PickedElement.svelte';
  import Plan from '$lib/laying/Plan.svelte';
  import TablePage from '$lib/laying/TablePage.svelte';
  import Thumb from '$lib/site/Thumb.svelte';
  import Masthead from '$lib/ui/Masthead.svelte';
  import UndoRedo from '$lib/ui/UndoRedo.svelte';

  const WIDTHS = [390, 820, 1280];

  const laying = new Laying();
  const site = $derived(page.params.site ?? '');
  const slug = $derived(page.params.page ?? '');
  let width = $state(1280);
  let heights = $state.raw<Record<number, number>>({});
  let looks = $state.raw<string[]>([]);
  let adding = $state(false);

  $effect(() => {
    const [of, which] = [site, slug];
    void arrived(page.url.pathname).then((stays) => (stays ? laying.open(of, which) : undefined));
  });

  const laid = $derived(laying.page);
  const base = $derived(laid ? `/preview/${laid.themeId}/draft/${encodeURIComponent(laid.combo || 'default')}/${laid.site}/` : '');
  const src = $derived(laid ? `${base}${laid.slug}.html?still=true&at=${laid.revision}` : '');
</script>

<svelte:head><title>{laid ? `${laid.title} · ${laid.name}` : 'Page'} · Umber Loom</title></svelte:head>

{#if session.name}
  <div class="flex h-screen min-h-0 flex-col">
    <Masthead />
    {#if laying.problem}
      <div class="mx-auto max-w-md py-16 text-center">
        <h1 class="font-display text-2xl text-heading">No such page</h1>
        <p class="mt-2 mb-6 text-muted">{laying.problem}</p>
        <a class="button h-9" href="/sites">All sites</a>
      </div>
    {:else if laid}
      <main class="flex min-h-0 grow flex-col">
        <div class="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line px-6 py-2">
          <div class="min-w-0 grow">
            <p class="caption">
              <a class="text-link underline underline-offset-2" href="/sites">Sites</a> ·
              <a class="text-link underline underline-offset-2" href="/sites/{laid.site}">{laid.name}</a> · {laid.kind} page
            </p>
            <h1 class="font-display truncate text-2xl leading-tight text-heading">{laid.title}</h1>
          </div>
          <select class="field w-44" aria-label="Page" bind:value={() => laid.slug, (other) => void goto(`/sites/${laid.site}/${other}`)}>
            {#each laid.pages as one (one.slug)}<option value={one.slug}>{one.title}</option>{/each}
          </select>
          <div class="flex" role="radiogroup" aria-label="Width of the window">
            {#each WIDTHS as one (one)}<button
                class="button -ml-px rounded-none {width === one ? 'bg-chosen' : ''}"
                role="radio"
                aria-checked={width === one}
                onclick={() => (width = one)}>{one}</button
              >{/each}
          </div>
          <UndoRedo undo={laid.undo} redo={laid.redo} onstep={(way) => void laying.step(way)} />
          <a class="button button-strong" href="/bench/{laid.themeId}?site={laid.site}&page={laid.slug}">Open on the bench</a>
        </div>
        <div class="grid min-h-0 grow grid-cols-[24rem_minmax(0,1fr)]">
          <div class="flex min-h-0 flex-col border-r border-line">
            <div class="min-h-0 grow overflow-y-auto">
              <Plan {laying} {heights} />
              <section aria-labelledby="add">
                <h2 class="flex items-center gap-2 px-3 py-2 font-semibold" id="add">
                  <button class="button" aria-expanded={adding} onclick={() => (adding = !adding)}
                    >{adding ? 'Add nothing' : 'Add a part'}</button
                  >
                  <span class="caption">{laying.blocks.some((one) => one.at === laying.block) ? 'after what is picked' : 'at the end'}</span
                  >
                </h2>
                {#if adding}
                  <ul class="grid grid-cols-3 gap-2 px-3 pb-3">
                    {#each laid.parts as part (part.name)}
                      <li>
                        <button
                          class="block w-full text-left hover:outline-2 hover:outline-accent"
                          aria-label="Add: {part.title}"
                          onclick={() => laying.insert(part.name)}
                          ><Thumb
                            src="/preview/{laid.themeId}/draft/{encodeURIComponent(laid.combo || 'default')}/~part/{part.name}.html"
                            title={part.title}
                            width={420}
                            height={250}
                            box={112}
                          /><span class="caption block truncate">{part.title}</span></button
                        >
                      </li>
                    {/each}
                  </ul>
                {/if}
              </section>
              <h2 class="border-t border-line px-3 pt-2 pb-1 font-semibold">Headings</h2>
              <HeadingOrder {laying} {looks} />
            </div>
            {#if laying.picked}<PickedElement {laying} {base} />{/if}
          </div>
          <TablePage
            {laying}
            {src}
            {width}
            onseen={(found, looked) => {
              heights = found;
              looks = looked;
            }}
          />
        </div>
      </main>
    {/if}
  </div>
{/if}
