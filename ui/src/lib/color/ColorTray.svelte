<script lang="ts">
  import { Popover } from 'bits-ui';
  import Plus from '@lucide/svelte/icons/plus';
  import Spline from '@lucide/svelte/icons/spline';
  import type { Bench } from '$lib/theme/bench.svelte';
  import type { Schemas } from '$lib/api/client';
  import DepthRuler from './DepthRuler.svelte';
  import FoundRamp from './FoundRamp.svelte';
  import HomeField from '$lib/theme/HomeField.svelte';
  import NewNamed from './NewNamed.svelte';
  import ColorField from './field/ColorField.svelte';
  import { offered } from './offered';
  import PalettePanel from './PalettePanel.svelte';
  import { reshaped } from './ramp';
  import Compartment from '$lib/ui/Compartment.svelte';
  import { trailing } from '$lib/ui/trailing.svelte';
  import RampCurves from './RampCurves.svelte';
  import RampStrip from './RampStrip.svelte';
  import SeedPanel from './SeedPanel.svelte';
  import ShadePanel from './ShadePanel.svelte';
  import SurfaceTable from './SurfaceTable.svelte';

  let { bench }: { bench: Bench } = $props();

  let chosenPath = $state('');
  let chosenShade = $state('');
  let curves = $state(true);
  let pointed = $state.raw<Schemas['ShadeView'] | null>(null);
  let finding = $state(false);
  let seed = $state('');

  const hues = $derived(bench.shown?.color.hues ?? []);
  const hue = $derived(hues.find((h) => h.path === chosenPath) ?? hues[0]);
  /** While a pointer moves, what is told of a ramp is drawn so seldom. */
  const TOLD_MS = 360;
  const told = trailing(
    () => hue,
    () => bench.state === 'probing',
    TOLD_MS
  );
  const shade = $derived(told.now?.shades.find((s) => s.name === chosenShade));
  const spoken = $derived(pointed ?? shade);
  const from = $derived(
    spoken
      ? { depth: spoken.depth, hex: spoken.hex, name: spoken.path }
      : told.now
        ? { depth: told.now.seed.depth, hex: told.now.seed.hex, name: told.now.seed.path }
        : null
  );

  /** The seed and the trace share one place; choosing a hue brings its seed back. */
  function choose(path: string, name = '') {
    chosenPath = path;
    chosenShade = name;
    if (bench.pick) bench.unpick();
  }

  /** Ramps of the theme's own that no recipe grows. */
  const found = $derived(bench.shown?.color.found ?? []);
  /** Where a new hue goes: beside the others. */
  let home = $state('');
  const family = $derived(hue?.path.split('.').slice(0, -1).join('.') || 'color');

  async function add(name: string) {
    const path = `${family}.${name}`;
    const refused = await bench.take({ op: 'hue', place: home, path, text: seed });
    if (refused !== '') return refused;
    chosenPath = path;
    seed = '';
    return '';
  }
</script>

<div class="flex h-full min-h-0 min-w-max">
  <Compartment label="Hues" frame="min-w-[29rem] grow" inside="flex flex-col px-3 pb-3">
    <div class="grid grid-cols-[7.5rem_minmax(0,1fr)] gap-x-3">
      <!-- As wide as the compartment: the handles of the curves reach over the edges of the ramp. -->
      <div class="sticky top-0 z-30 col-span-2 -mx-3 grid grid-cols-[7.5rem_minmax(0,1fr)] gap-x-3 bg-ground px-3 pt-3">
        <div class="flex items-end pb-1">
          <NewNamed label="New hue" button="button button-quiet h-6 px-1.5 text-muted" submit="Add the hue" side="top" onadd={add}>
            {#snippet trigger()}<Plus size={14} aria-hidden="true" /> New{/snippet}
            <HomeField {bench} kind="hue" bind:place={home} />
            <ColorField
              label="Seed color"
              value={seed}
              hex={seed || 'transparent'}
              width="w-44"
              offered={offered(bench)}
              oncommit={async (text) => {
                seed = text;
                return '';
              }}
            />
          </NewNamed>
          <Popover.Root
            bind:open={finding}
            onOpenChange={(open) => {
              if (!open) bench.revert();
            }}
          >
            <Popover.Trigger class="button button-quiet h-6 px-1.5 text-muted">Find</Popover.Trigger>
            <Popover.Portal>
              <Popover.Content
                role="dialog"
                aria-label="Find colors"
                class="z-40 rounded-[3px] border border-line bg-raised p-4"
                side="top"
                sideOffset={6}
                collisionPadding={8}
              >
                <PalettePanel
                  {bench}
                  {hue}
                  ontaken={(path) => {
                    chosenPath = path;
                    finding = false;
                  }}
                />
              </Popover.Content>
            </Popover.Portal>
          </Popover.Root>
          <button
            class="button button-quiet h-6 px-1.5 {curves ? 'text-ink' : 'text-muted'}"
            aria-pressed={curves}
            title="Curves of the chosen hue"
            aria-label="Curves"
            onclick={() => (curves = !curves)}><Spline size={14} aria-hidden="true" /></button
          >
        </div>
        <div><DepthRuler sight={bench.sight} {from} /></div>
      </div>
      {#each hues as h (h.path)}
        <button
          class="flex min-h-8 items-center gap-2 border-t border-border px-1.5 text-left {h === hue
            ? 'bg-chosen font-semibold'
            : 'hover:bg-hover'}"
          aria-pressed={h === hue}
          onclick={() => choose(h.path)}
        >
          <span class="size-4 shrink-0 border border-line" style:background={h.seed.hex}></span>
          <span class="min-w-0 grow truncate">{h.name}</span>
          <span class="caption relative h-4 w-6" title="depth of the seed"
            ><span class="absolute inset-0 contain-layout contain-size text-right">{h.seed.depth.toFixed(0)}</span></span
          >
        </button>
        <RampStrip
          hue={h}
          sight={bench.sight}
          chosen={h === hue}
          shade={chosenShade}
          onchoose={(name) => choose(h.path, name)}
          onpoint={(s) => (pointed = s)}
          onstops={(stops) => bench.commit(reshaped(h, { stops }))}
        />
        {#if h === hue && curves}
          <div class="caption flex flex-col items-end pr-1 text-right" aria-hidden="true">
            <span class="mt-1 flex items-center gap-1">chroma <span class="h-0.5 w-4 bg-ink"></span></span>
            <span class="flex items-center gap-1">held by sRGB <span class="h-px w-4 bg-muted"></span></span>
            <span class="flex items-center gap-1">lightness <span class="w-4 border-t border-dashed border-muted"></span></span>
            <span class="mt-auto mb-2">hue drift</span>
          </div>
          <div class="mb-2"><RampCurves {bench} hue={h} /></div>
        {/if}
      {/each}
      {#each found as ramp (ramp.group + ramp.name)}<FoundRamp {bench} {ramp} />{/each}
    </div>
    {#if hues.length === 0 && found.length === 0}<p class="p-4 text-muted">
        This theme has no hue yet. Add one from a seed color with New.
      </p>{/if}
  </Compartment>
  {#if told.now && !bench.pick}
    {#if shade}<ShadePanel {bench} hue={told.now} {shade} onchoose={(name) => (chosenShade = name)} />{:else}<SeedPanel
        {bench}
        hue={told.now}
      />{/if}
  {/if}
  <SurfaceTable {bench} />
</div>
