<script lang="ts">
  import TextValue from '$lib/ui/TextValue.svelte';
  import type { Laying } from './laying.svelte';

  /** An element that was picked on the page: other words for it, or another picture. */
  let { laying, base }: { laying: Laying; /** Where the site's files lie. */ base: string } = $props();

  const page = $derived(laying.page!);
  const picked = $derived(laying.picked!);
</script>

<section class="border-t border-ink bg-raised p-3" aria-label="Picked on the page">
  <p class="flex items-center gap-2">
    <span class="caption grow">Picked: &lt;{picked.tag}&gt;</span>
    <button class="button button-quiet h-6 px-1.5 text-xs" onclick={() => (laying.picked = null)}>Let go</button>
  </p>
  {#if picked.words !== null}
    {#key picked.at}
      <TextValue
        label="Words"
        width="w-full"
        value={picked.words}
        oncommit={async (text) => {
          const refused = await laying.change({ op: 'words', at: picked.at, text });
          if (!refused) laying.picked = { ...picked, words: text };
          return refused;
        }}
      />
    {/key}
  {:else if picked.picture}
    {#if page.pictures.length}
      <div class="flex flex-wrap gap-1.5" role="radiogroup" aria-label="Pictures of the site">
        {#each page.pictures as name (name)}
          <button
            class="border p-0.5 {picked.picture.source.endsWith(`/${name}`) ? 'border-ink outline-2 outline-accent' : 'border-line'}"
            role="radio"
            aria-checked={picked.picture.source.endsWith(`/${name}`)}
            aria-label={name}
            title={name}
            onclick={async () => {
              const picture = { source: `pictures/${name}`, alternative: picked.picture!.alternative };
              if (!(await laying.change({ op: 'picture', at: picked.at, ...picture }))) laying.picked = { ...picked, picture };
            }}><img class="h-12 w-16 object-cover" src="{base}pictures/{name}" alt="" /></button
          >
        {/each}
      </div>
    {:else}<p class="text-muted">The site has no pictures of its own.</p>{/if}
    {#key picked.at}
      <div class="mt-2">
        <TextValue
          label="What it shows, for those who do not see it"
          width="w-full"
          value={picked.picture.alternative}
          oncommit={async (alternative) => {
            const source = picked.picture!.source;
            const refused = await laying.change({ op: 'picture', at: picked.at, source, alternative });
            if (!refused) laying.picked = { ...picked, picture: { source, alternative } };
            return refused;
          }}
        />
      </div>
    {/key}
  {:else}<p class="text-muted">It holds more than words. Pick the words in it.</p>{/if}
</section>
