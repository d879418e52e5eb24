import { describe, expect, it } from 'vitest';
import { levelOf } from '../defects/severity';
import { apply } from '../commands/apply';
import type { AnyCommand } from '../commands/commands';
import { MemorySlice } from '../record/slice';
import type { Grade, Round } from '../record/types';
import { standingState } from '../record/standing';
import { assess, openingSettles } from './assess';
import { currentRound, dossierOf } from './dossier';
import { levelHere } from './classified';
import { reading, recordsWith, type Change } from './sound-entry.test.data';

const AT = '2026-03-04T10:00:00.000Z';
const LATER = '2026-09-02T10:00:00.000Z';
let made = 0;
const give = (slice: MemorySlice, kind: string, payload: object, at = '2026-03-04T12:00:00.000Z') => {
  const command = { id: `c${++made}`, kind, site: 's', at, payload };
  slice.write(apply(slice, command as unknown as AnyCommand, 'A. Vell'));
};
const sealInspection = (slice: MemorySlice, at?: string) =>
  give(slice, 'inspection.seal', { id: 'i1', entry: 'e', round: 'r' }, at);
const asLeft = (slice: MemorySlice) =>
  give(slice, 'asleft.seal', {
    id: 'al', entry: 'e', round: 'r', why: 'make-off', outerSeal: 'replaced', innerSeal: 'replaced', note: '',
  }); // prettier-ignore
const nextRound = (slice: MemorySlice, grade: Grade) => {
  const round = { ...slice.get('round', 'r')!, id: 'later', grade, started: '2026-09-01' } as Round;
  give(slice, 'round.add', { ...round, site: undefined, rev: undefined }, '2026-09-01T08:00:00.000Z');
};
const outcome = (slice: MemorySlice, check: string, at = AT) =>
  assess(slice, 'e', 's', at)!.findings.find((finding) => finding.check === check)?.outcome ?? 'left out';
const key = (slice: MemorySlice, check: string, at = AT) =>
  assess(slice, 'e', 's', at)!.findings.find((finding) => finding.check === check)?.key;

describe('an entry that was opened again', () => {
  const opened = () => {
    const slice = recordsWith();
    asLeft(slice);
    nextRound(slice, 'close');
    expect(outcome(slice, 'E-14', LATER)).toBe('conforms');
    const payload = { id: 'w2', entry: 'e', round: 'later', why: 'opening', habit: 'body-first' };
    give(slice, 'makeoff.start', payload, '2026-09-02T08:00:00.000Z');
    return slice;
  };
  it('is no longer answered by the record of how it was left', () => {
    const slice = opened();
    expect(['left out', 'unread']).toContain(outcome(slice, 'E-14', LATER));
    expect(['left out', 'unread']).toContain(outcome(slice, 'E-12', LATER));
  });
  it('is not answered by what was seen inside before it was opened', () => {
    const slice = recordsWith();
    const payload = { id: 'w2', entry: 'e', round: 'r', why: 'opening', habit: 'body-first' };
    give(slice, 'makeoff.start', payload, '2026-03-04T09:30:00.000Z');
    expect(outcome(slice, 'E-14')).toBe('unread');
    expect(outcome(slice, 'E-29')).toBe('conforms');
  });
  it.each([
    ['continuity.record', { id: 'n9', cable: 'k', found: [{ near: 'L', far: 'L' }, { near: 'N', far: 'N' }] }],
    ['insulation.start', { id: 't9', cable: 'k', entry: 'e', stage: 'after-seal', drying: false, instrument: 'i', temperatureC: 20, farEndSealed: true }],
  ])('%s after the seal is refused', (kind, payload) => {
    const slice = recordsWith({ kind: 'mi-pot' });
    sealInspection(slice, AT);
    expect(() => give(slice, kind, payload)).toThrow(/seal/i);
  }); // prettier-ignore
  it('its packing is not changed after the seal', () => {
    const slice = recordsWith({ kind: 'transit-block' });
    sealInspection(slice, AT);
    const { openings } = slice.get('packing', 'e')!;
    expect(() => give(slice, 'packing.set', { entry: 'e', openings })).toThrow(/seal/i);
  });
});

