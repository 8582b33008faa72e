<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import Track from '$lib/ui/Track.svelte';
  import ColorField from '$lib/color/field/ColorField.svelte';
  import { offered } from '$lib/color/offered';
  import CardHandles from './CardHandles.svelte';
  import Heights from './Heights.svelte';
  import { lightEdit } from './light';
  import Motion from './Motion.svelte';
  import LightPad from './LightPad.svelte';

  /** Shadows from one light, and corners, lines and padding on a card that is pulled into shape. */
  let { bench }: { bench: Bench } = $props();

  const shape = $derived(bench.shown?.shape);
  const light = $derived(shape?.lights[0]);
  /** Colors of the surfaces as the instruments show them, for what is drawn here. */
  const of = (surface: string, role: string) => {
    const view = bench.shown?.color.surfaces.find((one) => one.name === surface);
    const scheme = bench.scheme ? (bench.working[bench.scheme.modifier] ?? bench.scheme.light) : '';
    return view?.roles.find((one) => one.role === role)?.cells.find((cell) => !scheme || cell.scheme === scheme)?.hex;
  };
  const ground = $derived(of('page', 'ground') ?? '#f4f4f4');
  const raised = $derived(of('raised', 'ground') ?? ground);
  const ink = $derived(of('page', 'text') ?? '#222222');
  const accent = $derived(of('raised', 'accent') ?? of('page', 'accent') ?? ink);
</script>

<div class="flex h-full min-h-0 min-w-[78rem]">
  <Compartment label="The light" frame="w-[16rem] shrink-0 border-r border-border" inside="p-3">
    {#if light}
      <LightPad {bench} {light} {ground} {raised} />
      <div class="mt-2 flex flex-col gap-1">
        <Track
          label="Softness"
          value={light.softness}
          min={0}
          max={4}
          step={0.1}
          text={(v) => (v === 0 ? 'hard' : v.toFixed(1))}
          onprobe={(v) => bench.probe(lightEdit(bench, light, { softness: v }))}
          oncommit={(v) => bench.commit(lightEdit(bench, light, { softness: v }))}
        />
        <Track
          label="Darkness"
          value={light.strength}
          min={0}
          max={0.8}
          step={0.01}
          text={(v) => `${Math.round(v * 100)} %`}
          onprobe={(v) => bench.probe(lightEdit(bench, light, { strength: v }))}
          oncommit={(v) => bench.commit(lightEdit(bench, light, { strength: v }))}
        />
        <ColorField
          label="Color of shadows"
          value={light.color}
          hex={light.color}
          width="w-full"
          offered={offered(bench)}
          onprobe={(text) => bench.probe(lightEdit(bench, light, { color: text }))}
          onrevert={() => bench.revert()}
          oncommit={(text) => bench.take(lightEdit(bench, light, { color: text }))}
        />
      </div>
    {:else}
      <p class="text-muted">Each shadow of this theme is set by itself.</p>
      <button class="button mt-2" onclick={() => bench.commit(lightEdit(bench, undefined))}>Let one light throw them</button>
      <p class="caption mt-2">It grows shadows for three heights; what throws which is chosen beside.</p>
    {/if}
  </Compartment>
  <Compartment label="Heights and shadows" frame="w-[25rem] shrink-0 border-r border-border" inside="p-3">
    <Heights {bench} {light} shadows={shape?.shadows ?? []} {ground} {raised} />
  </Compartment>
  <Compartment label="Corners, lines and padding" frame="min-w-0 grow" inside="p-3">
    <CardHandles {bench} {ground} {raised} {ink} {accent} />
  </Compartment>
  <Compartment label="Motion" frame="w-[13rem] shrink-0 border-l border-border" inside="p-3">
    {#each shape?.motions ?? [] as motion (motion.path)}<Motion {bench} {motion} {accent} {ground} />{/each}
  </Compartment>
</div>
