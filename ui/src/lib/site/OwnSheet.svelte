<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type Schemas } from '$lib/api/client';

  /** A site's own style sheet beside a page that shows it while it is written. */
  let {
    site,
    css,
    preview,
    pages,
    onstore
  }: {
    /** Its short name. */ site: string;
    css: string;
    preview: (page: string) => string;
    pages: { slug: string; title: string }[];
    onstore: (css: string) => Promise<string>;
  } = $props();

  const WIDTH = 1280;
  const BOX = 500;

  let properties = $state.raw<string[] | null>(null);
  let written = $state('');
  let read = $state.raw<Schemas['Read'] | null>(null);
  let page = $state('');
  let frame: HTMLIFrameElement | undefined = $state();
  let sheet: CSSStyleSheet | undefined;

  onMount(async () => {
    written = css;
    page = pages[0]?.slug ?? '';
    properties = await ask(() => api.GET('/api/css-properties'));
  });

  const wrong = $derived((read?.faults.length ?? 0) + (read?.removed.length ?? 0));

  /** Only what is written now shows: the page is loaded without what is stored. */
  function show() {
    const own = frame?.contentDocument?.defaultView as (Window & typeof globalThis) | null | undefined;
    if (!frame?.contentDocument || !own) return;
    sheet = new own.CSSStyleSheet();
    sheet.replaceSync(read?.text ?? '');
    frame.contentDocument.adoptedStyleSheets = [sheet];
  }

  function heard(answer: Schemas['Read']) {
    read = answer;
    sheet?.replaceSync(answer.text);
  }
</script>

{#if properties}
  <div class="grid gap-6 lg:grid-cols-2">
    <div>
      {#await import('./CssEditor.svelte') then { default: CssEditor }}
        <CssEditor
          of={{ site, theme: 0 }}
          text={css}
          label="Own style sheet"
          {properties}
          onread={heard}
          onwritten={(text) => (written = text)}
        />
      {/await}
      <div class="mt-2 flex items-start gap-3">
        <p class="min-w-0 grow {wrong ? 'text-must' : 'text-muted'}" role="status">
          {#if read?.faults.length}{read.faults[0]?.words}
          {:else if read?.removed.length}Nothing here may load anything: {read.removed.join(', ')} will be left out.
          {:else if read?.unknown.length}{read.unknown[0]?.words}
          {:else if read?.strays.length}{read.strays[0]?.words}
          {:else}It comes after everything else. Write <span class="value">--</span> for what the theme gives.{/if}
        </p>
        <button class="button shrink-0" disabled={written === css} onclick={() => onstore(written)}>Store it</button>
      </div>
    </div>
    <div>
      <label class="mb-1 flex items-center gap-2"
        ><span class="caption">Seen on</span>
        <select class="field h-6" bind:value={page}
          >{#each pages as one (one.slug)}<option value={one.slug}>{one.title}</option>{/each}</select
        ></label
      >
      <span class="relative block overflow-hidden border border-line" style:width="{BOX}px" style:height="{(BOX / WIDTH) * 850}px">
        <iframe
          bind:this={frame}
          src="{preview(page)}&bare=true"
          title="The page while its style sheet is written"
          sandbox="allow-same-origin"
          class="absolute top-0 left-0 origin-top-left border-0"
          style:width="{WIDTH}px"
          style:height="850px"
          style:transform="scale({BOX / WIDTH})"
          onload={show}
        ></iframe>
      </span>
    </div>
  </div>
{/if}
