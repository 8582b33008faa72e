<script lang="ts">
  import type { Dressing, TokenCell } from './dressing.svelte';

  /** The theme's own tokens, by type; colors and lengths that make a run stand together. */
  let { dressing, onmoved }: { dressing: Dressing; onmoved: () => void } = $props();

  let search = $state('');
  let unused = $state(false);

  const NAMES: Record<string, string> = {
    color: 'Colors',
    dimension: 'Lengths',
    fontFamily: 'Families',
    fontWeight: 'Weights',
    number: 'Numbers',
    typography: 'Text styles',
    shadow: 'Shadows',
    transition: 'Transitions'
  };
  const shown = $derived(
    dressing.tokens.filter((token) => token.path.toLowerCase().includes(search.toLowerCase()) && !(unused && dressing.users[token.path]))
  );
  const fitting = $derived(shown.filter((token) => dressing.fits(token)));
  const types = $derived([...new Set(shown.map((token) => token.type))].sort((a, b) => rank(a) - rank(b)));
  const free = $derived(dressing.tokens.filter((token) => !dressing.users[token.path]).length);
  const rank = (type: string) => (fitting.some((token) => token.type === type) ? 0 : 1);

  function runs(type: string): { name: string; cells: TokenCell[] }[] {
    const all: { name: string; cells: TokenCell[] }[] = [];
    for (const cell of shown.filter((token) => token.type === type)) {
      const last = all.at(-1);
      if (last && cell.run && last.name === cell.run) last.cells.push(cell);
      else all.push({ name: cell.run, cells: [cell] });
    }
    return all;
  }
  const short = (path: string) => path.slice(dressing.prefix.length);
</script>

<div class="flex h-full flex-col">
  <div class="flex items-center gap-2 border-b border-border px-3 py-1.5">
    <input
      class="field h-7 min-w-0 grow"
      type="search"
      placeholder="Search its tokens"
      aria-label="Search its tokens"
      bind:value={search}
    />
    <label class="caption flex shrink-0 items-center gap-1"><input type="checkbox" bind:checked={unused} /> unused only ({free})</label>
  </div>
  <div
    class="min-h-0 grow overflow-y-auto px-3 py-2"
    onscroll={onmoved}
    data-threads="tokens"
    role="group"
    aria-label="Tokens of the theme"
  >
    {#each types as type (type)}
      <h2 class="caption sticky top-0 z-10 bg-ground py-1">{NAMES[type] ?? type}</h2>
      {#each runs(type) as run, i (i)}
        {#if type === 'color' && run.cells.length > 3}
          <p class="caption mt-1">{run.name}</p>
          <div class="flex flex-wrap">
            {#each run.cells as cell (cell.path)}
              <button
                class="h-7 min-w-6 grow outline-offset-[-2px] hover:outline-2 hover:outline-ink {dressing.users[cell.path]
                  ? 'border-b-4 border-ink'
                  : ''}"
                style:background={cell.css}
                disabled={!dressing.fits(cell)}
                data-token={cell.path}
                aria-label="{cell.path}, {cell.css}"
                title={cell.path}
                onpointerenter={() => dressing.try(cell)}
                onpointerleave={() => dressing.show()}
                onclick={() => dressing.assign(cell)}
              ></button>
            {/each}
          </div>
        {:else}
          {#each run.cells as cell (cell.path)}
            <button
              class="flex min-h-6 w-full items-center gap-2 rounded-[3px] px-1 py-0.5 text-left enabled:hover:bg-hover disabled:opacity-60"
              disabled={!dressing.fits(cell)}
              data-token={cell.path}
              title="{cell.path}: {cell.written}"
              onpointerenter={() => dressing.try(cell)}
              onpointerleave={() => dressing.show()}
              onclick={() => dressing.assign(cell)}
            >
              {#if type === 'color'}<span class="size-4 shrink-0 border border-line" style:background={cell.css}></span>{/if}
              <span class="min-w-0 grow truncate {dressing.users[cell.path] ? 'font-semibold' : ''}">{short(cell.path)}</span>
              <span class="value max-w-28 shrink-0 truncate text-muted" style:font-family={type === 'fontFamily' ? cell.css : undefined}
                >{type === 'fontFamily' ? 'Hamburg' : cell.css || cell.written}</span
              >
            </button>
          {/each}
        {/if}
      {/each}
    {:else}
      <p class="py-6 text-center text-muted">
        {dressing.tokens.length === 0 ? 'The theme has no tokens of its own yet.' : 'No token is called that.'}
      </p>
    {/each}
  </div>
</div>
