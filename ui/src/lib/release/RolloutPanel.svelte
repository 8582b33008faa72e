<script lang="ts">
  import { toast } from 'svelte-sonner';
  import { api, ask, store, said, type Schemas } from '$lib/api/client';
  import { at, counted } from '$lib/ui/words';
  import PublishOn from './PublishOn.svelte';
  import StageFound from './StageFound.svelte';
  import type { Releases } from './releases.svelte';

  let { releases, release }: { releases: Releases; release: Schemas['ReleaseView'] } = $props();

  const BY_HAND = -1;
  const A_DAY = 24;
  let busy = $state(false);
  let refused = $state('');
  /** Sites of the first stage; the rest follow. */
  let first = $state<string[]>([]);
  let waitHours = $state(BY_HAND);

  const sites = $derived(releases.all?.sites ?? []);
  const waiting = $derived(sites.filter((site) => site.release !== release.number));
  const on = $derived(sites.filter((site) => site.release === release.number));
  const rollout = $derived(releases.rollouts.find((one) => one.release === release.number));
  const open = $derived(rollout && (rollout.state === 'going' || rollout.state === 'paused') ? rollout : null);
  const rest = $derived(waiting.filter((site) => !first.includes(site.slug)));

  let found = $state.raw<Schemas['StageFound'][]>([]);
  const rolloutId = $derived(rollout?.id);
  /** Stages that went: with every one there is more to be found. */
  const went = $derived(rollout?.stages.filter((stage) => stage.doneAt).length ?? 0);
  $effect(() => {
    found = [];
    if (!rolloutId || !went) return;
    const path = { id: releases.theme, rollout: rolloutId };
    void ask(() => api.GET('/api/themes/{id}/rollouts/{rollout}/found', { params: { path } }))
      .then((answer) => (found = answer))
      .catch(() => undefined);
  });

  async function change(what: () => Promise<unknown>) {
    busy = true;
    refused = '';
    try {
      await what();
    } catch (e) {
      refused = said(e);
    } finally {
      await releases.load().catch(() => undefined);
      busy = false;
    }
  }

  const start = () =>
    change(async () => {
      const stages = [{ sites: first.length ? first : waiting.map((site) => site.slug), waitHours: 0 }];
      if (first.length && rest.length) stages.push({ sites: rest.map((site) => site.slug), waitHours });
      await store(() => api.POST('/api/themes/{id}/rollouts', { params: releases.path, body: { release: release.number, stages } }));
      toast.success(stages.length === 1 ? 'Rolled out' : 'The first stage stands on it');
      first = [];
    });
  /** @param stage that is taken back alone; -1 for all */
  const step = (id: number, name: string, stage = -1) =>
    change(() =>
      store(() =>
        api.POST('/api/themes/{id}/rollouts/{rollout}', {
          params: { path: { id: releases.theme, rollout: id } },
          body: { step: name, stage }
        })
      )
    );
  function words(stage: Schemas['StageView'], state: string) {
    if (stage.sites.every((site) => site.state === 'back')) return 'taken back';
    if (stage.doneAt) return `stands since ${at(stage.doneAt)}`;
    if (stage.due) return `goes by itself ${at(stage.due)}`;
    if (state === 'back') return 'was not reached';
    return stage.waitHours < 0 ? 'waits for you' : `${stage.waitHours} hours after the one before`;
  }
  /** What has gone, stands, and is not all there is. */
  const alone = (stage: Schemas['StageView']) =>
    rollout?.state !== 'back' && rollout?.stages.length !== 1 && stage.doneAt && stage.sites.some((site) => site.state !== 'back');
</script>

