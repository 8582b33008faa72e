import { Problem, problemOf, type Schemas } from '$lib/api/client';

type Asked = { done: (probe: Schemas['Probe']) => void; failed: (problem: Problem) => void };

/** A lost line is not tried again for so long, and each time it fails for twice that, up to the longest. */
const FIRST_MS = 250;
const LONGEST_MS = 30_000;
/** After the session ended it is looked now and then whether there is another. */
const SIGNED_OUT_MS = 3_000;
/** A line that has not answered for so long is taken for lost. */
const SILENT_MS = 4_000;
/** What is longer goes by a request of its own; the server reads no message that is. */
const LARGEST = 200_000;

/** Close codes of the server's own: the session ended, and there is no such theme. */
const SIGNED_OUT = 4401;
const NO_THEME = 4404;

/**
 * The one open line to the server: probes are asked on it while a pointer moves and answered in their turn, and each new
 * revision of the theme is announced on it. When it is not open, {@link send} says so, and who asks takes the ordinary way. A
 * lost line is opened again after a while, sooner when it is wanted.
 */
export class Line {
  #address: string;
  #socket: WebSocket | undefined;
  #asked: Asked[] = [];
  #wait = FIRST_MS;
  #notBefore = 0;
  #silence: ReturnType<typeof setTimeout> | undefined;
  #again: ReturnType<typeof setTimeout> | undefined;
  #ended = false;
  #announced: (revision: number) => void;
  #sites: (stamp: number) => void;

  /**
   * @param announced hears of each new revision, and of the newest one whenever the line opens
   * @param sites hears of another number whenever something was done to a site that wears the theme
   */
  constructor(theme: number, announced: (revision: number) => void, sites: (stamp: number) => void) {
    this.#address = `/api/themes/${theme}/live`;
    this.#announced = announced;
    this.#sites = sites;
    this.#open();
  }

  #open() {
    const url = new URL(this.#address, location.href);
    url.protocol = url.protocol === 'https:' ? 'wss:' : 'ws:';
    const socket = new WebSocket(url);
    socket.onopen = () => (this.#wait = FIRST_MS);
    socket.onmessage = (event: MessageEvent<string>) => this.#answered(JSON.parse(event.data));
    socket.onclose = (event) => this.#lost(socket, event.code);
    this.#socket = socket;
  }

  #lost(socket: WebSocket, code = 0) {
    if (socket !== this.#socket) return;
    this.#socket = undefined;
    clearTimeout(this.#silence);
    if (code === SIGNED_OUT) this.#wait = Math.max(this.#wait, SIGNED_OUT_MS);
    this.#notBefore = performance.now() + this.#wait;
    clearTimeout(this.#again);
    if (!this.#ended && code !== NO_THEME)
      this.#again = setTimeout(() => {
        if (!this.#socket && !this.#ended) this.#open();
      }, this.#wait);
    this.#wait = Math.min(LONGEST_MS, this.#wait * 2);
    for (const asked of this.#asked.splice(0)) asked.failed(new Problem(0, 'No answer', 'The line to the server was lost.'));
  }

  #answered(answer: Schemas['Probe'] | { status: number } | { revision: number } | { sites: number }) {
    if ('revision' in answer) return this.#announced(answer.revision);
    if ('sites' in answer) return this.#sites(answer.sites);
    clearTimeout(this.#silence);
    const asked = this.#asked.shift();
    if ('status' in answer) asked?.failed(problemOf(answer.status, answer));
    else asked?.done(answer);
  }

  /** The probe that an edit request comes to; nothing when the line is not open now. */
  send(request: Schemas['EditRequest']): Promise<Schemas['Probe']> | undefined {
    const text = JSON.stringify(request);
    if (!this.#socket && performance.now() >= this.#notBefore) this.#open();
    const socket = this.#socket;
    if (socket?.readyState !== WebSocket.OPEN || text.length > LARGEST) return undefined;
    return new Promise((done, failed) => {
      this.#asked.push({ done, failed });
      clearTimeout(this.#silence);
      this.#silence = setTimeout(() => {
        socket.close();
        this.#lost(socket);
      }, SILENT_MS);
      socket.send(text);
    });
  }

  close() {
    this.#ended = true;
    clearTimeout(this.#silence);
    clearTimeout(this.#again);
    this.#socket?.close();
  }
}
