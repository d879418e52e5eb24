import { checksOf } from './rules';
import { describe, expect, it } from 'vitest';
import { apply } from '../commands/apply';
import type { AnyCommand } from '../commands/commands';
import type { KindId } from '../record/kind-ids';
import { KIND_IDS } from '../record/kind-ids';
import type { MemorySlice } from '../record/slice';
import type { AsLeft, Grade, Round } from '../record/types';
import { statement } from '../words/en/findings';
import { currentRound, dossierOf } from './dossier';
import { statusOf } from './assess';
import { judge } from './judge';
import { recordsWith, type Change } from './sound-entry.test.data';

let made = 0;
const give = (slice: MemorySlice, kind: string, payload: object) => {
  const command = { id: `c${++made}`, kind, site: 's', at: '2026-03-04T12:00:00.000Z', payload };
  slice.write(apply(slice, command as unknown as AnyCommand, 'A. Vell'));
};
const seal = (slice: MemorySlice) =>
  give(slice, 'asleft.seal', {
    id: 'al', entry: 'e', round: 'r', why: 'opening', outerSeal: 'kept', innerSeal: 'replaced', note: '',
  }); // prettier-ignore

/** A sound entry opened, made off, sealed as left; then a round of a lower grade that sees it only from outside. */
function closedRound(change: Change, grade: Grade = 'close'): MemorySlice {
  const slice = recordsWith(change);
  seal(slice);
  const round = { ...slice.get('round', 'r')!, id: 'later', grade, started: '2026-09-01' } as Round;
  give(slice, 'round.add', { ...round, site: undefined, rev: undefined });
  return slice;
}

function judged(slice: MemorySlice, grade: Grade) {
  const round = currentRound(slice, 'e', 's');
  return judge(dossierOf(slice, 'e', round)!, grade, '2026-09-02T10:00:00Z');
}
const outcome = (slice: MemorySlice, check: string, grade: Grade = 'close') =>
  judged(slice, grade).find((finding) => finding.check === check)?.outcome ?? 'left out';

/** What the closed entry hides: detailed checks that rest on looks and readings. */
const HIDDEN = ['E-12', 'E-14', 'E-20', 'E-30'];

