<script lang="ts">
  import { Held } from './held.svelte';
  import { Nudge } from './nudge.svelte';

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
  /** Why a number was not taken as it was written. */
  let message = $state('');
  /** What is on its way to be stored. */
  let asked: number | null = null;
  let start: { x: number; value: number } | null = null;
  const id = $props.id();
  const held = new Held();
  const keys = new Nudge<number>();

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

  const bounded = (to: number) => {
    const [end, word] = to < min ? [min, 'least'] : [max, 'most'];
    return `${to}${unit && ` ${unit}`} became ${written(end)}${unit && ` ${unit}`}, the ${word} that is possible here.`;
  };

  function take() {
    if (typed === null) return;
    const text = typed.trim();
    const number = Number(text.replace(unit, '').trim());
    if (text === '' || !Number.isFinite(number)) {
      message = text === '' ? '' : `“${text}” is not a number. Write one${unit && `, in ${unit}`}, or press Escape.`;
      return;
    }
    const to = fit(number);
    message = number < min || number > max ? bounded(number) : '';
    if (to !== (asked ?? value)) {
      asked = to;
      void Promise.resolve(oncommit(to)).finally(() => {
        if (asked === to) asked = null;
      });
    }
    typed = null;
  }

  function key(event: KeyboardEvent) {
    if (event.key === 'Enter') {
      // In a form, too, the number is taken before anything is sent.
      event.preventDefault();
      take();
    }
    if (event.key === 'Escape') {
      typed = null;
      message = '';
    }
    const by = event.key === 'ArrowUp' ? step : event.key === 'ArrowDown' ? -step : 0;
    if (by === 0) return;
    event.preventDefault();
    typed = null;
    message = '';
    const far = by * (event.shiftKey ? 10 : 1);
    keys.press(value, (now) => fit(now + far), oncommit, onprobe);
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
      value={typed ?? written(keys.shown ?? held.shown ?? value)}
      oninput={(e) => {
        typed = e.currentTarget.value;
        message = '';
      }}
      aria-describedby={message ? id : undefined}
      onblur={take}
      onkeydown={key}
    />
    {#if message}<span
        {id}
        class="absolute top-full right-0 z-30 mt-1 w-max max-w-52 rounded-[3px] border border-line bg-raised px-2 py-1 text-xs leading-4"
        role="status">{message}</span
      >{/if}
    {#if unit}<span class="caption pointer-events-none absolute top-1.5 right-2">{unit}</span>{/if}
  </span>
</label>
