import { toast } from 'svelte-sonner';
import { notice, said } from '$lib/api/client';

/** Tells people why something was not done; gives the reason, or nothing where it is stored all the same. */
export function refused(e: unknown): string {
  const title = notice(e);
  if (!title) return '';
  toast.error(title, { description: said(e) });
  return said(e);
}
