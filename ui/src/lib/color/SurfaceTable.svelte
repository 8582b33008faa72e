<script lang="ts">
  import Plus from '@lucide/svelte/icons/plus';
  import { DropdownMenu } from 'bits-ui';
  import type { Bench, Edit } from '$lib/theme/bench.svelte';
  import GroundPanel from './GroundPanel.svelte';
  import NewNamed from './NewNamed.svelte';
  import PagePairs from './PagePairs.svelte';
  import ReadableShades from './ReadableShades.svelte';
  import ShadePicker from './ShadePicker.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';

  /** A surface's roles in every scheme: color, alias, depth, and the ratio of the role's weakest pair. */
  let { bench }: { bench: Bench } = $props();

  const proposals = $derived.by<{ name: string; edit: Edit }[]>(() => {
    const contrast: { name: string; edit: Edit } = { name: 'More contrast, for those who ask for it', edit: { op: 'proposeContrast' } };
    const scheme = bench.scheme;
    if (!scheme) return [contrast];
    const from = (to: string, other: string): { name: string; edit: Edit }[] => [
      { name: `${to} from ${other}, what is not set by hand`, edit: { op: 'proposeScheme', context: to } },
      { name: `${to} from ${other}, all anew`, edit: { op: 'proposeScheme', context: to, anew: true } }
    ];
    return [...from(scheme.dark, scheme.light), ...from(scheme.light, scheme.dark), contrast];
  });

  const VIEWS = [
    { id: 'roles', name: 'Roles' },
    { id: 'readable', name: 'Readable shades' },
    { id: 'ground', name: 'Ground' },
    { id: 'pages', name: 'On the pages' }
  ] as const;

  let chosen = $state('page');
  let view = $state<(typeof VIEWS)[number]['id']>('roles');

  const surfaces = $derived(bench.shown?.color.surfaces ?? []);
  const surface = $derived(surfaces.find((s) => s.name === chosen) ?? surfaces[0]);
  const short = (written: string) => written.replace(/^\{color\.(.+)\}$/, '$1');
  /** The edit that makes a failing cell pass, with what it does. */
  const mending = (path: string, scheme: string) =>
    (bench.shown?.findings ?? []).find(
      (f) => f.code === 'contrast' && f.path === path && (!bench.scheme || f.contexts[bench.scheme.modifier] === scheme)
    )?.fixes[0];
  const failing = (name: string) =>
    surfaces.find((s) => s.name === name)?.roles.some((role) => role.cells.some((cell) => !cell.passes)) ?? false;

  async function add(name: string) {
    if (!surface) return '';
    const refused = await bench.take({ op: 'addSurface', path: `surface.${surface.name}`, name });
    if (refused === '') chosen = name;
    return refused;
  }

  $effect(() => {
    const [group, name] = bench.pick?.path.split('.') ?? [];
    if (group === 'surface' && name) chosen = name;
  });
</script>

