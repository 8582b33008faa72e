<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { choose, chosenOf, valuesOf } from './choosing';

  /** A choice with every value of it as a picture: pointing at one tries it on all pages. */
  let {
    bench,
    choice,
    frame = 'w-60',
    picture
  }: {
    bench: Bench;
    choice: Schemas['ChoiceEntry'];
    /** Classes of a picture's frame. */ frame?: string;
    picture: Snippet<[Schemas['ChoiceValue']]>;
  } = $props();

  const chosen = $derived(chosenOf(bench, choice.name));
  /** What the pages show already, because it was pointed at. */
  let tried = '';

  function point(value: string) {
    tried = value;
    if (value === chosen?.value) bench.revert();
    else void bench.probe(choose(bench, choice, value));
  }

  function leave() {
    tried = '';
    bench.revert();
  }

  /** By the keyboard, too, pages show it before it is stored. */
  async function take(value: string) {
    const edit = choose(bench, choice, value);
    if (tried !== value) await bench.probe(edit);
    await bench.commit(edit);
  }

  const words = (place: string) => bench.looks.words(place);
</script>

<fieldset class="min-w-0">
  <legend class="flex w-full items-baseline gap-3 pb-1">
    <span>{choice.purpose}</span>
    <span class="caption">
      {#if chosen?.place}written in {words(chosen.place)}{#if chosen.written.length > 1}; also in {chosen.written
            .filter((w) => w.place !== chosen.place)
            .map((w) => `${words(w.place)} (${w.written})`)
            .join(', ')}{/if}{:else}nobody chose; the standard holds{/if}
    </span>
    {#if chosen?.place}
      <button
        class="button button-quiet h-6 px-1.5 text-xs"
        onclick={() => void bench.commit({ op: 'choose', place: chosen.place, choice: choice.name })}>Choose nothing here</button
      >
    {/if}
  </legend>
  <!-- From one value to the next nothing goes back in between: all pages would be laid out once more for it. -->
  <div class="flex flex-wrap gap-3 pb-1" role="presentation" onpointerleave={leave}>
    {#each valuesOf(bench, choice) as value (value.value)}
      {@const taken = chosen?.value === value.value}
      <button
        class="group flex shrink-0 flex-col text-left {frame}"
        aria-pressed={taken}
        onpointerenter={() => point(value.value)}
        onclick={() => void take(value.value)}
      >
        <span class="block overflow-hidden border {taken ? 'border-2 border-accent' : 'border-line group-hover:border-ink'}"
          >{@render picture(value)}</span
        >
        <span class="flex flex-wrap items-baseline gap-x-2 pt-1"
          ><span class={taken ? 'font-semibold' : ''}>{value.words}</span>{#if taken}<span class="caption">chosen</span>{/if}</span
        >
      </button>
    {/each}
  </div>
</fieldset>
