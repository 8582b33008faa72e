<script lang="ts">
  import type { Bench } from '$lib/theme/bench.svelte';
  import type { Schemas } from '$lib/api/client';
  import { kept } from '$lib/theme/kept';
  import Compartment from '$lib/ui/Compartment.svelte';
  import TextValue from '$lib/ui/TextValue.svelte';

  /** The text styles: which family, step and weight each role takes, its line height and its letter spacing. */
  let { bench }: { bench: Bench } = $props();

  const type = $derived(bench.shown?.type);
  /** The steps to choose from by name: not how large they are, so that the choices stay while a scale is dragged. */
  const last = { named: [] as { path: string; name: string }[] };
  const steps = $derived.by(() => {
    const named = type?.scales.flatMap((s) => s.steps.map(({ path, name }) => ({ path, name }))) ?? [];
    return (last.named = kept(last.named, named));
  });

  const edit = (style: Schemas['StyleView'], member: string, text: string) => ({
    op: 'member' as const,
    place: style.place,
    path: style.path,
    member,
    text
  });
</script>

<Compartment label="Text styles" frame="w-[29rem] shrink-0 border-l border-border" focusable>
  <table class="w-full border-collapse">
    <thead class="sticky top-0 z-10 bg-ground">
      <tr
        >{#each ['Role', 'Family', 'Step', 'Weight', 'Line', 'Spacing'] as head (head)}<th
            class="caption px-1 py-1 text-left font-normal"
            scope="col">{head}</th
          >{/each}</tr
      >
    </thead>
    <tbody>
      {#each type?.styles ?? [] as style (style.path)}
        <tr
          class="border-t border-border {bench.pick?.path === style.path ? 'bg-chosen' : ''}"
          onpointerenter={() => bench.light([style.path])}
          onpointerleave={() => bench.light(bench.pick ? [bench.pick.path] : [])}
        >
          <th class="px-2 text-left font-normal" scope="row">
            <button
              class="hover:underline"
              onclick={() => bench.open({ path: style.path, contexts: bench.working, roles: [{ kind: 'type', path: style.path }] })}
              >{style.role}</button
            >
          </th>
          <td class="p-0.5">
            <select
              class="field value w-[5.5rem] px-1!"
              aria-label="Family of {style.role}"
              value={style.family}
              onchange={(e) => bench.commit(edit(style, 'fontFamily', e.currentTarget.value))}
            >
              {#each type?.families ?? [] as f (f.path)}<option value={`{${f.path}}`}>{f.name}</option>{/each}
              {#if !type?.families.some((f) => `{${f.path}}` === style.family)}<option value={style.family}>{style.family}</option>{/if}
            </select>
          </td>
          <td class="p-0.5">
            <select
              class="field value w-12 px-1!"
              aria-label="Step of {style.role}"
              value={style.size}
              onchange={(e) => bench.commit(edit(style, 'fontSize', e.currentTarget.value))}
            >
              {#each steps as s (s.path)}<option value={`{${s.path}}`}>{s.name.replace('minus-', '−')}</option>{/each}
              {#if !steps.some((s) => `{${s.path}}` === style.size)}<option value={style.size}>{style.size}</option>{/if}
            </select>
          </td>
          <td class="p-0.5">
            <select
              class="field value w-[5.5rem] px-1!"
              aria-label="Weight of {style.role}"
              value={style.weight}
              onchange={(e) => bench.commit(edit(style, 'fontWeight', e.currentTarget.value))}
            >
              {#each type?.weights ?? [] as w (w.path)}<option value={`{${w.path}}`}>{w.name}</option>{/each}
              {#if !type?.weights.some((w) => `{${w.path}}` === style.weight)}<option value={style.weight}>{style.weight}</option>{/if}
            </select>
          </td>
          <td class="p-0.5"
            ><TextValue
              label="Line height of {style.role}"
              hideLabel
              width="w-14 px-1.5!"
              value={style.line}
              rest={style.line.startsWith('{') ? String(style.lineValue) : undefined}
              oncommit={(text) => bench.take(edit(style, 'lineHeight', text))}
            /></td
          >
          <td class="p-0.5"
            ><TextValue
              label="Letter spacing of {style.role}"
              hideLabel
              width="w-[4.5rem] px-1.5!"
              value={style.spacing}
              oncommit={(text) => bench.take(edit(style, 'letterSpacing', text))}
            /></td
          >
        </tr>
      {/each}
    </tbody>
  </table>
</Compartment>
