/** Colors that were chosen lately on this computer, the newest first. */
const KEY = 'umberloom.recent-colors';
const MOST = 12;

function read(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(kept) ? kept.filter((text) => typeof text === 'string').slice(0, MOST) : [];
  } catch {
    return [];
  }
}

class Recent {
  colors = $state.raw<string[]>(read());

  add(text: string) {
    if (text.startsWith('{') || this.colors[0] === text) return;
    this.colors = [text, ...this.colors.filter((other) => other !== text)].slice(0, MOST);
    try {
      localStorage.setItem(KEY, JSON.stringify(this.colors));
    } catch {
      // Without storage the list lasts as long as the page.
    }
  }
}

export const recent = new Recent();
