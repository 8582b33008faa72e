<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { goto } from '$app/navigation';
  import { api, ask, store, said, type Schemas } from '$lib/api/client';
  import { modifiersOf } from './standing';

  let { open = $bindable(false) }: { open: boolean } = $props();

  let themes = $state.raw<Schemas['Card'][]>([]);
  let kinds = $state.raw<string[]>([]);
  let name = $state('');
  let theme = $state('');
  let chosen = $state<string[]>(['landing']);
  let modifiers = $state.raw<Schemas['LayerView'][]>([]);
  let look = $state<Record<string, string>>({});
  let scheme = $state('reader');
  let message = $state('');

  $effect(() => {
    if (!open) return;
    message = '';
    void Promise.all([ask(() => api.GET('/api/themes', { params: { query: {} } })), ask(() => api.GET('/api/page-kinds'))]).then(
      ([page, all]) => {
        themes = page.cards;
        kinds = all;
        theme ||= String(page.cards[0]?.id ?? '');
      }
    );
  });

  // What a site can stand in is the theme's to say.
  $effect(() => {
    const id = Number(theme);
    if (!open || !id) return;
    modifiers = [];
    look = {};
    // What comes late of a theme that is chosen no more is of no use.
    void modifiersOf(id).then(
      (all) => {
        if (Number(theme) === id) modifiers = all;
      },
      () => {}
    );
  });
  const ofScheme = $derived(modifiers.find((one) => one.meaning === 'scheme'));

  async function create(event: SubmitEvent) {
    event.preventDefault();
    try {
      const kindsInOrder = ['landing', ...chosen.filter((kind) => kind !== 'landing')].filter((kind) => chosen.includes(kind));
      const { slug } = await store(() =>
        api.POST('/api/sites', { body: { name, theme: Number(theme), kinds: kindsInOrder, look: { ...look }, scheme } })
      );
      open = false;
      await goto(`/sites/${slug}`);
    } catch (e) {
      message = said(e);
    }
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ground/80" />
    <Dialog.Content
      class="fixed top-1/5 left-1/2 z-50 w-[30rem] max-w-[95vw] -translate-x-1/2 rounded-[3px] border border-line bg-raised p-6"
    >
      <Dialog.Title class="font-display text-xl leading-7 text-heading">A new site</Dialog.Title>
      <form class="mt-4 flex flex-col gap-4" onsubmit={create}>
        <label class="flex flex-col gap-1"><span>Name</span> <input class="field" bind:value={name} required maxlength="120" /></label>
        <label class="flex flex-col gap-1"
          ><span>Theme that it wears</span>
          <select class="field" bind:value={theme}
            >{#each themes as one (one.id)}<option value={String(one.id)}>{one.name}</option>{/each}</select
          ></label
        >
        {#if modifiers.length}
          <div class="grid grid-cols-3 gap-3">
            {#each modifiers.filter((one) => one !== ofScheme) as modifier (modifier.name)}
              <label class="flex flex-col gap-1"
                ><span>{modifier.name}</span>
                <select
                  class="field"
                  bind:value={() => look[modifier.name] ?? modifier.standard, (context) => (look[modifier.name] = context)}
                  >{#each modifier.contexts as context (context.name)}<option>{context.name}</option>{/each}</select
                ></label
              >
            {/each}
            {#if ofScheme}
              <label class="flex flex-col gap-1"
                ><span>{ofScheme.name}</span>
                <select class="field" bind:value={scheme}
                  ><option value="reader">the reader’s</option><option value="light">light only</option><option value="dark"
                    >dark only</option
                  ></select
                ></label
              >
            {/if}
          </div>
        {/if}
        <fieldset>
          <legend class="mb-1">Pages to begin with</legend>
          <div class="flex flex-wrap gap-x-4 gap-y-1">
            {#each kinds as kind (kind)}<label class="flex items-center gap-1.5"
                ><input type="checkbox" value={kind} bind:group={chosen} /> {kind}</label
              >{/each}
          </div>
        </fieldset>
        <p class="min-h-5 text-must" role="alert">{message}</p>
        <div class="flex justify-end gap-2">
          <Dialog.Close class="button h-9" type="button">Cancel</Dialog.Close>
          <button class="button button-strong h-9" type="submit" disabled={!name.trim() || !theme || chosen.length === 0}
            >Create the site</button
          >
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
