<script lang="ts">
  import '../app.css';
  import { Tooltip } from 'bits-ui';
  import { toast, Toaster, useSonner } from 'svelte-sonner';
  import RenewSession from '$lib/account/RenewSession.svelte';
  import { Problem } from '$lib/api/client';

  let { children } = $props();

  /** What goes wrong where no field or panel waits for the answer is said all the same. */
  function tell(event: PromiseRejectionEvent) {
    if (!(event.reason instanceof Problem)) return;
    event.preventDefault();
    toast.error(event.reason.title, { description: event.reason.message });
  }

  /** So long a message can be read before the next press takes it away. */
  const READ_MS = 1500;
  const sonner = useSonner();
  let said = 0;
  $effect(() => {
    if (sonner.toasts.length) said = performance.now();
  });

  /** A message tells of what was just done: who goes on has read it, and it no longer covers anything or tells what is no more true. */
  function goOn(event: Event) {
    const within = event.target instanceof Element && event.target.closest('[data-sonner-toaster]');
    if (!within && performance.now() - said > READ_MS) toast.dismiss();
  }
</script>

<svelte:window onunhandledrejection={tell} onpointerdowncapture={goOn} />

<Tooltip.Provider delayDuration={300}>
  {@render children()}
</Tooltip.Provider>
<RenewSession />
<Toaster position="bottom-right" duration={8000} closeButton />
