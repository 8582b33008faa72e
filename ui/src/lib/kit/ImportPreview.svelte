<script lang="ts">
  import { Dialog } from 'bits-ui';
  import type { Schemas } from '$lib/api/client';
  import type { Said } from './importing';
  import WeaveMark from '$lib/theme/WeaveMark.svelte';

  /** What would come in from a file, with what was converted and passed over; nothing is stored until it is taken in. */
  let {
    preview,
    file,
    busy,
    said,
    onsay,
    ontake,
    onleave
  }: {
    preview: Schemas['Preview'];
    file: string;
    busy: boolean;
    /** What was said of the files so far. */
    said?: Said;
    onsay: (said: Said) => void;
    ontake: () => void;
    onleave: () => void;
  } = $props();

  type Part = Schemas['Part'];
  const SET = '';
  /** Modifiers that a file can be a context of, beside those that are there. */
  const modifiers = $derived([
    ...new Set(['scheme', 'contrast', 'density', 'brand', ...preview.parts.map((part) => part.modifier).filter(Boolean)])
  ]);

  function change(part: Part, to: Partial<Part>) {
    const parts = preview.parts.map((one) => {
      const { file, modifier, context } = one === part ? { ...one, ...to } : one;
      // A context has a name: that of its file, until it is given another.
      return { file, modifier, context: modifier ? context || file.replace(/^.*\//, '').replace(/(\.tokens)?\.\w+$/, '') : '' };
    });
    onsay({ page: said?.page ?? '', parts });
  }

  const tokens = $derived(preview.types.reduce((sum, type) => sum + type.count, 0));
  const most = $derived(Math.max(1, ...preview.types.map((type) => type.count)));
  const passed = $derived(preview.notes.filter((note) => note.startsWith('Passed over')));
  const converted = $derived(preview.notes.filter((note) => !note.startsWith('Passed over')));
</script>

<Dialog.Root open onOpenChange={(open) => !open && onleave()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ground/80" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 flex max-h-[85vh] w-[44rem] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col gap-4 overflow-y-auto border border-line bg-raised p-6"
    >
      <div class="flex items-center gap-4">
        <WeaveMark weave={preview.weave} size={56} />
        <div class="min-w-0">
          <Dialog.Title class="font-display truncate text-2xl text-heading">{preview.name}</Dialog.Title>
          <Dialog.Description class="text-muted"
            >{tokens} {tokens === 1 ? 'token' : 'tokens'} would come in from {file}. Nothing is stored yet.</Dialog.Description
          >
        </div>
      </div>
      <div class="grid grid-cols-[1fr_1fr] gap-x-8 gap-y-2">
        <ul aria-label="Tokens by type" class="flex flex-col gap-1">
          {#each preview.types as type (type.type)}
            <li class="grid grid-cols-[7rem_1fr_3rem] items-center gap-2">
              <span>{type.type}</span><span class="h-2 bg-sunk" aria-hidden="true"
                ><span class="block h-full bg-accent" style:width="{(type.count / most) * 100}%"></span></span
              ><span class="value text-right">{type.count}</span>
            </li>
          {/each}
        </ul>
        <dl class="flex flex-col gap-1">
          <dt class="caption">Sets</dt>
          <dd>{preview.sets.join(', ')}</dd>
          {#if preview.contexts.length}<dt class="caption">What varies</dt>
            {#each preview.contexts as context (context)}<dd>{context}</dd>{/each}{/if}
          {#if preview.families.length}<dt class="caption">Families</dt>
            <dd>{preview.families.join(', ')}</dd>{/if}
        </dl>
      </div>
      {#if preview.parts.length}
        <table class="w-full border-collapse" aria-label="What each file is">
          <thead>
            <tr class="border-b border-border text-left">
              <th class="caption py-1 font-normal" scope="col">File</th>
              <th class="caption py-1 text-right font-normal" scope="col">Tokens</th>
              <th class="caption py-1 pl-4 font-normal" scope="col">Applies</th>
              <th class="caption py-1 font-normal" scope="col">As</th>
            </tr>
          </thead>
          <tbody>
            {#each preview.parts as part (part.file)}
              <tr class="border-b border-border">
                <th class="value max-w-56 truncate py-1 text-left font-normal" scope="row" title={part.file}>{part.file}</th>
                <td class="value py-1 text-right">{part.tokens}</td>
                <td class="py-1 pl-4">
                  <select
                    class="field h-7"
                    aria-label="When {part.file} applies"
                    value={part.modifier}
                    onchange={(event) => change(part, { modifier: event.currentTarget.value })}
                  >
                    <option value={SET}>always</option>
                    {#each modifiers as modifier (modifier)}<option value={modifier}>in one {modifier}</option>{/each}
                  </select>
                </td>
                <td class="py-1">
                  {#if part.modifier}<input
                      class="field value h-7 w-28"
                      aria-label="Context of {part.file}"
                      maxlength="100"
                      value={part.context}
                      onchange={(event) => change(part, { context: event.currentTarget.value.trim() })}
                    />{:else}<span class="text-muted">set</span>{/if}
                </td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/if}
      {#if preview.selectors.length}
        <div>
          <h3 class="caption">Custom properties on parts of pages</h3>
          <p class="text-muted">They are left out, unless one of these selectors stands for the whole page.</p>
          <p class="mt-1 flex flex-wrap gap-1">
            {#each preview.selectors as one (one.selector)}<button
                class="button value"
                onclick={() => onsay({ parts: said?.parts ?? [], page: one.selector })}>{one.selector} · {one.count}</button
              >{/each}
          </p>
        </div>
      {/if}
      {#if converted.length}<div>
          <h3 class="caption">Converted</h3>
          <ul class="flex flex-col gap-0.5">
            {#each converted as note (note)}<li>{note}</li>{/each}
          </ul>
        </div>{/if}
      {#if passed.length}<div>
          <h3 class="caption">Passed over</h3>
          <ul class="flex flex-col gap-0.5">
            {#each passed as note (note)}<li>{note.replace(/^Passed over, because /, '')}</li>{/each}
          </ul>
        </div>{/if}
      {#if preview.lacking > 0}
        <p class="border-l-2 border-should pl-3">
          {preview.lacking}
          {preview.lacking === 1 ? 'role' : 'roles'} that pages read would be unset. Next you can map roles{preview.proposed > 0
            ? `; ${preview.proposed} ${preview.proposed === 1 ? 'proposal is' : 'proposals are'} ready`
            : ''}.
        </p>
      {/if}
      <div class="flex justify-end gap-2">
        <button class="button" onclick={onleave}>Discard</button>
        <button class="button button-strong" disabled={busy} onclick={ontake}>{busy ? 'Importing …' : 'Import theme'}</button>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
