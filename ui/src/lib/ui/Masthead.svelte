<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { api, ask } from '$lib/api/client';
  import { session } from '$lib/account/session.svelte';

  const PLACES = [
    { name: 'Library', href: '/library' },
    { name: 'Sites', href: '/sites' },
    { name: 'Fonts', href: '/fonts' },
    { name: 'Hosts', href: '/hosts' },
    { name: 'People', href: '/people' }
  ];

  async function signOut() {
    await ask(() => api.DELETE('/api/session'));
    session.name = '';
    await goto('/sign-in');
  }
</script>

<header class="flex h-12 shrink-0 items-center gap-3 border-b border-line px-6">
  <img src="/mark.svg" alt="" width="22" height="22" />
  <span class="font-display text-lg text-heading">Umber Loom</span>
  <nav class="ml-4 flex h-full items-stretch gap-4" aria-label="Places">
    {#each PLACES as place (place.href)}
      {@const here = page.url.pathname.startsWith(place.href)}
      <a
        class="flex items-center border-b-2 pt-0.5 {here
          ? 'border-accent font-semibold text-heading'
          : 'border-transparent text-muted hover:text-ink'}"
        href={place.href}
        aria-current={here ? 'page' : undefined}>{place.name}</a
      >
    {/each}
  </nav>
  <span class="ml-auto text-muted">{session.name}</span>
  <button class="button button-quiet" onclick={signOut}>Sign out</button>
</header>
