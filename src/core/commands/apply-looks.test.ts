import { beforeEach, describe, expect, it } from 'vitest';
import type { Spot } from '../kinds/look';
import type { MemorySlice } from '../record/slice';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { apply } from './apply';
import type { Command } from './commands';

let slice: MemorySlice;
beforeEach(() => {
  slice = recordsWith();
});

/** Answers looks of one spot in one, as A. Vell; gives the refusal, if there is one. */
function together(spot: Spot, ...looks: string[]): string | null {
  const answers = looks.map((look) => ({ id: `t-${look}`, look }));
  const payload = { entry: 'e', round: 'r', spot, answers };
  const command: Command<'look.together'> = { id: 'c1', kind: 'look.together', site: 's', at: '2026-03-04T10:00:00.000Z', payload }; // prettier-ignore
  try {
    slice.write(apply(slice, command, 'A. Vell'));
    return null;
  } catch (error) {
    const { code, field } = error as { code: string; field: string };
    return `${code} ${field}`;
  }
}

describe('looks that are answered together', () => {
  it('each say the one answer that is as it should be, and that it was given with the others', () => {
    expect(together('outside', 'damage', 'cable-held')).toBeNull();
    expect(slice.get('look', 't-damage')).toMatchObject({ answer: 'yes', together: 'outside', by: 'A. Vell', photo: null }); // prettier-ignore
    expect(slice.get('look', 't-cable-held')).toMatchObject({ answer: 'yes', together: 'outside' });
  });
  it('are refused, all of them, where one can be right in two ways, lies elsewhere, or is none', () => {
    expect(together('outside', 'damage', 'shroud')).toBe('invalid answers');
    expect(together('outside', 'damage', 'armour-seated')).toBe('invalid answers');
    expect(together('outside', 'damage', 'condition-1')).toBe('invalid look');
    expect(together('outside', 'no-such-look')).toBe('invalid look');
    expect(slice.get('look', 't-damage')).toBeNull();
  });
});
