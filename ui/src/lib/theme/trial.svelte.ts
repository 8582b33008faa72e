import type { Schemas } from '$lib/api/client';
import type { Pages } from '$lib/site/pages';
import { afterPaint, nextFrame } from '$lib/ui/frames';
import type { Edit, Instruments } from './bench.svelte';
import { kept } from './kept';

/** While a pointer moves, the tray follows the pages once in so long at the most. */
const TRAY_MS = 160;
/** The table of surfaces and the findings, the largest parts, are asked for when the pointer has rested for so long. */
const REST_MS = 180;

/** What a trial needs of the bench. */
export type Ground = {
  pages: Pages;
  /** What is stored; nothing before the theme is loaded. */
  stored: () => Instruments | undefined;
  ask: (edit: Edit, lean: boolean) => Promise<Schemas['Probe']>;
};

/**
 * Shows an edit while the pointer moves, without storing it: at most one probe is on its way, and the newest replaces whatever
 * waits. Pages come first, for the eye is on them; the tray follows a moment later.
 */
export class Trial {
  /** What the tray shows: the stored instruments, with a probe's changes laid over. */
  shown = $state.raw<Instruments | null>(null);
  /** Whether something is shown that is not stored. */
  on = $state(false);
  /** What the token of the edit that is tried comes to, as CSS. */
  result = $state('');

  #ground: Ground;
  #probing = false;
  #waiting: Edit | null = null;
  #awaited: (() => void)[] = [];
  /** Counts commits and reversions, so that a late probe cannot undo what came after it. */
  #turn = 0;
  #dirty = false;
  /** What the pages were last given to try. */
  #last: Schemas['Probe'] | null = null;
  #followed = 0;
  #stopFollowing = () => {};
  #rest: ReturnType<typeof setTimeout> | undefined;

  constructor(ground: Ground) {
    this.#ground = ground;
  }

  /** What a page that came later has missed. */
  get live() {
    return this.#last?.live;
  }

  get dirty() {
    return this.#dirty;
  }

  /** Whatever is on its way no longer counts; the way to ask whether that was said again comes back. */
  outdate(): () => boolean {
    this.#waiting = null;
    const turn = ++this.#turn;
    return () => turn === this.#turn;
  }

  /** Shows what is stored; the trial is over. */
  end(stored: Instruments) {
    this.#stopFollowing();
    clearTimeout(this.#rest);
    this.#last = null;
    this.shown = stored;
    this.result = '';
    this.#dirty = false;
    this.on = false;
  }

  /** Resolves when the pages show it, or a later one. */
  probe(edit: Edit): Promise<void> {
    this.#waiting = edit;
    this.on = true;
    if (!this.#probing) void this.#send();
    return new Promise((shown) => this.#awaited.push(shown));
  }

  /** Shows one edit on each page, from the first bay on. */
  async compare(edits: { edit: Edit; note: string }[]) {
    const current = this.outdate();
    for (const [i, [page, bay]] of this.#ground.pages.inBays().entries()) {
      const choice = edits[i];
      if (!choice || !this.#ground.stored()) continue;
      const probe = await this.#ground.ask(choice.edit, true);
      if (!current()) return;
      this.#dirty = true;
      this.on = true;
      bay.note = choice.note;
      page.try(probe.live);
      page.complete();
    }
  }

  #tellShown() {
    for (const shown of this.#awaited.splice(0)) shown();
  }

  async #send() {
    this.#probing = true;
    while (this.#waiting && this.#ground.stored()) {
      const edit = this.#waiting;
      const turn = this.#turn;
      this.#waiting = null;
      try {
        const probe = await this.#ground.ask(edit, true);
        if (turn === this.#turn) {
          this.#lay(probe, edit);
          this.#tellShown();
          // One answer for each frame: what the pages were given before a frame shows it would be work for nothing.
          await nextFrame();
        }
      } catch {
        // A value on the way to a valid one; the commit will say what is wrong.
      }
    }
    this.#probing = false;
    this.#tellShown();
    if (!this.#waiting && !this.#dirty) this.on = false;
  }

  #lay(probe: Schemas['Probe'], edit: Edit) {
    this.#dirty = true;
    this.result = probe.result;
    this.#last = probe;
    this.#ground.pages.try(probe.live);
    performance.mark('pages-changed');
    this.#ground.pages.settle();
    if (performance.now() - this.#followed >= TRAY_MS) this.#followSoon();
    clearTimeout(this.#rest);
    this.#rest = setTimeout(() => void this.#settle(edit), REST_MS);
  }

  /** The tray takes on what the pages show, when they are painted: the time until the next answer is its own. */
  #followSoon() {
    this.#followed = performance.now();
    this.#stopFollowing();
    this.#stopFollowing = afterPaint(() => this.#follow());
  }

  #follow() {
    if (!this.#last) return;
    this.#ground.pages.tryAside(this.#last.live, false);
    this.shown = this.#laid(this.#last, this.shown!.color.surfaces, this.shown!.findings);
  }

  /** After the pointer has rested: everything that the edit it rests on would change. */
  async #settle(edit: Edit) {
    if (this.#last) this.#ground.pages.tryAside(this.#last.live, true);
    this.#ground.pages.complete();
    const turn = this.#turn;
    const probe = await this.#ground.ask(edit, false).catch(() => null);
    const stored = this.#ground.stored();
    if (turn !== this.#turn || this.#waiting || !stored) return;
    if (!probe) return this.#follow();
    this.#stopFollowing();
    const surfaces = stored.color.surfaces.map((s) => probe.surfaces.find((other) => other.name === s.name) ?? s);
    this.shown = this.#laid(probe, surfaces, probe.findings);
  }

  /** The stored instruments with a probe's changes laid over. */
  #laid(probe: Schemas['Probe'], surfaces: Schemas['SurfaceView'][], findings: Schemas['FindingView'][]): Instruments {
    const stored = this.#ground.stored()!;
    const hues = stored.color.hues.map((hue) => probe.hues.find((h) => h.path === hue.path) ?? hue);
    return kept(this.shown, {
      ...stored,
      color: { ...stored.color, hues, surfaces },
      type: probe.type[0] ?? stored.type,
      space: probe.space[0] ?? stored.space,
      shape: probe.shape[0] ?? stored.shape,
      findings
    });
  }
}
