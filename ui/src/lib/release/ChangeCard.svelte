<script lang="ts">
  import type { Schemas } from '$lib/api/client';

  /** One change as a picture: what it was and what it is, cut into each other. */
  let { change }: { change: Schemas['ToldChange'] } = $props();

  const color = $derived(change.beforeHex !== '' || change.afterHex !== '');
  const px = (text: string) => Number(/-?\d+(\.\d+)?/.exec(text)?.[0] ?? 0) * (/rem/.test(text) ? 16 : 1);
  const lengths = $derived(/px|rem/.test(change.before + change.after) && !color);
  const longest = $derived(Math.max(px(change.before), px(change.after), 1));
</script>

<figure class="flex w-52 shrink-0 flex-col border border-border bg-raised">
  <div class="flex h-20 items-stretch" aria-hidden="true">
    {#if color}
      <span class="grow basis-0" style:background={change.beforeHex || 'none'}></span>
      <span class="grow basis-0" style:background={change.afterHex || 'none'}></span>
    {:else if lengths}
      <span class="flex grow flex-col justify-center gap-2 px-3">
        <span class="block h-3 border border-ink" style:width="{(px(change.before) / longest) * 100}%"></span>
        <span class="block h-3 bg-ink" style:width="{(px(change.after) / longest) * 100}%"></span>
      </span>
    {:else}
      <span class="flex min-w-0 grow flex-col justify-center px-3 leading-tight">
        <s class="truncate text-muted">{change.before || 'nothing'}</s>
        <span class="truncate">{change.after || 'nothing'}</span>
      </span>
    {/if}
  </div>
  <figcaption class="border-t border-border px-3 py-2 text-sm">
    <span class="value block truncate" title={change.path}>{change.path}</span>
    <span class="text-muted">{change.size || change.kind.replace('_', ' ')}{change.follows ? ` · ${change.follows} follow` : ''}</span>
  </figcaption>
</figure>
