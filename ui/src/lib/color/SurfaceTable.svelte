<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import type { Bench, EditRequest } from '$lib/theme/bench.svelte';
  import ShadePicker from './ShadePicker.svelte';

  /** A surface's roles in every scheme: color, alias, depth, and the ratio of the role's weakest pair. */
  let { bench }: { bench: Bench } = $props();

  const PROPOSALS: { name: string; edit: EditRequest }[] = [
    { name: 'Dark from light, what is not set by hand', edit: { op: 'propose-scheme', text: 'dark' } },
    { name: 'Dark from light, all anew', edit: { op: 'propose-scheme', text: 'dark', to: 'anew' } },
    { name: 'Light from dark, what is not set by hand', edit: { op: 'propose-scheme', text: 'light' } },
    { name: 'Light from dark, all anew', edit: { op: 'propose-scheme', text: 'light', to: 'anew' } },
    { name: 'More contrast, for those who ask for it', edit: { op: 'propose-contrast' } }
  ];

  let chosen = $state('page');

  const surfaces = $derived(bench.shown?.color.surfaces ?? []);
  const surface = $derived(surfaces.find((s) => s.name === chosen) ?? surfaces[0]);
  const short = (written: string) => written.replace(/^\{color\.(.+)\}$/, '$1');
  const failing = (name: string) =>
    surfaces.find((s) => s.name === name)?.roles.some((role) => role.cells.some((cell) => !cell.passes)) ?? false;

  $effect(() => {
    const [group, name] = bench.pick?.path.split('.') ?? [];
    if (group === 'surface' && name) chosen = name;
  });
</script>

<section class="flex w-[27.5rem] shrink-0 flex-col border-l border-border" aria-label="Surfaces">
  <div class="flex items-center border-b border-border px-3 py-1.5">
    <div class="flex gap-1" role="tablist" aria-label="Surface">
    {#each surfaces as s (s.name)}
      <button
        class="rounded-[3px] px-2 py-0.5 {s === surface ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
        role="tab"
        aria-selected={s === surface}
        onclick={() => (chosen = s.name)}
        >{s.name}{#if failing(s.name)}<span class="ml-1 font-bold text-must" title="A pair on this surface fails">!</span>{/if}</button
      >
    {/each}
    </div>
    <span class="grow"></span>
    <DropdownMenu.Root>
      <DropdownMenu.Trigger class="button button-quiet h-6 px-1.5 text-muted">Propose</DropdownMenu.Trigger>
      <DropdownMenu.Portal to="main">
        <DropdownMenu.Content class="z-40 min-w-44 rounded-[3px] border border-line bg-raised py-1" sideOffset={4} align="end">
          {#each PROPOSALS as proposal (proposal.name)}
            <DropdownMenu.Item class="cursor-pointer px-3 py-1 data-highlighted:bg-hover" onSelect={() => void bench.commit(proposal.edit)}>{proposal.name}</DropdownMenu.Item>
          {/each}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  </div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
  <div class="min-h-0 grow overflow-y-auto" tabindex="0" role="group" aria-label="Roles of the surface {surface?.name}">
    <table class="w-full border-collapse">
      <thead class="sticky top-0 z-10 bg-ground">
        <tr>
          <th class="caption px-2 py-1 text-left font-normal" scope="col">Role</th>
          {#each bench.schemes as scheme (scheme)}<th class="caption px-1 py-1 text-left font-normal" scope="col">{scheme}</th>{/each}
        </tr>
      </thead>
      <tbody>
        {#each surface?.roles ?? [] as role (role.path)}
          <tr class="border-t border-border {bench.pick?.path === role.path ? 'bg-chosen' : ''}" onpointerenter={() => bench.light([role.path])} onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}>
            <th class="px-2 text-left font-normal whitespace-nowrap" scope="row">
              <button class="hover:underline" onclick={() => bench.open({ path: role.path, contexts: bench.working, roles: [{ kind: 'color', path: role.path }] })}>{role.role}</button>
            </th>
            {#each role.cells as cell (cell.scheme)}
              <td class="p-0.5">
                <ShadePicker {bench} path={role.path} {cell} label="{role.role} in {cell.scheme}">
                  <span class="size-5 shrink-0 border border-line" style:background={cell.hex}></span>
                  <span class="value w-20 truncate">{short(cell.written)}</span>
                  {#if cell.ratio > 0}
                    <span class="value w-11 text-right {cell.passes ? '' : 'font-bold text-must'}" title={cell.passes ? `on ${cell.against}; needs ${cell.needed}` : `on ${cell.against}; needs ${cell.needed}. ${cell.remedy}`}>{cell.ratio.toFixed(1)}{#if !cell.passes}<span aria-hidden="true"> ✕</span><span class="sr-only"> to 1, fails</span>{/if}</span>
                  {:else}
                    <span class="caption w-11 text-right" title="depth">{cell.depth.toFixed(0)}</span>
                  {/if}
                </ShadePicker>
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</section>
