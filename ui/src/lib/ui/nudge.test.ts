import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Nudge } from './nudge.svelte';

describe('a value moved by arrow keys', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  const more = (now: number) => now + 1;

  it('goes as far as the repeats of a held key say, and is stored once', async () => {
    const stored: number[] = [];
    const nudge = new Nudge<number>();
    for (let i = 0; i < 30; i++) nudge.press(10, more, (to) => stored.push(to));
    expect(nudge.shown).toBe(40);
    expect(stored).toEqual([]);
    await vi.advanceTimersByTimeAsync(500);
    expect(stored).toEqual([40]);
    expect(nudge.shown).toBeNull();
  });

  it('goes on from where it led while that is still on its way to be stored', async () => {
    let answer = () => {};
    const stored: number[] = [];
    const slow = (to: number) => {
      stored.push(to);
      return new Promise<void>((done) => (answer = done));
    };
    const nudge = new Nudge<number>();
    nudge.press(10, more, slow);
    await vi.advanceTimersByTimeAsync(500);
    nudge.press(10, more, slow);
    expect(nudge.shown).toBe(12);
    answer();
    await vi.advanceTimersByTimeAsync(500);
    answer();
    await vi.advanceTimersByTimeAsync(0);
    expect(stored).toEqual([11, 12]);
    expect(nudge.shown).toBeNull();
  });

  it('tries every step and stores at once when it is told to', async () => {
    const tried: number[] = [];
    const stored: number[] = [];
    const nudge = new Nudge<number>();
    nudge.press(
      1,
      more,
      (to) => stored.push(to),
      (to) => tried.push(to)
    );
    nudge.press(
      1,
      more,
      (to) => stored.push(to),
      (to) => tried.push(to)
    );
    await nudge.done();
    await nudge.done();
    expect(tried).toEqual([2, 3]);
    expect(stored).toEqual([3]);
  });
});
