<script lang="ts">
  import { onMount } from 'svelte';
  import Printer from '@lucide/svelte/icons/printer';
  import { page } from '$app/state';
  import { arrived } from '$lib/account/arriving';
  import { api, ask, said, type Schemas } from '$lib/api/client';
  import OwnFaces from '$lib/font/OwnFaces.svelte';
  import { dress } from '$lib/type/dress';

  /** Every text style of a theme as it looks, with its values at three widths of the window: to be printed and pinned up. */
  const id = Number(page.params.theme);
  const WORDS = 'At six the tide turns and the lights are lit along the quay';
  const LARGEST = 44;

  let bench = $state.raw<Schemas['Bench'] | null>(null);
  let fonts = $state.raw<Schemas['Family'][]>([]);
  let problem = $state('');

  const type = $derived(bench?.instruments.type);
  const styles = $derived(type?.styles.filter((one) => !one.follows) ?? []);
  const following = $derived(type?.styles.filter((one) => one.follows && one.read.length) ?? []);
  const worn = $derived(
    fonts.filter((font) => styles.some((one) => one.familyName.startsWith(`"${font.name}"`) || one.familyName.startsWith(font.name)))
  );
  const widths = $derived(styles[0]?.sizes.map((one) => one.viewport) ?? []);

  onMount(async () => {
    if (!(await arrived(page.url.pathname))) return;
    try {
      [bench, fonts] = await Promise.all([
        ask(() =>
          api.GET('/api/themes/{id}', { params: { path: { id }, query: { combo: page.url.searchParams.get('combo') ?? '', bays: '' } } })
        ),
        ask(() => api.GET('/api/fonts'))
      ]);
    } catch (e) {
      problem = said(e);
    }
  });

  const number = (value: number) => String(Math.round(value * 100) / 100);
</script>

<svelte:head><title>Type sheet of {bench?.name ?? ''} · Umber Loom</title></svelte:head>
<OwnFaces families={fonts} />

<div class="sheet mx-auto max-w-5xl px-8 py-6">
  <p class="screen-only mb-6 flex items-center gap-4">
    <a class="text-link underline underline-offset-2" href="/bench/{id}">Back to the bench</a>
    <button class="button ml-auto" onclick={() => print()}><Printer size={15} aria-hidden="true" /> Print</button>
  </p>
  {#if problem}<p role="alert">{problem}</p>{/if}
  {#if bench}
    <header class="border-b-2 border-ink pb-2">
      <h1 class="font-display text-3xl leading-tight text-heading">{bench.name}</h1>
      <p class="text-muted">Text styles of revision {bench.revision}. Sizes in px at windows of {widths.join(', ')} px.</p>
    </header>
    <table class="w-full table-fixed border-collapse" aria-label="Text styles">
      <thead>
        <tr class="caption border-b border-line">
          <th class="py-1 text-left font-normal" scope="col">Style</th>
          {#each widths as width (width)}<th class="w-14 text-right font-normal" scope="col">{width}</th>{/each}
          <th class="w-14 text-right font-normal" scope="col">line</th>
          <th class="w-16 text-right font-normal" scope="col">spacing</th>
          <th class="w-14 text-right font-normal" scope="col">weight</th>
        </tr>
      </thead>
      {#each styles as one (one.path)}
        <tbody class="kept border-b border-border">
          <tr>
            <th class="pt-2 text-left font-semibold" scope="row"
              >{one.role}
              <span class="font-normal text-muted">{one.familyName.split(',')[0]?.replaceAll('"', '')}</span>
              {#each Object.values(one.manner) as member, i (i)}<span class="value ml-2 text-xs">{member}</span>{/each}
            </th>
            {#each one.sizes as size (size.viewport)}<td class="value pt-2 text-right">{number(size.px)}</td>{/each}
            <td class="value pt-2 text-right">{number(one.lineValue)}</td>
            <td class="value pt-2 text-right">{number(one.spacingPx)} px</td>
            <td class="value pt-2 text-right">{one.weightValue}</td>
          </tr>
          <tr>
            <td class="pb-2 text-heading" colspan={4 + one.sizes.length}
              ><span class="specimen block" style={dress(one, Math.min(LARGEST, one.widePx))}>{WORDS}</span></td
            >
          </tr>
        </tbody>
      {/each}
    </table>
    {#if following.length}
      <p class="mt-4">
        <span class="font-semibold">Not set, so as another:</span>
        {following.map((one) => `${one.role} as ${one.follows.replace('type.', '')}`).join(', ')}.
      </p>
    {/if}
    {#if type?.scales[0]}
      <p class="mt-1">
        <span class="font-semibold">Scale:</span>
        {number(type.scales[0].narrowBase)} px × {number(type.scales[0].narrowRatio)} at {type.scales[0].narrowViewport} px,
        {number(type.scales[0].wideBase)} px × {number(type.scales[0].wideRatio)} at {type.scales[0].wideViewport} px.
      </p>
    {/if}
    <p class="mt-1">
      <span class="font-semibold">Fonts:</span>
      {#each worn as one, i (one.name)}{i ? '; ' : ''}{one.name}, {one.rights ? `by its maker it ${one.rights}` : one.license}{/each}.
    </p>
  {/if}
</div>

<style>
  .specimen {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  @media print {
    .screen-only {
      display: none;
    }
    .sheet {
      max-width: none;
      padding: 0;
      background: white;
      color: black;
    }
    .sheet :global(*) {
      color: black;
    }
    .kept {
      break-inside: avoid;
    }
  }
</style>
