<script lang="ts">
  /** A value as a small picture: a swatch, a bar, a curve, a shadow, a gradient, a line, or a letter in its face. */
  let { type, css, size = 18 }: { type: string; css: string; size?: number } = $props();

  const LONGEST_PX = 96;

  const px = $derived.by(() => {
    const fluid = /^clamp\([^,]+,.*,\s*([\d.]+)(px|rem)\)$/.exec(css);
    const plain = /^(-?[\d.]+)(px|rem)$/.exec(css);
    const found = fluid ?? plain;
    return found ? Math.abs(Number(found[1])) * (found[2] === 'rem' ? 16 : 1) : 0;
  });
  const curve = $derived(
    /^cubic-bezier\(([^)]*)\)/
      .exec(type === 'transition' ? (css.match(/cubic-bezier\([^)]*\)/)?.[0] ?? '') : css)?.[1]
      ?.split(',')
      .map(Number)
  );
</script>

{#if type === 'color'}
  <span class="checker block shrink-0 border border-line" style:width="{size}px" style:height="{size}px"
    ><span class="block size-full" style:background={css}></span></span
  >
{:else if type === 'gradient' && css}
  <span
    class="block shrink-0 border border-line"
    style:width="{size * 1.6}px"
    style:height="{size}px"
    style:background="linear-gradient(to right, {css})"
  ></span>
{:else if type === 'shadow' && css}
  <span class="grid shrink-0 place-items-center" style:width="{size}px" style:height="{size}px"
    ><span class="block size-2/3 bg-raised" style:box-shadow={css}></span></span
  >
{:else if type === 'border' && css}
  <span class="block shrink-0" style:width="{size}px" style:height="0" style:border-top={css}></span>
{:else if type === 'strokeStyle' && css}
  <span class="block shrink-0 border-ink" style:width="{size}px" style:height="0" style:border-top="3px {css}"></span>
{:else if curve}
  <svg width={size} height={size} viewBox="0 0 1 1" class="shrink-0 overflow-visible" aria-hidden="true">
    <path
      d="M0 1 C{curve[0]} {1 - (curve[1] ?? 0)} {curve[2]} {1 - (curve[3] ?? 0)} 1 0"
      fill="none"
      stroke="currentColor"
      stroke-width="0.08"
    />
  </svg>
{:else if type === 'dimension' && px > 0}
  <span class="block h-1.5 shrink-0 bg-ink/50" style:width="{Math.min(LONGEST_PX, Math.max(1, px)) / (LONGEST_PX / size)}px" title="{px} px"
  ></span>
{:else if type === 'fontFamily' && css}
  <span class="shrink-0 text-center text-sm leading-none" style:width="{size}px" style:font-family={css}>Ag</span>
{:else if type === 'fontWeight' && css}
  <span class="shrink-0 text-center text-sm leading-none" style:width="{size}px" style:font-weight={css}>A</span>
{/if}
