<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { Contexts } from '$lib/site/bays.svelte';
  import type { Modifier } from './bench.svelte';
  import Switches from './Switches.svelte';

  /** A combination in words; pressed, it opens a switch for every modifier. */
  let {
    modifiers,
    contexts,
    of,
    width = 'max-w-56',
    onchoose
  }: {
    modifiers: Modifier[];
    contexts: Contexts;
    of: string;
    width?: string;
    onchoose: (modifier: string, context: string) => void;
  } = $props();

  const words = $derived(modifiers.map((m) => contexts[m.name] ?? m.standard).join(' · '));
</script>

<Popover.Root>
  <Popover.Trigger
    class="truncate rounded-[3px] px-1.5 py-0.5 text-left hover:bg-hover {width}"
    aria-label="Combination of {of}: {words}"
    title={words}>{words}</Popover.Trigger
  >
  <Popover.Portal>
    <Popover.Content
      role="dialog"
      aria-label="Combination of {of}"
      class="z-40 flex flex-col gap-2 rounded-[3px] border border-line bg-raised p-3"
      sideOffset={4}
    >
      <Switches {modifiers} {contexts} {of} {onchoose} />
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
