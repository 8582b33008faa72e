<script lang="ts">
  import { goto } from '$app/navigation';
  import { toast } from 'svelte-sonner';
  import { api, store, said } from '$lib/api/client';

  /** A site that is stored but cannot be shown: what is kept of it can be taken out, archived or deleted. */
  let { slug, problem }: { slug: string; problem: string } = $props();
  let name = $state('');

  async function leave(work: () => Promise<unknown>, refused: string) {
    try {
      await work();
      await goto('/sites');
    } catch (e) {
      toast.error(refused, { description: said(e) });
    }
  }
  const archive = () => leave(() => store(() => api.PUT('/api/sites/{site}/away', { params: { path: { site: slug } } })), 'Not archived.');
  const remove = () =>
    leave(() => store(() => api.DELETE('/api/sites/{site}', { params: { path: { site: slug }, query: { name } } })), 'Not deleted.');
</script>

<div class="mx-auto max-w-xl py-16">
  <h1 class="font-display text-2xl text-heading">This site cannot be shown</h1>
  <p class="mt-2 mb-6 text-muted">{problem}</p>
  <div class="flex flex-wrap gap-2">
    <a class="button button-strong" href="/api/sites/{slug}/stored.zip" download>Export what is stored</a>
    <button class="button" onclick={archive}>Archive</button>
    <a class="button" href="/sites">All sites</a>
  </div>
  <form
    class="mt-10 flex flex-wrap items-center gap-3 border-t border-border pt-4"
    aria-label="Delete the site"
    onsubmit={(event) => {
      event.preventDefault();
      void remove();
    }}
  >
    <p class="w-full text-muted">Deleting loses its pages, pictures and history for good. Export what is stored first.</p>
    <input class="field" aria-label="Name of the site to delete" placeholder="Write its name" bind:value={name} />
    <button class="button border-must text-must" disabled={!name.trim()}>Delete for good</button>
  </form>
</div>
