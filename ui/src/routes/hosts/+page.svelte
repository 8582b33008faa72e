<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, said, type Schemas } from '$lib/api/client';
  import { arrived } from '$lib/account/arriving';
  import { session } from '$lib/account/session.svelte';
  import HostCard from '$lib/deliver/HostCard.svelte';
  import HostForm from '$lib/deliver/HostForm.svelte';
  import Masthead from '$lib/ui/Masthead.svelte';

  let found = $state.raw<Schemas['Hosts'] | null>(null);
  let message = $state('');
  let adding = $state(false);

  onMount(async () => {
    if (!(await arrived('/hosts'))) return;
    try {
      found = await ask(() => api.GET('/api/hosts'));
    } catch (e) {
      message = said(e);
    }
  });
</script>

<svelte:head><title>Hosts · Umber Loom</title></svelte:head>

{#if session.name}
  <Masthead />
  <main class="mx-auto max-w-6xl px-6 py-8">
    <div class="flex items-start gap-6">
      <div>
        <h1 class="font-display text-3xl leading-tight text-heading">Hosts</h1>
        <p class="max-w-prose text-muted">
          Where sites are brought to, so that readers see them. Only what changed is sent, beside what is live, and switched in one step
          when it is whole.
        </p>
      </div>
      {#if found && !adding}
        <button class="button button-strong ml-auto" onclick={() => (adding = true)}>New host</button>
      {/if}
    </div>
    {#if message}<p class="mt-4 border-l-4 border-must bg-raised px-4 py-3" role="alert">{message}</p>{/if}
    {#if found}
      {#if adding}
        <section class="mt-6 border-b border-line pb-6" aria-labelledby="new">
          <h2 class="font-display mb-3 text-2xl text-heading" id="new">New host</h2>
          <HostForm
            folders={found.folders}
            secrets={found.secrets}
            ondone={(hosts) => {
              adding = false;
              if (hosts) found = hosts;
            }}
          />
        </section>
      {/if}
      {#each found.hosts as host (host.id)}
        <HostCard {host} folders={found.folders} secrets={found.secrets} onchange={(hosts) => (found = hosts)} />
      {:else}
        {#if !adding}
          <p class="mt-8 max-w-prose border-l-2 border-line pl-4 text-muted">
            No host yet. Readers see builds at an address of this application until a site has one. You need an address that speaks SFTP, an
            account there, and a web server whose root is the folder “live” of a site.
          </p>
        {/if}
      {/each}
    {/if}
  </main>
{/if}
