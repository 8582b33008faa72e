import createClient from 'openapi-fetch';
import type { components, paths } from './schema';
import { session } from '$lib/account/session.svelte';

export type Schemas = components['schemas'];

/** What went wrong, in sentences for people. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    message: string,
    /** Further texts that came with it, such as both values of a conflict. */
    readonly extra: Record<string, string> = {},
    /** Whether it is not known if what was asked for was done. */
    readonly mayBeStored = false
  ) {
    super(message);
  }

  /** Whether what was asked for is stored, although there is no answer to show. */
  get isStored(): boolean {
    return STORED.includes(this.title);
  }
}

/** What to tell people of anything that went wrong. */
export const said = (e: unknown) => (e instanceof Problem ? e.message : String(e));

/** What a notice of it begins with; nothing where what was asked for is stored all the same. */
export const notice = (e: unknown) =>
  e instanceof Problem && e.isStored
    ? ''
    : e instanceof Problem && e.mayBeStored
      ? 'It is not known whether it was stored.'
      : 'Nothing was changed.';

function csrfToken(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '';
}

export const api = createClient<paths>({ baseUrl: '', credentials: 'same-origin', fetch: (request) => globalThis.fetch(request) });

api.use({
  onRequest({ request }) {
    if (request.method !== 'GET') {
      request.headers.set('X-XSRF-TOKEN', csrfToken());
      if (sending) request.headers.set('Idempotency-Key', sending);
    }
    return request;
  }
});

/** What the request that is being made is called; empty for one that may be sent twice. */
let sending = '';

function newName(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join('');
}

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The titles of the problems that say so. */
const MAY_BE_STORED = 'Not known whether it is stored';
const STORED = ['Stored already', 'Stored, but not shown'];
/** How long is waited before it is asked again what became of something, in ms. */
const ASKED_AGAIN = [300, 700, 1500, 3000];
const NOT_REACHED = 'The server could not be reached. Nothing was changed; try again in a moment.';
const ANSWER_LOST = 'The server did not answer. It may have been stored; what is shown is what the server has, once it answers again.';

/** The data of an answer. A session that ran out is renewed first, so nothing that was asked for is lost. */
export function ask<T>(send: () => Promise<Answer<T>>): Promise<T> {
  return answered(send, false);
}

/**
 * The same for what changes something. When no answer comes it is not known whether it was done: it is sent again under the same name,
 * which changes nothing a second time.
 */
export async function store<T>(send: () => Promise<Answer<T>>): Promise<T> {
  const name = newName();
  const named = () => {
    sending = name;
    try {
      return send();
    } finally {
      sending = '';
    }
  };
  for (const wait of ASKED_AGAIN) {
    try {
      return await answered(named, true);
    } catch (e) {
      if (!(e instanceof Problem) || !e.mayBeStored || e.isStored) throw e;
    }
    await new Promise((done) => setTimeout(done, wait));
  }
  return answered(named, true);
}

async function answered<T>(send: () => Promise<Answer<T>>, changes: boolean): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await send();
    if (answer.response.status === 401 || (answer.response.status === 403 && !csrfToken())) {
      await session.renew();
      answer = await send();
    }
    if (answer.response.status === 403) {
      // The token belongs to the old session; a harmless request fetches the new one.
      await api.GET('/api/session');
      answer = await send();
      if (answer.response.status === 401 || answer.response.status === 403) {
        await session.renew();
        answer = await send();
      }
    }
  } catch (e) {
    if (e instanceof Problem) throw e;
    throw new Problem(0, 'No answer', changes ? ANSWER_LOST : NOT_REACHED, {}, changes);
  }
  if (!answer.response.ok) throw problemOf(answer.response.status, answer.error);
  return answer.data as T;
}

export function problemOf(status: number, body: unknown): Problem {
  const problem = (typeof body === 'object' && body !== null ? body : {}) as Record<string, string>;
  return new Problem(
    status,
    problem.title ?? 'That did not work',
    problem.detail ?? 'The server refused it without a reason. Look at what is there before you try again.',
    problem,
    problem.title === MAY_BE_STORED || STORED.includes(problem.title ?? '') || (status >= 500 && !problem.detail)
  );
}

/** Sends files, and what is said of them; the browser sets the content type with its boundary. */
export async function upload(path: string, files: File[], said?: object): Promise<Response> {
  const body = new FormData();
  for (const file of files) body.append('file', file);
  if (said) body.append('said', new Blob([JSON.stringify(said)], { type: 'application/json' }));
  return fetch(path, { method: 'POST', body, headers: { 'X-XSRF-TOKEN': csrfToken() }, credentials: 'same-origin' });
}
