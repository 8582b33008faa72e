<script lang="ts">
  import { onMount } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { api, ask, store, said, type Schemas } from '$lib/api/client';
  import { at } from '$lib/ui/words';

  /** A person's own keys for builds. A secret is shown once, when it is made. */
  const DAYS = [30, 90, 365];

  let keys = $state.raw<Schemas['KeyView'][]>([]);
  let themes = $state.raw<Schemas['Card'][]>([]);
  let name = $state('');
  let theme = $state('');
  let days = $state(90);
  let secret = $state('');
  let busy = $state(false);

  onMount(async () => {
    keys = await ask(() => api.GET('/api/keys'));
    themes = (await ask(() => api.GET('/api/themes', { params: { query: {} } }))).cards;
  });

  async function make(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    try {
      const made = await store(() => api.POST('/api/keys', { body: { name, theme: theme ? Number(theme) : undefined, days } }));
      keys = made.keys;
      secret = made.secret;
      name = '';
    } catch (e) {
      toast.error('No key was made.', { description: said(e) });
    } finally {
      busy = false;
    }
  }

  async function revoke(id: number) {
    try {
      keys = await store(() => api.DELETE('/api/keys/{id}', { params: { path: { id } } }));
    } catch (e) {
      toast.error('It was not revoked.', { description: said(e) });
    }
  }
</script>

<section aria-labelledby="keys">
  <h2 class="font-display text-xl text-heading" id="keys">Keys for builds</h2>
  <p class="mb-3 max-w-prose text-muted">
    With a key of yours a program fetches kits, and nothing else: <span class="value">/api/builds/themes/…/kit.zip?state=latest</span>, with
    the header <span class="value">Authorization: Bearer</span>. Only you see your keys.
  </p>
  {#if secret}
    <div class="mb-3 border-l-4 border-good pl-3" role="status">
      <p>This is shown once. Keep it where your build finds it.</p>
      <input
        class="field value mt-1 w-full"
        readonly
        value={secret}
        aria-label="The new key"
        data-stored
        onfocus={(e) => e.currentTarget.select()}
      />
    </div>
  {/if}
  {#if keys.length}
    <ul class="mb-3" aria-label="Your keys">
      {#each keys as key (key.id)}
        <li class="flex items-baseline gap-3 border-b border-border py-1">
          <span class="font-semibold">{key.name}</span>
          <span class="text-muted"
            >{key.theme || 'every theme'}, {key.expired ? 'expired' : `until ${at(key.expiresAt)}`}, {key.usedAt
              ? `last used ${at(key.usedAt)}`
              : 'never used'}</span
          >
          <button class="button button-quiet ml-auto h-6 px-1.5" onclick={() => revoke(key.id)} aria-label="Revoke {key.name}"
            >Revoke</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  <form class="flex flex-wrap items-end gap-3" onsubmit={make}>
    <label class="flex flex-col"
      ><span class="caption">What it is for</span><input
        class="field"
        bind:value={name}
        required
        maxlength="120"
        placeholder="Harbour build"
      /></label
    >
    <label class="flex flex-col"
      ><span class="caption">Theme</span>
      <select class="field" bind:value={theme}>
        <option value="">every theme</option>
        {#each themes as one (one.id)}<option value={String(one.id)}>{one.name}</option>{/each}
      </select></label
    >
    <label class="flex flex-col"
      ><span class="caption">For</span>
      <select class="field" bind:value={days}>
        {#each DAYS as count (count)}<option value={count}>{count} days</option>{/each}
      </select></label
    >
    <button class="button" type="submit" disabled={busy || !name.trim()}>Make a key</button>
  </form>
</section>
