<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { size, type Asked } from './asked';

  /** What goes into a kit, chosen over bars of what each kind of thing weighs. */
  let {
    kit,
    releases,
    wanted,
    onchoose
  }: { kit: Schemas['KitView']; releases: Schemas['ReleaseView'][]; wanted: Asked; onchoose: (change: Partial<Asked>) => void } = $props();

  const KINDS: { words: string; of: (name: string) => boolean }[] = [
    { words: 'style sheet', of: (name) => name === 'theme.css' },
    { words: 'tokens', of: (name) => /^(tokens\/|theme\.resolver|kit\.json)/.test(name) },
    { words: 'pages', of: (name) => name.startsWith('pages/') },
    { words: 'fonts', of: (name) => name.startsWith('fonts/') },
    { words: 'grounds', of: (name) => name.startsWith('ground/') },
    { words: 'forms', of: (name) => name.startsWith('forms/') }
  ];
  const weights = $derived(
    KINDS.map((kind) => ({ ...kind, bytes: kit.files.filter((file) => kind.of(file.name)).reduce((sum, file) => sum + file.bytes, 0) }))
  );
  const most = $derived(Math.max(1, ...weights.map((one) => one.bytes)));
  const modifiers = $derived([...new Set(kit.contexts.map((one) => one.modifier))]);
  const toggled = (all: string[], one: string) => (all.includes(one) ? all.filter((other) => other !== one) : [...all, one]);
</script>

<aside class="w-60 shrink-0 overflow-y-auto border-r border-line p-4" aria-label="What goes in">
  <h2 class="font-semibold">Of</h2>
  <div class="mt-1 max-h-52 overflow-auto" role="radiogroup" aria-label="State">
    {#each ['draft', ...releases.map((one) => one.number)] as state (state)}
      <button
        class="w-full rounded-sm px-2 py-0.5 text-left {kit.state === state ? 'bg-chosen font-semibold' : 'hover:bg-hover'} {state ===
        'draft'
          ? ''
          : 'value'}"
        role="radio"
        aria-checked={kit.state === state}
        onclick={() => onchoose({ state })}>{state === 'draft' ? 'the draft, as it is now' : state}</button
      >
    {/each}
  </div>
  {#if !releases.length}
    <p class="px-2 text-xs text-muted">A kit of a release is the same to the byte, whenever it is made.</p>
  {/if}

  <h2 class="mt-4 font-semibold">Pages of</h2>
  <div class="mt-1 max-h-60 overflow-auto" role="radiogroup" aria-label="Pages of">
    {#each [...kit.sites, ''] as site (site)}
      <button
        class="w-full rounded-sm px-2 py-0.5 text-left {wanted.site === site ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
        role="radio"
        aria-checked={wanted.site === site}
        onclick={() => onchoose({ site })}>{site || 'no site, the whole style sheet'}</button
      >
    {/each}
  </div>

  {#each modifiers as modifier (modifier)}
    <h2 class="mt-4 font-semibold first-letter:uppercase">{modifier}</h2>
    {#each kit.contexts.filter((one) => one.modifier === modifier) as one (one.context)}
      {@const out = wanted.without.includes(one.code)}
      {@const alone =
        !out && kit.contexts.filter((other) => other.modifier === modifier && !wanted.without.includes(other.code)).length === 1}
      <label class="flex min-h-6 items-center gap-2 px-2">
        <input
          type="checkbox"
          data-stored
          checked={!out}
          disabled={alone}
          onchange={() => onchoose({ without: toggled(wanted.without, one.code) })}
        />{one.context}</label
      >
    {/each}
  {/each}

  <h2 class="mt-4 font-semibold">Besides</h2>
  <label class="flex min-h-6 items-center gap-2 px-2"
    ><input type="checkbox" data-stored checked={wanted.fonts} onchange={() => onchoose({ fonts: !wanted.fonts })} />font files</label
  >
  <label class="flex min-h-6 items-center gap-2 px-2"
    ><input type="checkbox" data-stored checked={wanted.tokens} onchange={() => onchoose({ tokens: !wanted.tokens })} />token files{!wanted.tokens &&
    wanted.site
      ? ': the pages alone'
      : ''}</label
  >
  {#each kit.forms as form (form.id)}
    <label class="flex min-h-6 items-center gap-2 px-2"
      ><input
        type="checkbox"
        data-stored
        checked={wanted.forms.includes(form.id)}
        onchange={() => onchoose({ forms: toggled(wanted.forms, form.id) })}
      />{form.title}</label
    >
  {/each}

  <h2 class="mt-5 font-semibold">What it weighs</h2>
  <ul class="mt-1 space-y-1" aria-live="polite">
    {#each weights as one (one.words)}
      <li class="grid grid-cols-[5rem_minmax(0,1fr)_4.25rem] items-center gap-2 text-xs {one.bytes ? '' : 'text-muted'}">
        <span>{one.words}</span>
        <span class="h-2 bg-sunk" aria-hidden="true"
          ><span class="block h-full bg-ink" style:width="{(one.bytes / most) * 100}%"></span></span
        >
        <span class="value text-right">{one.bytes ? size(one.bytes) : '–'}</span>
      </li>
    {/each}
  </ul>
</aside>
