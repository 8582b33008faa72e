<script lang="ts">
  import { toast } from 'svelte-sonner';
  import { api, ask, store, said, notice, type Schemas } from '$lib/api/client';
  import { at } from '$lib/ui/words';

  /** What a site stands on, what is newer, what it takes by itself, and what it stood on before. */
  let { slug, theme, onchange }: { slug: string; theme: number; onchange: () => void } = $props();

  const FOLLOWS = [
    { id: 'hand', words: 'takes releases by hand' },
    { id: 'patch', words: 'takes changes of values by itself' },
    { id: 'minor', words: 'takes what is new by itself, too' }
  ];
  const WAYS: Record<string, string> = { hand: 'taken', self: 'taken by itself', stage: 'in a stage', back: 'gone back' };

  let standing = $state.raw<Schemas['SiteStanding'] | null>(null);
  let busy = $state(false);

  $effect(() => {
    const of = { path: { id: theme }, query: { site: slug } };
    void ask(() => api.GET('/api/themes/{id}/standing', { params: of })).then((found) => (standing = found));
  });

  async function change(what: () => Promise<Schemas['SiteStanding']>) {
    busy = true;
    try {
      standing = await what();
      onchange();
    } catch (e) {
      toast.error(notice(e) || 'Stored', { description: said(e) });
    } finally {
      busy = false;
    }
  }
  const take = (release: string) =>
    change(() => store(() => api.POST('/api/themes/{id}/standing', { params: { path: { id: theme } }, body: { site: slug, release } })));
  const follow = (follows: string) =>
    change(() => store(() => api.PUT('/api/themes/{id}/standing', { params: { path: { id: theme } }, body: { site: slug, follows } })));

  const before = $derived(standing?.stood.find((one) => one.release && one.release !== standing?.release)?.release ?? '');
</script>

{#if standing}
  <div class="flex flex-wrap items-start gap-x-10 gap-y-3">
    <div>
      {#if standing.release}
        <p>
          <span class="font-display text-2xl text-heading">{standing.release}</span>
          <span class="text-muted"> of <a class="text-link underline underline-offset-2" href="/releases/{theme}">its theme</a></span>
        </p>
      {:else}
        <p class="max-w-prose text-muted">
          It stands on no release yet, so its kit is made of the draft, as that is at the moment.
          {standing.newer.length ? '' : 'Nothing is released so far.'}
          <a class="text-link underline underline-offset-2" href="/releases/{theme}">Releases</a>
        </p>
      {/if}
      <div class="mt-2 flex flex-wrap gap-2">
        {#if standing.newer[0]}
          {@const newest = standing.newer[0].release}
          <button class="button button-strong" disabled={busy} onclick={() => take(newest)}>Take {newest}</button>
        {/if}
        {#if before}
          <button class="button" disabled={busy} onclick={() => take(before)}>Back to {before}</button>
        {/if}
      </div>
    </div>
    <div role="radiogroup" aria-label="What it takes by itself">
      {#each FOLLOWS as one (one.id)}
        <label class="flex min-h-6 items-center gap-2"
          ><input
            type="radio"
            name="follows"
            checked={standing.follows === one.id}
            disabled={busy}
            onchange={() => follow(one.id)}
          />{one.words}</label
        >
      {/each}
    </div>
    {#if standing.newer.length}
      <div class="max-w-sm border-l-2 border-should pl-3">
        <p class="font-semibold">What is newer</p>
        {#each standing.newer.slice(0, 3) as one (one.release)}
          <p class="mt-1"><span class="value">{one.release}</span> <span class="whitespace-pre-line">{one.notes}</span></p>
        {/each}
        {#if standing.newer.length > 3}<p class="text-xs text-muted">and {standing.newer.length - 3} more</p>{/if}
        <a class="text-link underline underline-offset-2" href="/releases/{theme}">What it would change here</a>
      </div>
    {:else if standing.notes}
      <div class="max-w-sm border-l-2 border-border pl-3">
        <p class="font-semibold">What came with it</p>
        <p class="whitespace-pre-line">{standing.notes}</p>
      </div>
    {/if}
    {#if standing.stood.length}
      <ol class="max-h-28 min-w-56 overflow-auto border-l-2 border-border pl-3 text-xs" aria-label="What it stood on">
        {#each standing.stood as one, i (i)}
          <li>
            <span class="value">{one.release || 'none'}</span>
            <span class="text-muted">{WAYS[one.way] ?? one.way}, {at(one.since)}, {one.person}</span>
          </li>
        {/each}
      </ol>
    {/if}
  </div>
{/if}
