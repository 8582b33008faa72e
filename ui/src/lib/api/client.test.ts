import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, ask, store, Problem } from './client';

/** What was sent: method, address and name of each request. */
let sent: { method: string; name: string | null }[] = [];

function answering(...answers: (Response | Error)[]) {
  sent = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    sent.push({ method: request.method, name: request.headers.get('Idempotency-Key') });
    const answer = answers[Math.min(sent.length, answers.length) - 1]!;
    if (answer instanceof Error) throw answer;
    return answer.clone();
  });
}

const json = (status: number, body: object) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
const away = new TypeError('connection reset');
const unknown = json(503, { title: 'Not known whether it is stored', detail: 'Look.' });
const already = json(409, { title: 'Stored already', detail: 'This was stored already.' });
const putAway = () => api.PUT('/api/sites/{site}/away', { baseUrl: 'http://loom.example', params: { path: { site: 'quay' } } });

beforeEach(() => {
  vi.stubGlobal('document', { cookie: 'XSRF-TOKEN=x' });
  vi.useFakeTimers({ shouldAdvanceTime: true, advanceTimeDelta: 500 });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

test('what was not answered is sent again under its own name until it is known', async () => {
  answering(away, unknown, json(200, {}));
  await store(putAway);
  expect(sent).toHaveLength(3);
  expect(sent[0]!.name).toMatch(/^[0-9a-f]{32}$/);
  expect(new Set(sent.map((one) => one.name)).size).toBe(1);
});

test('what is stored already is neither refused nor sent on', async () => {
  answering(away, already);
  const problem = await store(putAway).catch((e: unknown) => e);
  expect(problem).toBeInstanceOf(Problem);
  expect((problem as Problem).isStored).toBe(true);
  expect(sent).toHaveLength(2);
});

test('a refusal is told at once, and two acts have two names', async () => {
  answering(json(400, { title: 'That was not accepted', detail: 'No.' }));
  await expect(store(putAway)).rejects.toThrow('No.');
  const first = sent[0]!.name;
  expect(sent).toHaveLength(1);
  answering(json(200, {}));
  await store(putAway);
  expect(sent[0]!.name).not.toBe(first);
});

test('what only asks has no name', async () => {
  answering(json(200, []));
  await ask(() => api.GET('/api/page-kinds', { baseUrl: 'http://loom.example' }));
  expect(sent).toEqual([{ method: 'GET', name: null }]);
});

test('after five tries without an answer it is said that it is not known', async () => {
  answering(away);
  const ended = store(putAway).catch((e: unknown) => e);
  await vi.runAllTimersAsync();
  const problem = await ended;
  expect((problem as Problem).mayBeStored).toBe(true);
  expect(sent).toHaveLength(5);
});
