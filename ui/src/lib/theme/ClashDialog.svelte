<script lang="ts">
  import { Dialog } from 'bits-ui';
  import type { Bench } from './bench.svelte';

  /** Two people changed one value: both stand here, and the one who came second decides. */
  let { bench }: { bench: Bench } = $props();

  async function take() {
    const edit = bench.clash?.edit;
    bench.clash = null;
    if (edit) await bench.commit(edit);
  }
</script>

<Dialog.Root
  open={bench.clash !== null}
  onOpenChange={(open) => {
    if (!open) bench.clash = null;
  }}
>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ground/80" />
    <Dialog.Content
      class="fixed top-24 left-1/2 z-50 w-[32rem] max-w-[95vw] -translate-x-1/2 rounded-[3px] border border-line bg-raised p-6"
    >
      <Dialog.Title class="font-display text-xl text-heading">Changed meanwhile</Dialog.Title>
      <Dialog.Description class="mt-1 text-muted">{bench.clash?.message}</Dialog.Description>
      <dl class="my-4 grid grid-cols-[7rem_1fr] gap-y-2">
        <dt class="text-muted">Token</dt>
        <dd class="value break-all">{bench.clash?.path || 'several'}</dd>
        <dt class="text-muted">It is now</dt>
        <dd class="value break-all">{bench.clash?.theirs}</dd>
        <dt class="text-muted">You wanted</dt>
        <dd class="value break-all">{bench.clash?.yours}</dd>
      </dl>
      <div class="flex justify-end gap-2">
        <Dialog.Close class="button h-9">Keep what is there</Dialog.Close>
        <button class="button button-strong h-9" onclick={take}>Use yours</button>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
