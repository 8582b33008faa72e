<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { arrived } from '$lib/account/arriving';
  import { api, ask, said } from '$lib/api/client';
  import PictureShelf from '$lib/picture/PictureShelf.svelte';
  import { shelfOfTheme } from '$lib/picture/shelf';
  import Masthead from '$lib/ui/Masthead.svelte';

  /** The pictures that go with a theme: surfaces stand on them, and sites take them onto their own shelves. */
  const id = Number(page.params.theme);

  let name = $state('');
  let message = $state('');

  onMount(async () => {
    if (!(await arrived(page.url.pathname))) return;
    try {
      const { cards: themes } = await ask(() => api.GET('/api/themes'));
      name = themes.find((one) => one.id === id)?.name ?? '';
      if (!name) message = 'There is no such theme here. It may have been put away.';
    } catch (e) {
      message = said(e);
    }
  });
</script>

<svelte:head><title>Pictures of {name} · Umber Loom</title></svelte:head>

<Masthead />
<main class="mx-auto max-w-6xl px-6 py-8">
  {#if name}
    <p class="caption">
      <a class="text-link underline underline-offset-2" href="/library">Library</a> ·
      <a class="text-link underline underline-offset-2" href="/bench/{id}">{name} on the bench</a>
    </p>
    <h1 class="font-display text-3xl leading-tight text-heading">Pictures of {name}</h1>
    <p class="mb-5 text-muted">
      They go with the theme, in kits too. A surface can stand on them; a site that wears the theme takes them onto its own shelf.
    </p>
    <PictureShelf shelf={shelfOfTheme(id)} />
  {:else if message}<p class="border-l-2 border-must pl-2" role="alert">{message}</p>{/if}
</main>
