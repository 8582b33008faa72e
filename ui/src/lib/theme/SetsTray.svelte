<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import Ellipsis from '@lucide/svelte/icons/ellipsis';
  import GripVertical from '@lucide/svelte/icons/grip-vertical';
  import Plus from '@lucide/svelte/icons/plus';
  import type { Schemas } from '$lib/api/client';
  import type { Bench, Edit } from './bench.svelte';

  /**
   * What a theme is woven from, as bands in resolution order: each lies over the one before it, so later wins. A
   * modifier's band holds its contexts; which of them each bay wears is marked with the bay's number.
   */
  let { bench }: { bench: Bench } = $props();

  type Layer = Schemas['LayerView'];
  type Asking = {
    title: string;
    label: string;
    value: string;
    second?: { label: string; value: string };
    edit: (text: string, second: string) => Edit;
  };

  const layers = $derived(bench.saved?.structure.layers ?? []);
  const applying = $derived(layers.filter((layer) => layer.applies));
  const resting = $derived(layers.filter((layer) => !layer.applies));
  /** What holds on pages of one kind alone lies above every set and modifier. */
  const scoped = $derived(bench.writable.filter((one) => one.kind === 'scope' && one.holds > 0));
  const most = $derived(Math.max(1, ...layers.flatMap((l) => (l.kind === 'set' ? [l.tokens] : l.contexts.map((c) => c.tokens)))));

  let asking = $state.raw<Asking | null>(null);
  let text = $state('');
  let second = $state('');
  let refused = $state('');
  let dragged = $state<{ from: number; to: number; x: number } | null>(null);
  let bands: HTMLElement[] = [];

  const place = (layer: Layer, context?: string) =>
    context === undefined ? layer.place : (layer.contexts.find((one) => one.name === context)?.place ?? '');
  const entry = (layer: Layer) => `${layer.kind}:${layer.name}`;
  const thread = (tokens: number) => `${tokens === 0 ? 0 : Math.max(3, Math.sqrt(tokens / most) * 100)}%`;
  const wearing = (layer: Layer, context: string) =>
    bench.bays
      .map((bay, i) => ({ bay, i }))
      .filter(({ bay }) => bay.contexts[layer.name] === context)
      .map(({ i }) => i + 1);

  function reorder(from: number, to: number) {
    if (from === to || to < 0 || to >= applying.length) return;
    const order = applying.map(entry);
    order.splice(to, 0, ...order.splice(from, 1));
    void bench.commit({ op: 'reorder', order });
  }

  function apply(layer: Layer, on: boolean) {
    const order = applying.map(entry).filter((e) => on || e !== entry(layer));
    void bench.commit({ op: 'reorder', order: on ? [...order, entry(layer)] : order });
  }

  function ask(what: Asking) {
    asking = what;
    text = what.value;
    second = what.second?.value ?? '';
    refused = '';
  }

  async function answer(event: SubmitEvent) {
    event.preventDefault();
    if (!asking) return;
    refused = await bench.take(asking.edit(text.trim(), second.trim()));
    if (refused === '') asking = null;
  }

  function hold(event: PointerEvent & { currentTarget: HTMLElement }, index: number) {
    event.currentTarget.setPointerCapture(event.pointerId);
    dragged = { from: index, to: index, x: 0 };
    const start = event.clientX;
    event.currentTarget.onpointermove = (move) => {
      const centers = bands
        .slice(0, applying.length)
        .map((band) => band.getBoundingClientRect())
        .map((box) => box.left + box.width / 2);
      let to = 0;
      centers.forEach((center, i) => {
        if (i !== index && move.clientX > center) to++;
      });
      dragged = { from: index, to, x: move.clientX - start };
    };
  }

  function drop() {
    if (dragged) reorder(dragged.from, dragged.to);
    dragged = null;
  }

  function key(event: KeyboardEvent, index: number) {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    reorder(index, index + by);
  }

  const part = (layer: Layer, name: string) => layer.contexts.find((context) => context.part === name)?.name ?? '';
  const MEANINGS: Record<string, string> = { scheme: 'the scheme', contrast: 'contrast', density: 'density', look: 'the look' };

  /** A scheme says which context is the light one and which the dark one. */
  const scheme = (layer: Layer): Asking => ({
    title: `${layer.name} follows the reader’s light or dark`,
    label: 'Light context',
    value: part(layer, 'light') || layer.standard,
    second: {
      label: 'Dark context',
      value: part(layer, 'dark') || (layer.contexts.find((context) => context.name !== layer.standard)?.name ?? '')
    },
    edit: (light, dark) => ({ op: 'mean', modifier: layer.name, kind: 'scheme', contexts: [light, dark] })
  });
  const contrast = (layer: Layer): Asking => ({
    title: `${layer.name} is for readers who ask for more contrast`,
    label: 'Context with more contrast',
    value: part(layer, 'more') || (layer.contexts.find((context) => context.name !== layer.standard)?.name ?? ''),
    edit: (more) => ({ op: 'mean', modifier: layer.name, kind: 'contrast', contexts: [more] })
  });

  const named = (title: string, value: string, edit: (text: string) => Edit): Asking => ({
    title,
    label: 'Name',
    value,
    edit: (t) => edit(t)
  });
