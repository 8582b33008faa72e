<script lang="ts">
  /** One of a few numbers, side by side; 0 stands for any. */
  let {
    label,
    of,
    value,
    onchoose
  }: { /** For who hears it. */ label: string; of: number[]; value: number; onchoose: (value: number) => unknown } = $props();
</script>

<span class="flex items-center gap-1" role="radiogroup" aria-label={label}>
  {#each of as one (one)}
    <button
      class="h-6 min-w-6 rounded-sm px-1 {value === one ? 'bg-chosen font-semibold text-text' : 'text-muted hover:text-text'}"
      role="radio"
      aria-checked={value === one}
      onclick={() => onchoose(one)}>{one || 'any'}</button
    >
  {/each}
</span>
