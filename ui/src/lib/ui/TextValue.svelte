<script lang="ts">
  /** A value as people write it, with its refusal below. What was typed stays until it is accepted or taken back. */
  let {
    label,
    value,
    hideLabel = false,
    width = 'w-40',
    rest,
    oncommit
  }: {
    label: string;
    value: string;
    hideLabel?: boolean;
    width?: string;
    /** What stands in the field while nobody writes in it, such as what a reference comes to. */
    rest?: string;
    oncommit: (text: string) => Promise<string>;
  } = $props();

  let typed = $state<string | null>(null);
  let message = $state('');
  let focused = $state(false);
  let onItsWay: string | null = null;
  const id = $props.id();

  async function take() {
    const text = typed;
    if (text === null || text === value) {
      typed = null;
      message = '';
      return;
    }
    // Enter, and then leaving the field, is one wish.
    if (text === onItsWay) return;
    onItsWay = text;
    const said = await oncommit(text).finally(() => {
      if (onItsWay === text) onItsWay = null;
    });
    // What was typed meanwhile is not what was answered.
    if (typed !== text) return;
    message = said;
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
      void take();
    }}
    onkeydown={(e) => {
      if (e.key === 'Enter') void take();
      if (e.key === 'Escape') {
        typed = null;
        message = '';
      }
    }}
  />
  {#if message}<p id="{id}-message" class="max-w-xs text-xs leading-4 text-must" role="alert">{message}</p>{/if}
</div>
