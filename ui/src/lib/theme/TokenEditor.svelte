<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import ColorField from '$lib/color/field/ColorField.svelte';
  import { offered } from '$lib/color/offered';
  import CurveField from '$lib/ui/CurveField.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import TextValue from '$lib/ui/TextValue.svelte';
  import TokenPicture from '$lib/ui/TokenPicture.svelte';
  import type { Bench, Edit } from './bench.svelte';
  import DerivationForm from './DerivationForm.svelte';
  import GradientField from './GradientField.svelte';
  import ShadowField from './ShadowField.svelte';
  import { split } from './valueText';

  /** One token: its path, its value with the control that fits its type, a derivation, and what it says of itself. */
  let { bench, row }: { bench: Bench; row: Schemas['TokenRow'] } = $props();

  const MEASURE = /^(-?[\d.]+)(px|rem|ms|s)?$/;
  const PARTS: Record<string, string> = {
    fontFamily: 'Family',
    fontSize: 'Size',
    fontWeight: 'Weight',
    letterSpacing: 'Letter spacing',
    lineHeight: 'Line height'
  };

  const WORDS: Record<string, string[]> = { border: ['Width', 'Line', 'Color'], transition: ['Duration', 'Easing', 'Delay'] };
  const STROKES = ['solid', 'dashed', 'dotted', 'double', 'groove', 'ridge', 'outset', 'inset'];

  let deriving = $state(false);

  const own = $derived(!row.marks.includes('alias') && !row.marks.includes('derived'));
  const measure = $derived(own ? MEASURE.exec(row.written) : null);
  const curve = $derived(
    /^cubic-bezier\(([^)]*)\)$/
      .exec(own ? row.written : '')?.[1]
      ?.split(',')
      .map(Number)
  );
  const canDerive = $derived(['color', 'dimension', 'number'].includes(row.type));

  const first = $derived(row.written.split(',')[0]?.trim() ?? '');

  /** A part that itself consists of words stands in parentheses. */
  const bracketed = (text: string) => (split(text, ' ').length > 1 ? `(${text})` : text);
  const edit = (text: string): Edit => ({ op: 'value', place: row.place, path: row.path, text });

  const take = (text: string) => bench.take(edit(text));
  /** For controls of several parts, most of which have no room for a sentence. */
  const commit = async (text: string) => ((await bench.commit(edit(text))) ? '' : 'That was not taken.');
</script>

