import { Problem, problemOf, type Schemas } from '$lib/api/client';

type Asked = { done: (probe: Schemas['Probe']) => void; failed: (problem: Problem) => void };

/** A lost line is not tried again for so long, and each time it fails for twice that, up to the longest. */
const FIRST_MS = 250;
const LONGEST_MS = 30_000;
/** A line that has not answered for so long is taken for lost. */
const SILENT_MS = 4_000;
/** What is longer goes by a request of its own; the server reads no message that is. */
const LARGEST = 200_000;

/**
 * The open line to the server on which probes are asked while a pointer moves; they are answered in their turn. When it is
 * not open, {@link send} says so, and who asks takes the ordinary way; a lost line is opened again when it is next wanted.
 */
export class Line {
  #address: string;
  #socket: WebSocket | undefined;
  #asked: Asked[] = [];
  #wait = FIRST_MS;
  #notBefore = 0;
  #silence: ReturnType<typeof setTimeout> | undefined;

  constructor(theme: number) {
    this.#address = `/api/themes/${theme}/live`;
    this.#open();
  }

  #open() {
    const url = new URL(this.#address, location.href);
    url.protocol = url.protocol === 'https:' ? 'wss:' : 'ws:';
    const socket = new WebSocket(url);
    socket.onopen = () => (this.#wait = FIRST_MS);
    socket.onmessage = (event: MessageEvent<string>) => this.#answered(JSON.parse(event.data));
    socket.onclose = () => this.#lost(socket);
    this.#socket = socket;
  }

  #lost(socket: WebSocket) {
    if (socket !== this.#socket) return;
    this.#socket = undefined;
    clearTimeout(this.#silence);
    this.#notBefore = performance.now() + this.#wait;
    this.#wait = Math.min(LONGEST_MS, this.#wait * 2);
    for (const asked of this.#asked.splice(0)) asked.failed(new Problem(0, 'No answer', 'The line to the server was lost.'));
  }

  #answered(answer: Schemas['Probe'] | { status: number }) {
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
    clearTimeout(this.#silence);
    this.#socket?.close();
  }
}
