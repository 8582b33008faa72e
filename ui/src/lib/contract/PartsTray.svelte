<script lang="ts">
  import { api, ask, type Schemas } from '$lib/api/client';
  import { onSurface } from '$lib/site/livePage';
  import type { Bench } from '$lib/theme/bench.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import { inSight } from '$lib/ui/seen';
  import { counted } from '$lib/ui/words';
  import ChoiceRow from './ChoiceRow.svelte';
  import OwnSurface from './OwnSurface.svelte';
  import PartLarge from './PartLarge.svelte';
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

  /** Where its roles come from, and where it stands; asked for anew with every edit. */
  let standing = $state.raw<Schemas['PartStands'] | null>(null);
  /** Parts whose small pictures are in sight. */
  let near = $state<Record<string, boolean>>({});
  let asked = 0;
  /** What is known is of that part. */
  let shownOf = '';
  $effect(() => {
    void bench.saved?.revision;
    const wanted = part?.name;
    if (!wanted) return;
    const query = { combo: bench.looks.workingKey, surface };
    const mine = ++asked;
    if (wanted !== shownOf) standing = null;
    shownOf = wanted;
    void ask(() => api.GET('/api/themes/{theme}/parts/{part}', { params: { path: { theme: bench.id, part: wanted }, query } })).then(
      (found) => mine === asked && (standing = found)
    );
  });

  function look(one: Schemas['PartPage']) {
    const bay = bench.bays[0];
    if (bay) [bay.site, bay.page] = [one.site, one.page];
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
  <Compartment label="Parts" frame="w-44 shrink-0 border-r border-border" inside="py-1" focusable>
    <ul>
      {#each parts as one (one.name)}
        <li use:inSight={(there) => (near[one.name] = there)}>
          <button
            class="flex w-full flex-col px-3 py-1 text-left {one === part ? 'bg-chosen font-semibold' : 'hover:bg-hover'}"
            aria-pressed={one === part}
            title={one.purpose}
            onclick={() => {
              name = one.name;
              states = [];
            }}
          >
            <span class="flex w-full items-baseline gap-2"
              ><span class="grow truncate">{one.title}</span>
              {#if choosing.has(one.name)}<span class="caption" title="There is something to choose">◇</span>{/if}</span
            >
            <span class="block h-14 w-full overflow-hidden border border-border bg-ground"
              >{#if near[one.name]}<PartPicture
                  {bench}
                  part={one.name}
                  surface="page"
                  choice=""
                  scale={0.3}
                  label="{one.title}, small"
                />{/if}</span
            >
          </button>
        </li>
      {/each}
    </ul>
  </Compartment>
  {#if part}
    <Compartment label="{part.title}: what can be chosen" frame="min-w-0 grow" inside="flex flex-col gap-3 px-4 py-3">
      <p class="text-muted">{part.purpose}. Pull it where it is marked; a click on it opens what governs that.</p>
      {#key `${part.name} ${surface}`}
        <PartLarge
          {bench}
          {part}
          {surface}
          onopen={(path) => bench.open({ path, contexts: bench.working, roles: [] }, true)}
          onstates={(found) => (states = found)}
        />
      {/key}
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
        {#if choice.stands}<OwnSurface {bench} {choice} from={surface} />{/if}
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
    <Compartment label="{part.title}: roles and pages" frame="w-64 shrink-0 border-l border-border" inside="px-3 py-2" focusable>
      {#if roles.length > 0}
        <p class="caption pb-1">Roles it brings</p>
        <ul>
          {#each roles as role (role.path)}
            {@const stands = standing?.roles.find((one) => one.purpose === role.purpose)}
            <li>
              <button
                class="w-full rounded-[3px] px-1 py-0.5 text-left hover:bg-hover"
                onpointerenter={() => show(role)}
                onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}
                onclick={() => open(role)}
              >
                <span class="flex items-baseline gap-1.5"
                  ><span
                    class="size-2 shrink-0 self-center {stands?.own ? 'bg-ink' : 'border border-dashed border-ink'}"
                    title={stands?.own ? 'has a value of its own' : 'falls back'}
                  ></span><span class="value truncate">{role.path.replace('surface.*.', '')}</span></span
                >
                <span class="caption block">{role.purpose}</span>
                {#if stands}<span class="caption block truncate"
                    >{stands.own ? stands.value : stands.on ? `as ${stands.on}: ${stands.value}` : `nobody said: ${stands.value}`}</span
                  >{/if}
              </button>
            </li>
          {/each}
        </ul>
      {/if}
      {#if standing}
        <p class="caption pt-2 pb-1">
          {standing.pages.length
            ? `Stands on ${counted(standing.pages.length, 'page', 'pages')}`
            : 'Stands on no page yet'}{#if standing.looked < standing.sites}
            of the first {standing.looked} of {standing.sites} sites{/if}
        </p>
        <ul>
          {#each standing.pages as one (`${one.site}/${one.page}`)}
            <li>
              <button
                class="flex w-full items-baseline gap-2 rounded-[3px] px-1 py-0.5 text-left hover:bg-hover"
                title="{one.title} of {one.name}, in the first bay"
                onclick={() => look(one)}
                ><span class="grow truncate">{one.title}</span><span class="caption shrink-0 truncate">{one.name} · {one.spots}</span
                ></button
              >
            </li>
          {/each}
        </ul>
      {/if}
    </Compartment>
  {/if}
</div>
