<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import LiftForm from './LiftForm.svelte';
  import StrayDistances from './StrayDistances.svelte';
  import Thumb from './Thumb.svelte';

  /** Strays of a site: which role each hides and how far off it is; taken back, or taken in with a reason. */
  let {
    strays,
    preview,
    all,
    onreturn,
    onkeep,
    onlift
  }: {
    strays: Schemas['StrayView'][];
    /** The address of a page as it is. */
    preview: (page: string) => string;
    /** Whether these are all there are. */
    all: boolean;
    onreturn: (ids: string[]) => Promise<string>;
    onkeep: (ids: string[], reason: string) => Promise<string>;
    /** Makes them one token of the theme, which those spots take. */
    onlift: (ids: string[], path: string, reason: string) => Promise<string>;
  } = $props();

  let chosen = $state<string[]>([]);
  let reason = $state('');
  let busy = $state(false);
  /** Whether it is asked which token the chosen become. */
  let lifting = $state(false);

  const there = $derived(chosen.filter((id) => strays.some((one) => one.id === id)));
  /** The page whose look before and after is shown: that of the first that is chosen. */
  const shown = $derived(strays.find((one) => there.includes(one.id))?.page ?? '');
  const onPage = $derived(there.filter((id) => strays.find((one) => one.id === id)?.page === shown));

  async function does(work: () => Promise<string>) {
    busy = true;
    const refused = await work();
    busy = false;
    if (!refused) {
      chosen = [];
      reason = '';
      lifting = false;
    }
  }

  const near = (one: Schemas['StrayView']) => (one.css ? `ΔE ${one.distance}` : `${one.distance} %`);
</script>

{#if strays.length === 0}
  <p class="text-muted">{all ? 'Nothing on its pages hides the theme.' : 'None here.'}</p>
{:else}
  <p class="mb-2 text-muted">Values written by hand on its pages, each hiding a role.</p>
  <div class="sticky top-0 z-10 flex flex-wrap items-center gap-2 border-y border-border bg-ground py-2">
    <label class="flex items-center gap-1.5"
      ><input
        type="checkbox"
        checked={there.length === strays.length}
        indeterminate={there.length > 0 && there.length < strays.length}
        onchange={(e) => (chosen = e.currentTarget.checked ? strays.map((one) => one.id) : [])}
      />
      All {strays.length}</label
    >
    <button class="button" disabled={busy || there.length === 0} onclick={() => does(() => onreturn(there))}
      >Return {there.length || ''} to the theme</button
    >
    <input class="field min-w-24 grow" placeholder="Reason to keep" aria-label="Reason to keep" maxlength="300" bind:value={reason} />
    <button class="button" disabled={busy || there.length === 0} onclick={() => does(() => onkeep(there, reason))}
      >Keep {there.length || ''}</button
    >
    <button class="button" aria-expanded={lifting} disabled={busy || there.length === 0} onclick={() => (lifting = !lifting)}
      >Lift into the theme…</button
    >
  </div>
  {#if lifting}
    <div class="border-b border-border py-2">
      <LiftForm
        label="Token of the theme that {there.length === 1 ? 'it becomes' : `these ${there.length} become`}"
        count={there.length}
        begins={strays.find((one) => one.id === there[0])?.css ? 'color.' : 'own.'}
        {busy}
        onlift={(path) => does(() => onlift(there, path, reason))}
      />
    </div>
  {/if}
  <StrayDistances {strays} bind:chosen />
  {#if shown}
    <div class="flex gap-3 border-b border-border py-2" role="group" aria-label="Before and after">
      <figure>
        <Thumb src={preview(shown)} title="{shown} as it is" box={250} height={1400} />
        <figcaption class="caption">as it is</figcaption>
      </figure>
      {#key onPage.join()}<figure>
          <Thumb src="{preview(shown)}&without={encodeURIComponent(onPage.join(','))}" title="{shown} returned" box={250} height={1400} />
          <figcaption class="caption">returned</figcaption>
        </figure>{/key}
    </div>
  {/if}
  <ul aria-label="Strays">
    {#each strays as one (one.id)}
      <li class="border-b border-border">
        <label class="grid cursor-pointer grid-cols-[1rem_1.25rem_minmax(0,1fr)_auto] items-center gap-2 py-1.5 hover:bg-hover">
          <input type="checkbox" value={one.id} bind:group={chosen} />
          <span class="size-4 border border-line" style:background={one.css || 'transparent'}></span>
          <span class="min-w-0">
            <span class="block truncate"><span class="value">{one.property}: {one.value}</span></span>
            <span class="caption block truncate">{one.tag} “{one.words}” on {one.title}</span>
          </span>
          <span class="text-right">
            <span class="value flex items-center justify-end gap-1.5"
              >{#if one.css}<span class="size-3 border border-line" style:background={one.roleCss}></span>{/if}{one.role}</span
            >
            <span class="caption"
              >{one.nearest && one.nearest !== one.role ? `${near(one)} from ${one.nearest}` : one.distance >= 0 ? near(one) : ''}</span
            >
          </span>
        </label>
      </li>
    {/each}
  </ul>
{/if}
