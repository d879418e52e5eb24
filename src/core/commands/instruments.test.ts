import { describe, expect, it } from 'vitest';
import { assess } from '../rulebook/assess';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { apply } from './apply';
import { isRefusal, type AnyCommand } from './commands';
import { currentInstruments, instrumentNow } from '../record/instruments';
import type { MemorySlice } from '../record/slice';
import type { Instrument } from '../record/types';

let made = 0;
function give(slice: MemorySlice, kind: string, payload: object, at = '2026-03-04T12:00:00.000Z'): void {
  const command = { id: `c${++made}`, kind, site: 's', at, payload } as unknown as AnyCommand;
  slice.write(apply(slice, command, 'A. Vell'));
}
const fields = (slice: MemorySlice): object => {
  const { site: _s, rev: _r, of: _o, lentAt: _l, ...own } = slice.get('instrument', 'c')! as Instrument & { rev?: string }; // prettier-ignore
  return own;
};
const lend = (slice: MemorySlice, id: string, change: object, at?: string) =>
  give(slice, 'instrument.lend', { ...fields(slice), ...change, id, of: 'c' }, at);
const take = (id: string, instrument: string) => ({ id, entry: 'e', round: 'r', place: 'outer-sheath', value: 20.7, typed: '20.7', method: 'caliper', instrument, source: 'typed' }); // prettier-ignore
const outer = (slice: MemorySlice) =>
  assess(slice, 'e', 's', '2026-06-01T10:00:00Z')!.findings.find(({ check }) => check === 'E-11')!.outcome;

describe('a version of an instrument', () => {
  it('stands beside the one before; readings stay with the one that they were taken with', () => {
    const slice = recordsWith({});
    const before = currentInstruments(slice, 's').length;
    lend(slice, 'c-2', { calibratedUntil: '2028-01-01', expandedUncertainty: 0.02 });
    const now = currentInstruments(slice, 's');
    expect(now).toHaveLength(before);
    expect(now.find(({ of }) => of === 'c')).toMatchObject({ id: 'c-2', lentAt: '2026-03-04T12:00:00.000Z' });
    expect(slice.by('reading', 'instrument', 'c').length).toBeGreaterThan(0);
    // The figures it measured with are its own.
    expect(instrumentNow(slice, 'c')!.expandedUncertainty).toBe(0.03);
    give(slice, 'reading.take', take('x1', 'c-2'));
    expect(slice.get('reading', 'x1')!.fault).toBeNull();
  });

  it('that was found to have run out takes what was measured before with it', () => {
    const slice = recordsWith({});
    expect(outer(slice)).toBe('conforms');
    const history = (found: 'within' | 'out') => [
      { from: '2026-01-01', to: '2026-05-01', found, certificate: 'CAL 1' },
      { from: '2026-05-02', to: '2027-05-01', found: null, certificate: 'CAL 2' },
    ];
    lend(slice, 'c-2', { calibrations: history('within'), calibratedUntil: '2027-05-01' });
    expect(outer(slice)).toBe('conforms');
    lend(slice, 'c-3', { calibrations: history('out'), calibratedUntil: '2027-05-01' }, '2026-05-02T08:00:00.000Z'); // prettier-ignore
    expect(outer(slice)).toBe('unread');
  });

  it('is refused under a tag that another instrument of the site has', () => {
    const slice = recordsWith({});
    try {
      give(slice, 'instrument.lend', { ...fields(slice), id: 'x', of: 'another' });
      throw new Error('taken');
    } catch (error) {
      expect(isRefusal(error) && error.field).toBe('tag');
    }
  });
});
