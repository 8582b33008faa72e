/**
 * Data that came anew, with everything in it that is as it was before taken from before: what is drawn from a part that stayed
 * is then not drawn again.
 */
export function kept<T>(before: unknown, fresh: T): T {
  if (before === fresh || typeof fresh !== 'object' || fresh === null || typeof before !== 'object' || before === null) return fresh;
  if (Array.isArray(fresh) !== Array.isArray(before)) return fresh;
  const old = before as Record<string, unknown>;
  const names = Object.keys(fresh) as (keyof T & string)[];
  const next = (Array.isArray(fresh) ? [] : {}) as T;
  let same = names.length === Object.keys(old).length;
  for (const name of names) {
    next[name] = kept(old[name], fresh[name]);
    same &&= name in old && next[name] === old[name];
  }
  return same ? (before as T) : next;
}
