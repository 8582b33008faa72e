<script lang="ts">
  import { untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { api, store, said } from '$lib/api/client';
  import { DRAFT, type Releases } from './releases.svelte';

  let { releases }: { releases: Releases } = $props();

  const next = $derived(releases.all?.next);
  let number = $state('');
  let notes = $state('');
  let reason = $state('');
  let busy = $state(false);
  let refused = $state('');

  /** The draft's own suggestion, whenever it is another. */
  let drafted = '';
  $effect(() => {
    const all = releases.all;
    untrack(() => {
      if (!all) return;
      if (!all.next.numbers.includes(number)) number = all.next.number;
      if (notes === drafted) notes = all.next.notes;
      drafted = all.next.notes;
    });
  });

  const STEPS: Record<string, string> = {
    first: 'first release',
    patch: 'only values and texts change',
    minor: 'something is new',
    major: 'something is gone or means another thing'
  };

  async function release(name: string) {
    busy = true;
    refused = '';
    try {
      const made = await store(() =>
        api.POST('/api/themes/{id}/releases', {
          params: releases.path,
          body: { state: releases.releasing, revision: releases.all?.revision ?? 0, number: name, notes, reason }
        })
      );
      toast.success(`Released as ${made.number}`);
      reason = '';
      drafted = notes = '';
      await releases.load();
      await releases.choose(made.number);
    } catch (e) {
      refused = said(e);
      await releases.load().catch(() => undefined);
    } finally {
      busy = false;
    }
  }
</script>

{#if releases.checkpoints.length}
  <label class="mb-3 flex items-center gap-2 text-muted"
    >Of
    <select
      class="field min-w-0 grow"
      aria-label="What is released"
      value={releases.releasing}
      onchange={(e) => void releases.choose(e.currentTarget.value)}
    >
      <option value={DRAFT}>the draft, as it is now</option>
      {#each releases.checkpoints as one (one.number)}<option value="r{one.number}">{one.checkpoint}</option>{/each}
    </select></label
  >
{/if}
{#if next && !next.any}
  <h2 class="font-semibold">Nothing to release</h2>
  <p class="mt-1 text-muted">
    {releases.releasing === DRAFT ? 'The draft' : 'This state'} is what {next.since} holds. Change it on the bench, and what a release of it would
    change is shown here.
  </p>
  <a class="button mt-3" href="/bench/{releases.theme}">To the bench</a>
{:else if next}
  <h2 class="font-semibold">The next release</h2>
  <div class="mt-2 flex items-baseline gap-1" role="radiogroup" aria-label="Number">
    {#each next.numbers as one (one)}
      <button
        class="rounded-sm px-2 {one === number ? 'bg-chosen font-display text-3xl text-heading' : 'value text-muted hover:bg-hover'}"
        role="radio"
        aria-checked={one === number}
        onclick={() => (number = one)}>{one}</button
      >
    {/each}
  </div>
  <p class="mt-1 text-xs text-muted">
    {STEPS[next.step]}{next.numbers.length > 1 ? '; it can be raised, never lowered' : ''}
  </p>
  <ul class="mt-2 max-h-36 space-y-1 overflow-auto text-xs">
    {#each next.reasons.slice(0, 8) as one (one.sentence)}
      <li class="flex gap-2">
        <span class="w-12 shrink-0 {one.step === 'major' ? 'font-semibold text-must' : 'text-muted'}">{one.step}</span>
        <span class="min-w-0 break-words">{one.sentence}</span>
      </li>
    {/each}
  </ul>
  <label class="mt-3 block font-semibold" for="notes">Notes for editors of the sites</label>
  <textarea id="notes" class="field mt-1 h-32 w-full" bind:value={notes}></textarea>
  {#if next.heavy.length}
    <div class="mt-3 border-l-4 border-must pl-3">
      <p>
        {next.heavy[0]}{next.heavy.length > 1 ? ` ${next.heavy.length - 1} more.` : ''}
        <a class="underline" href="/findings/{releases.theme}">Findings</a>
      </p>
      <label class="mt-2 block font-semibold" for="reason">Why it is released all the same</label>
      <input id="reason" class="field mt-1 w-full" bind:value={reason} maxlength="400" />
    </div>
  {/if}
  {#if refused}<p class="mt-3 text-must" role="alert">{refused}</p>{/if}
  <div class="mt-3 flex flex-wrap gap-2">
    <button class="button button-strong" disabled={busy} onclick={() => release(number)}>Release {number}</button>
    <button class="button" disabled={busy} onclick={() => release(next.trial)}>Try as {next.trial}</button>
  </div>
{/if}
