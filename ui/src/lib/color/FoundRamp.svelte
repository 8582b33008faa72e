<script lang="ts">
  import { Popover } from 'bits-ui';
  import { api, ask, said, type Schemas } from '$lib/api/client';
  import type { Bench } from '$lib/theme/bench.svelte';

  /** A ramp that no recipe grows, on the same ruler; it can be handed to one, with what that changes seen first. */
  let { bench, ramp }: { bench: Bench; ramp: Schemas['FoundRampView'] } = $props();

  const WHOLE = 120;

  let open = $state(false);
  let taken = $state.raw<Schemas['TakeoverView'] | null>(null);
  let refused = $state('');

  const blocks = $derived(
    ramp.shades.map((shade, i) => {
      const left = i === 0 ? Math.max(0, shade.depth - 3) : ((ramp.shades[i - 1]?.depth ?? 0) + shade.depth) / 2;
      const right =
        i === ramp.shades.length - 1 ? Math.min(WHOLE, shade.depth + 3) : (shade.depth + (ramp.shades[i + 1]?.depth ?? WHOLE)) / 2;
      return { shade, left: (left / WHOLE) * 100, width: Math.max(0.5, ((right - left) / WHOLE) * 100) };
    })
  );
  const most = $derived(Math.max(0, ...(taken?.shades.map((shade) => shade.difference) ?? [])));

  let read = $state(0);
  const current = $derived(ramp.shades[read]);

  function pointAt(event: PointerEvent & { currentTarget: HTMLElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    const share = ((event.clientX - box.left) / box.width) * 100;
    const at = blocks.findIndex((block) => share <= block.left + block.width);
    read = at < 0 ? blocks.length - 1 : at;
  }

  function key(event: KeyboardEvent) {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by) read = Math.min(ramp.shades.length - 1, Math.max(0, read + by));
    if (event.key === 'Enter') show();
  }

  const show = () => current && bench.open({ path: current.path, contexts: bench.working, roles: [] }, true);

  async function look() {
    refused = '';
    taken = null;
    try {
      taken = await ask(() =>
        api.GET('/api/themes/{id}/dress/ramp', { params: { path: { id: bench.id }, query: { group: ramp.group, name: ramp.name } } })
      );
    } catch (e) {
      refused = said(e);
    }
  }

  async function take() {
    refused = await bench.take({ op: 'takeRamp', path: ramp.group, name: ramp.name });
    if (refused === '') open = false;
  }
</script>

<div class="flex min-h-8 items-center gap-2 border-t border-border px-1.5">
  <span class="min-w-0 grow truncate" title={ramp.group}>{ramp.name}</span>
  <Popover.Root bind:open onOpenChange={(opened) => opened && void look()}>
    <Popover.Trigger class="button button-quiet h-6 px-1 text-xs text-muted" aria-label="Grow {ramp.name} from a seed">Grow</Popover.Trigger
    >
    <Popover.Portal>
      <Popover.Content
        role="dialog"
        aria-label="Grow {ramp.name} from a seed"
        class="z-40 w-[26rem] rounded-[3px] border border-line bg-raised p-4"
        side="top"
        sideOffset={6}
        collisionPadding={8}
      >
        {#if taken}
          <p class="mb-2">
            The shades become references to a hue that grows from <span class="value">{taken.seed}</span>. As they are, and as they would
            be:
          </p>
          <div class="flex" role="img" aria-label="Every shade as it is above, as it would be below">
            {#each taken.shades as shade (shade.path)}
              <span class="min-w-0 grow" title="{shade.path}: {shade.before} becomes {shade.after}, ΔE00 {shade.difference}">
                <span class="block h-7" style:background={shade.before}></span>
                <span class="block h-7" style:background={shade.after}></span>
                <span class="value block text-center text-[0.625rem]! {shade.difference >= 2 ? 'font-bold text-should' : 'text-muted'}"
                  >{shade.difference}</span
                >
              </span>
            {/each}
          </div>
          <p class="caption mt-2">Differences are CIEDE2000; below 2 hardly anybody sees one. The largest is {most}.</p>
          <div class="mt-3 flex justify-end gap-2"><button class="button button-strong" onclick={take}>Grow it</button></div>
        {:else if !refused}<p class="text-muted">Fitting the curves …</p>{/if}
        {#if refused}<p class="text-must" role="alert">{refused}</p>{/if}
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
</div>
<!-- One control for all shades: pointing or the arrow keys read one, a click or Enter opens it. -->
<div
  class="relative my-1 h-6"
  role="slider"
  tabindex="0"
  aria-label="Shades of {ramp.name}"
  aria-valuemin={0}
  aria-valuemax={ramp.shades.length - 1}
  aria-valuenow={read}
  aria-valuetext="{current?.path}, depth {current?.depth}"
  title="{current?.path} · depth {current?.depth}"
  onpointermove={pointAt}
  onclick={show}
  onkeydown={key}
>
  {#each blocks as block, i (block.shade.path)}
    <span
      class="absolute inset-y-0 {i === read ? 'outline-2 -outline-offset-2 outline-ink' : ''}"
      style:left="{block.left}%"
      style:width="{block.width}%"
      style:background={block.shade.hex}
    ></span>
  {/each}
</div>