<h2 class="font-semibold">On its way to sites</h2>
{#if rollout}
  <ol class="mt-2 border-l-2 border-ink">
    {#each rollout.stages as stage (stage.position)}
      <li class="relative pb-2 pl-4">
        <span
          class="absolute top-1.5 -left-[7px] h-3 w-3 rounded-full border-2 border-ink {stage.doneAt ? 'bg-ink' : 'bg-ground'}"
          aria-hidden="true"
        ></span>
        <span class="block text-xs text-muted">
          {words(stage, rollout.state)}
        </span>
        {#each stage.sites as site (site.slug)}
          <a
            class="mr-2 inline-block leading-6 hover:underline {site.state === 'back' ? 'text-muted line-through' : ''}"
            href="/sites/{site.slug}">{site.name}</a
          >
        {/each}
        {#each found.filter((one) => one.position === stage.position) as one (one.position)}<StageFound found={one} />{/each}
        {#if alone(stage)}
          <button
            class="button button-quiet mt-1 -ml-2 h-6 px-2 text-xs"
            disabled={busy}
            aria-label="Take this stage back: {stage.sites.map((site) => site.name).join(', ')}"
            onclick={() => step(rollout.id, 'back', stage.position)}>Take this stage back</button
          >
        {/if}
      </li>
    {/each}
  </ol>
  <p class="text-xs text-muted">
    {rollout.state === 'back'
      ? 'taken back; every site stands on what it stood on before'
      : rollout.state === 'paused'
        ? 'held'
        : rollout.state === 'done'
          ? 'all stages went'
          : ''}
  </p>
  <div class="mt-2 flex flex-wrap gap-2">
    {#if rollout.state === 'going'}
      <button class="button button-strong" disabled={busy} onclick={() => step(rollout.id, 'next')}>Next stage now</button>
      <button class="button" disabled={busy} onclick={() => step(rollout.id, 'pause')}>Hold</button>
    {:else if rollout.state === 'paused'}
      <button class="button" disabled={busy} onclick={() => step(rollout.id, 'resume')}>Go on</button>
    {/if}
    {#if rollout.state !== 'back'}
      <button class="button" disabled={busy} onclick={() => step(rollout.id, 'back')}>Take all of it back</button>
    {/if}
  </div>
{/if}
{#if !open && waiting.length}
  <p class="mt-2 text-xs text-muted">
    {on.length ? `${on.map((site) => site.name).join(', ')} ${on.length === 1 ? 'stands' : 'stand'} on it.` : 'No site stands on it yet.'}
    Choose who takes it first; without a choice all take it at once.
  </p>
  <ul class="mt-2 space-y-0.5">
    {#each waiting as site (site.slug)}
      <li>
        <label class="flex min-h-6 items-center gap-2">
          <input type="checkbox" value={site.slug} bind:group={first} data-stored />
          <span class="min-w-0 grow truncate">{site.name}</span>
          <span class="value text-xs text-muted">{site.release || 'none'}</span>
        </label>
      </li>
    {/each}
  </ul>
  {#if first.length && rest.length}
    <div class="mt-2" role="radiogroup" aria-label="When the rest follows">
      <p class="text-xs text-muted">The other {counted(rest.length, 'site', 'sites')}</p>
      {#each [{ hours: BY_HAND, words: 'when let go by hand' }, { hours: A_DAY, words: 'a day later, by themselves' }] as one (one.hours)}
        <label class="flex min-h-6 items-center gap-2"
          ><input type="radio" name="wait" checked={waitHours === one.hours} onchange={() => (waitHours = one.hours)} />{one.words}</label
        >
      {/each}
    </div>
  {/if}
  <button class="button button-strong mt-3" disabled={busy} onclick={start}>
    {first.length
      ? `Roll out to ${counted(first.length, 'site', 'sites')} first`
      : `Roll out to ${counted(waiting.length, 'site', 'sites')}`}
  </button>
{:else if !open && sites.length}
  <p class="mt-2 text-muted">Every site stands on it.</p>
{:else if !sites.length}
  <p class="mt-2 text-muted">No site wears this theme yet.</p>
{/if}
{#if on.length}<PublishOn sites={on} release={release.number} />{/if}
{#if refused}<p class="mt-3 text-must" role="alert">{refused}</p>{/if}
