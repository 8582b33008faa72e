/** A number with the word for one of a kind, or for several. */
export function counted(count: number, one: string, many: string): string {
  return count === 1 ? `1 ${one}` : `${count} ${many}`;
}

/** How an entry of a log is said. */
export const SAID: Record<string, string> = { start: '', edit: '', undo: 'Undid: ', redo: 'Redid: ' };

/** A moment as lists say it. */
export const at = (time: string) =>
  new Date(time).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
