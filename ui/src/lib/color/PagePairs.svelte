<script lang="ts">
  import { api, ask, type Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';

  /**
   * The pairs of colors that really occur on the pages of this theme's sites, drawn in their own colors for every
   * combination. Combinations that look alike share a column.
   */
  let { bench, surface }: { bench: Bench; surface: string } = $props();

  type Pair = Schemas['PairView'];
  type Cell = Schemas['PairView']['cells'][number];

  let found = $state.raw<Schemas['PairsView'] | null>(null);
  let all = $state(false);
  let pointed = $state('');

  const revision = $derived(bench.saved?.revision ?? 0);

  $effect(() => {
    void revision;
    void ask(() => api.GET('/api/themes/{id}/pairs', { params: { path: { id: bench.id } } })).then((pairs) => (found = pairs));
  });

  /** Indices of combinations, those with equal colors everywhere together. */
  const columns = $derived.by(() => {
    const byLook = new Map<string, number[]>();
    (found?.looks ?? []).forEach((_, i) => {
      const look = (found?.pairs ?? []).map((pair) => `${pair.cells[i]?.front}${pair.cells[i]?.ground}${pair.cells[i]?.large}`).join('|');
      byLook.set(look, [...(byLook.get(look) ?? []), i]);
    });
    return [...byLook.values()];
  });

  const shown = $derived((found?.pairs ?? []).filter((pair) => all || pair.surface === surface));
  const failing = $derived(
    shown.reduce((sum, pair) => sum + columns.filter((column) => pair.cells[column[0] ?? 0]?.level === 'fails').length, 0)
  );

  /** What the combinations of a column have in common. */
  function named(column: number[]): string {
    const looks = column.flatMap((i) => found?.looks[i] ?? []);
    const contexts = Object.entries(looks[0]?.contexts ?? {}).filter(([modifier, context]) =>
      looks.every((look) => look.contexts[modifier] === context)
    );
    const pages = looks[0]?.words && looks.every((look) => look.words === looks[0]?.words) ? [looks[0].words] : [];
    return [...contexts.map(([, context]) => context), ...pages].join(' · ');
  }
  const role = (path: string) => path.split('.').slice(2).join('.');
  const kind = (pair: Pair, cell: Cell | undefined) => (pair.kind === 'shape' ? 'shape' : cell?.large ? 'large text' : 'text');
  const level = (cell: Cell) => (cell.level === 'fails' ? 'fails' : cell.level.toUpperCase());

  function open(pair: Pair, column: number[]) {
    const look = found?.looks[column[0] ?? 0];
    bench.open({
      path: pair.foreground,
      contexts: { ...bench.working, ...look?.contexts },
      scopes: look?.scope ? [look.scope] : [],
      roles: [
        { kind: 'color', path: pair.foreground },
        { kind: 'color', path: pair.ground }
      ]
    });
  }
</script>

<div class="flex flex-col gap-2 p-3">
  {#if !found}<p class="caption">Reading the pages …</p>
  {:else if found.pairs.length === 0}<p class="text-muted">No site wears this theme yet, so no pairs occur.</p>
  {:else}
    <p class="caption flex items-center gap-2">
      <span class="grow"
        >{shown.length}
        {shown.length === 1 ? 'pair' : 'pairs'}
        {all ? 'on all surfaces' : `on ${surface}`}, {failing === 0 ? 'all at least AA' : `${failing} fail`}. {pointed}</span
      >
      <label class="flex items-center gap-1"><input type="checkbox" bind:checked={all} /> all surfaces</label>
    </p>
    <table class="border-collapse">
      <thead>
        <tr
          ><th class="sr-only" scope="col">Pair</th>{#each columns as column, i (i)}<th class="h-24 w-7 p-0 align-bottom" scope="col"
              ><span
                class="caption inline-block max-h-24 truncate [writing-mode:vertical-rl] rotate-180 text-left font-normal"
                title={named(column)}>{named(column)}</span
              ></th
            >{/each}</tr
        >
      </thead>
      <tbody>
        {#each shown as pair (pair.foreground + pair.ground + pair.kind + pair.types.join() + pair.state)}
          <tr class="border-t border-border">
            <th
              class="w-full max-w-0 truncate py-0.5 pr-2 text-left font-normal"
              scope="row"
              title="{pair.words} ({pair.pages.join(', ')})"
            >
              {#if all}<span class="text-muted">{pair.surface} </span>{/if}{role(pair.foreground)}
              <span class="text-muted"
                >on {role(pair.ground)}{pair.types.length ? `, ${pair.types.join(' ')}` : ''}{pair.state ? `, ${pair.state}` : ''} ×{pair.count}</span
              ></th
            >
            {#each columns as column, i (i)}
              {@const cell = pair.cells[column[0] ?? 0]}
              <td class="p-px">
                {#if cell && cell.level !== 'elsewhere'}
                  <button
                    class="grid h-6 w-6.5 place-items-center text-[0.625rem] leading-none font-semibold {cell.level === 'fails'
                      ? 'outline-2 -outline-offset-2 outline-must'
                      : ''}"
                    style:background={cell.ground}
                    style:color={cell.front}
                    aria-label="{role(pair.foreground)} on {role(pair.ground)} in {named(column)}: {cell.ratio} to 1, {kind(
                      pair,
                      cell
                    )}, {level(cell)}"
                    onpointerenter={() => (pointed = `${cell.ratio} to 1, ${kind(pair, cell)}: ${level(cell)}.`)}
                    onpointerleave={() => (pointed = '')}
                    onclick={() => open(pair, column)}
                  >
                    {pair.kind === 'shape' ? '■' : cell.level === 'aaa' ? 'AAA' : cell.level === 'aa' ? 'AA' : '✕'}</button
                  >
                {/if}
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="caption">AAA is the strictest level. ■ is a shape that must be seen. Picking one shows why its color is what it is.</p>
  {/if}
</div>
