<script lang="ts">
  import { api, ask, type Schemas } from '$lib/api/client';
  import { counted } from '$lib/ui/words';

  /** What of a theme is released, and how far its draft is ahead of that. */
  let { theme, revision }: { theme: number; revision: number } = $props();

  let standings = $state.raw<Schemas['StandingsView'] | null>(null);
  $effect(() => {
    const params = { path: { id: theme } };
    void ask(() => api.GET('/api/themes/{id}/standings', { params }))
      .then((found) => (standings = found))
      .catch(() => undefined);
  });
  const ahead = $derived(standings?.latest ? Math.max(0, revision - standings.revision) : 0);
  const said = $derived(
    !standings?.latest
      ? 'Nothing is released yet'
      : ahead
        ? `${counted(ahead, 'edit', 'edits')} since ${standings.latest}`
        : `The draft is ${standings.latest}`
  );
</script>

<a class="button" href="/releases/{theme}" title={said}
  >Release{#if standings?.latest}<span class="value ml-1.5 text-muted">{standings.latest}{ahead ? ` +${ahead}` : ''}</span>{/if}</a
>
