import { api, ask, problemOf, store, upload, type Schemas } from '$lib/api/client';

export type Shelved = Schemas['ShelvedPicture'];
export type Said = Schemas['PictureSaid'];

/** Pictures that belong together, and what can be done with them. */
export interface Shelf {
  /** Addresses of its pictures, without their names. */
  readonly base: string;
  /** What it is when it is empty, in words. */
  readonly empty: string;
  all(): Promise<Shelved[]>;
  /** @returns what the picture is called here */
  add(file: File): Promise<string>;
  say(name: string, said: Said): Promise<unknown>;
  remove(name: string): Promise<unknown>;
  /** Room for a picture that is still to come; none where that is no use. */
  keepRoom?(width: number, height: number): Promise<string>;
  /** Another picture wherever one stands. */
  instead?(old: string, name: string): Promise<unknown>;
  /** Pictures that can be taken from elsewhere, and their taking. */
  offered?(): Promise<Shelved[]>;
  take?(name: string): Promise<string>;
}

async function added(path: string, file: File): Promise<string> {
  const response = await upload(path, [file]);
  const body: unknown = await response.json().catch(() => ({}));
  if (!response.ok) throw new Error(`${file.name}: ${problemOf(response.status, body).message}`);
  return (body as { name: string }).name;
}

export function shelfOfSite(site: string, theme: number, base: string): Shelf {
  const at = { path: { site } };
  const one = (name: string) => ({ params: { path: { site, name } } });
  return {
    base: `${base}pictures/`,
    empty: 'drop files here, or keep room for one that is still to come',
    all: () => ask(() => api.GET('/api/sites/{site}/pictures', { params: at })),
    add: (file) => added(`/api/sites/${site}/pictures`, file),
    say: (name, body) => store(() => api.PUT('/api/sites/{site}/pictures/{name}', { ...one(name), body })),
    remove: (name) => store(() => api.DELETE('/api/sites/{site}/pictures/{name}', one(name))),
    keepRoom: async (width, height) =>
      (await store(() => api.POST('/api/sites/{site}/pictures/placeholders', { params: at, body: { width, height } }))).name,
    instead: (old, name) => store(() => api.PUT('/api/sites/{site}/pictures/{name}/instead', { ...one(old), body: { name } })),
    offered: () => shelfOfTheme(theme).all(),
    take: async (name) => (await store(() => api.POST('/api/sites/{site}/pictures/of-theme/{name}', one(name)))).name
  };
}

export function shelfOfTheme(id: number): Shelf {
  const at = { path: { id } };
  const one = (name: string) => ({ params: { path: { id, name } } });
  return {
    base: `/api/themes/${id}/pictures/`,
    empty: 'drop files here: surfaces can stand on them, and sites take them onto their own shelves',
    all: () => ask(() => api.GET('/api/themes/{id}/pictures', { params: at })),
    add: (file) => added(`/api/themes/${id}/pictures`, file),
    say: (name, body) => store(() => api.PUT('/api/themes/{id}/pictures/{name}', { ...one(name), body })),
    remove: (name) => store(() => api.DELETE('/api/themes/{id}/pictures/{name}', one(name)))
  };
}
