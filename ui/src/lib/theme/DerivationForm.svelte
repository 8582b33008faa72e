<script lang="ts">
  import ArrowRight from '@lucide/svelte/icons/arrow-right';
  import type { Schemas } from '$lib/api/client';
  import ColorField from '$lib/color/field/ColorField.svelte';
  import { offered } from '$lib/color/offered';
  import NumberField from '$lib/ui/NumberField.svelte';
  import Track from '$lib/ui/Track.svelte';
  import type { Bench } from './bench.svelte';
  import { split } from './valueText';

  /** A value computed from another token, with what it comes to beside what it comes from. Every change is tried at once. */
  let {
    bench,
    written,
    color,
    onprobe,
    oncommit
  }: {
    bench: Bench;
    /** The value now: a derivation, a reference or a value of its own. */
    written: string;
    /** Whether a color is derived. */
    color: boolean;
    onprobe: (text: string) => void;
    oncommit: (text: string) => Promise<string>;
  } = $props();

  type Parameter = Schemas['ParameterView'];

  let refused = $state('');

  // The form starts from the value as it is when it opens; later values come from the form itself.
  // svelte-ignore state_referenced_locally
  const now = /^([a-z-]+)\((.*)\)$/.exec(written);
  // svelte-ignore state_referenced_locally
  const known = bench.operations.some((o) => o.id === now?.[1]);
  // svelte-ignore state_referenced_locally
  let operation = $state(known ? now![1]! : color ? 'lighten' : 'multiply');
  // svelte-ignore state_referenced_locally
  let values = $state<string[]>(known ? split(now![2] ?? '', ',') : [written.startsWith('{') ? written : '']);

  const fitting = $derived(bench.operations.filter((o) => o.color === color));
  const chosen = $derived(fitting.find((o) => o.id === operation));
  const hues = $derived(bench.shown?.color.hues ?? []);
  const text = $derived(chosen ? `${chosen.id}(${chosen.parameters.map((p, i) => values[i] || standard(p)).join(', ')})` : '');
  const colors = $derived(offered(bench));
  const ready = $derived(chosen !== undefined && values[0] !== '' && values[0] !== undefined);

  function standard(p: Parameter): string {
    return p.kind === 'hue' ? `{${hues[0]?.path ?? ''}}` : p.kind === 'color' ? `{${colors[0]?.path ?? ''}}` : p.usual;
  }

  function choose(id: string) {
    operation = id;
    values = [values[0] ?? ''];
    attempt();
  }

  function set(index: number, value: string) {
    const next = [...values];
    next[index] = value;
    values = next;
    attempt();
  }

  function attempt() {
    refused = '';
    if (ready) onprobe(text);
  }

  const path = (reference: string | undefined) => /^\{(.+)\}$/.exec(reference ?? '')?.[1] ?? '';
  const hexOf = (reference: string | undefined) =>
    colors.find((c) => c.path === path(reference))?.hex ?? (reference?.startsWith('{') ? 'transparent' : (reference ?? 'transparent'));

  async function take(event: SubmitEvent) {
    event.preventDefault();
    refused = await oncommit(text);
  }
</script>

<form class="flex flex-col gap-2 border border-line p-2" aria-label="Derivation" onsubmit={take}>
  <label class="flex flex-col gap-0.5"
    ><span class="caption">Operation</span>
    <select class="field" value={operation} onchange={(e) => choose(e.currentTarget.value)}
      >{#each fitting as o (o.id)}<option value={o.id}>{o.words}</option>{/each}</select
    ></label
  >
  {#each chosen?.parameters ?? [] as p, i (p.name)}
    {#if p.kind === 'color'}
      <ColorField
        label={p.words}
        value={values[i] || (i === 0 ? '' : standard(p))}
        hex={hexOf(values[i] || (i === 0 ? '' : standard(p)))}
        width="w-full"
        offered={colors}
        references
        oncommit={async (v) => {
          set(i, v);
          return '';
        }}
      />
    {:else if p.kind === 'hue'}
      <label class="flex flex-col gap-0.5"
        ><span class="caption">{p.words}</span>
        <select class="field" value={values[i] || standard(p)} onchange={(e) => set(i, e.currentTarget.value)}
          >{#each hues as hue (hue.path)}<option value={`{${hue.path}}`}>{hue.name}</option>{/each}</select
        ></label
      >
    {:else if p.kind === 'number' && p.max - p.min <= 720}
      <Track
        label={p.words}
        value={Number(values[i] || standard(p))}
        min={p.min}
        max={p.max}
        step={p.max - p.min <= 4 ? 0.01 : p.name === 'ratio' ? 0.1 : 1}
        text={(v) => String(+v.toFixed(3))}
        onprobe={(v) => set(i, String(+v.toFixed(3)))}
        oncommit={(v) => set(i, String(+v.toFixed(3)))}
      />
      <NumberField
        label="{p.name} as a number"
        short="exactly"
        value={Number(values[i] || standard(p))}
        min={p.min}
        max={p.max}
        step={p.max - p.min <= 4 ? 0.01 : 1}
        places={3}
        size="w-16"
        onprobe={(v) => set(i, String(v))}
        oncommit={(v) => set(i, String(v))}
      />
    {:else}
      <label class="flex flex-col gap-0.5"
        ><span class="caption">{p.words}</span><input
          class="field value"
          required
          placeholder={'{space.8}'}
          value={values[i] || (i === 0 ? '' : standard(p))}
          oninput={(e) => set(i, e.currentTarget.value)}
        /></label
      >
    {/if}
  {/each}
  {#if color}
    <div class="flex items-center gap-2" role="group" aria-label="Source and result">
      <span class="checker h-7 grow border border-line"><span class="block size-full" style:background={hexOf(values[0])}></span></span>
      <ArrowRight size={14} aria-hidden="true" />
      <span class="checker h-7 grow border border-line"
        ><span class="block size-full" style:background={bench.tried || 'transparent'}></span></span
      >
    </div>
  {/if}
  <p class="value break-all text-muted">
    {text}{#if bench.tried}<span class="text-ink">{` = ${bench.tried}`}</span>{/if}
  </p>
  <div class="flex gap-2">
    <button class="button button-strong" type="submit" disabled={!ready}>Derive</button>
    {#if path(values[0])}<button
        class="button button-quiet min-w-0"
        type="button"
        onclick={() => bench.open({ path: path(values[0]), contexts: bench.working, roles: [] }, true)}
        ><span class="truncate">Trace of {path(values[0])}</span></button
      >{/if}
  </div>
  {#if refused}<p class="text-must" role="alert">{refused}</p>{/if}
</form>