describe('an instrument’s record as it stands now', () => {
  const edited = (set: object) => {
    const slice = recordsWith();
    give(slice, 'instrument.edit', { id: 'c', set });
    return slice;
  };
  it('takes back readings when its calibration turns out to have ended', () => {
    const slice = edited({ calibratedUntil: '2026-03-01' });
    expect(key(slice, 'E-11')).toBe('measured.past-calibration');
  });
  it('takes them back when the next calibration finds it out', () => {
    const found = [{ from: '2025-12-01', to: '2026-12-01', found: 'out' as const, certificate: 'CAL 9' }];
    expect(key(edited({ calibrations: found, calibratedUntil: '2026-12-01' }), 'E-11')).toBe(
      'measured.found-out',
    );
  });
  it('keeps the earlier calibration when a new one is written down', () => {
    const slice = edited({ calibratedUntil: '2028-01-01', calibration: 'CAL 2' });
    const kept = slice.get('instrument', 'c')!;
    expect(kept.calibrations.map(({ to }) => to.slice(0, 10))).toContain('2027-01-01');
    expect(outcome(slice, 'E-11')).toBe('conforms');
  });
  it('leaves out no reading whose instrument is not on record', () => {
    const strange = { ...reading('outer-sheath', 30), instrument: 'gone' };
    expect(outcome(recordsWith({ readings: [strange] }), 'E-11')).not.toBe('conforms');
  });
  it.each([
    ['a day before the round', '2026-02-01T09:00:00.000Z', 'measured.before-round'],
    ['a day that has not come', '2026-03-20T09:00:00.000Z', 'measured.in-future'],
  ])('%s', (_why, at, wanted) => {
    const readings = [20.68, 20.72, 20.7].map((value) => ({ ...reading('outer-sheath', value), at }));
    expect(key(recordsWith({ truth: { 'outer-sheath': [] }, readings }), 'E-11')).toBe(wanted);
  });
});

describe('what is known', () => {
  const VISUAL: Change = { round: { grade: 'visual' } };
  it('counts at every grade when it is bad, and is not asked when it is good', () => {
    expect(outcome(recordsWith({ ...VISUAL, truth: { 'thread-engagement': [5] } }), 'E-08')).toBe('fails');
    expect(outcome(recordsWith(VISUAL), 'E-08')).toBe('left out');
  });
  it('stands as a failure until it is asked for again', () => {
    const slice = recordsWith({ looks: { conductors: 'scored' } });
    sealInspection(slice);
    nextRound(slice, 'visual');
    expect(key(slice, 'E-20', LATER)).toBe('old.failed');
    expect(assess(slice, 'e', 's', LATER)!.status.state).toBe('failed');
  });
  it('holds the entry while a defect is not proven', () => {
    const slice = recordsWith();
    const raise = { id: 'd1', entry: 'e', round: 'r', check: 'E-29', grade: 'detailed', photos: [], action: '', observation: null };
    const bad = recordsWith({ looks: { damage: 'cracked' } });
    give(bad, 'defect.raise', raise);
    slice.write([{ table: 'defect', id: 'd1', after: bad.get('defect', 'd1')! }]);
    const { status } = assess(slice, 'e', 's', AT)!;
    expect(status.held.map(({ id }) => id)).toEqual(['d1']);
    expect(status.state).toBe('failed');
  }); // prettier-ignore
  it('a sealed state stands beside the round that runs, unless something fails', () => {
    const slice = recordsWith();
    sealInspection(slice);
    nextRound(slice, 'close');
    const { status } = assess(slice, 'e', 's', LATER)!;
    expect(status).toMatchObject({ sealed_round: 'r', sealed_state: 'sound', running_round: 'later', running_state: 'incomplete' });
    expect(standingState(status)).toBe('sound');
    const look = { id: 'l9', entry: 'e', round: 'later', look: 'damage', answer: 'cracked', photo: null, note: '' };
    give(slice, 'look.answer', look, '2026-09-02T09:00:00.000Z');
    expect(standingState(assess(slice, 'e', 's', LATER)!.status)).toBe('failed');
  }); // prettier-ignore
  it('of an old entry without a record leaves a short list that opening it settles', () => {
    const found = { by: 'A. Vell', on: '2006-05-11' };
    const slice = recordsWith({ kind: 'gland-barrier', round: { grade: 'close' }, entry: { foundMadeOff: found }, pour: null, truth: { 'over-cores': [], 'compound-reach': [], bond: [], 'torque-entry': [] }, looks: { 'seal-state': null, 'armour-seated': null, conductors: null, 'compound-face': null, 'compound-witness': null, 'spigot-held': null } });
    const { findings, status } = assess(slice, 'e', 's', AT)!;
    expect(findings.filter(({ outcome: said }) => said === 'unread').map(({ check }) => check)).toEqual([]);
    expect(status.state).toBe('sound');
    const opening = openingSettles(dossierOf(slice, 'e', currentRound(slice, 'e', 's'))!, 'close', AT);
    expect(opening.map(({ check }) => check)).toEqual(expect.arrayContaining(['E-14', 'E-20']));
    expect(opening.length).toBeLessThan(9);
  }); // prettier-ignore
});

describe('levels of defects', () => {
  it('count by the worse of two hazards', () => {
    expect(levelOf({ consequence: 2, hazard: 'explosion', shock: true }, 'Gc')).toBe(3);
    expect(levelOf({ consequence: 4, hazard: 'explosion', shock: true }, 'Gc')).toBe(4);
  });
  it.each([
    ['an unknown zone counts as the worst', { site: { scheme: 'divisions' as const } }, ['Ga', 'Da']],
    ['dust beside gas counts by the higher', { area: { zone: '2' as const, beside: { zone: '20' as const, group: 'IIIB' as const } } }, ['Da']],
  ])('%s', (_why, change, wanted) => {
    const slice = recordsWith(change);
    expect(wanted).toContain(levelHere(slice.get('site', 's')!, slice.get('area', 'a')!, null));
  }); // prettier-ignore
});
