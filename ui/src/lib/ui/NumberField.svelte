<script lang="ts">
  import { Held } from './held.svelte';

  /**
   * A number with its unit. It can be typed, stepped with the arrow keys, and dragged sideways on its label; while it
   * is dragged it is probed, and stored when it is let go.
   */
  let {
    label,
    value,
    unit = '',
    step = 1,
    min = -Infinity,
    max = Infinity,
    places = 2,
    wide = false,
    short,
    size = 'w-20',
    onprobe,
    oncommit
  }: {
    label: string;
    value: number;
    unit?: string;
    step?: number;
    min?: number;
    max?: number;
    places?: number;
    wide?: boolean;
    /** What stands in place of the label where a table already says it; it still is the handle to drag. */
    short?: string;
    size?: string;
    onprobe?: (value: number) => unknown;
    oncommit: (value: number) => unknown;
  } = $props();

  const PX_PER_STEP = 4;

  let typed = $state<string | null>(null);
  let start: { x: number; value: number } | null = null;
  const held = new Held();

  const written = (v: number) => String(Number(v.toFixed(places)));
  const fit = (v: number) => Math.min(max, Math.max(min, Number(v.toFixed(places))));

  function drag(event: PointerEvent) {
    if (!start) return;
    const moved = Math.round((event.clientX - start.x) / PX_PER_STEP);
    const next = fit(start.value + moved * step);
    if (next !== held.wanted) held.move(next, onprobe);
  }

  function release() {
    start = null;
    void held.letGo(oncommit);
  }

  function take() {
    if (typed === null) return;
    const number = Number(typed.replace(unit, '').trim());
    if (typed.trim() !== '' && Number.isFinite(number)) {
      if (fit(number) !== value) oncommit(fit(number));
      typed = null;
    }
  }

  function key(event: KeyboardEvent) {
    if (event.key === 'Enter') {
      // In a form, too, the number is taken before anything is sent.
      event.preventDefault();
      take();
    }
    if (event.key === 'Escape') typed = null;
    const by = event.key === 'ArrowUp' ? step : event.key === 'ArrowDown' ? -step : 0;
    if (by === 0) return;
    event.preventDefault();
    typed = null;
    oncommit(fit(value + by * (event.shiftKey ? 10 : 1)));
  }
</script>

<label class="flex items-center {short ? 'gap-1' : 'gap-2'}">
  <span
    class="cursor-ew-resize touch-none select-none text-muted {wide ? 'w-24' : ''}"
    role="presentation"
    onpointerdown={(e) => {
      e.currentTarget.setPointerCapture(e.pointerId);
      start = { x: e.clientX, value };
    }}
    onpointermove={drag}
    onpointerup={release}
    onpointercancel={release}
    title="Drag sideways">{short ?? label}</span
  >
  <span class="relative">
    <input
      class="field value {size} {unit ? 'pr-7' : ''}"
      inputmode="decimal"
      aria-label={label}
      aria-invalid={typed !== null && !Number.isFinite(Number(typed.replace(unit, '').trim()))}
      data-stored={typed === null || typed === written(value) || undefined}
      value={typed ?? written(held.shown ?? value)}
      oninput={(e) => (typed = e.currentTarget.value)}
      onblur={take}
      onkeydown={key}
    />
    {#if unit}<span class="caption pointer-events-none absolute top-1.5 right-2">{unit}</span>{/if}
  </span>
</label>
