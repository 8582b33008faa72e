<script lang="ts">
  import Redo from '@lucide/svelte/icons/redo-2';
  import Undo from '@lucide/svelte/icons/undo-2';

  /** What would be taken back and what made again, as two buttons; empty words for nothing. */
  let { undo, redo, onstep }: { undo: string; redo: string; onstep: (way: 'undo' | 'redo') => void } = $props();

  const undoWords = $derived(undo ? `Undo ${undo}` : 'Nothing to undo');
  const redoWords = $derived(redo ? `Redo ${redo}` : 'Nothing to redo');
</script>

<button class="button" disabled={!undo} aria-label={undoWords} title={undoWords} onclick={() => onstep('undo')}><Undo size={15} /></button>
<button class="button" disabled={!redo} aria-label={redoWords} title={redoWords} onclick={() => onstep('redo')}><Redo size={15} /></button>
