<script lang="ts">
  import PlaceOptions from '$lib/place/PlaceOptions.svelte';
  import type { Bench, Edit } from './bench.svelte';

  /** Changes several tokens in one step: by a piece of their paths, by their value, or a whole group by an operation. */
  let { bench, group }: { bench: Bench; group: string } = $props();

  type Kind = 'rename-paths' | 'replace-values' | 'shift';
  const KINDS: { id: Kind; name: string }[] = [
    { id: 'replace-values', name: 'Replace a value' },
    { id: 'rename-paths', name: 'Rename in paths' },
    { id: 'shift', name: 'Shift a group' }
  ];

  let kind = $state<Kind>('replace-values');
  let find = $state('');
  let replace = $state('');
  // svelte-ignore state_referenced_locally (only where it starts)
  let path = $state(group);
  // svelte-ignore state_referenced_locally (only where it starts)
  let place = $state(bench.writable[0]?.place ?? '');
  let operation = $state('lighten');
  let amount = $state('5');
  let refused = $state('');
  let done = $state('');

  const shifts = $derived(bench.operations.filter((o) => o.shifts));
  const amounts = $derived((shifts.find((o) => o.id === operation)?.parameters.length ?? 2) > 1);
  const edit = $derived<Edit>(
    kind === 'shift'
      ? { op: 'shift', place, path, operation, arguments: amounts ? [amount] : [] }
      : { op: kind === 'rename-paths' ? 'renamePaths' : 'replaceValues', from: find, to: replace }
  );

  async function run(event: SubmitEvent) {
    event.preventDefault();
    refused = done = '';
    refused = await bench.take(edit);
    if (refused === '') done = bench.saved?.rail.label ?? '';
  }
</script>

<form class="flex flex-wrap items-end gap-2 border-b border-line bg-raised px-3 py-2" aria-label="Change several tokens" onsubmit={run}>
  <label class="flex flex-col gap-0.5"
    ><span class="caption">What to do</span><select class="field" bind:value={kind}
      >{#each KINDS as k (k.id)}<option value={k.id}>{k.name}</option>{/each}</select
    ></label
  >
  {#if kind === 'shift'}
    <label class="flex flex-col gap-0.5"
      ><span class="caption">In</span><select class="field" bind:value={place}><PlaceOptions {bench} /></select></label
    >
    <label class="flex grow flex-col gap-0.5"
      ><span class="caption">Group or token</span><input class="field value" required bind:value={path} /></label
    >
    <label class="flex flex-col gap-0.5"
      ><span class="caption">Operation</span><select class="field" bind:value={operation}
        >{#each shifts as o (o.id)}<option value={o.id}>{o.words}</option>{/each}</select
      ></label
    >
    {#if amounts}<label class="flex flex-col gap-0.5"
        ><span class="caption">By</span><input
          class="field value w-20"
          required
          bind:value={amount}
          oninput={() => bench.probe(edit)}
        /></label
      >{/if}
  {:else}
    <label class="flex grow flex-col gap-0.5"
      ><span class="caption">{kind === 'rename-paths' ? 'Piece of a path' : 'Value as it is written'}</span><input
        class="field value"
        required
        placeholder={kind === 'rename-paths' ? 'color.blue' : '{color.blue.70}'}
        bind:value={find}
      /></label
    >
    <label class="flex grow flex-col gap-0.5"
      ><span class="caption">Becomes</span><input
        class="field value"
        required={kind !== 'rename-paths'}
        placeholder={kind === 'rename-paths' ? 'color.indigo' : '{color.blue.80}'}
        bind:value={replace}
      /></label
    >
  {/if}
  <button class="button button-strong" type="submit">Change them</button>
  {#if done}<p class="w-full text-good" role="status">{done}. One undo takes it back.</p>{/if}
  {#if refused}<p class="w-full text-must" role="alert">{refused}</p>{/if}
</form>
