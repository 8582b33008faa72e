import type { Schemas } from '$lib/api/client';

export type RoleKind = 'color' | 'type' | 'space' | 'width';
export const KINDS: RoleKind[] = ['color', 'type', 'space', 'width'];

/** Which roles govern what on a page, as the rules of the parts say it. */
export class Governing {
  /** The strongest rule first. */
  #rules: Schemas['GoverningView'][];
  #selectors = new Map<string, string[]>();

  constructor(rules: Schemas['GoverningView'][]) {
    this.#rules = [...rules].sort((a, b) => b.rank - a.rank);
    for (const rule of rules) for (const role of rule.roles) this.#selectors.set(role, [...(this.#selectors.get(role) ?? []), where(rule)]);
  }

  /** The roles of an element, each from the nearest element around it that a rule gives one. */
  at(target: Element): { kind: RoleKind; path: string }[] {
    return KINDS.flatMap((kind) => {
      for (let element: Element | null = target; element; element = element.parentElement) {
        const matched: Element = element;
        const rule = this.#rules.find((one) => one[kind] !== '' && matched.matches(one.selector) && holds(one, matched));
        if (rule) return [{ kind, path: rule[kind] }];
      }
      return [];
    });
  }

  /** The same by their paths on the surface that it stands on; nothing where none governs it. */
  standingAt(target: Element): { box: DOMRect; roles: { kind: RoleKind; path: string }[] } | null {
    const roles = this.at(target);
    if (roles.length === 0) return null;
    const surface = target.closest('[data-surface]')?.getAttribute('data-surface') ?? 'page';
    return {
      box: target.getBoundingClientRect(),
      roles: roles.map((role) => ({ ...role, path: role.path.replace(/^surface\./, `surface.${surface}.`) }))
    };
  }

  /** Lengths that rules for an element take as they are, the strongest for each property. */
  lengthsOf(element: Element): { property: string; path: string }[] {
    const taken = new Map<string, string>();
    for (const rule of this.#rules)
      if (rule.lengths.length && element.matches(rule.selector) && holds(rule, element))
        for (const { property, path } of rule.lengths) if (!taken.has(property)) taken.set(property, path);
    return [...taken].map(([property, path]) => ({ property, path }));
  }

  /** What is governed by a role in its general form, such as `surface.text`. */
  selectorsOf(role: string): string[] {
    return this.#selectors.get(role) ?? [];
  }
}

/** Whether what a rule belongs to is chosen there. */
function holds({ attribute, value }: Schemas['GoverningView'], element: Element): boolean {
  return attribute === '' || element.closest(`[${attribute}]`)?.getAttribute(attribute) === value;
}

const where = ({ selector, attribute, value }: Schemas['GoverningView']) =>
  attribute === '' ? selector : `${selector}:where([${attribute}="${value}"], [${attribute}="${value}"] *)`;
