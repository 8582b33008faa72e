/** Width in px of what stands beside a page: the handle that changes its width, and a hairline. */
export const EDGE = 25;

/** What one bay shows. */
export class BayState {
  site = $state('');
  page = $state('');
  width = $state(1280);
  scheme = $state('light');

  constructor(site: string, page: string, width: number, scheme: string) {
    this.site = site;
    this.page = page;
    this.width = width;
    this.scheme = scheme;
  }
}
