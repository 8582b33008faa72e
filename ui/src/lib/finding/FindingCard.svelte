<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import SpotPicture from './SpotPicture.svelte';
  import Thumb from '$lib/site/Thumb.svelte';

  /** One finding with the picture of its spot, its remedies, and the way to live with it. */
  let {
    theme,
    finding,
    revision,
    onfix,
    onaccept,
    onreopen
  }: {
    theme: number;
    finding: Schemas['FindingEntry'];
    /** Of the theme that was checked. */ revision: number;
    onfix: (fix: Schemas['FixView']) => void;
    onaccept: (reason: string) => void;
    onreopen: () => void;
  } = $props();

  const WEIGHTS: Record<string, string> = { must: 'border-must', should: 'border-should', note: 'border-line' };
  const WORDS: Record<string, string> = { must: 'Must fix', should: 'Should fix', note: 'Good to know' };

  let asked = $state(false);
  let reason = $state('');

  const picture = $derived(
    finding.site
      ? `/preview/${theme}/draft/site/${finding.site}/${finding.page}.html?still=true&at=${revision}`
      : finding.part
        ? `/preview/${theme}/draft/${encodeURIComponent(finding.combo || 'default')}/~part/${finding.part}.html?surface=${encodeURIComponent(finding.surface)}&at=${revision}`
        : ''
  );
  /** Which fix is shown beside what is there now. */
  let tried = $state(0);
  const after = $derived(picture && finding.fixes[tried] ? `${picture}&fix=${finding.id}:${tried}` : '');
  /** The first of its spots; the sentence says how many there are. */
  const spot = $derived(finding.spots[0]);
  const place = $derived(
    finding.site
      ? `${finding.pageTitle} · ${finding.siteName}`
      : finding.combo
          .split(',')
          .map((one) => (one.startsWith('@kind=') ? `${one.slice(6)} pages` : one.split('=')[1]))
          .join(' · ')
  );
  const way = $derived(finding.site ? `/sites/${finding.site}` : `/bench/${theme}?role=${encodeURIComponent(finding.path)}`);
</script>

<li class="flex gap-4 border-t border-border py-3">
  <div class="flex shrink-0 flex-col gap-1">
    <div class="h-24 w-40 overflow-hidden border border-line bg-sunk">
      {#if picture && spot !== undefined}<SpotPicture src={picture} title="The spot: {place}" at={spot} />
      {:else if picture}<Thumb
          src={picture}
          title="Where it is: {place || finding.path}"
          box={160}
          width={finding.site ? 1280 : 400}
          height={finding.site ? 760 : 240}
        />
      {:else}<p class="value grid h-full place-items-center p-2 text-center text-xs break-all text-muted">{finding.path}</p>{/if}
    </div>
    {#if after}
      <p class="caption w-40 truncate" title={finding.fixes[tried]?.label}>With: {finding.fixes[tried]?.label}</p>
      {#key after}<div class="h-24 w-40 overflow-hidden border border-line bg-sunk">
          <Thumb src={after} title="With the fix: {finding.fixes[tried]?.label}" box={160} width={400} height={240} />
        </div>{/key}
    {/if}
  </div>
  <div class="min-w-0 grow border-l-2 pl-3 {finding.accepted.by ? 'border-line' : (WEIGHTS[finding.weight] ?? 'border-line')}">
    <p class="flex flex-wrap items-baseline gap-x-3">
      {#if finding.path}<a class="value break-all text-link hover:underline" href={way}>{finding.path}</a>{/if}
      <span class="caption">{place}</span>
      <span class="caption ml-auto">{WORDS[finding.weight]}</span>
    </p>
    <p class="max-w-3xl">{finding.message}</p>
    <p class="max-w-3xl text-muted">{finding.remedy}</p>
    {#if finding.accepted.by}
      <p class="mt-1 flex flex-wrap items-baseline gap-x-3">
        <span>Accepted by {finding.accepted.by}: “{finding.accepted.reason}”</span>
        <button class="underline" onclick={onreopen}>Reopen</button>
      </p>
    {:else}
      <p class="mt-1 flex flex-wrap items-center gap-2">
        {#if finding.kind === 'undressed'}<a class="button h-7" href="/dress/{theme}">Map roles</a>{/if}
        {#each finding.fixes as fix, i (fix.label)}<button
            class="button h-7"
            onpointerenter={() => (tried = i)}
            onfocus={() => (tried = i)}
            onclick={() => onfix(fix)}>{fix.label}</button
          >{/each}
        <a class="button button-quiet h-7" href={way}>{finding.site ? 'Open site' : 'Show on the bench'}</a>
        <button class="button button-quiet h-7" aria-expanded={asked} onclick={() => (asked = !asked)}>Accept…</button>
      </p>
      {#if asked}
        <form
          class="mt-2 flex flex-wrap items-center gap-2"
          onsubmit={(event) => {
            event.preventDefault();
            if (reason.trim()) onaccept(reason.trim());
          }}
        >
          <label class="flex items-center gap-2"
            ><span class="text-muted">Reason</span>
            <!-- svelte-ignore a11y_autofocus (the person has just asked for it) -->
            <input class="field w-96" maxlength="400" autofocus bind:value={reason} /></label
          >
          <button class="button h-7" type="submit" disabled={!reason.trim()}>Accept</button>
        </form>
      {/if}
    {/if}
  </div>
</li>
