<script lang="ts">
  /** A file of a kit line by line; one that declares something leads to its token. */
  let { theme, name, text, tokens }: { theme: number; name: string; text: string; tokens: Record<string, string> } = $props();

  /** Lines that are drawn at most; a search narrows them. */
  const MOST = 3000;
  let search = $state('');

  const lines = $derived(text.split('\n').map((line, i) => ({ line, number: i + 1 })));
  const found = $derived(search ? lines.filter((one) => one.line.toLowerCase().includes(search.toLowerCase())) : lines);
  /** The path of the token that a line declares; empty for none. */
  const origin = (line: string) => tokens[/^\s*(--[\w-]+)\s*:/.exec(line)?.[1] ?? ''] ?? '';
</script>

<section class="flex min-w-0 grow flex-col" aria-label="File viewer">
  <div class="flex items-center gap-3 border-b border-border px-4 py-1.5">
    <h2 class="value min-w-0 truncate">{name}</h2>
    <input class="field ml-auto w-56" type="search" placeholder="Find in the file" aria-label="Find in the file" bind:value={search} />
    {#if search}<span class="value text-muted" aria-live="polite">{found.length}</span>{/if}
  </div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls must be reachable by keyboard) -->
  <pre
    class="value min-h-0 grow overflow-auto bg-raised py-4 leading-6"
    role="region"
    tabindex="0"
    aria-label="Text of {name}">{#each found.slice(0, MOST) as one (one.number)}{@const path = origin(one.line)}<svelte:element
        this={path ? 'a' : 'span'}
        class="block min-h-6 pr-4 before:mr-4 before:inline-block before:w-12 before:text-right before:text-border before:content-[attr(data-line)] {path
          ? 'hover:bg-hover'
          : ''}"
        data-line={one.number}
        href={path ? `/bench/${theme}?role=${path}` : undefined}
        title={path ? `${path}, on the bench` : undefined}>{one.line}</svelte:element
      >{/each}{#if found.length > MOST}<span class="block px-4">and {found.length - MOST} lines more</span>{/if}</pre>
</section>
