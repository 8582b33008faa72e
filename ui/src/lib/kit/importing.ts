import { Problem, problemOf, upload, type Schemas } from '$lib/api/client';
import { session } from '$lib/account/session.svelte';

/** What is said of files beside what they hold: what each of several token files is, and which selector stands for the page. */
export type Said = Schemas['ImportSaid'];

/** The server reads files up to here. */
const MOST_BYTES = 32 * 1024 * 1024;

/** What comes in from files, before anything is stored. */
export const previewFiles = (files: File[], said?: Said) => sent<Schemas['Preview']>('/api/kits/preview', files, said);

/** Sends files; resolves with the number of the new theme and what was converted. */
export const importFiles = (files: File[], said?: Said) => sent<Schemas['Imported']>('/api/kits', files, said);

/** A site from an archive or from pages by themselves, with what was taken out or passed over. */
export const takeSite = (files: File[], theme: number) => sent<Schemas['Arrived']>(`/api/sites/archive?theme=${theme}`, files);

async function sent<T>(path: string, files: File[], said?: Said): Promise<T> {
  const bytes = files.reduce((sum, file) => sum + file.size, 0);
  if (bytes > MOST_BYTES)
    throw new Problem(
      413,
      'Too large',
      `“${files[0]?.name}” has ${Math.round(bytes / 1048576)} MB; 32 MB are read. Nothing was sent and nothing was changed.`
    );
  let response: Response;
  try {
    response = await upload(path, files, said);
    if (response.status === 401 || response.status === 403) {
      await session.renew();
      response = await upload(path, files, said);
    }
  } catch {
    throw new Problem(0, 'No answer', 'The server could not be reached. Nothing was imported; try again in a moment.');
  }
  const body: unknown = await response.json().catch(() => ({}));
  if (!response.ok) throw problemOf(response.status, body);
  return body as T;
}
