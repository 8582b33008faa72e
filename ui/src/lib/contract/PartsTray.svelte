<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { onSurface } from '$lib/site/livePage';
  import type { Bench } from '$lib/theme/bench.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import ChoiceRow from './ChoiceRow.svelte';
  import PartPicture from './PartPicture.svelte';
  import { STATES, type State } from './states';

  /** A part, large, with every value of its choices as a living picture: pointing at one tries it on all pages. */
  let { bench }: { bench: Bench } = $props();

  let name = $state('');
  let surface = $state('page');
  /** That the part has. */
  let states = $state.raw<State[]>([]);

  const parts = $derived(bench.contract.parts.filter((part) => part.sample));
  const choosing = $derived(new Set(bench.contract.choices.map((choice) => choice.part)));
  const part = $derived(parts.find((one) => one.name === name) ?? parts.find((one) => choosing.has(one.name)));
  const choices = $derived(bench.contract.choices.filter((choice) => choice.part === part?.name));
  const roles = $derived(bench.contract.roles.filter((role) => role.part === part?.name));
  const surfaces = $derived(['page', ...(bench.shown?.color.surfaces ?? []).map((one) => one.name).filter((one) => one !== 'page')]);
  function show(role: Schemas['RoleEntry']) {
    const general = role.path.replace('surface.*.', 'surface.');
    bench.lightSelectors(onSurface(bench.governing.selectorsOf(general), ''));
  }

  function open(role: Schemas['RoleEntry']) {
    const path = role.path.replace('surface.*.', `surface.${surface}.`);
    bench.open({ path, contexts: bench.working, roles: [] }, true);
  }
</script>

<div class="flex h-full min-w-[60rem]">
  <Compartment label="Parts" frame="w-36 shrink-0 border-r border-border" inside="py-1" focusable>
    <ul>
      {#each parts as one (one.name)}
        <li>
          <button
            class="flex w-full items-baseline gap-2 px-3 py-1 text-left {one === part ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
            aria-pressed={one === part}
            title={one.purpose}
            onclick={() => {
              name = one.name;
              states = [];
            }}
          >
            <span class="grow truncate">{one.title}</span>
            {#if choosing.has(one.name)}<span class="caption" title="There is something to choose">◇</span>{/if}
          </button>
        </li>
      {/each}
    </ul>
  </Compartment>
  {#if part}
    <Compartment label="{part.title}: what can be chosen" frame="min-w-0 grow" inside="flex flex-col gap-3 px-4 py-3">
      <p class="text-muted">{part.purpose}.</p>
      <!-- On every surface at once; the one that is picked is what the choices below are shown on. -->
      <div class="flex flex-wrap gap-3" role="radiogroup" aria-label="Surface it is shown on">
        {#each surfaces as one (one)}
          <button class="flex w-44 flex-col text-left" role="radio" aria-checked={one === surface} onclick={() => (surface = one)}>
            <span
              class="block h-28 w-full overflow-hidden border {one === surface ? 'border-2 border-accent' : 'border-line hover:border-ink'}"
              >{#key `${part.name} ${one}`}<PartPicture
                  {bench}
                  part={part.name}
                  surface={one}
                  choice=""
                  label="{part.title} on {one}"
                  onstates={(found) => one === surface && (states = found)}
                />{/key}</span
            >
            <span class="pt-1 {one === surface ? 'font-semibold' : ''}">{one}</span>
          </button>
        {/each}
      </div>
      {#each choices as choice (choice.name)}
        <ChoiceRow {bench} {choice}>
          {#snippet picture(value)}
            <span class="block h-36"
              ><PartPicture
                {bench}
                part={part.name}
                {surface}
                choice="{choice.name}:{value.value}"
                label="{choice.purpose}: {value.words}"
              /></span
            >
          {/snippet}
        </ChoiceRow>
      {/each}
      <!-- Last, since they are known late: nothing that is pointed at may move. -->
      {#if states.length > 0}
        <div class="flex flex-wrap gap-3" role="group" aria-label="In its states on {surface}">
          {#each STATES.filter((one) => states.includes(one.state)) as one (one.state)}
            <figure class="w-44">
              <span class="block h-28 overflow-hidden border border-line"
                >{#key `${part.name} ${surface}`}<PartPicture
                    {bench}
                    part={part.name}
                    {surface}
                    choice=""
                    shownIn={one.state}
                    label="{part.title} {one.words}"
                  />{/key}</span
              >
              <figcaption class="pt-1">{one.words}</figcaption>
            </figure>
          {/each}
        </div>
      {/if}
    </Compartment>
    {#if roles.length > 0}
      <Compartment label="Roles of {part.title}" frame="w-64 shrink-0 border-l border-border" inside="px-3 py-2" focusable>
        <p class="caption pb-1">Roles it brings</p>
        <ul>
          {#each roles as role (role.path)}
            <li>
              <button
                class="w-full rounded-[3px] px-1 py-0.5 text-left hover:bg-hover"
                onpointerenter={() => show(role)}
                onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}
                onclick={() => open(role)}
              >
                <span class="value block truncate">{role.path.replace('surface.*.', '')}</span><span class="caption block"
                  >{role.purpose}</span
                >
              </button>
            </li>
          {/each}
        </ul>
      </Compartment>
    {/if}
  {/if}
</div>