<Compartment label="Surfaces" frame="w-[29rem] shrink-0 border-l border-border" inside="flex flex-col">
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
    <NewNamed label="New surface" button="grid size-6 place-items-center rounded-[3px] hover:bg-hover" submit="Add the surface" onadd={add}>
      {#snippet trigger()}<Plus size={14} aria-hidden="true" />{/snippet}
      {#snippet children(name)}<p class="caption">
          It begins with every role of {surface?.name}. A section stands on it with data-surface="{name || 'its name'}".
        </p>{/snippet}
    </NewNamed>
    <span class="grow"></span>
    <DropdownMenu.Root>
      <DropdownMenu.Trigger class="button button-quiet h-6 px-1.5 text-muted">Propose</DropdownMenu.Trigger>
      <DropdownMenu.Portal to="main">
        <DropdownMenu.Content class="z-40 min-w-44 rounded-[3px] border border-line bg-raised py-1" sideOffset={4} align="end">
          {#each proposals as proposal (proposal.name)}
            <DropdownMenu.Item class="cursor-pointer px-3 py-1 data-highlighted:bg-hover" onSelect={() => void bench.commit(proposal.edit)}
              >{proposal.name}</DropdownMenu.Item
            >
          {/each}
          {#if surface && surface.name !== 'page'}
            <DropdownMenu.Item
              class="cursor-pointer border-t border-border px-3 py-1 data-highlighted:bg-hover"
              onSelect={() => void bench.commit({ op: 'removeSurface', path: `surface.${surface.name}` })}
              >Remove the surface {surface.name}</DropdownMenu.Item
            >
          {/if}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  </div>
  <div class="flex gap-3 border-b border-border px-3" role="group" aria-label="What is shown of the surface">
    {#each VIEWS as v (v.id)}
      <button
        class="border-b-2 py-0.5 text-xs {view === v.id ? 'border-accent font-semibold' : 'border-transparent text-muted hover:text-ink'}"
        aria-pressed={view === v.id}
        onclick={() => (view = v.id)}>{v.name}</button
      >
    {/each}
  </div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
  <div
    class="min-h-0 grow overflow-y-auto"
    tabindex="0"
    role="group"
    aria-label="{VIEWS.find((v) => v.id === view)?.name} of the surface {surface?.name}"
  >
    {#if view === 'readable' && surface}<ReadableShades {bench} {surface} />{:else if view === 'ground' && surface}<GroundPanel
        {bench}
        {surface}
      />{:else if view === 'pages' && surface}<PagePairs {bench} surface={surface.name} />{:else}
      <table class="w-full border-collapse">
        <thead class="sticky top-0 z-10 bg-ground">
          <tr>
            <th class="caption px-2 py-1 text-left font-normal" scope="col">Role</th>
            {#each bench.schemes as scheme (scheme)}<th class="caption px-1 py-1 text-left font-normal" scope="col">{scheme}</th>{/each}
          </tr>
        </thead>
        <tbody>
          {#each surface?.roles ?? [] as role (role.path)}
            <tr
              class="border-t border-border {bench.pick?.path === role.path ? 'bg-chosen' : ''}"
              onpointerenter={() => bench.light([role.path])}
              onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}
            >
              <th class="px-2 text-left font-normal whitespace-nowrap" scope="row">
                <button
                  class="hover:underline"
                  onclick={() => bench.open({ path: role.path, contexts: bench.working, roles: [{ kind: 'color', path: role.path }] })}
                  >{role.role}</button
                >
              </th>
              {#each role.cells as cell (cell.scheme)}
                <td class="p-0.5">
                  <ShadePicker {bench} path={role.path} {cell} label="{role.role} in {cell.scheme}">
                    <span class="size-4 shrink-0 border border-line" style:background={cell.hex}></span>
                    <span class="value w-18 truncate">{short(cell.written)}</span>
                    <span class="caption w-6 text-right" title="depth">{cell.depth.toFixed(0)}</span>
                    {#if cell.ratio > 0}
                      <span
                        class="value w-9 text-right {cell.passes ? '' : 'font-bold text-must'}"
                        title={cell.passes
                          ? `on ${cell.against}; needs ${cell.needed}`
                          : `on ${cell.against}; needs ${cell.needed}. ${cell.remedy}`}
                        >{cell.ratio.toFixed(1)}{#if !cell.passes}<span aria-hidden="true"> ✕</span><span class="sr-only">
                            to 1, fails</span
                          >{/if}</span
                      >
                    {:else}<span class="w-9"></span>{/if}
                  </ShadePicker>
                  {#if !cell.passes}
                    {@const mend = mending(role.path, cell.scheme)}
                    {#if mend}<button
                        class="button h-6 px-1.5 text-xs text-must"
                        title={cell.remedy}
                        aria-label="{mend.label} for {role.role} in {cell.scheme}"
                        onclick={() => bench.commit(mend.edit)}>{mend.label}</button
                      >{/if}
                  {/if}
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  </div>
</Compartment>
