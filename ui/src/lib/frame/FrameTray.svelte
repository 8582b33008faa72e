<script lang="ts">
  import ChoiceRow from '$lib/contract/ChoiceRow.svelte';
  import { chosenOf, surfaceOf, valuesOf } from '$lib/contract/choosing';
  import OwnSurface from '$lib/contract/OwnSurface.svelte';
  import { lengthEdit } from '$lib/space/length';
  import type { Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';
  import Compartment from '$lib/ui/Compartment.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import FrameDrawing from './FrameDrawing.svelte';
  import RegionPicture from './RegionPicture.svelte';

  /** The regions of a page in two windows, handled where they stand; beside them what can be chosen for one, as it would look. */
  let { bench }: { bench: Bench } = $props();

  const DESK = 1280;
  /** Wide enough for a desk's arrangement, and small enough that a hairline is seen. */
  const CLOSE = 1000;
  /** Wide enough for a desk's arrangement, as much as is needed to see what a region stands on. */
  const BESIDE = 800;
  const PHONE = 390;
  /** Both drawings stand side by side, however short the page is, px. */
  const WIDEST_DESK = 400;
  const WIDEST_PHONE = 130;
  const BELOW = 24;

  let picked = $state('header');
  let opened = $state('');
  let height = $state(0);

  let found = $state.raw<string[]>([]);
  /** What is chosen on the page that is drawn: its places may choose for themselves. */
  let here = $state.raw<Record<string, string>>({});
  /** How much of a phone each region takes while the page is scrolled, px. */
  let staying = $state.raw<Record<string, number>>({});
  /** The surface of every region there. */
  let standing = $state.raw<Record<string, string>>({});

  /** As they stand on the page, then those that it has not. */
  const stays = $derived(staying[picked] ?? 0);
  const stayingShare = $derived(stays / bench.contract.phoneHigh);
  const regions = $derived.by(() => {
    const rank = (name: string) => (found.includes(name) ? found.indexOf(name) : found.length);
    return bench.contract.parts.filter((part) => part.region).sort((a, b) => rank(a.name) - rank(b.name));
  });
  const part = $derived(regions.find((one) => one.name === picked) ?? regions[0]);
  const choices = $derived(bench.contract.choices.filter((choice) => choice.part === part?.name));
  const choice = $derived(choices.find((one) => one.name === opened) ?? choices[0]);
  const roles = $derived(bench.contract.roles.filter((role) => role.part === part?.name));
  const lengths = $derived((bench.shown?.space.parts ?? []).filter((one) => roles.some((role) => role.path === one.path)));
  const bay = $derived(bench.bays.find((one) => one.revision === null) ?? bench.bays[0]);
  const room = $derived(Math.max(120, height - BELOW));
  const valueOf = (one: Schemas['ChoiceEntry']) => chosenOf(bench, one.name)?.value ?? one.standard;
  const wordsOf = (one: Schemas['ChoiceEntry'], value = valueOf(one)) =>
    valuesOf(bench, one).find((known) => known.value === value)?.words ?? surfaceOf(value);
</script>

<div class="flex h-full min-h-0 min-w-[64rem]">
  <Compartment label="Regions of the page" frame="w-[36rem] shrink-0 border-r border-border" inside="p-3">
    <div class="flex h-full items-start gap-4" bind:clientHeight={height}>
      {#if bay && height}
        {#key `${bay.site}/${bay.page}`}
          <FrameDrawing
            {bench}
            {bay}
            width={DESK}
            {room}
            widest={WIDEST_DESK}
            {regions}
            {picked}
            onpick={(name) => (picked = name)}
            onfound={(names, chosen, surfaces) => ((found = names), (here = chosen), (standing = surfaces))}
          />
          <FrameDrawing
            {bench}
            {bay}
            width={PHONE}
            {room}
            widest={WIDEST_PHONE}
            {regions}
            {picked}
            onpick={(name) => (picked = name)}
            onstaying={(heights) => (staying = heights)}
          />
        {/key}
      {/if}
    </div>
  </Compartment>
  {#if part}
    <Compartment label="{part.title}: what can be chosen" frame="min-w-0 grow" inside="flex flex-col gap-3 px-4 py-3">
      <div class="flex flex-wrap gap-x-1 gap-y-1" role="radiogroup" aria-label="Region">
        {#each regions as one (one.name)}
          {@const there = found.includes(one.name)}
          <button
            class="h-6 rounded-sm px-1.5 {one === part
              ? 'bg-chosen font-semibold'
              : there
                ? 'hover:bg-hover'
                : 'text-muted italic hover:bg-hover'}"
            role="radio"
            aria-checked={one === part}
            title={there ? one.purpose : `${one.purpose}. This page has none.`}
            onclick={() => (picked = one.name)}>{one.title}</button
          >
        {/each}
      </div>
      {#if !found.includes(part.name)}
        <p class="text-muted">This page has no such region; what is chosen here holds on those that have one.</p>
      {/if}
      {#if stays}
        <p class={stayingShare > bench.contract.mostStaying ? 'text-must' : 'text-muted'}>
          Stays in sight: {Math.round(stays)} of a phone’s {bench.contract.phoneHigh} px, {Math.round(stayingShare * 100)} %{#if stayingShare > bench.contract.mostStaying}.
            More than {Math.round(bench.contract.mostStaying * 100)} %: leave less air in it, fold its menu away, or let it leave with the page{/if}
        </p>
      {/if}
      <div class="flex min-h-0 grow gap-5">
        <div class="flex w-44 shrink-0 flex-col gap-1">
          {#each choices as one (one.name)}
            <button
              class="rounded-sm px-2 py-1 text-left leading-5 {one === choice ? 'bg-chosen' : 'hover:bg-hover'}"
              aria-pressed={one === choice}
              onclick={() => (opened = one.name)}
              ><span class="caption block leading-4">{one.purpose}</span>{wordsOf(
                one
              )}{#if here[one.name] && here[one.name] !== valueOf(one) && !bench.tried}<span class="caption block leading-4"
                  >on this page {wordsOf(one, here[one.name])}</span
                >{/if}</button
            >
          {/each}
          {#each lengths as view (view.path)}
            <div class="px-2 py-1">
              <button
                class="caption block min-h-6 text-left leading-4 hover:underline"
                onclick={() => bench.open({ path: view.path, contexts: bench.working, roles: [] }, true)}>{view.purpose}</button
              >
              <NumberField
                label={view.purpose}
                short="↔"
                value={view.widePx}
                unit="px"
                min={0}
                max={600}
                step={1}
                places={1}
                onprobe={(v) => bench.probe(lengthEdit(bench, view, `${v}px`))}
                oncommit={(v) => bench.commit(lengthEdit(bench, view, `${v}px`))}
              />
            </div>
          {/each}
        </div>
        <div class="min-w-0 grow">
          {#if choice && bay}
            {#key `${choice.name} ${bay.site}/${bay.page}`}
              <ChoiceRow {bench} {choice} frame={choice.narrow ? 'w-28' : choice.stands ? 'w-32' : 'w-46'}>
                {#snippet picture(value)}
                  <span class="block {choice.narrow ? 'h-36' : choice.stands ? 'h-14' : 'h-24'}">
                    <RegionPicture
                      {bench}
                      {bay}
                      region={part.region}
                      choice="{choice.name}:{value.value}"
                      width={choice.narrow ? PHONE : choice.stands ? BESIDE : CLOSE}
                      label="{choice.purpose}: {value.words}"
                    />
                  </span>
                {/snippet}
              </ChoiceRow>
            {/key}
            {#if choice.stands}<OwnSurface {bench} {choice} from={standing[part.name] ?? 'page'} />{/if}
          {:else}<p class="text-muted">Nothing to choose: what stands here is said by its surface and its lengths.</p>{/if}
        </div>
      </div>
    </Compartment>
  {/if}
</div>
