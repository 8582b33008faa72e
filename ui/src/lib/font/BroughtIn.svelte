<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { Schemas } from '$lib/api/client';

  /** What became of the files that were brought in: those that were kept by family, and why others were refused. */
  let {
    brought,
    reading,
    onshow,
    onclose
  }: { brought: Schemas['Brought'][]; reading: number; onshow: (family: string) => void; onclose: () => void } = $props();

  const refused = $derived(brought.filter((one) => !one.kept));
  const families = $derived([...new Set(brought.filter((one) => one.kept).map((one) => one.family))]);
  const filesOf = (family: string) => brought.filter((one) => one.kept && one.family === family);
</script>

<div class="flex items-start gap-4 border-b border-line bg-raised px-6 py-3">
  {#if reading}
    <p role="status">Reading {reading === 1 ? 'one file' : `${reading} files`} …</p>
  {:else}
    <div class="min-w-0 grow">
      <ul role="status">
        {#each families as family (family)}
          <li>
            <button class="font-semibold underline" onclick={() => onshow(family)}>{family}</button>
            <span class="text-muted"
              >{filesOf(family)
                .map((one) => one.what)
                .join(' · ')}</span
            >
          </li>
        {/each}
      </ul>
      {#if refused.length}
        <ul class={families.length ? 'mt-2' : ''} role="alert">
          {#each refused as one (one.name)}<li class="border-l-2 border-must pl-2">{one.what}</li>{/each}
        </ul>
      {/if}
    </div>
    <button class="button" aria-label="Close" onclick={onclose}><X size={15} /></button>
  {/if}
</div>
