<script lang="ts">
  import ColorField from '$lib/color/field/ColorField.svelte';
  import { offered } from '$lib/color/offered';
  import PlaceOptions from '$lib/place/PlaceOptions.svelte';
  import type { Bench } from './bench.svelte';

  /** Makes a token in a set or context. */
  let { bench, group, onmade }: { bench: Bench; group: string; onmade: (path: string) => void } = $props();

  const TYPES = [
    'color',
    'dimension',
    'number',
    'fontFamily',
    'fontWeight',
    'duration',
    'cubicBezier',
    'strokeStyle',
    'border',
    'transition',
    'shadow',
    'gradient',
    'typography'
  ];
  const SAMPLE: Record<string, string> = {
    color: '#7a4a2b',
    dimension: '1.5rem',
    number: '1.5',
    fontFamily: 'Archivo, sans-serif',
    fontWeight: '600',
    duration: '200ms',
    cubicBezier: 'cubic-bezier(0.2, 0, 0.2, 1)',
    strokeStyle: 'dashed',
    border: '1px solid #888888',
    transition: '200ms ease-out 0ms',
    shadow: '0px 2px 8px 0px #00000033',
    gradient: '#ffffff 0%, #000000 100%',
    typography: 'Archivo / 1rem / 400 / 0px / 1.5'
  };

  let place = $state('');
  // svelte-ignore state_referenced_locally (only where it starts)
  let path = $state(group ? `${group.includes('.') ? group.split('.').slice(0, -1).join('.') : group}.` : '');
  let type = $state('color');
  let text = $state('');
  let refused = $state('');
  const standard = $derived(bench.homes[type] || bench.writable[0]?.place || '');

  async function make(event: SubmitEvent) {
    event.preventDefault();
    refused = await bench.take({ op: 'newToken', place: place || standard, path, type, text });
    if (refused === '') onmade(path);
  }
</script>

<form class="flex flex-wrap items-end gap-2 border-b border-line bg-raised px-3 py-2" aria-label="New token" onsubmit={make}>
  <label class="flex flex-col gap-0.5"
    ><span class="caption">In</span><select class="field" bind:value={() => place || standard, (v) => (place = v)}
      ><PlaceOptions {bench} /></select
    ></label
  >
  <label class="flex grow flex-col gap-0.5"
    ><span class="caption">Path, with dots</span><input class="field value" required bind:value={path} /></label
  >
  <label class="flex flex-col gap-0.5"
    ><span class="caption">Type</span><select class="field" bind:value={type}
      >{#each TYPES as t (t)}<option value={t}>{t}</option>{/each}</select
    ></label
  >
  {#if type === 'color'}
    {@const hex = offered(bench).find((o) => `{${o.path}}` === text)?.hex ?? (text && !text.includes('{') ? text : 'transparent')}
    <div class="grow-[2]">
      <ColorField
        label="Value, reference or derivation"
        value={text}
        {hex}
        width="w-full"
        offered={offered(bench)}
        references
        oncommit={async (v) => {
          text = v;
          return '';
        }}
      />
    </div>
  {:else}
    <label class="flex grow-[2] flex-col gap-0.5"
      ><span class="caption">Value, reference or derivation</span><input
        class="field value"
        required
        placeholder={SAMPLE[type]}
        bind:value={text}
      /></label
    >
  {/if}
  <button class="button button-strong" type="submit">Make it</button>
  {#if refused}<p class="w-full text-must" role="alert">{refused}</p>{/if}
</form>
