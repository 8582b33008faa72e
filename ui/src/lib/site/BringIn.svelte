<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { goto } from '$app/navigation';
  import { api, ask, said, type Schemas } from '$lib/api/client';
  import { takeSite } from '$lib/kit/importing';

  /** Brings a site in from an archive or from pages by themselves, and says what could not come along. */
  let { open = $bindable(false) }: { open: boolean } = $props();

  let themes = $state.raw<Schemas['Card'][]>([]);
  let theme = $state('');
  let files = $state.raw<File[]>([]);
  let message = $state('');
  let busy = $state(false);
  let arrived = $state.raw<Schemas['Arrived'] | null>(null);

  $effect(() => {
    if (!open) return;
    message = '';
    files = [];
    arrived = null;
    void ask(() => api.GET('/api/themes', { params: { query: {} } })).then((page) => {
      themes = page.cards;
      theme ||= String(page.cards[0]?.id ?? '');
    });
  });

  async function take(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    message = '';
    try {
      const taken = await takeSite(files, Number(theme));
      if (taken.notes.length === 0) await goto(`/sites/${taken.slug}`);
      else arrived = taken;
    } catch (e) {
      message = said(e);
    } finally {
      busy = false;
    }
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ground/80" />
    <Dialog.Content
      class="fixed top-1/5 left-1/2 z-50 w-[34rem] max-w-[95vw] -translate-x-1/2 rounded-[3px] border border-line bg-raised p-6"
    >
      <Dialog.Title class="font-display text-xl leading-7 text-heading">{arrived ? 'It came in' : 'Bring a site in'}</Dialog.Title>
      {#if arrived}
        <ul class="mt-3 flex flex-col gap-2 border-l-2 border-should pl-3">
          {#each arrived.notes as note (note)}<li>{note}</li>{/each}
        </ul>
        <div class="mt-5 flex justify-end"><a class="button button-strong h-9" href="/sites/{arrived.slug}">Look at the site</a></div>
      {:else}
        <p class="mt-1 text-muted">
          An archive of pages with their style sheets and pictures, in any folders, one that was taken out here, or a kit with its sites.
          Nothing in it may run or load; what does is taken out and told.
        </p>
        <form class="mt-4 flex flex-col gap-4" onsubmit={take}>
          <label class="flex flex-col gap-1"
            ><span>Archive, or pages</span>
            <input
              class="field h-9 py-1"
              type="file"
              accept=".zip,.html,.htm,.css,.svg,.png,.jpg,.jpeg,.gif,.webp"
              multiple
              required
              onchange={(e) => (files = [...(e.currentTarget.files ?? [])])}
            /></label
          >
          <label class="flex flex-col gap-1"
            ><span>Theme that it wears</span>
            <select class="field" bind:value={theme}
              >{#each themes as one (one.id)}<option value={String(one.id)}>{one.name}</option>{/each}</select
            ></label
          >
          <p class="min-h-5 text-must" role="alert">{message}</p>
          <div class="flex justify-end gap-2">
            <Dialog.Close class="button h-9" type="button">Cancel</Dialog.Close>
            <button class="button button-strong h-9" type="submit" disabled={busy || files.length === 0 || !theme}
              >{busy ? 'Reading …' : 'Take it in'}</button
            >
          </div>
        </form>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
