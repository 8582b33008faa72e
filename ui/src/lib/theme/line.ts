import { Problem, problemOf, type Schemas } from '$lib/api/client';

type Asked = { done: (probe: Schemas['Probe']) => void; failed: (problem: Problem) => void };

/** A lost line is opened again after so long, and each time it fails after twice that, up to the longest. */
const FIRST_MS = 500;
const LONGEST_MS = 30_000;
/** What is longer goes by a request of its own; the server reads no message that is. */
const LARGEST = 200_000;

/**
 * The open line to the server on which probes are asked while a pointer moves; they are answered in their turn. When it is
 * not open, {@link send} says so, and who asks takes the ordinary way.
 */
export class Line {
  #address: string;
  #socket: WebSocket | undefined;
  #asked: Asked[] = [];
  #wait = FIRST_MS;
  #again: ReturnType<typeof setTimeout> | undefined;
  #closed = false;

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
    socket.onclose = () => {
      for (const asked of this.#asked.splice(0)) asked.failed(new Problem(0, 'No answer', 'The line to the server was lost.'));
      if (this.#closed) return;
      this.#again = setTimeout(() => this.#open(), this.#wait);
      this.#wait = Math.min(LONGEST_MS, this.#wait * 2);
    };
    this.#socket = socket;
  }

  #answered(answer: Schemas['Probe'] | { status: number }) {
    const asked = this.#asked.shift();
    if ('status' in answer) asked?.failed(problemOf(answer.status, answer));
    else asked?.done(answer);
  }

  /** The probe that an edit request comes to; nothing when the line is not open now. */
  send(request: Schemas['EditRequest']): Promise<Schemas['Probe']> | undefined {
    const text = JSON.stringify(request);
    if (this.#socket?.readyState !== WebSocket.OPEN || text.length > LARGEST) return undefined;
    return new Promise((done, failed) => {
      this.#asked.push({ done, failed });
      this.#socket!.send(text);
    });
  }

  close() {
    this.#closed = true;
    clearTimeout(this.#again);
    this.#socket?.close();
  }
}
