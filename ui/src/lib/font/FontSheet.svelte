<script lang="ts">
  import { api, ask, type Schemas } from '$lib/api/client';
  import type { Sample } from './specimen';

  /** One family in full: its weights, its letters beside their lines, its figures, its license, and the themes that wear it. */
  let { family, words, sample, onremove }: { family: Schemas['FamilyFacts']; words: string; sample: Sample | null; onremove?: () => void } =
    $props();

  const WEIGHTS = [100, 200, 300, 400, 500, 600, 700, 800, 900];
  const W = 420;
  const SIZE = 96;
  const BASE = 104;

  let themes = $state.raw<Schemas['WearingTheme'][] | null>(null);

  const stack = $derived(`'${family.name}'`);
  const weights = $derived(
    family.varies ? WEIGHTS.filter((weight) => weight >= family.lightest && weight <= family.heaviest) : family.weights
  );
  const lines = $derived([
    { name: 'capitals', at: family.capHeight },
    { name: 'small letters', at: family.xHeight },
    { name: 'baseline', at: 0 }
  ]);
  const facts = $derived([
    ['Small letters', `${family.xHeight.toFixed(2)} em high`],
    ['A letter of English', `${family.width.toFixed(2)} em wide`],
    ['Strokes', family.contrast ? `thick to thin ${family.contrast.toFixed(1)} : 1` : 'not measured'],
    ['Italics', family.italics ? 'letters of their own' : 'none; the browser would slant the upright'],
    ['Figures', family.tabular ? 'even ones for tables, too' : 'one kind'],
    ['Small capitals', family.smallCapitals ? 'drawn' : 'none'],
    ['Characters', String(family.alphabet)],
    ['A page loads', `${Math.round(family.bytes / 1024)} kB for upright English`]
  ]);

  $effect(() => {
    void ask(() => api.GET('/api/fonts/worn', { params: { query: { family: family.name } } })).then((all) => (themes = all));
  });
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
<section class="min-w-0 grow overflow-auto px-6 py-4" aria-label={family.name} tabindex="0">
  <h2 class="text-4xl text-heading" style:font-family={stack}>{family.name}</h2>
  <svg viewBox="0 22 {W} 114" class="mt-2 w-full max-w-2xl" role="img" aria-label="Letters of {family.name} on their lines">
    {#each lines as line (line.name)}
      <path d="M0 {BASE - line.at * SIZE} H{W}" class="stroke-accent" stroke-width="0.5" stroke-dasharray={line.at ? '2 2' : undefined} />
      <text x={W} y={BASE - line.at * SIZE - 2} class="fill-muted text-[8px]" text-anchor="end">{line.name}</text>
    {/each}
    <text x="0" y={BASE} class="fill-heading" font-size={SIZE} style:font-family={stack}>Hamxg</text>
  </svg>
  <ol class="mt-2 {sample ? 'rounded-sm px-3' : ''}" aria-label="Weights" style:background-color={sample?.ground}>
    {#each weights as weight (weight)}
      <li class="flex items-baseline gap-4 border-t border-border py-0.5">
        <span class="value w-10 shrink-0 {sample ? '' : 'text-muted'}" style:color={sample?.textColor}>{weight}</span>
        <span
          class="min-w-0 truncate text-xl text-heading"
          style:font-family={stack}
          style:font-weight={weight}
          style:color={sample?.headingColor}
          >{words || sample?.text || 'At six the tide turns, lights are lit'}{#if family.italics}<em class="ml-4">and slanted</em
            >{/if}</span
        >
      </li>
    {/each}
  </ol>
  <p class="mt-3 flex flex-wrap gap-x-8 text-2xl text-heading" style:font-family={stack}>
    <span>0123456789</span>
    {#if family.tabular}<span class="tabular-nums" title="Even figures">1,111.00 / 8,888.00</span>{/if}
    {#if family.smallCapitals}<span class="[font-variant-caps:small-caps]">Small Capitals</span>{/if}
  </p>
  <dl class="mt-4 grid max-w-2xl grid-cols-[auto_1fr_auto_1fr] gap-x-4 gap-y-1 border-t border-border pt-3">
    {#each facts as [name, value] (name)}<dt class="text-muted">{name}</dt>
      <dd>{value}</dd>{/each}
  </dl>
  <p class="mt-4 border-t border-border pt-3">
    <span class="text-muted">License</span>
    <a class="ml-2 underline" href="/fonts/{family.licenseFile}">{family.license}</a>
    <span class="text-muted"
      >{#if family.rights}· by its maker it {family.rights}{:else}· its text travels with every kit that holds the family{/if}</span
    >
  </p>
  {#if !family.travels}
    <p class="mt-2 max-w-2xl border-l-2 border-should pl-3">
      Kits are made without its files: their pages show {family.generic} in its place, unless the family is on the reader’s device.
    </p>
  {/if}
  <h3 class="mt-4 font-semibold">Worn by</h3>
  {#if themes}
    <ul>
      {#each themes as theme (theme.id)}<li><a class="underline" href="/bench/{theme.id}">{theme.name}</a></li>
      {:else}<li class="text-muted">No theme in the library wears it yet.</li>{/each}
    </ul>
    {#if onremove}
      <p class="mt-4 flex items-center gap-3 border-t border-border pt-3">
        <button class="button" onclick={onremove}>Remove the family</button>
        <span class="text-muted"
          >{#if themes.length}{themes.length === 1 ? `${themes[0]?.name} keeps` : `${themes.length} themes keep`} its name and shows {family.generic}
            in its place until it comes back.{:else}Nothing shows it.{/if}</span
        >
      </p>
    {/if}
  {/if}
</section>
