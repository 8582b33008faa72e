import { api, ask, type Schemas } from '$lib/api/client';

/** The modifiers of a theme, in whose contexts a site can stand. */
export async function modifiersOf(theme: number): Promise<Schemas['LayerView'][]> {
  const bench = await ask(() => api.GET('/api/themes/{id}', { params: { path: { id: theme }, query: { combo: '', bays: '' } } }));
  return bench.structure.layers.filter((layer) => layer.kind === 'modifier' && layer.applies);
}
