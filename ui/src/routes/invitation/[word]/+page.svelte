<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { api, problemOf, type Schemas } from '$lib/api/client';
  import WeaveMark from '$lib/theme/WeaveMark.svelte';

  const weave = { warp: ['#6b4a33', '#2f4486', '#b8901f'], weft: ['#efe3cc', '#d8c7a6', '#6b4a33', '#37806c'] };
  const word = page.params.word ?? '';

  let invited = $state.raw<Schemas['InvitedView'] | null>(null);
  let name = $state('');
  let password = $state('');
  let message = $state('');
  let over = $state('');

  onMount(async () => {
    const { data, error, response } = await api.GET('/api/invitation/{word}', { params: { path: { word } } });
    if (!data) return (over = problemOf(response.status, error).message);
    invited = data;
    name = data.name;
  });

  async function accept(event: SubmitEvent) {
    event.preventDefault();
    message = '';
    try {
      const { error, response } = await api.POST('/api/invitation/{word}', { params: { path: { word } }, body: { name, password } });
      if (!response.ok) return (message = problemOf(response.status, error).message);
      await goto('/sign-in');
    } catch {
      message = 'The server could not be reached. Try again in a moment.';
    }
  }
</script>

<svelte:head><title>Invitation · Umber Loom</title></svelte:head>

<main class="grid min-h-screen grid-cols-[minmax(0,5fr)_minmax(22rem,4fr)]">
  <div class="relative overflow-hidden border-r border-line">
    <div class="absolute inset-0 flex"><WeaveMark {weave} size={1400} repeat={9} /></div>
  </div>
  <div class="flex flex-col justify-center px-12">
    <div class="w-80">
      <h1 class="font-display text-4xl leading-tight text-heading">Umber Loom</h1>
      {#if over}
        <p class="mt-3 text-sm" role="alert">{over}</p>
      {:else if invited}
        <p class="mt-2 mb-6 text-sm text-muted">
          {invited.invitedBy} invites you. You will sign in as <span class="text-ink">{invited.email}</span>.
        </p>
        <form class="flex flex-col gap-4" onsubmit={accept}>
          <label class="flex flex-col gap-1"
            ><span class="font-medium">Your name</span><input
              class="field h-9"
              required
              maxlength="120"
              autocomplete="name"
              bind:value={name}
            /></label
          >
          <label class="flex flex-col gap-1">
            <span class="font-medium">A password</span>
            <input
              class="field h-9"
              type="password"
              required
              maxlength="200"
              autocomplete="new-password"
              aria-describedby="length"
              bind:value={password}
            />
            <span id="length" class="caption"
              >At least {invited.shortestPassword} characters; several words in a row are easy to keep in mind.</span
            >
          </label>
          {#if message}<p class="text-must" role="alert">{message}</p>{/if}
          <button class="button button-strong h-9 justify-center" type="submit">Join</button>
        </form>
      {/if}
    </div>
  </div>
</main>
