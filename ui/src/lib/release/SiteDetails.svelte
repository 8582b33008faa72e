<script lang="ts">
  import { api, ask, type Schemas } from '$lib/api/client';
  import { counted } from '$lib/ui/words';

  /** What would happen to a site besides what its roles come to: other lines, other weight, strays that become roles. */
  let { theme, from, to, site }: { theme: number; from: string; to: string; site: string } = $props();

  const MOST = 6;
  let detail = $state.raw<Schemas['SiteDetail'] | null>(null);

  $effect(() => {
    const query = { path: { id: theme }, query: { from, to, site } };
    detail = null;
    void ask(() => api.GET('/api/themes/{id}/impact/site', { params: query }))
      .then((found) => (detail = found.site === site ? found : detail))
      .catch(() => undefined);
  });
  const kb = (bytes: number) => `${(bytes / 1000).toFixed(2)} kB`;
  const more = $derived((detail?.lines ?? []).filter((one) => one.after > one.before));
</script>

{#if detail}
  <dl class="mb-3 grid grid-cols-[9rem_minmax(0,1fr)] gap-x-4 gap-y-1">
    <dt class="text-muted">Style sheet</dt>
    <dd>
      <span class="value">{kb(detail.before)} → {kb(detail.after)}</span> compressed{detail.fonts.length
        ? `; ${detail.fonts.join(', ')} to be loaded`
        : ''}{detail.without.length ? `; ${detail.without.join(', ')} no longer` : ''}
    </dd>
    <dt class="text-muted">Lines of text</dt>
    <dd>
      {#if detail.lines.length + detail.more}
        {counted(detail.lines.length + detail.more, 'text takes', 'texts take')} other lines{more.length ? ', such as' : ''}
        <ul>
          {#each more.slice(0, MOST) as one, i (i)}
            <li class="flex gap-3">
              <span class="min-w-0 truncate">“{one.words}”</span>
              <span class="value shrink-0">{one.before} → {one.after}</span>
              <span class="shrink-0 text-muted">at {one.window} px</span>
            </li>
          {/each}
        </ul>
      {:else}
        Every text keeps its lines.
      {/if}
    </dd>
    {#if detail.caught.length}
      <dt class="text-muted">Strays</dt>
      <dd>
        {counted(detail.caught.length, 'value written by hand says', 'values written by hand say')} what a role says from then on:
        {detail.caught
          .slice(0, 3)
          .map((one) => `${one.value}, ${one.role}`)
          .join('; ')}
      </dd>
    {/if}
  </dl>
{/if}
