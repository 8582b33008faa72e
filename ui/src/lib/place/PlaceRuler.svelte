<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import type { Step } from '$lib/theme/picked.svelte';

  /**
   * The places around what was picked, from the whole theme to the element: what each says, and which one edits go to. Arrow
   * keys walk along it.
   */
  let { bench }: { bench: Bench } = $props();

  const LONGEST = 22;
  const SHORTEST = 4;

  const trace = $derived(bench.trace);
  /** From wide to narrow. */
  const steps = $derived<Step[]>([...(bench.pick?.around ?? [])].reverse());
  const says = (place: string) => trace?.contexts.find((one) => one.place === place)?.written ?? '';
  /** What the theme says where no narrower place has a say. */
  const wide = $derived(
    trace?.hops[0]?.candidates.filter((one) => bench.writable.find((place) => place.place === one.place)?.kind !== 'scope').at(-1)
      ?.written ??
      (trace?.hops[0]?.unset ? '' : trace?.hops[0]?.resolved) ??
      ''
  );
  const value = (step: Step) => (step.place === '' ? wide : says(step.place));
  /** The narrowest of them that says something wins. */
  const winner = $derived(steps.findLast((step) => value(step) !== '')?.place ?? '');
  const aimed = $derived(steps.find((step) => bench.target === step.place || bench.target.startsWith(`${step.place}/`)) ?? steps[0]);
  const own = $derived(aimed && aimed.place !== '' ? says(aimed.place) : '');
  const without = $derived.by(() => {
    const at = steps.findIndex((step) => step.place === aimed?.place);
    return steps.slice(0, Math.max(at, 0)).findLast((step) => value(step) !== '');
  });
  /** How many single elements of the site have something of their own. */
  const single = $derived(
    aimed?.place.startsWith('scope:element=')
      ? bench.writable.filter((one) => one.scope.startsWith(`element=${bench.looks.site}:`) && one.of === '' && one.holds > 0).length
      : 0
  );

  const tick = (i: number) => LONGEST - ((LONGEST - SHORTEST) * i) / Math.max(1, steps.length - 1);
</script>

{#if steps.length}
  <div class="mt-3" role="radiogroup" aria-label="Where edits go">
    <p class="caption font-semibold">Where edits go</p>
    <div class="mt-1 border-l border-ink">
      {#each steps as step, i (step.place)}
        <label
          class="relative flex min-h-6 cursor-pointer items-center gap-2 pr-1 {step.place === aimed?.place
            ? 'bg-chosen font-semibold'
            : 'hover:bg-hover'} has-focus-visible:outline-2 has-focus-visible:outline-accent"
        >
          <!-- The wider the place, the longer its mark. -->
          <span class="flex w-6 shrink-0" aria-hidden="true"
            ><span class={value(step) ? 'h-0.5 bg-ink' : 'h-px bg-line'} style:width="{tick(i)}px"></span></span
          >
          <input
            type="radio"
            name="place"
            class="absolute inset-0 cursor-pointer opacity-0"
            value={step.place}
            checked={step.place === aimed?.place}
            onchange={() => bench.aimAt(step.place, step.reaching)}
          />
          <span class="min-w-0 grow truncate">{step.words}</span>
          {#if value(step)}
            <span class="value max-w-24 truncate {step.place === winner ? '' : 'text-muted line-through'}" title={value(step)}
              >{value(step)}</span
            >
          {:else}<span class="caption font-normal">follows</span>{/if}
        </label>
      {/each}
    </div>
    {#if own && aimed}
      <p class="caption mt-1">
        Without it: <span class="value text-ink">{without ? value(without) : 'unset'}</span>{without ? `, from ${without.words}` : ''}.
        <button
          class="button button-quiet h-6 px-1.5 text-xs"
          onclick={() => bench.pick && aimed && void bench.commit({ op: 'delete', place: bench.target, path: bench.pick.path })}
          >Follow again</button
        >
      </p>
    {/if}
    {#if single}<p class="caption mt-1">
        {single}
        {single === 1 ? 'element' : 'elements'} of this site already {single === 1 ? 'has' : 'have'} something of {single === 1
          ? 'its'
          : 'their'} own.
      </p>{/if}
  </div>
{/if}
