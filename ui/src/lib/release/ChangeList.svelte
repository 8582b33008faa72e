<script lang="ts">
  import type { Schemas } from '$lib/api/client';

  let { difference }: { difference: Schemas['DifferenceView'] } = $props();

  const MOST = 12;
  let whole = $state<Record<string, boolean>>({});

  const groups = $derived.by(() => {
    const found = new Map<string, Schemas['ToldChange'][]>();
    for (const change of difference.changes) found.set(change.group, [...(found.get(change.group) ?? []), change]);
    return [...found];
  });
  const STEPS: Record<string, string> = { major: 'breaks', minor: 'adds', patch: '' };
</script>

{#each groups as [group, changes] (group)}
  <section class="mb-4" aria-label={group}>
    <h3 class="mb-1 flex items-baseline gap-2 border-b border-border font-semibold first-letter:uppercase">
      {group}<span class="value text-xs font-normal text-muted">{changes.length}</span>
    </h3>
    <ul>
      {#each whole[group] ? changes : changes.slice(0, MOST) as change (change.path + change.places.join())}
        <li class="grid grid-cols-[2.75rem_1fr_4.5rem] items-baseline gap-3 py-0.5">
          <span class="flex h-4 self-center" aria-hidden="true">
            {#if change.beforeHex || change.afterHex}
              <span class="h-4 w-5" style:background={change.beforeHex || 'none'}></span>
              <span class="h-4 w-5" style:background={change.afterHex || 'none'}></span>
            {/if}
          </span>
          <span class="min-w-0">
            {change.sentence}
            {#if change.kind === 'changed' && !change.beforeHex}
              <span class="text-muted"><s>{change.before}</s> {change.after}</span>
            {/if}
          </span>
          <span class="text-right text-xs {change.step === 'major' ? 'text-must' : 'text-muted'}">{STEPS[change.step] ?? ''}</span>
        </li>
      {/each}
    </ul>
    {#if changes.length > MOST && !whole[group]}
      <button class="button button-quiet mt-1" onclick={() => (whole[group] = true)}>All {changes.length}</button>
    {/if}
  </section>
{/each}
{#if difference.shifts.length}
  <section class="mb-4" aria-label="Besides tokens">
    <h3 class="mb-1 border-b border-border font-semibold">Besides tokens</h3>
    <ul>
      {#each difference.shifts as shift (shift.sentence)}<li class="py-0.5">{shift.sentence}</li>{/each}
    </ul>
  </section>
{/if}
{#if difference.more}<p class="text-muted">{difference.more} more are not listed.</p>{/if}
