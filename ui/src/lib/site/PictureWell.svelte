<script lang="ts">
  import { Popover } from 'bits-ui';
  import { problemOf, upload } from '$lib/api/client';

  /** A picture of a site in its place: one is dropped there, taken from those that the site has, or taken away. */
  let {
    site,
    label,
    value,
    pictures,
    base,
    onchoose
  }: {
    /** Its short name. */ site: string;
    label: string;
    /** The picture's name; empty for none. */
    value: string;
    pictures: string[];
    /** Where its pictures lie. */
    base: string;
    onchoose: (name: string) => Promise<string>;
  } = $props();

  let open = $state(false);
  let over = $state(false);
  let message = $state('');

  async function take(file: File | undefined) {
    if (!file) return;
    message = '';
    try {
      const response = await upload(`/api/sites/${site}/pictures`, [file]);
      const body = await response.json();
      message = response.ok ? await onchoose(body.name) : problemOf(response.status, body).message;
      open = message !== '';
    } catch (e) {
      message = e instanceof Error ? e.message : String(e);
      open = true;
    }
  }

  async function choose(name: string) {
    message = await onchoose(name);
    open = false;
  }
</script>

<Popover.Root bind:open>
  <Popover.Trigger
    class="grid size-14 shrink-0 place-items-center border border-dashed p-1 {over ? 'border-2 border-accent' : 'border-current'}"
    aria-label="{label}: {value || 'none'}"
    title="{label}: drop a picture here, or click"
    ondragover={(e) => {
      e.preventDefault();
      over = true;
    }}
    ondragleave={() => (over = false)}
    ondrop={(e) => {
      e.preventDefault();
      over = false;
      void take(e.dataTransfer?.files[0]);
    }}
  >
    {#if value}<img class="max-h-full max-w-full" src="{base}pictures/{value}" alt="" />{:else}<span class="text-xs leading-tight"
        >{label}</span
      >{/if}
  </Popover.Trigger>
  <Popover.Portal>
    <Popover.Content
      role="dialog"
      aria-label={label}
      class="z-40 w-64 rounded-[3px] border border-line bg-raised p-2"
      sideOffset={4}
      align="start"
    >
      {#if pictures.length}
        <div class="mb-2 flex max-h-44 flex-wrap gap-1.5 overflow-y-auto p-1">
          {#each pictures as name (name)}
            <button
              class="border p-0.5 {name === value ? 'border-ink outline-2 outline-accent' : 'border-line'}"
              aria-pressed={name === value}
              aria-label={name}
              title={name}
              onclick={() => void choose(name)}><img class="h-10 w-12 object-contain" src="{base}pictures/{name}" alt="" /></button
            >
          {/each}
        </div>
      {/if}
      <div class="flex items-center gap-2">
        <label class="button cursor-pointer"
          >Add a file<input
            class="sr-only"
            type="file"
            accept="image/*"
            aria-label="File for {label}"
            onchange={(e) => void take(e.currentTarget.files?.[0])}
          /></label
        >
        {#if value}<button class="button button-quiet" onclick={() => void choose('')}>None</button>{/if}
      </div>
      {#if message}<p class="mt-1 text-xs leading-4 text-must" role="alert">{message}</p>{/if}
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
