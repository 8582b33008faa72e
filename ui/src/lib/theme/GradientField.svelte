<script lang="ts">
  import ColorField from '$lib/color/field/ColorField.svelte';
  import { Nudge } from '$lib/ui/nudge.svelte';
  import { split, type WrittenField } from './valueText';

  /** A gradient drawn, with stops that are dragged along it or moved with the arrow keys. */
  let { written, css, offered, onprobe, onrevert, oncommit }: WrittenField = $props();

  let bar: HTMLElement | undefined = $state();
  let held = $state<string | null>(null);
  const keys = new Nudge<string>();

  const stops = $derived(
    split(held ?? keys.shown ?? written, ',').map((text) => {
      const [color = '', at = ''] = split(text, ' ');
      return { color, at, percent: at.endsWith('%') ? Number(at.slice(0, -1)) : null };
    })
  );

  function moved(index: number, percent: number): string {
    const fitted = Math.round(Math.min(100, Math.max(0, percent)) * 10) / 10;
    return stops.map((stop, i) => `${stop.color} ${i === index ? `${fitted}%` : stop.at}`.trim()).join(', ');
  }

  /** The color and the position of a stop as it comes out. */
  const shown = (index: number) => split(split(css, ',')[index] ?? '', ' ');

  /** A stop that was another gradient's keeps its position when it gets a color of its own. */
  function dyed(index: number, color: string): string {
    const own = stops[index]?.at || (color.startsWith('#/') ? '' : (shown(index)[1] ?? '0%'));
    return stops.map((stop, i) => (i === index ? `${color} ${own}` : `${stop.color} ${stop.at}`).trim()).join(', ');
  }

  function drag(event: PointerEvent, index: number) {
    if (!bar || event.buttons === 0) return;
    const box = bar.getBoundingClientRect();
    held = moved(index, ((event.clientX - box.left) / box.width) * 100);
    onprobe(held);
  }

  function release() {
    if (held) oncommit(held);
    held = null;
  }

  function key(event: KeyboardEvent, index: number, percent: number) {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    keys.press(written, () => moved(index, percent + by), oncommit, onprobe, `${index}`);
  }
</script>

<div class="flex flex-col gap-1">
  <div bind:this={bar} class="relative mb-2 h-10 border border-line" style:background="linear-gradient(to right, {css})">
    {#each stops as stop, i (i)}
      {#if stop.percent !== null}
        <span
          class="absolute -bottom-2 size-3.5 -translate-x-1/2 rotate-45 cursor-ew-resize touch-none border-2 border-ink bg-raised"
          style:left="{stop.percent}%"
          role="slider"
          tabindex="0"
          aria-label="Stop {i + 1}, {stop.color}"
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={stop.percent}
          onpointerdown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
          onpointermove={(e) => drag(e, i)}
          onpointerup={release}
          onkeydown={(e) => key(e, i, stop.percent ?? 0)}
        ></span>
      {/if}
    {/each}
  </div>
  {#each stops as stop, i (i)}
    <div class="flex items-end gap-2">
      <ColorField
        label="Stop {i + 1}"
        hideLabel
        value={stop.color}
        hex={shown(i)[0] ?? 'transparent'}
        width="w-36"
        {offered}
        references
        onprobe={(text) => onprobe(dyed(i, text))}
        {onrevert}
        oncommit={(text) => oncommit(dyed(i, text))}
      /><span class="value pb-1">{stop.at || shown(i)[1]}</span>
    </div>
  {/each}
</div>
