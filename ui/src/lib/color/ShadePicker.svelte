<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { Snippet } from 'svelte';
  import type { Bench } from '$lib/theme/bench.svelte';
  import type { Schemas } from '$lib/api/client';
  import DerivationForm from '$lib/theme/DerivationForm.svelte';
  import { isDerived } from '$lib/theme/valueText';
  import ColorField from './field/ColorField.svelte';

  /** Every shade of every hue, to be tried by pointing and taken by picking. */
  let { bench, path, cell, label, children }: { bench: Bench; path: string; cell: Schemas['CellView']; label: string; children: Snippet } =
    $props();

  let open = $state(false);
  let deriving = $state(false);

  /** The hue whose shade the role takes now. */
  const hueOf = $derived(/^\{(color\.[^{}]+)\.[^{}.]+\}$/.exec(cell.written)?.[1] ?? '');

  const edit = (text: string) => ({ op: 'value' as const, place: cell.place, path, text, scheme: cell.scheme });

  async function take(text: string) {
    const refused = await bench.take(edit(text));
    if (refused === '') open = false;
    return refused;
  }

  async function choose(text: string) {
    if (await bench.commit(edit(text))) open = false;
  }

  function opened(now: boolean) {
    if (!now) {
      deriving = false;
      bench.revert();
    }
  }
</script>

<Popover.Root bind:open onOpenChange={opened}>
  <Popover.Trigger class="flex w-full items-center gap-1.5 rounded-[3px] px-1 py-0.5 text-left hover:bg-hover">
    <span class="sr-only">{label}: </span>{@render children()}
  </Popover.Trigger>
  <Popover.Portal>
    <Popover.Content
      role="dialog"
      aria-label="Color of {label}"
      class="z-40 rounded-[3px] border border-line bg-raised p-3"
      sideOffset={4}
      side="top"
    >
      <p class="value mb-2 text-muted">{path} · {cell.scheme}</p>
      <div class="flex flex-col gap-1" role="group" aria-label="Shades" onpointerleave={() => bench.revert()}>
        {#each bench.saved?.instruments.color.hues ?? [] as hue (hue.path)}
          <div class="flex items-center gap-2">
            <span class="w-20 truncate">{hue.name}</span>
            {#each hue.shades as shade (shade.path)}
              <button
                class="size-5 border {`{${shade.path}}` === cell.written ? 'border-2 border-ink' : 'border-transparent'} hover:border-ink"
                style:background={shade.hex}
                aria-label={shade.path}
                title={shade.path}
                onpointerenter={() => bench.probe(edit(`{${shade.path}}`))}
                onclick={() => choose(`{${shade.path}}`)}
              ></button>
            {/each}
          </div>
        {/each}
      </div>
      {#if hueOf && cell.needed > 0 && !cell.written.startsWith('reach(')}
        <button
          class="button mt-3"
          onclick={() =>
            choose(`reach(${cell.written}, {${hueOf}}, {${path.split('.').slice(0, -1).join('.')}.${cell.against}}, ${cell.needed})`)}
          title="The nearest shade that reaches {cell.needed} on {cell.against}, found again whenever either changes"
          >Keep it readable on {cell.against}</button
        >
      {/if}
      <div class="mt-3">
        <ColorField
          label="A shade by name, or any color"
          value={cell.written}
          hex={cell.hex}
          width="w-64"
          onprobe={(text) => bench.probe(edit(text))}
          onrevert={() => bench.revert()}
          oncommit={take}
        />
      </div>
      <button class="button mt-3" aria-expanded={deriving} onclick={() => (deriving = !deriving)}
        >{isDerived(cell.written) ? 'Change the derivation' : 'Derive it'}</button
      >
      {#if deriving}<div class="mt-2 w-72">
          <DerivationForm {bench} written={cell.written} color onprobe={(text) => bench.probe(edit(text))} oncommit={take} />
        </div>{/if}
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
