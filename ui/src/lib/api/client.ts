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
    readonly extra: Record<string, string> = {}
  ) {
    super(message);
  }
}

function csrfToken(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '';
}

export const api = createClient<paths>({ baseUrl: '', credentials: 'same-origin' });

api.use({
  onRequest({ request }) {
    if (request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', csrfToken());
    return request;
  }
});

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The data of an answer. A session that ran out is renewed first, so nothing that was asked for is lost. */
export async function ask<T>(send: () => Promise<Answer<T>>): Promise<T> {
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
    throw new Problem(0, 'No answer', 'The server could not be reached. Nothing was changed; try again in a moment.');
  }
  if (!answer.response.ok) throw problemOf(answer.response.status, answer.error);
  return answer.data as T;
}

export function problemOf(status: number, body: unknown): Problem {
  const problem = (typeof body === 'object' && body !== null ? body : {}) as Record<string, string>;
  return new Problem(
    status,
    problem.title ?? 'That did not work',
    problem.detail ?? 'The server refused it without a reason. Nothing was changed; try again.',
    problem
  );
}

/** Sends a file; the browser sets the content type with its boundary. */
export async function upload(path: string, file: File): Promise<Response> {
  const body = new FormData();
  body.append('file', file);
  return fetch(path, { method: 'POST', body, headers: { 'X-XSRF-TOKEN': csrfToken() }, credentials: 'same-origin' });
}
