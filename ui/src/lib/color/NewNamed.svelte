<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { Snippet } from 'svelte';

  /** A button that asks for the name of something new. What was typed stays until it is accepted. */
  let {
    label,
    button,
    submit,
    side = 'bottom',
    trigger,
    onadd,
    children
  }: {
    label: string;
    /** Classes of the button. */
    button: string;
    /** What stands on the button that sends it. */
    submit: string;
    side?: 'top' | 'bottom';
    trigger: Snippet;
    /** Resolves to what is wrong with it; empty when it was added. */
    onadd: (name: string) => Promise<string>;
    /** What else belongs to it, given the name as it is typed. */
    children: Snippet<[string]>;
  } = $props();

  let open = $state(false);
  let name = $state('');
  let refused = $state('');

  async function add(event: SubmitEvent) {
    event.preventDefault();
    refused = await onadd(name.trim());
    if (refused !== '') return;
    open = false;
    name = '';
  }
</script>

<Popover.Root bind:open>
  <Popover.Trigger aria-label={label} class={button}>{@render trigger()}</Popover.Trigger>
  <Popover.Portal>
    <Popover.Content
      role="dialog"
      aria-label={label}
      class="z-40 w-64 rounded-[3px] border border-line bg-raised p-4"
      {side}
      sideOffset={6}
      collisionPadding={8}
    >
      <form class="flex flex-col gap-3" onsubmit={add}>
        <label class="flex flex-col gap-1"><span>Name</span><input class="field" required bind:value={name} /></label>
        {@render children(name)}
        {#if refused}<p class="text-must" role="alert">{refused}</p>{/if}
        <button class="button button-strong justify-center" type="submit">{submit}</button>
      </form>
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
