import { describe, expect, it } from 'vitest';
import { apply } from '../commands/apply';
import type { AnyCommand } from '../commands/commands';
import type { MemorySlice } from '../record/slice';
import { recordsWith, type Change } from '../rulebook/sound-entry.test.data';
import { dueBecause, dueWords } from '../words/en/due';
import { dueWhen } from './due-when';
import { standingOf } from './standing';

const AT = '2026-03-04T12:00:00.000Z';
const intervals = { visual: null, close: 12, detailed: 36 };
const sealed = (change: Change = {}): MemorySlice => {
  const slice = recordsWith({ ...change, site: { intervals, ...change.site } });
  const command = { id: 's1', kind: 'inspection.seal', site: 's', at: AT, payload: { id: 'i1', entry: 'e', round: 'r' } };
  slice.write(apply(slice, command as unknown as AnyCommand, 'A. Vell'));
  return slice;
}; // prettier-ignore
const due = (slice: MemorySlice) => standingOf(slice, 'e', 's', AT)!.due;

describe('what is due next of an entry', () => {
  it('nothing where the site has no programme', () => expect(due(recordsWith())).toBeNull());

  it('its initial inspection before the first seal', () => {
    const found = due(recordsWith({ site: { intervals } }))!;
    expect([found.grade, found.day]).toEqual(['detailed', null]);
    expect(dueWords(found, '2026-03-04')).toBe('Detailed: initial inspection due');
    expect(dueWhen(found, '2026-03-04')).toBe('initial');
  });

  it('a year after a detailed one the close one', () => {
    const found = due(sealed())!;
    expect([found.grade, found.day, found.reasons]).toEqual(['close', '2027-03-04', ['site']]);
    expect(dueWords(found, '2027-03-05')).toContain('overdue since');
    expect([dueWhen(found, '2027-02-01'), dueWhen(found, '2027-02-10'), dueWhen(found, '2026-03-04')]).toEqual(['later', 'soon', 'later']); // prettier-ignore
  });

  it('sooner where its surroundings are harsh, and where a check of level 3 or 4 failed', () => {
    const harsh = due(sealed({ enclosure: { surroundings: 0.5 } }))!;
    expect([harsh.day, dueBecause(harsh)]).toEqual(['2026-09-04', 'every 6 months, shortened by its surroundings']); // prettier-ignore
    const failed = due(sealed({ looks: { 'armour-seated': 'inside' } }))!;
    expect([failed.day, failed.reasons]).toEqual(['2026-09-04', ['site', 'failed']]);
  });

  it('stays due where what was sealed left something unread', () =>
    expect(due(sealed({ looks: { 'armour-seated': null } }))!.day).toBeNull());
});
