<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import SpotPicture from './SpotPicture.svelte';
  import Thumb from '$lib/site/Thumb.svelte';

  /** One finding with the picture of its spot, its remedies, and the way to live with it. */
  let {
    theme,
    finding,
    busy,
    onfix,
    onaccept,
    onreopen
  }: {
    theme: number;
    finding: Schemas['FindingEntry'];
    busy: boolean;
    onfix: (fix: Schemas['FixView']) => void;
    onaccept: (reason: string) => void;
    onreopen: () => void;
  } = $props();

  const WEIGHTS: Record<string, string> = { must: 'border-must', should: 'border-should', note: 'border-line' };
  const WORDS: Record<string, string> = { must: 'must be mended', should: 'should be mended', note: 'worth knowing' };

  let asked = $state(false);
  let reason = $state('');

  const picture = $derived(
    finding.site
      ? `/preview/${theme}/draft/site/${finding.site}/${finding.page}.html?still=true`
      : finding.part
        ? `/preview/${theme}/draft/${encodeURIComponent(finding.combo || 'default')}/~part/${finding.part}.html?surface=${encodeURIComponent(finding.surface)}`
        : ''
  );
  /** The first of its spots; the sentence says how many there are. */
  const spot = $derived(finding.spots[0]);
  const place = $derived(
    finding.site
      ? `${finding.pageTitle} · ${finding.siteName}`
      : finding.combo
          .split(',')
          .map((one) => one.split('=')[1])
          .join(' · ')
  );
  const way = $derived(finding.site ? `/sites/${finding.site}` : `/bench/${theme}?role=${encodeURIComponent(finding.path)}`);
</script>

<li class="flex gap-4 border-t border-border py-3">
  <div class="h-24 w-40 shrink-0 overflow-hidden border border-line bg-sunk">
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
        <button class="underline" disabled={busy} onclick={onreopen}>Open it again</button>
      </p>
    {:else}
      <p class="mt-1 flex flex-wrap items-center gap-2">
        {#if finding.kind === 'undressed'}<a class="button h-7" href="/dress/{theme}">Dress it</a>{/if}
        {#each finding.fixes as fix (fix.label)}<button class="button h-7" disabled={busy} onclick={() => onfix(fix)}>{fix.label}</button
          >{/each}
        <a class="button button-quiet h-7" href={way}>{finding.site ? 'Go to the site' : 'Show on the bench'}</a>
        <button class="button button-quiet h-7" aria-expanded={asked} onclick={() => (asked = !asked)}>Live with it…</button>
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
            ><span class="text-muted">because</span>
            <!-- svelte-ignore a11y_autofocus (the person has just asked for it) -->
            <input class="field w-96" maxlength="400" autofocus bind:value={reason} /></label
          >
          <button class="button h-7" type="submit" disabled={busy || !reason.trim()}>Accept it</button>
        </form>
      {/if}
    {/if}
  </div>
</li>
