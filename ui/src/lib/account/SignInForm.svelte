<script lang="ts">
  import { api, problemOf } from '$lib/api/client';
  import { session } from './session.svelte';

  let { onsignedin }: { onsignedin?: () => void } = $props();

  let email = $state('');
  let password = $state('');
  let message = $state('');
  let busy = $state(false);

  async function submit(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    message = '';
    try {
      await fetch('/look.css', { credentials: 'same-origin' });
      const { data, error, response } = await api.POST('/api/session', { body: { email, password } });
      if (!data) {
        message = problemOf(response.status, error).message;
        return;
      }
      // A new session has a new token; this request brings it.
      await api.GET('/api/session');
      session.signedIn(data.name);
      onsignedin?.();
    } catch {
      message = 'The server could not be reached. Try again in a moment.';
    } finally {
      busy = false;
    }
  }
</script>

<form class="flex flex-col gap-4" onsubmit={submit}>
  <label class="flex flex-col gap-1">
    <span class="font-medium">E-mail address</span>
    <input class="field h-9" type="email" autocomplete="username" required bind:value={email} />
  </label>
  <label class="flex flex-col gap-1">
    <span class="font-medium">Password</span>
    <input class="field h-9" type="password" autocomplete="current-password" required bind:value={password} />
  </label>
  {#if message}<p class="text-must" role="alert">{message}</p>{/if}
  <button class="button button-strong h-9 justify-center" type="submit" disabled={busy}>Sign in</button>
</form>
