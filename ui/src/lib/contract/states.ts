/** States that nobody can be in for a picture: a pointer and a keyboard are elsewhere. Others stand in the samples themselves. */
export const STATES = [
  { state: 'hover', words: 'pointed at' },
  { state: 'focus-visible', words: 'reached by keyboard' },
  { state: 'active', words: 'pressed' }
] as const;
export type State = (typeof STATES)[number]['state'];

/** Says on elements that they are shown in a state. */
const SHOWN = 'data-shown-in';

/** What can be in each. */
const IN: Record<State, string> = {
  hover: '*',
  active: '*',
  'focus-visible': ':is(a[href], button, input, select, textarea, summary, [tabindex]):not(:disabled, [aria-disabled="true"])'
};

const pseudo = (state: State) => new RegExp(`:${state}(?![\\w-])`, 'g');

type Rules = CSSStyleSheet | CSSGroupingRule;

function* styleRules(within: Rules): Generator<{ rule: CSSStyleRule; within: Rules; at: number }> {
  // From the last on, so that what is put in beside a rule moves none that is still to come.
  for (let at = within.cssRules.length - 1; at >= 0; at--) {
    const rule = within.cssRules[at]!;
    if ('selectorText' in rule) yield { rule: rule as CSSStyleRule, within, at };
    else if ('cssRules' in rule) yield* styleRules(rule as CSSGroupingRule);
  }
}

/** The states in which something of a page looks other than at rest, by its own rules. */
export function statesOf(page: Document): State[] {
  const rules = [...page.styleSheets].flatMap((sheet) => [...styleRules(sheet)]);
  return STATES.map(({ state }) => state).filter((state) =>
    rules.some(({ rule }) => {
      if (!rule.selectorText.includes(`:${state}`)) return false;
      // A state that stands alone is one of anything.
      const resting = rule.selectorText
        .replace(pseudo(state), '')
        .split(',')
        .map((one) => one.trim() || '*')
        .join(',');
      try {
        return [...page.body.querySelectorAll(resting)].some((one) => one.matches(IN[state]));
      } catch {
        // What is left is no selector: the state stood alone in a function.
        return false;
      }
    })
  );
}

/** Shows a page as if everything on it were in a state. */
export function showIn(page: Document, state: State) {
  for (const sheet of page.styleSheets)
    for (const { rule, within, at } of [...styleRules(sheet)])
      if (pseudo(state).test(rule.selectorText))
        within.insertRule(
          rule.cssText.replace(rule.selectorText, rule.selectorText.replace(pseudo(state), `[${SHOWN}~='${state}']`)),
          at + 1
        );
  for (const one of page.body.querySelectorAll(IN[state])) one.setAttribute(SHOWN, state);
}
