<script lang="ts">
  import ColorTray from '$lib/color/ColorTray.svelte';
  import PartsTray from '$lib/contract/PartsTray.svelte';
  import FrameTray from '$lib/frame/FrameTray.svelte';
  import ShapeTray from '$lib/shape/ShapeTray.svelte';
  import SpaceTray from '$lib/space/SpaceTray.svelte';
  import WidthsTray from '$lib/space/WidthsTray.svelte';
  import TypeTray from '$lib/type/TypeTray.svelte';
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import ChevronUp from '@lucide/svelte/icons/chevron-up';
  import { Tabs } from 'bits-ui';
  import PlaceOptions from '$lib/place/PlaceOptions.svelte';
  import ComboButton from './ComboButton.svelte';
  import HistoryTray from './HistoryTray.svelte';
  import SetsTray from './SetsTray.svelte';
  import StyleTray from './StyleTray.svelte';
  import TokensTray from './TokensTray.svelte';
  import type { Bench, Tab } from './bench.svelte';
  import TracePanel from './TracePanel.svelte';

  let {
    bench,
    folded = $bindable(false),
    height,
    onheight
  }: { bench: Bench; folded?: boolean; height: number; onheight: (px: number) => void } = $props();

  let start: { y: number; height: number } | null = null;

  const TABS: { value: Tab; name: string }[] = [
    { value: 'color', name: 'Color' },
    { value: 'type', name: 'Type' },
    { value: 'space', name: 'Space' },
    { value: 'widths', name: 'Widths' },
    { value: 'shape', name: 'Shape' },
    { value: 'frame', name: 'Frame' },
    { value: 'parts', name: 'Parts' },
    { value: 'style', name: 'Own CSS' },
    { value: 'sets', name: 'Sets' },
    { value: 'tokens', name: 'Tokens' },
    { value: 'history', name: 'History' }
  ];
</script>

<Tabs.Root
  class="flex h-full min-h-0 flex-col bg-ground"
  bind:value={
    () => bench.tab,
    (tab) => {
      bench.tab = tab as Tab;
      folded = false;
    }
  }
>
  <div class="flex h-8 shrink-0 items-stretch border-b border-line pr-1 pl-3">
    <Tabs.List class="flex items-stretch gap-5" aria-label="Instruments">
      {#each TABS as tab (tab.value)}
        <Tabs.Trigger
          value={tab.value}
          class="border-b-2 border-transparent px-0.5 text-muted hover:text-ink data-[state=active]:border-accent data-[state=active]:font-semibold data-[state=active]:text-ink"
          >{tab.name}</Tabs.Trigger
        >
      {/each}
    </Tabs.List>
    <button
      class="grid grow cursor-ns-resize touch-none place-items-center"
      aria-label="Height of the tray, {height} px; arrow keys change it"
      onpointerdown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        start = { y: e.clientY, height };
        folded = false;
      }}
      onpointermove={(e) => {
        if (start) onheight(start.height - (e.clientY - start.y));
      }}
      onpointerup={() => (start = null)}
      onkeydown={(e) => {
        const by = e.key === 'ArrowUp' ? 16 : e.key === 'ArrowDown' ? -16 : 0;
        if (by) onheight(height + by);
      }}><span class="h-1 w-10 border-y border-line" aria-hidden="true"></span></button
    >
    <div class="flex min-w-0 items-center gap-1">
      {#if bench.modifiers.length}
        <span class="caption shrink-0">Shown</span>
        <ComboButton modifiers={bench.modifiers} contexts={bench.working} of="the instruments" onchoose={(m, c) => bench.choose(m, c)} />
      {/if}
      <label class="flex min-w-0 items-center gap-1"
        ><span class="caption shrink-0">Write into</span>
        <select
          class="h-6 min-w-16 max-w-40 truncate rounded-[3px] {bench.target ? 'bg-chosen font-semibold' : 'bg-ground'}"
          bind:value={() => bench.target, (place) => bench.aimAt(place)}
        >
          <option value="">where it stands</option>
          <PlaceOptions {bench} />
        </select>
      </label>
    </div>
    <button
      class="grid w-7 place-items-center hover:bg-hover"
      aria-label={folded ? 'Unfold the tray' : 'Fold the tray away'}
      onclick={() => (folded = !folded)}
    >
      {#if folded}<ChevronUp size={15} />{:else}<ChevronDown size={15} />{/if}
    </button>
  </div>
  {#if bench.looks.aim?.kind === 'scope'}
    <!-- Narrower than the theme: said in words, on a line of its own, as long as it is so. -->
    <p class="flex h-7 shrink-0 items-center gap-2 border-b-2 border-ink px-3" role="status">
      <span class="font-semibold">Edits go to {bench.looks.aim.words} only.</span>
      <span class="text-muted">Everywhere else stays as it is.</span>
      <button class="button button-quiet ml-auto h-6 px-1.5" onclick={() => bench.aimAt('')}>Back to the whole theme</button>
    </p>
  {/if}
  {#if !folded}
    <div class="flex min-h-0 grow">
      <!-- Instruments are wide: where there is less room than they need, the tray is scrolled sideways. -->
      <div class="min-w-0 grow overflow-x-auto overflow-y-hidden">
        <Tabs.Content value="color" class="h-full"><ColorTray {bench} /></Tabs.Content>
        <Tabs.Content value="type" class="h-full"
          >{#if bench.tab === 'type'}<TypeTray {bench} />{/if}</Tabs.Content
        >
        <Tabs.Content value="space" class="h-full"
          >{#if bench.tab === 'space'}<SpaceTray {bench} />{/if}</Tabs.Content
        >
        <Tabs.Content value="widths" class="h-full"
          >{#if bench.tab === 'widths'}<WidthsTray {bench} />{/if}</Tabs.Content
        >
        <Tabs.Content value="shape" class="h-full"
          >{#if bench.tab === 'shape'}<ShapeTray {bench} />{/if}</Tabs.Content
        >
        <Tabs.Content value="frame" class="h-full"
          >{#if bench.tab === 'frame'}<FrameTray {bench} />{/if}</Tabs.Content
        >
        <Tabs.Content value="parts" class="h-full"
          >{#if bench.tab === 'parts'}<PartsTray {bench} />{/if}</Tabs.Content
        >
        <Tabs.Content value="style" class="h-full"
          >{#if bench.tab === 'style'}<StyleTray {bench} />{/if}</Tabs.Content
        >
        <Tabs.Content value="sets" class="h-full"
          >{#if bench.tab === 'sets'}<SetsTray {bench} />{/if}</Tabs.Content
        >
        <Tabs.Content value="tokens" class="h-full"
          >{#if bench.tab === 'tokens'}<TokensTray {bench} />{/if}</Tabs.Content
        >
        <Tabs.Content value="history" class="h-full"
          >{#if bench.tab === 'history'}<HistoryTray {bench} />{/if}</Tabs.Content
        >
      </div>
      {#if !['history', 'sets', 'style', 'frame'].includes(bench.tab)}<TracePanel {bench} />{/if}
    </div>
  {/if}
</Tabs.Root>
