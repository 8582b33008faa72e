<script lang="ts">
  import type { Snippet } from 'svelte';

  /**
   * A compartment of the tray that scrolls on its own. The frame takes part in the tray's row; the box within it has
   * a size that its contents do not change, so that the browser lays out the one without the other when values move.
   */
  let {
    label,
    frame,
    inside = '',
    focusable = false,
    children
  }: {
    label: string;
    /** Classes of the frame: its width and its line. */
    frame: string;
    /** Classes of the box: how its contents stand. */
    inside?: string;
    /** For one that nothing can be focused in: the keyboard must be able to scroll it. */
    focusable?: boolean;
    children: Snippet;
  } = $props();
</script>

<div class="relative {frame}">
  <!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
  <section class="absolute inset-0 contain-strict overflow-auto {inside}" tabindex={focusable ? 0 : undefined} aria-label={label}>
    {@render children()}
  </section>
</div>
