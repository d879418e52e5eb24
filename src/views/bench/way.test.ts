import { describe, expect, it } from 'vitest';
import { nextUnread, type Asked } from './way';

const asked = (...read: boolean[]): Asked[] =>
  read.map((one, i) => ({ is: i < 2 ? 'place' : 'look', id: `${i}`, title: `${i}`, read: one }));
const at = (i: number) => ({ is: i < 2 ? 'place' : 'look', id: `${i}` }) as const;

describe('what is next unread', () => {
  it('is the first that is open', () => {
    expect(nextUnread(asked(true, false, false))?.id).toBe('1');
  });
  it('comes after what was answered just now, which counts as read', () => {
    expect(nextUnread(asked(false, false, false), [at(1)])?.id).toBe('2');
  });
  it('begins again at the start once the end is reached', () => {
    expect(nextUnread(asked(false, true, false, false), [at(3), at(2)])?.id).toBe('0');
  });
  it('is none once everything is read', () => {
    expect(nextUnread(asked(true, true, true))).toBeNull();
    expect(nextUnread(asked(true, true, false), [at(2)])).toBeNull();
  });
  it('tells a place from a look of the same name', () => {
    const both: Asked[] = [
      { is: 'place', id: 'support', title: '', read: false },
      { is: 'look', id: 'support', title: '', read: false },
    ];
    expect(nextUnread(both, [{ is: 'place', id: 'support' }])).toMatchObject({ is: 'look' });
  });
});
