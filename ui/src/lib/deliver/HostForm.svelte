<script lang="ts">
  import { untrack } from 'svelte';
  import { api, store, said, type Schemas } from '$lib/api/client';

  /** A host that is new, or one that is changed: who answers there, how to get in, where files go and where readers see them. */
  let {
    host,
    folders,
    secrets,
    ondone
  }: {
    host?: Schemas['HostView'];
    folders: string[];
    secrets: boolean;
    ondone: (hosts: Schemas['Hosts'] | null) => void;
  } = $props();

  const was = untrack(() => host);
  let kind = $state(was?.kind ?? 'sftp');
  let name = $state(was?.name ?? '');
  let address = $state(was?.address ?? '');
  let port = $state(was?.port || 22);
  let account = $state(was?.account ?? '');
  let folder = $state(was?.folder ?? '');
  let web = $state(was?.web ?? '');
  /** password, or a key that is made here, or one of one's own. */
  let way = $state(was?.signsIn === 'key' ? 'made' : (was?.signsIn ?? 'password'));
  let password = $state('');
  let key = $state('');
  let shown = $state('');
  let pinned = $state(was?.pinned ?? '');
  let message = $state('');
  let busy = $state(false);

  const WAYS = [
    { id: 'password', words: 'a password' },
    { id: 'made', words: 'a key that is made here' },
    { id: 'own', words: 'a key of yours' }
  ];

  async function tried(work: () => Promise<unknown>) {
    message = '';
    busy = true;
    try {
      await work();
    } catch (e) {
      message = said(e);
    } finally {
      busy = false;
    }
  }

  const look = () =>
    tried(async () => {
      shown = '';
      const answer = await store(() => api.POST('/api/hosts/key', { body: { address, port } }));
      shown = answer.fingerprint;
    });

  function elsewhere() {
    shown = '';
    pinned = '';
  }

  function save(event: SubmitEvent) {
    event.preventDefault();
    void tried(async () => {
      const body = {
        name,
        kind,
        address,
        port: port || 22,
        account,
        folder: kind === 'folder' ? folder || (folders[0] ?? '') : folder,
        web,
        signsIn: way === 'password' ? 'password' : 'key',
        password: way === 'password' ? password : '',
        key: way === 'own' ? key : '',
        pinned
      };
      ondone(
        was
          ? await store(() => api.PUT('/api/hosts/{id}', { params: { path: { id: was.id } }, body }))
          : await store(() => api.POST('/api/hosts', { body }))
      );
    });
  }
</script>

<form
  class="grid max-w-3xl grid-cols-[7rem_minmax(0,1fr)] gap-x-5 gap-y-4"
  onsubmit={save}
  aria-label={was ? `Change ${was.name}` : 'New host'}
