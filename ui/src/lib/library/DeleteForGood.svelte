<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { Problem, said, type Schemas } from '$lib/api/client';
  import type { Card, Library } from './library.svelte';

  let { library, theme = $bindable(null) }: { library: Library; theme: Card | null } = $props();

  let losses = $state.raw<Schemas['Losses'] | null>(null);
  let message = $state('');

  $effect(() => {
    losses = null;
    message = '';
    if (theme)
      library.losses(theme.id).then(
        (found) => (losses = found),
        (e: Problem) => (message = e.message)
      );
  });

  const counted = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`;

  async function remove() {
    try {
      await library.remove(theme!.id);
      theme = null;
    } catch (e) {
      message = said(e);
    }
  }
</script>

<Dialog.Root open={theme !== null} onOpenChange={(open) => !open && (theme = null)}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ground/80" />
    <Dialog.Content
      class="fixed top-1/4 left-1/2 z-50 w-[30rem] max-w-[95vw] -translate-x-1/2 rounded-[3px] border border-line bg-raised p-6"
    >
      <Dialog.Title class="font-display text-xl leading-7 break-words text-heading">Delete “{theme?.name}” for good</Dialog.Title>
      <Dialog.Description class="mt-2 text-ink">
        {#if losses && losses.sites.length > 0}
          It is worn by {losses.sites.join(', ')}, so it cannot go. Give them another theme first.
        {:else if losses}
          This cannot be undone. Lost are the theme, its history of {counted(losses.revisions, 'revision')}, {counted(
            losses.checkpoints,
            'checkpoint'
          )}, and pictures that no other theme has.
        {:else if !message}…{/if}
      </Dialog.Description>
      <p class="mt-2 min-h-5 text-must" role="alert">{message}</p>
      <div class="mt-3 flex flex-wrap items-center justify-end gap-2">
        {#if theme}<a class="mr-auto text-link underline underline-offset-2" href="/api/themes/{theme.id}/document" download
            >Export its document first</a
          >{/if}
        <Dialog.Close class="button h-9">Keep it</Dialog.Close>
        <button class="button h-9 border-must text-must" disabled={!losses || losses.sites.length > 0} onclick={remove}
          >Delete for good</button
        >
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
