import { describe, expect, it, vi } from 'vitest';
import { FirstCopy } from './first-copy';

const asked = (answers: (string | Error)[]) => {
  const fetch = vi.fn((site: string) => {
    const next = answers.shift()!;
    return next instanceof Error ? Promise.reject(next) : Promise.resolve(`${next} of ${site}`);
  });
  return { fetch, copy: new FirstCopy(fetch) };
};

describe('a first copy', () => {
  it('that was asked for early is fetched once, and counts once', async () => {
    const { fetch, copy } = asked(['first', 'second']);
    copy.ask('s');
    expect(await copy.of('s')).toBe('first of s');
    expect(fetch).toHaveBeenCalledTimes(1);
    expect(await copy.of('s')).toBe('second of s');
  });

  it('that could not be had, as before anybody has said who they are, is asked for again', async () => {
    const { copy } = asked([new Error('who are you'), 'second']);
    copy.ask('s');
    expect(await copy.of('s')).toBe('second of s');
  });

  it('of another site, or of an opening that is over, is left', async () => {
    const { copy } = asked(['early', 'other', 'early', 'later']);
    copy.ask('s');
    expect(await copy.of('t')).toBe('other of t');
    copy.ask('s');
    copy.forget();
    expect(await copy.of('s')).toBe('later of s');
  });

  it('that fails twice says so to whoever waits for it', async () => {
    const { copy } = asked([new Error('no signal'), new Error('still no signal')]);
    copy.ask('s');
    await expect(copy.of('s')).rejects.toThrow('still no signal');
  });
});
