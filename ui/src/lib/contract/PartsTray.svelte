<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { onSurface } from '$lib/site/livePage';
  import type { Bench } from '$lib/theme/bench.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import PartPicture from './PartPicture.svelte';

  /** A part, large, with every value of its choices as a living picture: pointing at one tries it on all pages. */
  let { bench }: { bench: Bench } = $props();

  let name = $state('');
  let surface = $state('page');

  const parts = $derived(bench.contract.parts.filter((part) => part.sample));
  const choosing = $derived(new Set(bench.contract.choices.map((choice) => choice.part)));
  const part = $derived(parts.find((one) => one.name === name) ?? parts.find((one) => choosing.has(one.name)));
  const choices = $derived(bench.contract.choices.filter((choice) => choice.part === part?.name));
  const roles = $derived(bench.contract.roles.filter((role) => role.part === part?.name));
  const surfaces = $derived(['page', ...(bench.shown?.color.surfaces ?? []).map((one) => one.name).filter((one) => one !== 'page')]);
  const now = (choice: string) => bench.shown?.choices.find((one) => one.name === choice);
  /** Where a choice is written: into the place that edits go to, else where it stands, else where the theme's roles are. */
  const placeOf = (choice: string) => bench.target || now(choice)?.place || bench.homes.choice || '';
  const words = (place: string) => bench.looks.words(place);

  function edit(choice: Schemas['ChoiceEntry'], value: string) {
    return { op: 'choose' as const, place: placeOf(choice.name), choice: choice.name, value };
  }

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
            onclick={() => (name = one.name)}
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
      <header class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <p class="text-muted">{part.purpose}.</p>
        <span class="grow"></span>
        <div class="flex gap-1" role="group" aria-label="Surface it is shown on">
          {#each surfaces as one (one)}
            <button
              class="h-6 rounded-[3px] px-2 {one === surface ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
              aria-pressed={one === surface}
              onclick={() => (surface = one)}>{one}</button
            >
          {/each}
        </div>
      </header>
      {#each choices as choice (choice.name)}
        {@const chosen = now(choice.name)}
        <fieldset class="min-w-0">
          <legend class="flex w-full items-baseline gap-3 pb-1">
            <span>{choice.purpose}</span>
            <span class="caption">
              {#if chosen?.place}written in {words(chosen.place)}{#if chosen.written.length > 1}; also in {chosen.written
                    .filter((w) => w.place !== chosen.place)
                    .map((w) => `${words(w.place)} (${w.written})`)
                    .join(', ')}{/if}{:else}nobody chose; the standard holds{/if}
            </span>
            {#if chosen?.place}
              <button
                class="button button-quiet h-6 px-1.5 text-xs"
                onclick={() => void bench.commit({ op: 'choose', place: chosen.place, choice: choice.name })}>Choose nothing here</button
              >
            {/if}
          </legend>
          <div class="flex gap-3 overflow-x-auto pb-1">
            {#each choice.values as value (value.value)}
              {@const taken = chosen?.value === value.value}
              <button
                class="group flex w-60 shrink-0 flex-col text-left"
                aria-pressed={taken}
                onpointerenter={() => !taken && void bench.probe(edit(choice, value.value))}
                onpointerleave={() => bench.revert()}
                onclick={() => void bench.commit(edit(choice, value.value))}
              >
                <span class="block h-36 overflow-hidden border {taken ? 'border-2 border-accent' : 'border-line group-hover:border-ink'}">
                  <PartPicture
                    {bench}
                    part={part.name}
                    {surface}
                    choice="{choice.name}:{value.value}"
                    label="{choice.purpose}: {value.words}"
                  />
                </span>
                <span class="flex items-baseline gap-2 pt-1"
                  ><span class={taken ? 'font-semibold' : ''}>{value.words}</span>{#if taken}<span class="caption">chosen</span>{/if}</span
                >
              </button>
            {/each}
          </div>
        </fieldset>
      {:else}
        <div class="h-44 border border-line"><PartPicture {bench} part={part.name} {surface} choice="" label={part.title} /></div>
      {/each}
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
