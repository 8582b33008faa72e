<script lang="ts">
  import '../app.css';
  import { Tooltip } from 'bits-ui';
  import { toast, Toaster } from 'svelte-sonner';
  import RenewSession from '$lib/account/RenewSession.svelte';
  import { Problem } from '$lib/api/client';

  let { children } = $props();

  /** What goes wrong where no field or panel waits for the answer is said all the same. */
  function tell(event: PromiseRejectionEvent) {
    if (!(event.reason instanceof Problem)) return;
    event.preventDefault();
    toast.error(event.reason.title, { description: event.reason.message });
  }

  /**
   * A message tells of what was just done: who goes on has read it by the second press, and it no longer covers anything or tells what
   * is no more true.
   */
  function goOn(event: Event) {
    if (event.target instanceof Element && event.target.closest('[data-sonner-toaster]')) return;
    for (const message of document.querySelectorAll<HTMLElement>('[data-sonner-toast]'))
      if (message.dataset.read) message.querySelector<HTMLElement>('[data-close-button]')?.click();
      else message.dataset.read = 'true';
  }
</script>

<svelte:window onunhandledrejection={tell} onpointerdowncapture={goOn} />

<Tooltip.Provider delayDuration={300}>
  {@render children()}
</Tooltip.Provider>
<RenewSession />
<Toaster position="bottom-right" duration={8000} closeButton />
