<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { goto } from '$app/navigation';
  import { api, ask, store, said, type Schemas } from '$lib/api/client';
  import ColorField from '$lib/color/field/ColorField.svelte';
  import WeaveMark from './WeaveMark.svelte';

  let { open = $bindable(false) }: { open?: boolean } = $props();

  let starters = $state.raw<Schemas['StarterView'][]>([]);
  let name = $state('');
  let starter = $state('plain');
  let seed = $state('');
  let message = $state('');

  $effect(() => {
    if (open && starters.length === 0) void ask(() => api.GET('/api/starters')).then((all) => (starters = all));
  });

  async function create(event: SubmitEvent) {
    event.preventDefault();
    message = '';
    try {
      const created = await store(() => api.POST('/api/themes', { body: { name, starter, seed: seed || undefined } }));
      open = false;
      await goto(`/bench/${created.id}`);
    } catch (e) {
      message = said(e);
    }
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ground/80" />
    <Dialog.Content
      class="fixed top-16 left-1/2 z-50 w-[44rem] max-w-[95vw] -translate-x-1/2 rounded-[3px] border border-line bg-raised p-6"
    >
      <Dialog.Title class="font-display text-2xl leading-8 text-heading">New theme</Dialog.Title>
      <Dialog.Description class="mt-1 mb-5 text-muted">
        A starter brings families, scales and widths. A seed color of your own re-dyes it, readable in light and dark.
      </Dialog.Description>
      <form class="flex flex-col gap-5" onsubmit={create}>
        <label class="flex flex-col gap-1">
          <span class="font-medium">Name</span>
          <input class="field h-9" required maxlength="200" bind:value={name} />
        </label>
        <fieldset>
          <legend class="mb-1 font-medium">Starter</legend>
          <div class="grid grid-cols-2 gap-2">
            {#each starters as s (s.id)}
              <label
                class="flex gap-3 rounded-[3px] border border-border p-3 hover:bg-hover has-checked:border-accent has-checked:bg-chosen has-focus-visible:outline-2 has-focus-visible:outline-accent"
              >
                <input class="sr-only" type="radio" name="starter" value={s.id} bind:group={starter} />
                <WeaveMark weave={s.weave} size={56} />
                <span class="min-w-0">
                  <span class="block font-semibold">{s.name}</span>
                  <span class="block text-xs leading-4">{s.description}</span>
                  <span class="caption mt-1 block">{s.families.join(', ')}</span>
                </span>
              </label>
            {/each}
          </div>
        </fieldset>
        <div class="flex flex-col gap-1">
          <ColorField
            label="Seed color; leave it empty to keep the starter’s"
            value={seed}
            hex={seed || 'transparent'}
            width="w-72"
            oncommit={async (text) => {
              seed = text;
              return '';
            }}
          />
          <p id="seed-message" class="min-h-5 text-must" role="alert">{message}</p>
        </div>
        <div class="flex justify-end gap-2">
          <Dialog.Close class="button h-9">Cancel</Dialog.Close>
          <button class="button button-strong h-9" type="submit">Create theme</button>
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
