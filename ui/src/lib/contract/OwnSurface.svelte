<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import GroundPanel from '$lib/color/GroundPanel.svelte';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { chosenOf, placeOf, surfaceOf } from './choosing';

  /** What a choice of a surface is about, alone: on a surface of its own, and what lies on the one that it stands on. */
  let {
    bench,
    choice,
    from
  }: { bench: Bench; choice: Schemas['ChoiceEntry']; /** The surface that it stands on now, where the page is drawn. */ from: string } =
    $props();

  const surfaces = $derived(bench.shown?.color.surfaces ?? []);
  const surface = $derived(surfaces.find((one) => one.name === surfaceOf(chosenOf(bench, choice.name)?.value)));
  /** A site can have more surfaces than the theme has here. */
  const begins = $derived(surface?.name ?? (surfaces.some((one) => one.name === from) ? from : 'page'));

  const alone = () =>
    bench.commit({ op: 'standAlone', place: placeOf(bench, choice.name), choice: choice.name, from: `surface.${begins}` });
</script>

{#if surface?.name !== choice.part}
  <div class="flex items-baseline gap-2 pt-2">
    <button class="button shrink-0" onclick={() => void alone()}>A surface of its own</button>
    <span class="caption">in the colors of {begins} to begin with. A picture can lie on it alone.</span>
  </div>
{/if}
{#if surface}
  <section class="max-w-xl pt-2" aria-label="What lies on {surface.name}"><GroundPanel {bench} {surface} /></section>
{/if}
