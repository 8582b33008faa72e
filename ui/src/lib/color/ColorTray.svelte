<script lang="ts">
  import { Popover } from 'bits-ui';
  import Plus from '@lucide/svelte/icons/plus';
  import type { Bench } from '$lib/theme/bench.svelte';
  import type { Schemas } from '$lib/api/client';
  import DepthRuler from './DepthRuler.svelte';
  import PalettePanel from './PalettePanel.svelte';
  import RampStrip from './RampStrip.svelte';
  import SeedPanel from './SeedPanel.svelte';
  import SurfaceTable from './SurfaceTable.svelte';

  let { bench }: { bench: Bench } = $props();

  let chosenPath = $state('');
  let pointed = $state.raw<Schemas['ShadeView'] | null>(null);
  let adding = $state(false);
  let finding = $state(false);
  let name = $state('');
  let seed = $state('');
  let refused = $state('');

  const hues = $derived(bench.shown?.color.hues ?? []);
  const hue = $derived(hues.find((h) => h.path === chosenPath) ?? hues[0]);
  const from = $derived(
    pointed
      ? { depth: pointed.depth, hex: pointed.hex, name: pointed.path }
      : hue
        ? { depth: hue.seed.depth, hex: hue.seed.hex, name: hue.seed.path }
        : null
  );

  /** The seed and the trace share one place; choosing a hue brings its seed back. */
  function choose(path: string) {
    chosenPath = path;
    if (bench.pick) bench.unpick();
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    const path = `color.${name.trim()}`;
    if (await bench.commit({ op: 'hue', place: hue?.place ?? 'set:base', path, text: seed })) {
      chosenPath = path;
      adding = false;
      name = seed = refused = '';
    } else refused = bench.refused;
  }
</script>

<div class="flex h-full min-h-0">
  <section class="flex min-w-0 grow flex-col overflow-y-auto p-3" aria-label="Hues">
    <div class="grid max-h-full grow grid-cols-[7.5rem_minmax(0,1fr)] gap-x-3" style:grid-template-rows="auto repeat({hues.length}, minmax(2.25rem, 3.5rem))">
      <div class="flex items-end pb-1">
        <Popover.Root bind:open={adding}>
          <Popover.Trigger aria-label="New hue" class="button button-quiet h-6 px-1.5 text-muted"><Plus size={14} aria-hidden="true" /> New</Popover.Trigger>
          <Popover.Portal>
            <Popover.Content role="dialog" aria-label="New hue" class="z-40 w-64 rounded-[3px] border border-line bg-raised p-4" side="top" sideOffset={6}>
              <form class="flex flex-col gap-3" onsubmit={add}>
                <label class="flex flex-col gap-1"><span>Name</span><input class="field" required bind:value={name} /></label>
                <label class="flex flex-col gap-1"><span>Seed color</span><input class="field value" required bind:value={seed} /></label>
                {#if refused}<p class="text-must" role="alert">{refused}</p>{/if}
                <button class="button button-strong justify-center" type="submit">Add the hue</button>
              </form>
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
        <Popover.Root bind:open={finding} onOpenChange={(open) => { if (!open) bench.revert(); }}>
          <Popover.Trigger class="button button-quiet h-6 px-1.5 text-muted">Find</Popover.Trigger>
          <Popover.Portal>
            <Popover.Content role="dialog" aria-label="Find colors" class="z-40 rounded-[3px] border border-line bg-raised p-4" side="top" sideOffset={6}>
              <PalettePanel {bench} {hue} ontaken={(path) => { chosenPath = path; finding = false; }} />
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      </div>
      <div><DepthRuler {from} /></div>
      {#each hues as h (h.path)}
        <button
          class="flex min-h-9 items-center gap-2 border-t border-border px-1.5 text-left {h === hue ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
          aria-pressed={h === hue}
          onclick={() => choose(h.path)}
        >
          <span class="size-4 shrink-0 border border-line" style:background={h.seed.hex}></span>
          <span class="min-w-0 grow truncate">{h.name}</span>
          <span class="caption" title="depth of the seed">{h.seed.depth.toFixed(0)}</span>
        </button>
        <RampStrip hue={h} chosen={h === hue} onchoose={() => choose(h.path)} onpoint={(shade) => (pointed = shade)} />
      {/each}
    </div>
    {#if hues.length === 0}<p class="p-4 text-muted">This theme has no hue yet. Add one from a seed color.</p>{/if}
  </section>
  {#if hue && !bench.pick}<SeedPanel {bench} {hue} />{/if}
  <SurfaceTable {bench} />
</div>
