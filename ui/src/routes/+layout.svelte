<script lang="ts">
  import '../app.css';
  import { Tooltip } from 'bits-ui';
  import { Toaster } from 'svelte-sonner';
  import RenewSession from '$lib/account/RenewSession.svelte';

  let { children } = $props();
</script>

<Tooltip.Provider delayDuration={300}>
  {@render children()}
</Tooltip.Provider>
<RenewSession />
<Toaster position="bottom-right" duration={8000} closeButton />
