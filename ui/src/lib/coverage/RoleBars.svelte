<script lang="ts">
  import type { Schemas } from '$lib/api/client';

  /** Every role that pages take, as a bar of how many spots do; the frayed end counts those that something hides. */
  let { roles, chosen, href }: { roles: Schemas['RoleTaken'][]; chosen: string[]; href: (path: string) => string } = $props();

  let search = $state('');
  const found = $derived(roles.filter((one) => one.path.includes(search.trim())));
  const groups = $derived([...new Set(found.map((one) => one.group))]);
  const most = $derived(Math.max(1, ...roles.map((one) => one.taking + one.hiding)));
  const long = (count: number) => 100 * Math.sqrt(count / most);
</script>

<input class="field mb-2 w-full" type="search" placeholder="Search roles" aria-label="Search roles" bind:value={search} />
<div class="min-h-0 grow overflow-y-auto">
  {#each groups as group (group)}
    <h2 class="caption sticky top-0 z-10 bg-ground py-1 font-semibold">{group}</h2>
    <ul>
      {#each found.filter((one) => one.group === group) as one (one.path)}
        <li>
          <a
            class="block border-t border-border px-1.5 py-1 {chosen.includes(one.path) ? 'bg-chosen' : 'hover:bg-hover'}"
            href={href(one.path)}
            aria-current={chosen.includes(one.path) ? 'true' : undefined}
          >
            <span class="flex items-center gap-1.5">
              {#if one.css}<span class="size-3 shrink-0 border border-line" style:background={one.css}></span>{/if}
              <span class="value min-w-0 grow truncate">{one.path}</span>
              <span class="value text-muted">{one.taking}<span class="sr-only"> take it</span></span>
              {#if one.hiding}<span class="value text-must">{one.hiding}<span class="sr-only"> hide it</span></span>{/if}
            </span>
            <span class="mt-0.5 flex h-1" aria-hidden="true">
              <span class="bg-ink" style:width="{long(one.taking)}%"></span>
              {#if one.hiding}<span
                  class="ml-px border-y border-dashed border-must"
                  style:width="{Math.max(4, long(one.taking + one.hiding) - long(one.taking))}%"
                ></span>{/if}
            </span>
          </a>
        </li>
      {/each}
    </ul>
  {:else}<p class="text-muted">No page takes such a role.</p>{/each}
</div>
