<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import CarriedBy from './CarriedBy.svelte';
  import ColorField from './field/ColorField.svelte';
  import { offered } from './offered';
  import { halfway, reshaped, stopOf } from './ramp';

  /** One shade of a ramp: what it can carry, whether it follows the ramp, and its stop. */
  let {
    bench,
    hue,
    shade,
    onchoose
  }: { bench: Bench; hue: Schemas['HueView']; shade: Schemas['ShadeView']; onchoose: (name: string) => void } = $props();

  const stop = $derived(stopOf(shade.name));
  const grown = $derived(hue.stops.includes(stop));
  const between = $derived(halfway(hue, stop));
  const users = $derived(
    (bench.shown?.color.surfaces ?? []).reduce(
      (sum, s) => sum + s.roles.filter((r) => r.cells.some((c) => c.written.includes(`{${shade.path}}`))).length,
      0
    )
  );

  const edit = (text: string) => ({ op: 'value' as const, place: hue.place, path: shade.path, text });

  const take = (text: string) => bench.take(edit(text));

  async function add(at: number) {
    const name = String(at).replace('.', '-');
    if (await bench.commit(reshaped(hue, { stops: [...hue.stops, at] }))) onchoose(name);
  }

  async function remove() {
    if (await bench.commit(reshaped(hue, { stops: hue.stops.filter((s) => s !== stop) }))) onchoose('');
  }
</script>

<Compartment label="Shade {shade.path}" frame="w-[17.5rem] shrink-0 border-l border-border" inside="flex flex-col gap-2 p-3">
  <div class="flex items-center gap-2">
    <h2 class="grow font-semibold">{hue.name} {shade.name}</h2>
    <button
      class="grid size-6 place-items-center rounded-[3px] hover:bg-hover"
      aria-label="Back to the seed of {hue.name}"
      onclick={() => onchoose('')}><X size={14} /></button
    >
  </div>
  <ColorField
    label="Color of {hue.name} {shade.name}"
    value={shade.hex}
    hex={shade.hex}
    swatch="size-11"
    offered={offered(bench)}
    onprobe={(text) => bench.probe(edit(text))}
    onrevert={() => bench.revert()}
    oncommit={take}
  />
  <p class="caption">
    Depth {shade.depth}, lightness {shade.lightness.toFixed(2)}, chroma {shade.chroma.toFixed(3)}, hue {Math.round(shade.hue)}°.
    {shade.detached
      ? 'Set by hand: the ramp leaves it alone.'
      : grown
        ? 'It follows the ramp; a color set here detaches it.'
        : 'It is no stop of the ramp.'}
  </p>
  <CarriedBy {bench} hex={shade.hex} depth={shade.depth} />
  <div class="flex flex-wrap gap-1 border-t border-border pt-2">
    {#if shade.detached}<button class="button" onclick={() => bench.commit({ op: 'attach', place: hue.place, path: shade.path })}
        >Follow the ramp again</button
      >
    {:else if grown}<button class="button" onclick={() => bench.commit({ op: 'detach', place: hue.place, path: shade.path })}>Detach</button
      >{/if}
    {#if grown && hue.stops.length > 1}<button
        class="button"
        title={users ? `${users} roles refer to it and would point nowhere` : 'No role refers to it'}
        onclick={remove}>Remove the stop{users ? `; ${users} ${users === 1 ? 'role uses' : 'roles use'} it` : ''}</button
      >{/if}
  </div>
  {#if grown && between > stop && !hue.stops.includes(between)}
    <div class="flex items-center gap-2">
      <NumberField label="New stop at depth" value={between} min={0} max={120} step={1} places={1} size="w-16" oncommit={add} />
      <button class="button" onclick={() => add(between)}>Add</button>
    </div>
  {/if}
</Compartment>
