import { api, ask, type Schemas } from '$lib/api/client';

type Facts = Schemas['FamilyFacts'];

/** What the files of all families say, asked for once and again when other families are at hand. */
class KnownFacts {
  all = $state.raw<Facts[]>([]);
  #asked = '';

  /** @param stamp another one whenever families came or went */
  ask(stamp: string) {
    if (this.#asked === stamp) return;
    this.#asked = stamp;
    void ask(() => api.GET('/api/fonts/facts')).then((all) => (this.all = all));
  }

  /** @param stack families as CSS or as people write them; the first counts */
  of(stack: string): Facts | undefined {
    const first = firstOf(stack);
    return this.all.find((one) => one.name === first);
  }
}

export const facts = new KnownFacts();

/** The first family of a stack, without quotes. */
export const firstOf = (stack: string) =>
  stack
    .split(',')[0]
    ?.trim()
    .replace(/^["']|["']$/g, '') ?? '';
