<script lang="ts">
  import { onDestroy, onMount } from 'svelte';
  import { page } from '$app/state';
  import { goto } from '$app/navigation';
  import { api, said } from '$lib/api/client';
  import { session } from '$lib/account/session.svelte';
  import OwnFaces from '$lib/font/OwnFaces.svelte';
  import Bays from '$lib/site/Bays.svelte';
  import { Bench } from '$lib/theme/bench.svelte';
  import ClashDialog from '$lib/theme/ClashDialog.svelte';
  import Rail from '$lib/theme/Rail.svelte';
  import Tray from '$lib/theme/Tray.svelte';
  import { toNextArea } from '$lib/ui/areas';
  import { promptPointer } from '$lib/ui/promptPointer';

  const LEAST = 160;
  const FOLDED = 33;
  const RAIL = 44;

  let stop: (() => void) | undefined;
  onDestroy(() => stop?.());

  let bench = $state.raw<Bench | null>(null);
  let problem = $state('');
  let height = $state(800);
  let tray = $state(330);
  let folded = $state(false);

  const trayHeight = $derived(folded ? FOLDED : Math.min(Math.max(tray, LEAST), height - RAIL - LEAST));

  onMount(promptPointer);
  onMount(async () => {
    const { data } = await api.GET('/api/session');
    if (!data) return goto(`/sign-in?to=${encodeURIComponent(page.url.pathname)}`);
    session.name = data.name;
    const loading = new Bench(Number(page.params.theme));
    loading.wanted = page.url.searchParams.get('role') ?? '';
    try {
      await loading.load({ site: page.url.searchParams.get('site') ?? '', page: page.url.searchParams.get('page') ?? '' });
      bench = loading;
      stop = loading.listen();
      const place = page.url.searchParams.get('place');
      if (place) loading.aimAt(place);
    } catch (e) {
      problem = said(e);
    }
  });

  /** A field has an undo of its own while something stands in it that is not stored. */
  function writing(target: EventTarget | null): boolean {
    return target instanceof HTMLElement && target.matches('textarea, input:not([type=radio], [type=checkbox], [data-stored])');
  }

  function key(event: KeyboardEvent) {
    toNextArea(event);
    if (writing(event.target) || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    event.preventDefault();
    void (event.shiftKey ? bench?.redo() : bench?.undo());
  }
</script>

<svelte:head><title>{bench?.saved?.name ?? 'Bench'} · Umber Loom</title></svelte:head>
<svelte:window bind:innerHeight={height} onkeydown={key} />
{#if bench}<OwnFaces families={bench.fonts} />{/if}

{#if bench?.saved}
  <div class="flex h-screen min-w-[64rem] flex-col overflow-hidden">
    <Rail {bench} />
    <main class="flex min-h-0 grow flex-col">
      <div class="min-h-0 grow"><Bays {bench} /></div>
      <div class="shrink-0 border-t border-line" role="region" aria-label="Tray" data-area style:height="{trayHeight}px">
        <Tray {bench} bind:folded height={trayHeight} onheight={(px) => (tray = px)} />
      </div>
    </main>
  </div>
  <ClashDialog {bench} />
{:else if problem}
  <main class="mx-auto max-w-md px-6 py-24 text-center">
    <h1 class="font-display text-2xl text-heading">This bench is empty</h1>
    <p class="mt-2 mb-6 text-muted">{problem}</p>
    <a class="button h-9" href="/library">Back to the library</a>
  </main>
{/if}
