<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { facts } from '$lib/font/facts.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';

  /** Slope, case, line, width and the font's own features of a style, each as what it looks like. */
  let {
    bench,
    style,
    reads,
    onset,
    ontry
  }: {
    bench: Bench;
    style: Schemas['StyleView'];
    reads: (part: string) => boolean;
    onset: (part: string, text: string) => void;
    ontry: (part: string, text: string) => void;
  } = $props();

  const CASES = [
    { value: '', shown: 'Ag', words: 'as it is written' },
    { value: 'uppercase', shown: 'AG', words: 'in capitals' },
    { value: 'lowercase', shown: 'ag', words: 'in small letters' },
    { value: 'capitalize', shown: 'Ag Ag', words: 'each word with a capital' }
  ];

  $effect(() => facts.ask(bench.fonts.map((one) => one.name).join('|')));
  const font = $derived(facts.of(style.familyName));
  const manner = $derived(style.manner);
  const chosen = $derived(manner.fontFeatures && manner.fontFeatures !== 'normal' ? manner.fontFeatures.split(' ') : []);
  const features = $derived(font?.features ?? []);
  /** Those that the style asks for and the font has not. */
  const lost = $derived(chosen.filter((tag) => font && !features.some((one) => one.tag === tag.replace('-', ''))));

  /** What is said already is taken back; the other is said. */
  const toggle = (part: string, text: string) => onset(part, manner[part] === text ? '' : text);
  const feature = (tag: string) =>
    onset('fontFeatures', (chosen.includes(tag) ? chosen.filter((one) => one !== tag) : [...chosen, tag]).join(' '));
  const mark = (on: boolean) => (on ? 'border-accent bg-chosen' : 'border-border text-muted hover:text-text');
</script>

<!-- The words of these two are also the classes that look like them. -->
{#snippet mannerButton(part: string, text: 'italic' | 'underline', letter: string, words: string)}
  {#if reads(part)}
    <button
      class="h-6 w-7 rounded-sm border {text} {mark(manner[part] === text)}"
      style:font-family={style.familyName}
      aria-pressed={manner[part] === text}
      aria-label={words}
      title={words}
      onclick={() => toggle(part, text)}>{letter}</button
    >
  {/if}
{/snippet}

<div class="mt-1 flex flex-wrap items-center gap-1" role="group" aria-label="Manner of {style.role}">
  {@render mannerButton('fontStyle', 'italic', 'I', 'Italic')}
  {@render mannerButton('textDecoration', 'underline', 'U', 'Underlined')}
  {#if reads('textCase')}
    <span class="ml-1 flex" role="radiogroup" aria-label="Case of {style.role}">
      {#each CASES as one (one.value)}
        <button
          class="-ml-px h-6 border px-1.5 first:rounded-l-sm last:rounded-r-sm {mark((manner.textCase ?? '') === one.value)}"
          role="radio"
          aria-checked={(manner.textCase ?? '') === one.value}
          aria-label={one.words}
          title={one.words}
          onclick={() => onset('textCase', one.value)}>{one.shown}</button
        >
      {/each}
    </span>
  {/if}
  {#if reads('fontFeatures') && (features.length || chosen.length)}
    <Popover.Root>
      <Popover.Trigger class="ml-1 h-6 rounded-sm border px-1.5 {mark(chosen.length > 0)}">
        {chosen.length ? chosen.join(' ') : `${features.length} features`}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content class="z-40 max-h-96 w-80 overflow-auto border border-line bg-ground p-2 shadow-lg" side="top" sideOffset={4}>
          <p class="caption mb-1">What {font?.name ?? 'the font'} offers</p>
          {#each features as one (one.tag)}
            <button
              class="flex w-full items-baseline gap-2 rounded-sm px-1.5 py-0.5 text-left {chosen.includes(one.tag)
                ? 'bg-chosen'
                : 'hover:bg-hover'}"
              aria-pressed={chosen.includes(one.tag)}
              onclick={() => feature(one.tag)}
            >
              <span
                class="w-28 shrink-0 truncate text-lg"
                style:font-family={style.familyName}
                style:font-feature-settings="'{one.tag}'"
                aria-hidden="true">Ag 0123 1/2</span
              >
              <span class="min-w-0 grow">{one.words}</span><span class="value text-xs text-muted">{one.tag}</span>
            </button>
          {/each}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  {/if}
  {#if reads('fontStretch') && font && font.widest > font.narrowest}
    <span class="ml-auto">
      <NumberField
        label="Width of {style.role}"
        short="%"
        size="w-20"
        value={parseFloat(manner.fontStretch ?? '100')}
        min={font.narrowest}
        max={font.widest}
        step={1}
        places={1}
        onprobe={(v) => ontry('fontStretch', `${v}%`)}
        oncommit={(v) => onset('fontStretch', `${v}%`)}
      />
    </span>
  {/if}
</div>
{#if lost.length}<p class="mt-0.5 border-l-2 border-should pl-2">
    {font?.name} has no {lost.join(', ')}: nothing changes by {lost.length === 1 ? 'it' : 'them'}.
  </p>{/if}
