<script lang="ts">
  import { untrack } from 'svelte';
  import { toast } from 'svelte-sonner';

  /** A value as people write it, with its refusal below. What was typed stays until it is accepted or taken back. */
  let {
    label,
    value,
    hideLabel = false,
    width = 'w-40',
    rest,
    target,
    oncommit
  }: {
    label: string;
    value: string;
    hideLabel?: boolean;
    width?: string;
    /** What stands in the field while nobody writes in it, such as what a reference comes to. */
    rest?: string;
    /** What the value is of, where the label does not tell one from another. */
    target?: string;
    oncommit: (text: string) => Promise<string>;
  } = $props();

  let typed = $state<string | null>(null);
  let message = $state('');
  let focused = $state(false);
  /** What is on its way to be stored; what it was refused as is not sent again for leaving the field. */
  let onItsWay: string | null = null;
  let refused: string | null = null;
  let turn = 0;
  const id = $props.id();

  const whose = $derived(target ?? label);

  // What was typed for one thing is never another's; the same thing read again is no other.
  $effect.pre(() => {
    void whose;
    untrack(() => {
      turn++;
      typed = refused = onItsWay = null;
      message = '';
    });
  });

  async function take(leaving = false) {
    const text = typed;
    if (text === null || text === (onItsWay ?? value)) {
      if (text === value) typed = null;
      // Enter, and then leaving the field, is one wish.
      if (onItsWay === null) message = '';
      return;
    }
    if (leaving && text === refused) return;
    const mine = turn;
    onItsWay = text;
    const said = await oncommit(text).finally(() => {
      if (onItsWay === text) onItsWay = null;
    });
    if (mine !== turn) {
      if (said) toast.error(`${text} was not saved`, { description: said });
      return;
    }
    // What was typed meanwhile is not what was answered.
    if (typed !== text) return;
    message = said;
    refused = said ? text : null;
    if (said === '') typed = null;
  }
</script>

<div class="flex flex-col gap-0.5">
  <label class={hideLabel ? 'sr-only' : 'caption'} for={id}>{label}</label>
  <input
    {id}
    class="field value {width}"
    spellcheck="false"
    autocomplete="off"
    aria-invalid={message !== ''}
    data-stored={typed === null || typed === value || undefined}
    aria-describedby={message ? `${id}-message` : undefined}
    value={typed ?? (focused ? value : (rest ?? value))}
    title={rest === undefined ? undefined : value}
    onfocus={() => (focused = true)}
    oninput={(e) => (typed = e.currentTarget.value)}
    onblur={() => {
      focused = false;
      void take(true);
    }}
    onkeydown={(e) => {
      if (e.key === 'Enter') void take();
      if (e.key === 'Escape') {
        typed = refused = null;
        message = '';
      }
    }}
  />
  {#if message}<p id="{id}-message" class="max-w-xs text-xs leading-4 text-must" role="alert">{message}</p>{/if}
</div>