describe('what a closed entry hides', () => {
  it('is never called conforming from outside without a sealed record', () => {
    for (const kind of KIND_IDS) {
      for (const grade of ['visual', 'close'] as const) {
        const findings = judge(dossierOf(recordsWith({ kind }), 'e', null)!, grade, '');
        const hidden = findings.filter(
          ({ check }) => checksOf(kind).includes(check) && HIDDEN.includes(check),
        );
        expect(hidden).toEqual([]);
      }
    }
  });

  it('conforms from a sealed record, with its date', () => {
    const slice = closedRound({});
    for (const check of HIDDEN) expect(outcome(slice, check), check).toBe('conforms');
    const found = judged(slice, 'close').find(({ check }) => check === 'E-14')!;
    expect(statement(found)).toContain('From the as-left record of 4 Mar 2026.');
  });

  it('what can be seen from outside is not taken from the record', () => {
    const slice = closedRound({});
    for (const check of ['E-11', 'E-23a', 'E-26', 'E-29'])
      expect(outcome(slice, check), check).toBe('unread');
    expect(
      statusOf(dossierOf(slice, 'e', currentRound(slice, 'e', 's'))!, judged(slice, 'close'), 'close').state,
    ).toBe('incomplete');
  });

  it('turns and torque of closing are taken from it, since they can be read only then', () => {
    expect(outcome(closedRound({}), 'E-18a')).toBe('conforms');
  });

  it.each([
    ['another cable', 'cable.edit', { id: 'k', set: { innerMm: 14 } }],
    ['another ring', 'entry.edit', { id: 'e', set: { ringFace: 'braid' } }],
    ['another washer', 'entry.edit', { id: 'e', set: { washerMm: 0 } }],
  ])('%s makes the record worthless', (_why, kind, payload) => {
    const slice = closedRound({});
    give(slice, kind, payload);
    for (const check of HIDDEN) expect(outcome(slice, check), check).toBe('left out');
    for (const check of HIDDEN) expect(outcome(slice, check, 'detailed'), check).toBe('unread');
  });

  it('an entry that was altered since is not vouched for by it', () => {
    const slice = closedRound({});
    give(slice, 'look.answer', {
      id: 'l1',
      entry: 'e',
      round: 'later',
      look: 'unaltered',
      answer: 'altered',
      photo: null,
    });
    expect(outcome(slice, 'E-28')).toBe('fails');
    for (const check of HIDDEN) expect(outcome(slice, check, 'detailed'), check).toBe('unread');
  });

  it('a skipped hold point is told, and stays open', () => {
    const slice = closedRound({ looks: { 'armour-seated': null } });
    expect((slice.get('asleft', 'al') as AsLeft).skipped).toContain('armour-seated');
    expect(outcome(slice, 'E-14')).toBe('unread');
  });

  it('a fault that was left is told from outside as well', () => {
    expect(outcome(closedRound({ looks: { 'seal-state': 'hard' } }), 'E-30')).toBe('fails');
  });

  it('is hashed over everything and the seal before, and is not undone', () => {
    const slice = recordsWith({});
    seal(slice);
    const { hash, previous, readings, looks } = slice.get('asleft', 'al')!;
    expect(hash).toMatch(/^[0-9a-f]{64}$/);
    expect(previous).toBeNull();
    expect(readings.length).toBeGreaterThan(10);
    expect(looks.length).toBeGreaterThan(10);
    expect(slice.get('site', 's')!.lastSeal).toBe(hash);
    expect(() => give(slice, 'undo', { command: `c${made}` })).toThrow('seal.stays');
  });

  it('the earlier seal is not overlooked', () => {
    const slice = closedRound({});
    give(slice, 'look.answer', {
      id: 'l1',
      entry: 'e',
      round: 'later',
      look: 'unaltered',
      answer: 'first',
      photo: null,
    });
    expect(outcome(slice, 'E-28')).toBe('unread');
  });
});

describe('compound and resin', () => {
  const pour = (change: object = {}) => ({
    id: 'p2', entry: 'e', round: 'r', batch: 'B 1', expires: '2027-01-01', ratioKept: true,
    mixedAt: '2026-03-04T09:00:00.000Z', packedAt: '2026-03-04T09:10:00.000Z', temperatureC: 20, lowestC: null,
    lookedAt: null, ...change,
  }); // prettier-ignore
  const on = (kind: KindId) => recordsWith({ kind });

  it('are recorded only where there is a pot, in the order of time', () => {
    expect(() => give(on('gland-plain'), 'pour.record', pour())).toThrow('entry.no-pot');
    const early = pour({ packedAt: '2026-03-04T08:00:00.000Z' });
    expect(() => give(on('gland-barrier'), 'pour.record', early)).toThrow('pour.packed-before');
    const seen = pour({ lookedAt: '2026-03-04T09:05:00.000Z' });
    expect(() => give(on('gland-barrier'), 'pour.record', seen)).toThrow('pour.looked-before');
  });

  it('a mending starts a new clock, and everything packed before counts as well', () => {
    const slice = recordsWith({ kind: 'gland-barrier', pour: { expires: '2026-02-01' } });
    give(slice, 'pour.record', pour());
    const found = judge(dossierOf(slice, 'e', slice.get('round', 'r'))!, 'detailed', '').find(
      ({ check }) => check === 'E-17',
    )!;
    expect(statement(found)).toMatch(/expired on 1 Feb 2026/);
    expect(statement(found)).toMatch(/lowest temperature/);
    give(slice, 'pour.edit', { id: 'p2', set: { lowestC: 15, lookedAt: '2026-03-04T13:00:00.000Z' } });
    const again = judge(dossierOf(slice, 'e', slice.get('round', 'r'))!, 'detailed', '').find(
      ({ check }) => check === 'E-17',
    )!;
    // Five degrees colder than the sheet's 20 °C: 4 h become 5 h 39 min.
    expect(statement(again)).toMatch(
      /looked at on 4 Mar 2026 13:00 UTC, before it was cured at 4 Mar 2026 14:49 UTC/,
    );
  });
});
