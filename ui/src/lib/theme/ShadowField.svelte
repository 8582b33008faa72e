<script lang="ts">
  import NumberField from '$lib/ui/NumberField.svelte';
  import ColorField from '$lib/color/field/ColorField.svelte';
  import { split, type WrittenField } from './valueText';

  /** Shadows drawn as they fall, with each of their lengths beside. */
  let { written, css, offered, onprobe, onrevert, oncommit }: WrittenField = $props();

  const NAMES = ['across', 'down', 'blur', 'spread'];

  const layers = $derived(
    split(written, ',').map((text) => {
      const words = split(text, ' ');
      const inset = words[0] === 'inset';
      return { text, inset, words: inset ? words.slice(1) : words, own: !text.startsWith('{') };
    })
  );

  const px = (word: string | undefined) => /^(-?[\d.]+)(px|rem)$/.exec(word ?? '');

  function changed(layer: number, index: number, value: number): string {
    return layers
      .map((l, i) => {
        if (i !== layer) return l.text;
        const words = [...l.words];
        words[index] = `${value}${px(words[index])?.[2] ?? 'px'}`;
        return (l.inset ? 'inset ' : '') + words.join(' ');
      })
      .join(', ');
  }

  /** The color of a layer as it comes out. */
  const shown = (layer: number) => split(split(css, ',')[layer] ?? '', ' ').at(-1) ?? 'transparent';

  function dyed(layer: number, color: string): string {
    return layers.map((l, i) => (i === layer ? (l.inset ? 'inset ' : '') + [...l.words.slice(0, 4), color].join(' ') : l.text)).join(', ');
  }

  function turned(layer: number): string {
    return layers.map((l, i) => (i === layer ? (l.inset ? '' : 'inset ') + l.words.join(' ') : l.text)).join(', ');
  }
</script>

<div class="flex flex-col gap-2">
  <div class="grid h-20 place-items-center bg-field"><div class="size-12 bg-raised" style:box-shadow={css}></div></div>
  {#each layers as layer, i (i)}
    {#if layer.own}
      <fieldset class="flex flex-col gap-1 border-t border-border pt-1">
        <legend class="caption">{layers.length > 1 ? `Shadow ${i + 1}` : 'Shadow'}</legend>
        <div class="grid grid-cols-2 gap-1">
          {#each NAMES as name, index (name)}
            {@const found = px(layer.words[index])}
            {#if found}<NumberField
                label="{name} of shadow {i + 1}"
                short={name}
                value={Number(found[1])}
                unit={found[2]}
                step={found[2] === 'rem' ? 0.0625 : 1}
                size="w-16"
                onprobe={(v) => onprobe(changed(i, index, v))}
                oncommit={(v) => oncommit(changed(i, index, v))}
              />
            {:else}<span class="caption">{name} {layer.words[index]}</span>{/if}
          {/each}
        </div>
        <ColorField
          label="Color{layers.length > 1 ? ` of shadow ${i + 1}` : ''}"
          value={layer.words[4] ?? ''}
          hex={shown(i)}
          width="w-full"
          {offered}
          references
          onprobe={(text) => onprobe(dyed(i, text))}
          {onrevert}
          oncommit={(text) => oncommit(dyed(i, text))}
        />
        <label class="flex items-center gap-2"
          ><input type="checkbox" checked={layer.inset} onchange={() => oncommit(turned(i))} /> falls inward</label
        >
      </fieldset>
    {:else}<p class="value border-t border-border pt-1">{layer.text}</p>{/if}
  {/each}
</div>
