<script lang="ts">
  import type { Schemas } from '$lib/api/client';

  /** One change as a picture: what it was and what it is, cut into each other. */
  let { change }: { change: Schemas['ToldChange'] } = $props();

  const color = $derived(change.beforeHex !== '' || change.afterHex !== '');
  const LENGTH = /^-?[\d.]+(px|rem)( to -?[\d.]+(px|rem))?$/;
  const SHADOW = /^(inset )?(-?[\d.]+(px|rem) ){4}/;
  /** The wider end of a length; what the server sent is only read to be drawn. */
  const px = (text: string) => {
    const last = [...text.matchAll(/(-?[\d.]+)(px|rem)/g)].slice(0, 2).pop();
    return last ? Number(last[1]) * (last[2] === 'rem' ? 16 : 1) : 0;
  };
  const lengths = $derived(!color && LENGTH.test(change.was) && LENGTH.test(change.is));
  const shadows = $derived(!color && SHADOW.test(change.was) && SHADOW.test(change.is));
  const longest = $derived(Math.max(px(change.was), px(change.is), 1));
</script>

<figure class="flex w-52 shrink-0 flex-col border border-border bg-raised">
  <div class="flex h-20 items-stretch" aria-hidden="true">
    {#if color}
      <span class="grow basis-0" style:background={change.beforeHex || 'none'}></span>
      <span class="grow basis-0" style:background={change.afterHex || 'none'}></span>
    {:else if lengths}
      <span class="flex min-w-0 grow flex-col justify-center gap-1.5 px-3">
        {#each [change.was, change.is] as length, i (i)}
          <span class="flex items-center gap-2">
            <span class="block h-3 {i ? 'bg-ink' : 'border border-ink'}" style:width="{Math.max(2, (px(length) / longest) * 55)}%"></span>
            <span class="value min-w-0 truncate text-xs {i ? '' : 'text-muted'}">{length}</span>
          </span>
        {/each}
      </span>
    {:else if shadows}
      {#each [change.was, change.is] as shadow, i (i)}
        <span class="grid grow place-items-center overflow-hidden"><span class="size-9 bg-raised" style:box-shadow={shadow}></span></span>
      {/each}
    {:else}
      <span class="flex min-w-0 grow flex-col justify-center px-3 leading-tight">
        <s class="truncate text-muted">{change.before || 'nothing'}</s>
        <span class="truncate">{change.after || 'nothing'}</span>
      </span>
    {/if}
  </div>
  <figcaption class="border-t border-border px-3 py-2 text-xs">
    <span class="value block truncate" title={change.path}>{change.path}</span>
    <span class="text-muted">{change.size || change.kind.replace('_', ' ')}{change.follows ? ` · ${change.follows} follow` : ''}</span>
  </figcaption>
</figure>
