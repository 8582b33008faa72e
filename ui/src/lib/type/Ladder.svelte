<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import Compartment from '$lib/ui/Compartment.svelte';

  /** Every step of a scale as text of its size, largest on top, dressed as the style that takes it. */
  let { scale, styles }: { scale: Schemas['TypeScaleView']; styles: Schemas['StyleView'][] } = $props();

  const body = $derived(styles.find((style) => style.role === 'body'));
  const rungs = $derived(
    scale.steps.map((step) => {
      const taking = styles.filter((style) => style.size === `{${step.path}}`);
      return { step, roles: taking.map((style) => style.role).join(', '), dress: taking[0] ?? body };
    })
  );
</script>

<Compartment label="Specimens" frame="min-w-64 grow border-l border-border" inside="p-3" focusable>
  <ol class="flex flex-col-reverse">
    {#each rungs as { step, roles, dress } (step.path)}
      <li class="flex items-center gap-3 border-t border-border py-1.5">
        <div class="w-22 shrink-0">
          <p class="flex items-baseline gap-2">
            <span class="value">{step.name.replace('minus-', '−')}</span><span class="caption truncate" title={roles}>{roles}</span>
          </p>
          <p class="value whitespace-nowrap text-muted">{step.narrowPx.toFixed(1)} → {step.widePx.toFixed(1)}</p>
        </div>
        <!-- One line high: words that do not fit are not begun. -->
        <p
          class="h-[1.3em] min-w-0 grow overflow-hidden leading-[1.3] text-heading"
          style:font-size="{step.widePx}px"
          style:font-family={dress?.familyName}
          style:font-weight={dress?.weightValue}
          style:letter-spacing="{dress?.spacingPx ?? 0}px"
        >
          At six the tide turns, lights lit
        </p>
      </li>
    {/each}
  </ol>
</Compartment>
