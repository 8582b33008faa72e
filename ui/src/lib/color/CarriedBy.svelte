<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import { inkOn, legibility, ratioOf } from './depth';

  /** A color as text on every surface in every scheme, with its ratio; what it cannot be says so. */
  let { bench, hex, depth }: { bench: Bench; hex: string; depth: number } = $props();

  const grounds = $derived(
    (bench.shown?.color.surfaces ?? []).map((surface) => ({
      name: surface.name,
      cells: surface.roles.find((role) => role.role === 'ground')?.cells ?? []
    }))
  );
</script>

{#if grounds.length}
  <table class="w-full table-fixed border-collapse" aria-label="What {hex} can be on each surface">
    <thead>
      <tr
        ><th class="w-9"><span class="sr-only">Scheme</span></th>{#each grounds as ground (ground.name)}<th
            class="caption truncate font-normal"
            scope="col">{ground.name}</th
          >{/each}</tr
      >
    </thead>
    <tbody>
      {#each bench.schemes as scheme (scheme)}
        <tr>
          <th class="caption text-left font-normal" scope="row">{scheme}</th>
          {#each grounds as ground (ground.name)}
            {@const cell = ground.cells.find((c) => c.scheme === scheme)}
            <td class="p-0">
              {#if cell}{@const level = legibility(bench.sight, depth, cell.depth)}{@const ratio = ratioOf(bench.sight, depth, cell.depth)}
                <span
                  class="flex h-8 contain-strict flex-col items-center justify-center leading-3"
                  style:background={cell.hex}
                  style:color={hex}
                  title="{ground.name}, {scheme}: {ratio} to 1, {level.words}"
                >
                  <span class="text-sm leading-4 font-semibold" aria-hidden="true">{level.specimen}</span>
                  <span class="value text-[0.625rem]!" style:color={inkOn(bench.sight, cell.depth)}
                    >{ratio}<span class="sr-only"> to 1: {level.words}</span></span
                  >
                </span>
              {/if}
            </td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
{/if}
