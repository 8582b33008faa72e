import { goto } from '$app/navigation';
import { api } from '$lib/api/client';
import { session } from './session.svelte';

/** Learns who is signed in, unless that is known; who is not goes to the sign-in and comes back. Resolves to whether to stay. */
export async function arrived(path: string): Promise<boolean> {
  if (session.name) return true;
  const { data, response } = await api.GET('/api/session');
  if (!data && response.status === 401) {
    await goto(`/sign-in?to=${encodeURIComponent(path)}`);
    return false;
  }
  if (data) session.name = data.name;
  return true;
}
