<script lang="ts">
  import type { Schemas } from '$lib/api/client';

  /** Lets this screen show the families that were brought in; read again whenever their files are others. */
  let { families }: { families: { kind: string; files: Schemas['FontPart'][] }[] } = $props();

  const files = $derived(families.filter((one) => one.kind === 'own').flatMap((one) => one.files));
  const stamp = $derived(files.map((one) => one.file.slice(-18, -6)).join(''));
</script>

<svelte:head>
  {#if files.length}<link rel="stylesheet" href="/api/fonts/own.css?of={stamp.slice(0, 400)}" />{/if}
</svelte:head>
