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
</script>

<svelte:window onunhandledrejection={tell} />

<Tooltip.Provider delayDuration={300}>
  {@render children()}
</Tooltip.Provider>
<RenewSession />
<Toaster position="bottom-right" duration={8000} closeButton />
