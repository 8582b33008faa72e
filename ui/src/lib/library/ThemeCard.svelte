<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import More from '@lucide/svelte/icons/ellipsis';
  import WeaveMark from '$lib/theme/WeaveMark.svelte';
  import type { Card } from './library.svelte';

  let {
    theme,
    putAway,
    oncopy,
    onputaway,
    ondelete
  }: { theme: Card; putAway: boolean; oncopy: () => void; onputaway: (away: boolean) => void; ondelete: () => void } = $props();

  const when = (at: string) => new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
  const documentOf = $derived(`/api/themes/${theme.id}/document`);
</script>

{#snippet item(label: string, action: () => void)}
  <DropdownMenu.Item class="cursor-pointer px-3 py-1 data-highlighted:bg-hover" onSelect={action}>{label}</DropdownMenu.Item>
{/snippet}

<li
  class="relative flex flex-col [contain-intrinsic-height:auto_300px] [content-visibility:auto] border border-line bg-raised hover:border-accent has-[h2_a:focus-visible]:outline-2 has-[h2_a:focus-visible]:outline-accent"
>
  <div class="h-28 overflow-hidden border-b border-line {putAway ? 'opacity-45' : ''}">
    {#if theme.fault}
      <div class="grid h-full place-items-center bg-sunk text-muted" aria-hidden="true">no cloth</div>
    {:else}
      <WeaveMark weave={theme.weave} size={560} repeat={6} />
    {/if}
  </div>
  <div class="flex grow flex-col gap-1 p-4">
    <h2 class="font-display text-xl leading-7 break-words text-heading">
      {#if putAway || theme.fault}{theme.name}
      {:else}<a class="after:absolute after:inset-0 focus-visible:outline-none" href="/bench/{theme.id}">{theme.name}</a>{/if}
    </h2>
    {#if theme.fault}
      <p class="min-h-10 text-must">{theme.fault}</p>
    {:else}
      <p class="line-clamp-3 min-h-10 text-muted">{theme.description || 'No description yet.'}</p>
      <p class="caption">{theme.families.join(' · ')}</p>
    {/if}
    <p class="caption mt-auto flex items-center gap-3 border-t border-border pt-2">
      <span>Revision {theme.revision}</span>
      <span>{when(theme.changedAt)}</span>
      {#if theme.fault}<span></span>
      {:else if theme.findings > 0}<span class="ml-auto font-semibold text-must"
          >{theme.findings} {theme.findings === 1 ? 'finding' : 'findings'}</span
        >
      {:else if theme.pairs === 0}<span class="ml-auto text-muted">Nothing to check yet</span>
      {:else}<span class="ml-auto text-good">All pairs readable</span>{/if}
    </p>
    <div class="relative z-10 flex items-center gap-3">
      {#if theme.fault}<a class="text-link underline underline-offset-2" href={documentOf} download>Export its document</a>
      {:else if putAway}<button class="button" onclick={() => onputaway(false)}>Bring back</button>
      {:else}<a class="text-link underline underline-offset-2" href="/kit/{theme.id}" aria-label="Kit of {theme.name}">Kit</a>
        <a class="text-link underline underline-offset-2" href="/pictures/{theme.id}" aria-label="Pictures of {theme.name}">Pictures</a
        >{/if}
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          class="ml-auto grid size-7 place-items-center rounded-[3px] text-muted hover:bg-hover hover:text-ink"
          aria-label="More for {theme.name}"><More size={16} /></DropdownMenu.Trigger
        >
        <DropdownMenu.Portal>
          <DropdownMenu.Content class="z-40 min-w-44 rounded-[3px] border border-line bg-raised py-1" sideOffset={4} align="end">
            {#if !theme.fault}{@render item('Copy', oncopy)}{/if}
            {#if putAway}{@render item('Bring back', () => onputaway(false))}
            {:else}{@render item('Put away', () => onputaway(true))}{/if}
            {#if !theme.fault}{@render item('Export its document', () => location.assign(documentOf))}{/if}
            {#if putAway}
              <DropdownMenu.Separator class="my-1 h-px bg-border" />
              {@render item('Delete for good …', ondelete)}
            {/if}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </div>
  </div>
</li>
