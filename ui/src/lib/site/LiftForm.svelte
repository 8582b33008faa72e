<script lang="ts">
  /** The path of the token of the theme that some strays become. */
  let {
    label,
    count,
    begins,
    busy,
    onlift
  }: {
    label: string;
    count: number;
    /** What the path begins with. */ begins: string;
    busy: boolean;
    onlift: (path: string) => Promise<unknown>;
  } = $props();

  // What is typed stays, whatever is proposed later.
  // svelte-ignore state_referenced_locally
  let path = $state(begins);
  const whole = $derived(!/(^|\.)$/.test(path.trim()));
</script>

<form
  class="flex items-end gap-2"
  onsubmit={(e) => {
    e.preventDefault();
    void onlift(path);
  }}
>
  <label class="flex grow flex-col"
    ><span class="caption">{label}</span><input class="field value min-w-44" bind:value={path} maxlength="200" spellcheck="false" /></label
  >
  <button class="button" type="submit" disabled={busy || count === 0 || !whole}>Lift {count}</button>
</form>
