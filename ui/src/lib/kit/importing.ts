import { Problem, problemOf, upload, type Schemas } from '$lib/api/client';
import { session } from '$lib/account/session.svelte';

/** The server reads files up to here. */
const MOST_BYTES = 32 * 1024 * 1024;

/** Sends a kit, a resolver document or a token file; resolves with the number of the new theme and what was converted. */
export async function importFile(file: File): Promise<Schemas['Imported']> {
  if (file.size > MOST_BYTES)
    throw new Problem(
      413,
      'Too large',
      `“${file.name}” has ${Math.round(file.size / 1048576)} MB; a kit may have 32 MB. Nothing was sent and nothing was changed.`
    );
  let response: Response;
  try {
    response = await upload('/api/kits', file);
    if (response.status === 401 || response.status === 403) {
      await session.renew();
      response = await upload('/api/kits', file);
    }
  } catch {
    throw new Problem(0, 'No answer', 'The server could not be reached. Nothing was imported; try again in a moment.');
  }
  const body: unknown = await response.json().catch(() => ({}));
  if (!response.ok) throw problemOf(response.status, body);
  return body as Schemas['Imported'];
}
