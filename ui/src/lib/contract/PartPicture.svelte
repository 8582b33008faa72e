<script lang="ts">
  import { LivePage } from '$lib/site/livePage';
  import type { Bench } from '$lib/theme/bench.svelte';
  import { seen } from '$lib/ui/seen';
  import { showIn, type State } from './states';

  /** One part alone, live: it follows every edit, save that what it is there to show stays chosen. */
  let {
    bench,
    part,
    surface,
    choice,
    label,
    scale = 0.55,
    shownIn
  }: {
    bench: Bench;
    part: string;
    surface: string;
    /** A value to show, such as `links:hover`; empty for what the theme chooses. */ choice: string;
    label: string;
    /** Of the picture to what it shows. */ scale?: number;
    /** A state; none for at rest. */ shownIn?: State;
  } = $props();

  let frame: HTMLIFrameElement | undefined = $state();
  /** Whether it is in sight, or soon will be: what is not keeps nothing from being drawn that is. */
  let near = $state(false);
  let detach: (() => void) | undefined;
  const key = $derived(bench.looks.workingKey);
  const source = $derived(
    `/preview/${bench.id}/draft/${encodeURIComponent(key || 'default')}/~part/${part}.html?surface=${encodeURIComponent(surface)}&choice=${encodeURIComponent(choice)}`
  );

  function onload() {
    detach?.();
    const doc = frame?.contentDocument;
    if (!doc || !near) return;
    if (shownIn) showIn(doc, shownIn);
    detach = bench.attach(new LivePage(doc, () => key, choice ? [`data-choice-${choice.split(':')[0]}`] : []));
  }

  $effect(() => () => detach?.());
</script>

<iframe
  bind:this={frame}
  src={near ? source : undefined}
  use:seen={() => (near = true)}
  title={label}
  tabindex="-1"
  sandbox="allow-same-origin"
  class="pointer-events-none origin-top-left border-0"
  style:width="{100 / scale}%"
  style:height="{100 / scale}%"
  style:transform="scale({scale})"
  {onload}
></iframe>
