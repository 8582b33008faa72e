<script lang="ts">
  import { toast } from 'svelte-sonner';
  import { api, store, said } from '$lib/api/client';

  let current = $state('');
  let fresh = $state('');
  let message = $state('');

  async function change(event: SubmitEvent) {
    event.preventDefault();
    message = '';
    try {
      await store(() => api.PUT('/api/session/password', { body: { current, fresh } }));
      current = fresh = '';
      toast.success('Your password is changed', { description: 'Your other sessions have ended.' });
    } catch (e) {
      message = said(e);
    }
  }

  async function endOthers() {
    message = '';
    try {
      const { sessions } = await store(() => api.DELETE('/api/session/others'));
      toast.success(
        sessions === 0
          ? 'You have no other session'
          : sessions === 1
            ? 'One other session has ended'
            : `${sessions} other sessions have ended`
      );
    } catch (e) {
      message = said(e);
    }
  }
</script>

<section class="border-line lg:border-l lg:pl-12" aria-labelledby="yours">
  <h2 id="yours" class="font-display text-xl text-heading">Your password</h2>
  <p class="mb-4 text-muted">At least 15 characters; several words in a row are easy to keep in mind. Any letter, sign or blank counts.</p>
  <form class="flex flex-col gap-3" onsubmit={change}>
    <label class="flex flex-col gap-1"
      ><span class="font-medium">Current password</span><input
        class="field h-9"
        type="password"
        required
        maxlength="200"
        autocomplete="current-password"
        bind:value={current}
      /></label
    >
    <label class="flex flex-col gap-1"
      ><span class="font-medium">New password</span><input
        class="field h-9"
        type="password"
        required
        maxlength="200"
        autocomplete="new-password"
        bind:value={fresh}
      /></label
    >
    {#if message}<p class="text-must" role="alert">{message}</p>{/if}
    <button class="button button-strong h-9 self-start" type="submit">Change it</button>
  </form>
  <h2 class="font-display mt-8 text-xl text-heading">Your sessions</h2>
  <p class="mb-3 text-muted">If you are still signed in on another machine, end it from here.</p>
  <button class="button h-9" onclick={endOthers}>End my other sessions</button>
</section>
