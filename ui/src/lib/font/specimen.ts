/** Words and colors of the pages in the bays, for what is drawn beside them. */
export interface Sample {
  heading: string;
  text: string;
  ground: string;
  headingColor: string;
  textColor: string;
}

const NO_PAGE: Sample = {
  heading: 'At six the tide turns',
  text: 'Lights are lit at six, and the tide turns.',
  ground: '',
  headingColor: '',
  textColor: ''
};
const MOST_LETTERS = 70;

const words = (element: Element | null | undefined) => element?.textContent?.replace(/\s+/g, ' ').trim().slice(0, MOST_LETTERS) ?? '';

/** What a page says and looks like, or words of our own while none is there. */
export function sampleOf(page: Document | undefined): Sample {
  const view = page?.defaultView;
  if (!page?.body || !view) return NO_PAGE;
  const heading = page.querySelector('main h2, main h1');
  const text = page.querySelector('main > p, main section:not([data-surface]) p, main p');
  const colorOf = (element: Element | null) => (element ? view.getComputedStyle(element).color : '');
  return {
    heading: words(page.querySelector('main h1')) || words(heading) || NO_PAGE.heading,
    text: words(text) || NO_PAGE.text,
    ground: view.getComputedStyle(page.body).backgroundColor,
    headingColor: colorOf(page.querySelector('main > h2') ?? page.body),
    textColor: colorOf(page.body)
  };
}
