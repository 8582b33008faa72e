<script lang="ts">
  import { api, ask, type Schemas } from '$lib/api/client';
  import { at, SAID } from '$lib/ui/words';

  /** What was done to a site, the newest first. */
  let {
    site,
    name,
    revision,
    frame
  }: {
    /** Its short name. */ site: string;
    name: string;
    /** Its newest: when it changes, the list is read again. */ revision: number;
    /** Classes of what scrolls: how large it is at the most. */ frame: string;
  } = $props();

  const PAGE = 50;
  let done = $state.raw<Schemas['DoneView'][]>([]);
  let ended = $state(false);

  const read = (before?: number) =>
    ask(() => api.GET('/api/sites/{site}/history', { params: { path: { site }, query: { before, most: PAGE } } }));

  $effect(() => {
    void revision;
    let current = true;
    void read().then((found) => {
      if (!current) return;
      done = found;
      ended = found.length < PAGE;
    });
    return () => (current = false);
  });

  async function more() {
    const older = await read(done.at(-1)?.number);
    done = [...done, ...older];
    ended = older.length < PAGE;
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
<section class="overflow-y-auto {frame}" tabindex="0" aria-label="Edits of {name}">
  <ol>
    {#each done as one (one.number)}
      <li class="grid grid-cols-[2.5rem_1fr_auto] items-baseline gap-2 px-2 py-1">
        <span class="value text-right text-muted">{one.number}</span>
        <span class="min-w-0 break-words">{SAID[one.kind] ?? ''}{one.label}</span>
        <span class="caption text-right">{one.person}, {at(one.at)}</span>
      </li>
    {/each}
  </ol>
  {#if !ended && done.length}<button class="button m-2" onclick={more}>Show older</button>{/if}
</section>
