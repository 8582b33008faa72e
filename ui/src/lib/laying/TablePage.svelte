<script lang="ts">
  import type { Laying, Picked } from './laying.svelte';

  /**
   * The page itself. What the pointer is on is outlined; a click picks it, and a second one lets its words be changed where they
   * stand. After a change the new page is laid over the old one when it is whole.
   */
  let {
    laying,
    src,
    width,
    onseen
  }: {
    laying: Laying;
    src: string;
    /** Of the window that the page is shown in, in px. */
    width: number;
    /** Heights of elements by where they stand, and the look of each heading level. */
    onseen: (heights: Record<number, number>, looks: string[]) => void;
  } = $props();

  const NTH = 'data-nth';
  let room = $state(0);
  let height = $state(900);
  let shown = $state('');
  let document_: Document | null = null;
  const scale = $derived(room ? Math.min(1, room / width) : 0.5);
  const frames = $derived(shown && shown !== src ? [shown, src] : [src]);

  const nth = (element: Element | null) => Number(element?.closest(`[${NTH}]`)?.getAttribute(NTH) ?? 0);
  const plain = (element: Element) => (element.children.length === 0 && element.textContent?.trim() ? element.textContent.trim() : null);

  function pickedAt(element: Element): Picked {
    const image = element.closest('img');
    return {
      at: nth(element),
      tag: element.localName,
      words: plain(element),
      picture: image ? { source: image.getAttribute('src') ?? '', alternative: image.getAttribute('alt') ?? '' } : null
    };
  }

  function loaded(event: Event, which: string) {
    if (which !== src) return;
    const frame = event.currentTarget as HTMLIFrameElement;
    const doc = frame.contentDocument;
    if (!doc) return;
    document_ = doc;
    shown = which;
    height = Math.max(doc.documentElement.scrollHeight, 400);
    const light = new (frame.contentWindow as Window & typeof globalThis).CSSStyleSheet();
    doc.adoptedStyleSheets = [light];
    outline = light;
    const heights: Record<number, number> = {};
    for (const one of doc.querySelectorAll(`body > [${NTH}], main > [${NTH}]`))
      heights[Number(one.getAttribute(NTH))] = one.getBoundingClientRect().height;
    onseen(heights, looksOf(doc));
    doc.addEventListener('pointermove', (e) => lightUp(nth(e.target as Element)));
    doc.documentElement.addEventListener('pointerleave', () => lightUp(0));
    doc.addEventListener('click', (e) => {
      e.preventDefault();
      const target = e.target as HTMLElement;
      if (target.isContentEditable || !nth(target)) return;
      laying.picked = pickedAt(target);
      const block = target.closest(`main > [${NTH}], body > [${NTH}]:not(main)`);
      laying.block = nth(block);
    });
    doc.addEventListener('submit', (e) => e.preventDefault());
    doc.addEventListener('dblclick', (e) => write(e.target as HTMLElement));
    lightUp();
  }

  let over = 0;
  let outline: CSSStyleSheet | null = null;

  function lightUp(under = over) {
    over = under;
    const rules = [];
    if (over) rules.push(`[${NTH}="${over}"] { outline: 1px dashed currentColor; outline-offset: 2px; cursor: pointer; }`);
    if (laying.picked) rules.push(`[${NTH}="${laying.picked.at}"] { outline: 2px solid currentColor; outline-offset: 3px; }`);
    else if (laying.block) rules.push(`[${NTH}="${laying.block}"] { outline: 2px solid currentColor; outline-offset: -2px; }`);
    outline?.replaceSync(rules.join('\n'));
  }
  $effect(() => {
    void laying.picked;
    void laying.block;
    lightUp();
  });
  // What is picked in the plan comes into sight.
  $effect(() => {
    const at = laying.block;
    if (at && !laying.picked) document_?.querySelector(`[${NTH}="${at}"]`)?.scrollIntoView({ block: 'nearest', behavior: 'smooth' });
  });

  /** Lets the words of an element be written over where they stand; Escape takes it back. */
  function write(element: HTMLElement) {
    const before = plain(element);
    if (before === null) return;
    element.contentEditable = 'plaintext-only';
    element.focus();
    const end = (keep: boolean) => {
      element.removeEventListener('blur', blur);
      element.removeEventListener('keydown', key);
      element.removeAttribute('contenteditable');
      const text = element.textContent?.replace(/\s+/g, ' ').trim() ?? '';
      if (!keep || text === before) element.textContent = before;
      else {
        laying.picked = { ...pickedAt(element), words: text };
        void laying.change({ op: 'words', at: nth(element), text }).then((refused) => {
          if (refused) element.textContent = before;
        });
      }
    };
    const blur = () => end(true);
    const key = (e: KeyboardEvent) => {
      if (e.key === 'Enter') {
        e.preventDefault();
        end(true);
      }
      if (e.key === 'Escape') end(false);
    };
    element.addEventListener('blur', blur);
    element.addEventListener('keydown', key);
  }

  /** How headings of each level look on this page, small enough to stand in a row. */
  function looksOf(doc: Document): string[] {
    const box = doc.createElement('div');
    box.style.cssText = 'position:absolute;visibility:hidden';
    for (let i = 1; i <= 6; i++) box.append(doc.createElement(`h${i}`));
    doc.querySelector('main')?.append(box);
    const looks = [...box.children].map((one) => {
      const style = doc.defaultView!.getComputedStyle(one);
      return `font-family:${style.fontFamily.replaceAll('"', "'")};font-weight:${style.fontWeight};font-style:${style.fontStyle};font-size:${Math.min(38, parseFloat(style.fontSize) * 0.75)}px;letter-spacing:${style.letterSpacing}`;
    });
    box.remove();
    return looks;
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="h-full min-h-0 overflow-auto bg-sunk" tabindex="0" role="group" aria-label="The page, to scroll" bind:clientWidth={room}>
  <div class="relative" style:width="{width * scale}px" style:height="{height * scale}px">
    {#each frames as one (one)}
      <iframe
        src={one}
        title="The page as it is"
        sandbox="allow-same-origin"
        scrolling="no"
        class="absolute top-0 left-0 origin-top-left border-0 bg-ground"
        style:width="{width}px"
        style:height="{height}px"
        style:transform="scale({scale})"
        style:visibility={one === src && shown !== src ? 'hidden' : 'visible'}
        onload={(e) => loaded(e, one)}
      ></iframe>
    {/each}
  </div>
</div>