</script>

{#snippet choice(label: string, action: () => void)}
  <DropdownMenu.Item class="cursor-pointer px-3 py-1 data-highlighted:bg-hover" onSelect={action}>{label}</DropdownMenu.Item>
{/snippet}

{#snippet menu(layer: Layer, context?: string)}
  <DropdownMenu.Root>
    <DropdownMenu.Trigger
      class="grid size-6 shrink-0 place-items-center rounded-[3px] hover:bg-hover"
      aria-label="What to do with {layer.kind} {layer.name}{context === undefined ? '' : `, context ${context}`}"
      ><Ellipsis size={14} /></DropdownMenu.Trigger
    >
    <DropdownMenu.Portal to="main">
      <DropdownMenu.Content class="z-40 min-w-44 rounded-[3px] border border-line bg-raised py-1" sideOffset={4} align="end">
        {#if context !== undefined}
          {@render choice('Rename', () =>
            ask(named('Rename the context', context, (t) => ({ op: 'renamePlace', place: place(layer, context), name: t })))
          )}
          {@render choice('Copy', () =>
            ask(named('Copy the context', `${context} copy`, (t) => ({ op: 'copyPlace', place: place(layer, context), name: t })))
          )}
          {#if layer.standard !== context}
            {@render choice('Make it the default', () => void bench.commit({ op: 'setDefault', modifier: layer.name, context }))}
            {@render choice('Delete', () => void bench.commit({ op: 'removePlace', place: place(layer, context) }))}
          {/if}
        {:else if layer.kind === 'set'}
          {@render choice('Rename', () =>
            ask(named('Rename the set', layer.name, (t) => ({ op: 'renamePlace', place: place(layer), name: t })))
          )}
          {@render choice('Say what it is for', () =>
            ask({
              title: 'What the set is for',
              label: 'In a sentence',
              value: layer.description,
              edit: (t) => ({ op: 'describe', kind: layer.kind, name: layer.name, text: t })
            })
          )}
          {@render choice('Copy', () =>
            ask(named('Copy the set', `${layer.name} copy`, (t) => ({ op: 'copyPlace', place: place(layer), name: t })))
          )}
          {@render choice(layer.applies ? 'Take it out of the order' : 'Put it into the order', () => apply(layer, !layer.applies))}
          {@render choice('Delete', () => void bench.commit({ op: 'removePlace', place: place(layer) }))}
        {:else}
          {@render choice('New context', () => ask(named('New context', '', (t) => ({ op: 'addContext', modifier: layer.name, name: t }))))}
          {@render choice('Rename', () =>
            ask(named('Rename the modifier', layer.name, (t) => ({ op: 'renameModifier', modifier: layer.name, name: t })))
          )}
          {@render choice('It is light and dark …', () => ask(scheme(layer)))}
          {@render choice('It is for more contrast …', () => ask(contrast(layer)))}
          {#each ['density', 'look', 'none'].filter((kind) => kind !== layer.meaning) as kind (kind)}
            {@render choice(
              kind === 'none' ? 'It stands for nothing in particular' : `It is ${MEANINGS[kind]}`,
              () => void bench.commit({ op: 'mean', modifier: layer.name, kind, contexts: [] })
            )}
          {/each}
          {@render choice('Say what it is for', () =>
            ask({
              title: 'What the modifier is for',
              label: 'In a sentence',
              value: layer.description,
              edit: (t) => ({ op: 'describe', kind: layer.kind, name: layer.name, text: t })
            })
          )}
          {@render choice(layer.applies ? 'Take it out of the order' : 'Put it into the order', () => apply(layer, !layer.applies))}
          {@render choice('Delete', () => void bench.commit({ op: 'removeModifier', name: layer.name }))}
        {/if}
      </DropdownMenu.Content>
    </DropdownMenu.Portal>
  </DropdownMenu.Root>
{/snippet}

{#snippet threads(tokens: number)}
  <span class="block h-1.5 bg-sunk" aria-hidden="true"><span class="threads block h-full" style:width={thread(tokens)}></span></span>
{/snippet}

{#snippet band(layer: Layer, index: number)}
  <li
    bind:this={bands[index]}
    class="flex max-w-56 min-w-46 flex-1 flex-col border-l-2 bg-raised {layer.kind === 'set'
      ? 'border-ink'
      : 'border-accent'} {layer.applies ? '' : 'opacity-70'} {dragged?.from === index && layer.applies
      ? 'relative z-10 outline-2 outline-accent'
      : ''}"
    style:transform={dragged?.from === index && layer.applies ? `translateX(${dragged.x}px)` : undefined}
    aria-label="{layer.kind} {layer.name}"
  >
    <div class="flex items-center gap-1 px-1 pt-1">
      {#if layer.applies}
        <button
          class="grid h-6 w-5 cursor-grab touch-none place-items-center text-muted hover:bg-hover"
          aria-label="Place of {layer.name} in the order, {index + 1} of {applying.length}; arrow keys move it"
          onpointerdown={(e) => hold(e, index)}
          onpointerup={(e) => {
            e.currentTarget.onpointermove = null;
            drop();
          }}
          onpointercancel={() => (dragged = null)}
          onkeydown={(e) => key(e, index)}><GripVertical size={14} /></button
        >
      {/if}
      <span class="min-w-0 grow truncate font-semibold">{layer.name}</span>
      <span class="caption">{layer.kind === 'set' ? `${layer.tokens}` : (MEANINGS[layer.meaning] ?? 'modifier')}</span>
      {@render menu(layer)}
    </div>
    <div class="px-2 pb-2">
      {#if layer.kind === 'set'}
        {@render threads(layer.tokens)}
        <p class="caption mt-1">{layer.description || 'No description yet.'}</p>
        <p class="caption mt-1">
          Always applies{layer.applies ? '' : ' when it is in the order'}; {layer.tokens}
          {layer.tokens === 1 ? 'token' : 'tokens'}.
        </p>
      {:else}
        <p class="caption mb-1">{layer.description || 'No description yet.'}</p>
        <ul class="flex flex-col gap-1">
          {#each layer.contexts as context (context.name)}
            {@const chosen = bench.working[layer.name] === context.name}
            <li class="border border-border {chosen ? 'bg-chosen' : ''}">
              <div class="flex items-center gap-1 pl-2">
                <button
                  class="min-w-0 grow truncate py-0.5 text-left hover:underline {chosen ? 'font-semibold' : ''}"
                  aria-pressed={chosen}
                  onclick={() => bench.choose(layer.name, context.name)}
                  >{context.name}{#if layer.standard === context.name}<span class="caption">{' '}default</span
                    >{/if}{#if context.part && context.part !== context.name}<span class="caption">{' '}{context.part}</span>{/if}</button
                >
                {#each wearing(layer, context.name) as bay (bay)}<span
                    class="value grid size-4 place-items-center rounded-full bg-accent text-[0.625rem]! text-on-accent"
                    title="Bay {bay} wears it"><span class="sr-only">bay </span>{bay}</span
                  >{/each}
                <span class="caption">{context.tokens}</span>
                {@render menu(layer, context.name)}
              </div>
              {@render threads(context.tokens)}
            </li>
          {/each}
        </ul>
      {/if}
    </div>
  </li>
{/snippet}

<!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
<div class="flex h-full flex-col overflow-auto p-3" tabindex="0" role="group" aria-label="What the theme is woven from">
  <div class="mb-2 flex items-center gap-2">
    <p class="caption">Bands apply from left to right; what lies further right wins. Drag a band, or move it with the arrow keys.</p>
    <span class="grow"></span>
    <button class="button" onclick={() => ask(named('New set', '', (t) => ({ op: 'newSet', name: t })))}
      ><Plus size={14} aria-hidden="true" /> Set</button
    >
    <button
      class="button"
      onclick={() =>
        ask({
          title: 'New modifier',
          label: 'Name',
          value: '',
          second: { label: 'Contexts, with commas', value: '' },
          edit: (t, s) => ({ op: 'newModifier', name: t, contexts: s.split(',') })
        })}><Plus size={14} aria-hidden="true" /> Modifier</button
    >
  </div>
  {#if asking}
    <form class="mb-3 flex items-end gap-3 border border-line bg-raised p-3" aria-label={asking.title} onsubmit={answer}>
      <span class="self-center font-semibold">{asking.title}</span>
      <label class="flex flex-col gap-0.5"
        ><span class="caption">{asking.label}</span>
        <!-- svelte-ignore a11y_autofocus (it was just asked for) -->
        <input class="field w-56" bind:value={text} required={asking.label === 'Name'} autofocus /></label
      >
      {#if asking.second}<label class="flex flex-col gap-0.5"
          ><span class="caption">{asking.second.label}</span><input class="field w-64" bind:value={second} required /></label
        >{/if}
      <button class="button button-strong" type="submit">Do it</button>
      <button class="button" type="button" onclick={() => (asking = null)}>Cancel</button>
      {#if refused}<p class="text-must" role="alert">{refused}</p>{/if}
    </form>
  {/if}
  <ol class="flex items-start gap-3" aria-label="Resolution order">
    {#each applying as layer, i (entry(layer))}{@render band(layer, i)}{/each}
    {#if scoped.length}
      <li class="max-w-56 min-w-46 flex-1 border-l-2 border-ink bg-raised" aria-label="kinds of pages">
        <div class="flex h-8 items-center gap-1 px-2">
          <span class="min-w-0 grow truncate font-semibold">Kinds of pages</span>
          <span class="caption">above all</span>
        </div>
        <div class="px-2 pb-2">
          <p class="caption mb-1">What differs on them on purpose</p>
          <ul class="flex flex-col gap-1">
            {#each scoped as one (one.place)}
              <li class="border border-border {bench.target === one.place ? 'bg-chosen' : ''}">
                <button
                  class="flex w-full items-center gap-1 px-2 py-0.5 text-left hover:underline {bench.target === one.place
                    ? 'font-semibold'
                    : ''}"
                  aria-pressed={bench.target === one.place}
                  title="Edits go there"
                  onclick={() => bench.aimAt(bench.target === one.place ? '' : one.place)}
                  ><span class="min-w-0 grow truncate">{one.words}</span><span class="caption">{one.holds}</span></button
                >
                {@render threads(one.holds)}
              </li>
            {/each}
          </ul>
        </div>
      </li>
    {/if}
  </ol>
  {#if resting.length}
    <h3 class="caption mt-3 mb-1">Not in the order, so never seen</h3>
    <ul class="flex items-start gap-3">
      {#each resting as layer, i (entry(layer))}{@render band(layer, applying.length + i)}{/each}
    </ul>
  {/if}
  {#if layers.length === 0}<p class="m-auto text-muted">This theme has no set yet. Add one to put tokens into.</p>{/if}
</div>

<style>
  .threads {
    background: repeating-linear-gradient(to right, var(--surface-accent) 0 2px, transparent 2px 3px);
  }
</style>
