<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { toast } from 'svelte-sonner';
  import Copy from '@lucide/svelte/icons/copy';
  import { api, ask, store, said, type Schemas } from '$lib/api/client';
  import { session } from '$lib/account/session.svelte';
  import BuildKeys from '$lib/account/BuildKeys.svelte';
  import ChangePassword from '$lib/account/ChangePassword.svelte';
  import Masthead from '$lib/ui/Masthead.svelte';

  let people = $state.raw<Schemas['PeopleView'] | null>(null);
  let email = $state('');
  let name = $state('');
  let message = $state('');
  /** The link of the invitation just made; it is shown this once. */
  let link = $state('');
  let invited = $state('');
  let leaving = $state<number | null>(null);

  onMount(async () => {
    const { data, response } = await api.GET('/api/session');
    if (!data && response.status === 401) return goto('/sign-in?to=/people');
    if (data) session.name = data.name;
    await tried(read);
  });

  async function read() {
    people = await ask(() => api.GET('/api/people'));
  }

  async function tried(work: () => Promise<unknown>) {
    message = '';
    try {
      await work();
    } catch (e) {
      message = said(e);
    }
  }

  function invite(event: SubmitEvent) {
    event.preventDefault();
    void tried(async () => {
      const sent = await store(() => api.POST('/api/people/invitations', { body: { email, name } }));
      link = location.origin + sent.path;
      invited = name;
      email = name = '';
      await read();
    });
  }

  async function copyLink() {
    await navigator.clipboard.writeText(link);
    toast.success('The link is copied');
  }

  const remove = (id: number) =>
    tried(async () => {
      await store(() => api.DELETE('/api/people/{id}', { params: { path: { id } } }));
      leaving = null;
      await read();
    });

  const withdraw = (id: number) =>
    tried(async () => {
      await store(() => api.DELETE('/api/people/invitations/{id}', { params: { path: { id } } }));
      await read();
    });

  const day = (at: string) => new Date(at).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
</script>

<svelte:head><title>People · Umber Loom</title></svelte:head>

{#if session.name}
  <Masthead />
  <main class="mx-auto grid max-w-6xl gap-x-12 gap-y-8 px-6 py-8 lg:grid-cols-[minmax(0,3fr)_minmax(18rem,2fr)]">
    <div>
      <h1 class="font-display text-3xl leading-tight text-heading">People</h1>
      <p class="mb-5 text-muted">Everybody here is a lead: they make themes and decide who belongs here.</p>

      {#if message}<p class="mb-4 border-l-4 border-must bg-raised px-4 py-3" role="alert">{message}</p>{/if}

      {#if people}
        <ul class="border-t border-line">
          {#each people.people as person (person.id)}
            <li class="flex min-h-14 items-center gap-4 border-b border-border py-2">
              <div class="min-w-0 grow">
                <p class="truncate font-semibold text-heading">
                  {person.name}{#if person.you}<span class="font-normal text-muted">{' · you'}</span>{/if}
                </p>
                <p class="truncate text-muted">{person.email}</p>
              </div>
              {#if leaving === person.id}
                <p class="max-w-64 text-right">What {person.name} has open ends now. What they made stays.</p>
                <button class="button border-must text-must" onclick={() => remove(person.id)}>Take off the list</button>
                <button class="button" onclick={() => (leaving = null)}>Keep</button>
              {:else if !person.you}
                <button
                  class="button button-quiet -mr-2.5 text-muted"
                  aria-label="Take off the list: {person.name}"
                  onclick={() => (leaving = person.id)}>Take off the list</button
                >
              {/if}
            </li>
          {/each}
          {#each people.invitations as one (one.id)}
            <li class="flex min-h-14 items-center gap-4 border-b border-dashed border-border py-2">
              <div class="min-w-0 grow">
                <p class="truncate text-heading">{one.name} <span class="text-muted">· invited by {one.invitedBy}</span></p>
                <p class="truncate text-muted">{one.email} · holds until {day(one.expiresAt)}</p>
              </div>
              <button
                class="button button-quiet text-muted"
                aria-label="Withdraw the invitation of {one.name}"
                onclick={() => withdraw(one.id)}>Withdraw</button
              >
            </li>
          {/each}
        </ul>
      {/if}

      <h2 class="font-display mt-8 text-xl text-heading">Invite somebody</h2>
      <p class="mb-3 text-muted">
        They choose their own password by a link that holds for a week and serves once. Send it to them yourself.
      </p>
      <form class="flex flex-wrap items-end gap-3" onsubmit={invite}>
        <label class="flex flex-col gap-1"
          ><span class="font-medium">Name</span><input
            class="field h-9 w-52"
            required
            maxlength="120"
            autocomplete="off"
            bind:value={name}
          /></label
        >
        <label class="flex flex-col gap-1"
          ><span class="font-medium">E-mail address</span><input
            class="field h-9 w-64"
            type="email"
            required
            maxlength="190"
            autocomplete="off"
            bind:value={email}
          /></label
        >
        <button class="button button-strong h-9" type="submit">Make a link</button>
      </form>
      {#if link}
        <div class="mt-4 border-l-4 border-good bg-raised px-4 py-3" role="status">
          <p class="mb-2">The link for {invited}. It is shown this once; make another if it gets lost.</p>
          <div class="flex gap-2">
            <input
              class="field value h-9 min-w-0 grow"
              readonly
              aria-label="Link of the invitation"
              value={link}
              onfocus={(e) => e.currentTarget.select()}
            />
            <button class="button h-9" onclick={copyLink}><Copy size={14} aria-hidden="true" /> Copy</button>
          </div>
        </div>
      {/if}
    </div>
    <ChangePassword />
    <div class="mt-10"><BuildKeys /></div>
  </main>
{/if}