>
  {#if folders.length && !was}
    <span class="pt-1 font-semibold">Reached</span>
    <div class="flex gap-5" role="radiogroup" aria-label="How it is reached">
      <label class="flex min-h-6 items-center gap-2"><input type="radio" name="kind" value="sftp" bind:group={kind} />by SFTP</label>
      <label class="flex min-h-6 items-center gap-2"
        ><input type="radio" name="kind" value="folder" bind:group={kind} />as a folder of this machine</label
      >
    </div>
  {/if}

  {#if kind === 'sftp'}
    <span class="pt-1 font-semibold">Who answers</span>
    <div>
      <div class="flex flex-wrap items-end gap-3">
        <label class="flex grow flex-col"
          ><span class="caption">Address</span><input
            class="field value"
            bind:value={address}
            oninput={elsewhere}
            required
            maxlength="255"
            placeholder="files.example.org"
            autocomplete="off"
            spellcheck="false"
          /></label
        >
        <label class="flex w-20 flex-col"
          ><span class="caption">Port</span><input
            class="field value"
            type="number"
            min="1"
            max="65535"
            bind:value={port}
            oninput={elsewhere}
          /></label
        >
        <button class="button" type="button" disabled={busy || !address.trim()} onclick={look}>Look at its key</button>
      </div>
      {#if shown}
        <div class="mt-3 border-l-4 pl-3 {pinned && pinned !== shown ? 'border-must' : 'border-should'}" role="status">
          <p class="value text-xs break-all">{shown}</p>
          {#if pinned === shown}
            <p class="text-good">It is known by this key.</p>
          {:else}
            <p class="text-muted">
              {pinned ? 'This is another key than the one it is known by.' : 'The key that it shows.'} Ask whoever runs the host whether it is
              theirs; from then on nothing is sent to anybody with another.
            </p>
            <button class="button mt-1" type="button" onclick={() => (pinned = shown)}>It is theirs</button>
          {/if}
        </div>
      {:else if pinned}
        <p class="mt-2 text-muted">Known by <span class="value text-xs break-all">{pinned}</span></p>
      {/if}
    </div>

    <span class="pt-1 font-semibold">Getting in</span>
    <div>
      <label class="flex w-64 flex-col"
        ><span class="caption">Account</span><input
          class="field value"
          bind:value={account}
          required
          maxlength="120"
          autocomplete="off"
          spellcheck="false"
        /></label
      >
      <div class="mt-2 flex flex-wrap gap-x-5" role="radiogroup" aria-label="What lets us in">
        {#each WAYS as one (one.id)}
          <label class="flex min-h-6 items-center gap-2"><input type="radio" name="way" value={one.id} bind:group={way} />{one.words}</label
          >
        {/each}
      </div>
      {#if way === 'password'}
        <label class="mt-1 flex w-64 flex-col"
          ><span class="caption">Password{was ? '; empty leaves it' : ''}</span><input
            class="field"
            type="password"
            bind:value={password}
            required={!was || was.signsIn !== 'password'}
            maxlength="400"
            autocomplete="new-password"
          /></label
        >
      {:else if way === 'own'}
        <label class="mt-1 flex flex-col"
          ><span class="caption">Private key without a passphrase, in OpenSSH’s form or PEM</span><textarea
            class="field value h-24 text-xs"
            bind:value={key}
            required
            maxlength="12000"
            spellcheck="false"
            autocomplete="off"></textarea></label
        >
      {:else}
        <p class="mt-1 text-muted">
          {was?.signsIn === 'key' ? 'The key that was made stays.' : 'You get its public half, to be put on the host.'}
        </p>
      {/if}
      {#if !secrets}
        <p class="mt-2 border-l-4 border-must pl-3" role="alert">
          This installation cannot keep secrets yet: start it with LOOM_SECRETS_KEY, 24 letters or more.
        </p>
      {/if}
    </div>
  {/if}

  <span class="pt-1 font-semibold">Where</span>
  <div class="flex flex-wrap gap-3">
    {#if kind === 'folder'}
      <label class="flex grow flex-col"
        ><span class="caption">Folder, in {folders.join(' or ')}</span><input
          class="field value"
          bind:value={folder}
          required
          maxlength="400"
          placeholder={folders[0]}
          spellcheck="false"
        /></label
      >
    {:else}
      <label class="flex grow flex-col"
        ><span class="caption">Folder in which sites get folders of their own; empty for the account’s</span><input
          class="field value"
          bind:value={folder}
          maxlength="400"
          placeholder="sites"
          spellcheck="false"
        /></label
      >
    {/if}
    <label class="flex grow flex-col"
      ><span class="caption">Where readers see that folder; empty where you do not know</span><input
        class="field value"
        bind:value={web}
        maxlength="400"
        placeholder="https://www.example.org"
        spellcheck="false"
      /></label
    >
  </div>

  <span class="pt-1 font-semibold">Name</span>
  <div>
    <input class="field w-64" bind:value={name} required maxlength="120" aria-label="Name of the host" placeholder="Harbour host" />
    {#if message}<p class="mt-3 border-l-4 border-must pl-3" role="alert">{message}</p>{/if}
    <div class="mt-4 flex gap-2">
      <button class="button button-strong" type="submit" disabled={busy || (kind === 'sftp' && !pinned)}
        >{was ? 'Change it' : 'Add the host'}</button
      >
      <button class="button" type="button" onclick={() => ondone(null)}>Leave it</button>
    </div>
    {#if kind === 'sftp' && !pinned}<p class="mt-1 text-xs text-muted">Look at its key and confirm it first.</p>{/if}
  </div>
</form>