<section class="flex w-72 shrink-0 flex-col gap-3 overflow-y-auto border-l border-border p-3" aria-label="Token {row.path}">
  <div class="flex items-center gap-2">
    <TokenPicture type={row.type} css={row.css} size={28} />
    <div class="min-w-0">
      <h2 class="truncate font-semibold" title={row.path}>{row.path.split('.').at(-1)}</h2>
      <p class="caption">{row.type || 'no type'} · {bench.looks.words(row.place)}</p>
    </div>
  </div>
  {#if row.type === 'color'}
    <ColorField
      label="Value"
      value={row.written}
      hex={row.css}
      width="w-full"
      offered={offered(bench)}
      references
      onprobe={(text) => bench.probe(edit(text))}
      onrevert={() => bench.revert()}
      oncommit={take}
    />
  {:else}
    <TextValue label="Value" value={row.written} width="w-full" oncommit={take} />
  {/if}

  {#if measure}
    <NumberField
      label="{row.path.split('.').at(-1)} as a number"
      short="drag"
      value={Number(measure[1])}
      unit={measure[2] ?? ''}
      places={3}
      step={measure[2] === 'ms' ? 10 : measure[2] === 'px' ? 1 : row.type === 'fontWeight' ? 10 : 0.05}
      onprobe={(v) => bench.probe(edit(`${v}${measure[2] ?? ''}`))}
      oncommit={(v) => bench.commit(edit(`${v}${measure[2] ?? ''}`))}
    />
  {:else if curve}
    <CurveField
      points={curve}
      onprobe={(p) => bench.probe(edit(`cubic-bezier(${p.join(', ')})`))}
      oncommit={(p) => bench.commit(edit(`cubic-bezier(${p.join(', ')})`))}
    />
  {:else if own && row.type === 'shadow'}
    <ShadowField
      written={row.written}
      css={row.css}
      offered={offered(bench)}
      onprobe={(text) => bench.probe(edit(text))}
      onrevert={() => bench.revert()}
      oncommit={commit}
    />
  {:else if own && row.type === 'gradient'}
    <GradientField
      written={row.written}
      css={row.css}
      offered={offered(bench)}
      onprobe={(text) => bench.probe(edit(text))}
      onrevert={() => bench.revert()}
      oncommit={commit}
    />
  {:else if own && row.type === 'typography'}
    {#each split(row.written, '/') as part, i (i)}
      {@const member = Object.keys(PARTS)[i] ?? ''}
      <TextValue
        label={PARTS[member] ?? ''}
        value={part}
        width="w-full"
        oncommit={(text) => bench.take({ op: 'member', place: row.place, path: row.path, member, text })}
      />
    {/each}
  {:else if own && WORDS[row.type]}
    {@const words = split(row.written, ' ')}
    {#each WORDS[row.type] ?? [] as name, i (name)}
      {@const changed = (text: string) => edit(words.map((word, j) => (j === i ? bracketed(text) : word)).join(' '))}
      {#if name === 'Color'}
        <ColorField
          label={name}
          value={words[i] ?? ''}
          hex={split(row.css, ' ')[i] ?? 'transparent'}
          width="w-full"
          offered={offered(bench)}
          references
          onprobe={(text) => bench.probe(changed(text))}
          onrevert={() => bench.revert()}
          oncommit={(text) => bench.take(changed(text))}
        />
      {:else}
        <TextValue label={name} value={words[i] ?? ''} width="w-full" oncommit={(text) => bench.take(changed(text))} />
      {/if}
    {/each}
  {:else if own && row.type === 'strokeStyle'}
    <label class="flex flex-col gap-0.5"
      ><span class="caption">How the line is drawn</span>
      <select
        class="field"
        value={STROKES.includes(row.written) ? row.written : 'dash'}
        onchange={(e) => bench.commit(edit(e.currentTarget.value === 'dash' ? 'dash 8px 4px butt' : e.currentTarget.value))}
      >
        {#each STROKES as stroke (stroke)}<option value={stroke}>{stroke}</option>{/each}
        <option value="dash">dashes of its own</option>
      </select>
    </label>
  {:else if own && row.type === 'fontFamily'}
    <label class="flex flex-col gap-0.5"
      ><span class="caption">A family that ships with the theme</span>
      <select
        class="field"
        value={first}
        onchange={(e) =>
          bench.commit(
            edit(
              [
                e.currentTarget.value,
                ...row.written
                  .split(',')
                  .slice(1)
                  .map((name) => name.trim())
              ].join(', ')
            )
          )}
      >
        {#if !bench.fonts.some((font) => font.name === first)}<option value={first}>{first}</option>{/if}
        {#each bench.fonts as font (font.name)}<option value={font.name}>{font.name}</option>{/each}
      </select>
    </label>
    <p class="text-lg leading-6" style:font-family={row.css}>Boats leave at 06:40</p>
  {:else if !own}
    <p class="caption">It comes to <span class="value">{row.resolved || 'nothing: see the findings'}</span></p>
  {/if}

  {#if canDerive}
    <button class="button self-start" aria-expanded={deriving} onclick={() => (deriving = !deriving)}
      >{row.marks.includes('derived') ? 'Change the derivation' : 'Derive it from another token'}</button
    >
    {#if deriving}{#key row.path}<DerivationForm
          {bench}
          written={row.written}
          color={row.type === 'color'}
          onprobe={(text) => bench.probe(edit(text))}
          oncommit={async (text) => {
            const wrong = await take(text);
            if (wrong === '') deriving = false;
            return wrong;
          }}
        />{/key}{/if}
  {/if}

  <TextValue
    label="Path; every reference follows"
    value={row.path}
    width="w-full"
    oncommit={(to) => bench.take({ op: 'move', from: row.path, to })}
  />
  {#if bench.trace?.path === row.path}
    <TextValue
      label="Description"
      value={bench.trace.description}
      width="w-full"
      oncommit={(text) => bench.take({ op: 'about', place: row.place, path: row.path, text })}
    />
    {#if bench.trace.unknown.length > 0}
      <p class="caption">
        Its value also holds <span class="value">{bench.trace.unknown.join(', ')}</span>, of which the format says nothing. It is kept, goes
        out as it came, and no page uses it.
      </p>
    {/if}
  {/if}
  {#each row.findings as f (f.message)}
    <div class="border-l-2 border-must pl-2">
      <p>{f.message}</p>
      <p class="text-muted">{f.remedy}</p>
      {#each f.fixes as fix (fix.label)}<button class="button mt-1 mr-1" onclick={() => bench.commit(fix.edit)}>{fix.label}</button>{/each}
    </div>
  {/each}
  <div class="flex flex-wrap gap-1">
    {#if row.marks.includes('detached')}<button
        class="button"
        onclick={() => bench.commit({ op: 'attach', place: row.place, path: row.path })}>Give it back to the recipe</button
      >{/if}
    {#if row.marks.includes('recipe')}<button
        class="button"
        onclick={() => bench.commit({ op: 'detach', place: row.place, path: row.path })}>Detach from the recipe</button
      >{/if}
    <button
      class="button"
      onclick={() => bench.commit({ op: 'about', place: row.place, path: row.path, deprecated: !row.marks.includes('deprecated') })}
      >{row.marks.includes('deprecated') ? 'No longer deprecated' : 'Deprecate'}</button
    >
    <button class="button" onclick={() => bench.commit({ op: 'delete', place: row.place, path: row.path })}
      >Delete{bench.trace && bench.trace.path === row.path && bench.trace.dependentCount > 0
        ? `; ${bench.trace.dependentCount} ${bench.trace.dependentCount === 1 ? 'depends' : 'depend'} on it`
        : ''}</button
    >
  </div>
</section>
