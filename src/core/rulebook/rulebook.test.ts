import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sentence, sentenceKeys, settleKeys, settling, statement } from '../words/findings';
import type { Aspect, Outcome } from './finding';
import { judge, statusOf } from './judge';
import { RULES } from './rules';
import { basisOf } from './references';
import { dossierWith, reading, type Change } from './sound-entry.test.data';

/** Outcome of a check on the sound dossier with a change. */
const outcome = (check: string, change: Change = {}, grade: 'visual' | 'close' | 'detailed' = 'detailed') =>
  judge(dossierWith(change), grade, '2026-03-04T10:00:00Z').find((finding) => finding.check === check)
    ?.outcome;
const said = (check: string, change: Change = {}) =>
  statement(judge(dossierWith(change), 'detailed', '').find((finding) => finding.check === check)!);

/** For each rule: what makes it fail, leaves it unread, or makes it a close call. */
const CASES: [check: string, wanted: Outcome, why: string, change: Change][] = [
  ['E-01', 'fails', 'a withdrawn certificate', { certificate: { state: 'withdrawn' } }],
  ['E-01', 'fails', 'a superseded certificate', { certificate: { state: 'superseded' } }],
  ['E-01', 'fails', 'a certificate of another kind', { certificate: { kind: 'gland-reversible-ring' } }],
  ['E-01', 'fails', 'a size that is not on the sheet', { entry: { size: 'S9' } }],
  ['E-01', 'fails', 'a marking that differs', { looks: { marking: 'no' } }],
  ['E-01', 'unread', 'no certificate', { entry: { certificate: null } }],
  ['E-01', 'unread', 'no size', { entry: { size: null } }],
  ['E-01', 'unread', 'a marking nobody read', { looks: { marking: null } }],
  ['E-02', 'fails', 'a level too low', { area: { zone: '0' } }],
  ['E-02', 'fails', 'gas marks in dust', { area: { zone: '21' }, certificate: { levels: ['Gb'] } }],
  ['E-02', 'conforms', 'a level implied by the concept', { certificate: { levels: [] } }],
  ['E-02', 'unread', 'a zone that is not recorded', { area: { zone: null } }],
  ['E-02', 'not-applicable', 'an area recorded as unclassified', { area: { zone: 'unclassified' } }],
  ['E-03', 'fails', 'a group too low', { area: { group: 'IIC' }, certificate: { groups: ['IIB'] } }],
  ['E-03', 'fails', 'hydrogen for a IIB gland', { area: { group: 'hydrogen' }, certificate: { groups: ['IIB'] } }],
  ['E-03', 'conforms', 'hydrogen for IIB + H2', { area: { group: 'hydrogen' }, certificate: { groups: ['IIB + H2'] } }],
  ['E-03', 'fails', 'II without a letter on d', { certificate: { groups: ['II'], concepts: ['db'] } }],
  ['E-03', 'fails', 'a mining gland', { certificate: { groups: ['I'] } }],
  ['E-03', 'unread', 'a group that is not recorded', { area: { group: null } }],
  ['E-04', 'fails', 'an ambient below the service range', { area: { ambientC: [-50, 40] } }],
  ['E-04', 'fails', 'an entry hotter than the seal', { enclosure: { entryTemperatureC: 99 } }],
  ['E-04', 'fails', 'a cable for 60 °C', { cable: { maxC: 60 } }],
  ['E-04', 'fails', 'a measured temperature carried to the highest ambient', { enclosure: { measuredTemperature: { atC: 78, ambientC: 20 } } }],
  ['E-04', 'unread', 'no cable', { entry: { cable: null } }],
  ['E-05', 'fails', 'a rating under the enclosure’s', { certificate: { ingress: 'IP54' } }],
  ['E-05', 'conforms', 'a rating that a derating allows', { certificate: { ingress: 'IP54' }, enclosure: { derating: { ingress: 'IP54', reason: 'indoors' } } }],
  ['E-05', 'unread', 'a rating that cannot be read', { certificate: { ingress: 'tight' } }],
  ['E-06', 'fails', 'e on a flameproof box', { certificate: { concepts: ['eb'] } }],
  ['E-06', 'unread', 'an enclosure without a concept', { enclosure: { concepts: [] } }],
  ['E-06', 'unread', 'a moulded enclosure', { enclosure: { concepts: ['mb'] } }],
  ['E-06', 'not-applicable', 'an intrinsically safe enclosure', { enclosure: { concepts: ['ib'] } }],
  ['E-07', 'fails', 'a near miss', { entry: { hole: { form: 'threaded', thread: 'ET 1', diameterMm: null, chamfersMm: 1 } } }],
  ['E-07', 'fails', 'another thread', { entry: { hole: { form: 'threaded', thread: 'NPT 1', diameterMm: null, chamfersMm: 1 } } }],
  ['E-07', 'fails', 'a hole too wide', { entry: { hole: { form: 'clearance', thread: 'M25x1.5', diameterMm: 25.8, chamfersMm: 0 } } }],
  ['E-07', 'conforms', 'a hole at the limit', { entry: { hole: { form: 'clearance', thread: 'M25x1.5', diameterMm: 25.7, chamfersMm: 0 } } }],
  ['E-07', 'unread', 'a thread not in the table', { entry: { hole: { form: 'threaded', thread: 'W 1', diameterMm: null, chamfersMm: 1 } } }],
  ['E-07', 'fails', 'a measured thread that is another', { readings: [reading('thread-major', 19.8), reading('thread-pitch', 1.5)] }],
  ['E-07', 'unread', 'half a measurement', { readings: [reading('thread-major', 24.8)] }],
  ['E-08', 'fails', 'four threads', { truth: { 'thread-engagement': [6.4] } }],
  ['E-08', 'fails', 'five threads but not deep enough', { truth: { 'thread-engagement': [7.9] } }],
  ['E-08', 'conforms', 'five threads in a small enclosure', { truth: { 'thread-engagement': [7.9] }, enclosure: { volumeCm3: 90 } }],
  ['E-08', 'fails', 'a clearance hole in a flameproof wall', { entry: { hole: { form: 'clearance', thread: 'M25x1.5', diameterMm: 25.4, chamfersMm: 0 } } }],
  ['E-08', 'unread', 'no measurement', { truth: { 'thread-engagement': [] } }],
  ['E-08', 'not-applicable', 'an enclosure in e', { enclosure: { concepts: ['eb'] } }],
  ['E-11', 'fails', 'a sheath too large', { truth: { 'outer-sheath': [24.2, 24.3, 24.2] } }],
  ['E-11', 'fails', 'a sheath too small', { truth: { 'outer-sheath': [16.7, 16.8, 16.7] } }],
  ['E-11', 'fails', 'an oval sheath', { truth: { 'outer-sheath': [20, 21.2, 20.6] } }],
  ['E-11', 'fails', 'a flat cable', { cable: { shape: 'flat' } }],
  ['E-11', 'fails', 'tape under the seal', { looks: { 'outer-bare': 'no' } }],
  ['E-11', 'marginal', 'two readings', { truth: { 'outer-sheath': [20.7, 20.7] } }],
  ['E-11', 'marginal', 'an unknown repeatability', { instrument: { repeatability: null } }],
  ['E-11', 'marginal', 'the guard zone', { truth: { 'outer-sheath': [24.06, 24.07, 24.06] } }],
  ['E-11', 'unread', 'no reading', { truth: { 'outer-sheath': [] } }],
  ['E-11', 'unread', 'a reading past the calibration date', { fault: 'past-calibration' }],
  ['E-12', 'fails', 'an inner sheath too large', { truth: { 'inner-sheath': [18.4, 18.4, 18.4] } }],
  ['E-12', 'unread', 'an instrument too coarse', { instrument: { expandedUncertainty: 5 } }],
  ['E-13', 'fails', 'an armour that is not listed', { cable: { armour: { type: 'tape', sizeMm: 0.4, material: 'steel', areaMm2: null } } }],
  ['E-13', 'fails', 'a cable without armour', { cable: { armour: null, unarmoured: { by: 'A. Vell', on: '2026-01-02' } } }],
  ['E-13', 'unread', 'an armour nobody recorded', { cable: { armour: null } }],
  ['E-13', 'fails', 'wires too thick', { truth: { armour: [1.8, 1.8, 1.8] } }],
  ['E-13', 'fails', 'the ring turned the wrong way', { kind: 'gland-reversible-ring', entry: { ringFace: 'X' } }],
  ['E-13', 'unread', 'a ring face nobody looked at', { kind: 'gland-reversible-ring', entry: { ringFace: null } }],
  ['E-14', 'fails', 'crossed wires', { looks: { 'armour-seated': 'crossed' } }],
  ['E-14', 'unread', 'a clamp nobody opened', { looks: { 'armour-seated': null } }],
  ['E-23a', 'fails', 'a loose tag', { looks: { 'bond-tight': 'loose' } }],
  ['E-23b', 'fails', 'a resistance over the limit', { truth: { bond: [0.12] } }],
  ['E-23b', 'fails', 'a resistance far from the prediction', { truth: { bond: [0.06] } }],
  ['E-23b', 'marginal', 'a resistance at the limit', { truth: { bond: [0.0999] }, site: { bondPredictionFactor: 20 } }],
  ['E-23b', 'unread', 'a low value with parallel paths', { looks: { 'bond-path': 'parallel' } }],
  ['E-27', 'fails', 'another cable', { truth: { 'outer-sheath': [22, 22, 22] } }],
  ['E-27', 'fails', 'loose cores', { looks: { 'unused-cores': 'no' } }],
  ['E-29', 'fails', 'a cracked gland', { looks: { damage: 'cracked' } }],
]; // prettier-ignore

describe('the rule book', () => {
  it('finds the sound entry sound, at every grade', () => {
    for (const grade of ['visual', 'close', 'detailed'] as const) {
      const dossier = dossierWith();
      const findings = judge(dossier, grade, '');
      expect(findings.filter(({ outcome: o }) => o !== 'conforms')).toEqual([]);
      expect(statusOf(dossier, findings, grade)).toMatchObject({ state: 'sound', grade });
    }
  });

  it.each(CASES)('%s %s: %s', (check, wanted, _why, change) => expect(outcome(check, change)).toBe(wanted));

  it('has a case that fails for every rule', () => {
    const failing = new Set(CASES.filter(([, wanted]) => wanted === 'fails').map(([check]) => check));
    expect([...RULES.map(({ id }) => id)].filter((id) => !failing.has(id))).toEqual([]);
  });

  it('asks only what the grade can answer', () => {
    const checks = (grade: 'visual' | 'close' | 'detailed') =>
      judge(dossierWith(), grade, '').map(({ check }) => check);
    expect(checks('visual')).toEqual(['E-01', 'E-02', 'E-05', 'E-06', 'E-23a', 'E-29']);
    expect(checks('close')).toEqual(expect.arrayContaining(['E-03', 'E-04', 'E-07', 'E-11', 'E-27']));
    expect(checks('close')).not.toContain('E-12');
    expect(checks('detailed').length).toBe(RULES.length);
  });

  it('weighs a bad joint more on a flameproof enclosure', () => {
    const weight = (concepts: string[]) =>
      judge(dossierWith({ enclosure: { concepts } }), 'detailed', '').find(({ check }) => check === 'E-12')!
        .consequence;
    expect([weight(['db']), weight(['eb'])]).toEqual([4, 3]);
  });

  it('under shared risk a low probability leaves a flameproof entry doubtful', () => {
    const close: Change = {
      site: { acceptance: 'simple' },
      truth: { 'outer-sheath': [24.08, 24.08, 24.08] },
    };
    expect(outcome('E-11', close)).toBe('marginal');
    expect(outcome('E-11', { ...close, enclosure: { concepts: ['eb'] } })).toBe('conforms');
  });

  it('says what is allowed, what was found and by how much', () => {
    expect(said('E-11', { truth: { 'outer-sheath': [24.2, 24.52, 24.3] } })).toMatch(
      /^Outer seal takes 16\.9 to 24\.1 mm; it measures up to 24\.52 ± 0\.\d\d mm, 0\.42 mm too large\./,
    );
    expect(
      said('E-07', {
        entry: { hole: { form: 'threaded', thread: 'ET 1', diameterMm: null, chamfersMm: 1 } },
      }),
    ).toContain('nearly fit');
    const both = said('E-11', {
      truth: { 'outer-sheath': [24.2, 24.5, 24.3] },
      looks: { 'outer-bare': 'no' },
    });
    expect(both).toContain('too large');
    expect(both).toContain('Something is under the seal'.toLowerCase().slice(1));
  });

  it('two people’s readings of one place both stand, and the worse verdict is the place’s', () => {
    const second = [24.4, 24.4, 24.4].map((value) => ({
      ...reading('outer-sheath', value),
      by: 'M. Okonjo',
    }));
    expect(outcome('E-11', { readings: second })).toBe('fails');
  });

  it('has a sentence and a settling text for everything that can be said, and a basis for every rule', () => {
    const spoken = CASES.flatMap(([, , , change]) => judge(dossierWith(change), 'detailed', '')).flatMap(
      (f) => [f, ...f.also],
    );
    for (const aspect of spoken) expect(sentence(aspect)).toMatch(/\.$/);
    const asked = spoken.filter(({ settle }) => settle !== null);
    for (const aspect of asked as Aspect[]) expect(settling(aspect), aspect.settle!).not.toBe('');
    expect(sentenceKeys().length).toBeGreaterThan(60);
    expect(settleKeys().length).toBeGreaterThan(10);
    for (const { id } of RULES) expect(basisOf(id, dossierWith())).toMatch(/IEC 60079/);
  });

  it('no readings at all, however wild, bring it down or make an unsafe fit sound', () => {
    const wild = fc.array(fc.double({ min: 0.01, max: 1000, noNaN: true }), { maxLength: 6 });
    fc.assert(
      fc.property(wild, wild, (outer, inner) => {
        const findings = judge(
          dossierWith({ truth: { 'outer-sheath': outer, 'inner-sheath': inner } }),
          'detailed',
          '',
        );
        const of = (check: string) => findings.find((finding) => finding.check === check)!.outcome;
        if (outer.some((value) => value > 24.1 || value < 16.9)) expect(of('E-11')).not.toBe('conforms');
        if (inner.length < 3) expect(of('E-12')).not.toBe('conforms');
      }),
    );
  });

  /** Two changes at once; where both touch the same record, both fields stand. */
  const merged = (a: Change, b: Change): Change => {
    const both: Record<string, unknown> = { ...a };
    for (const [key, value] of Object.entries(b)) {
      const before = both[key];
      const joins = typeof before === 'object' && typeof value === 'object' && !Array.isArray(value);
      both[key] = joins ? { ...(before as object), ...(value as object) } : value;
    }
    return both as Change;
  };
  const state = (change: Change) => {
    const dossier = dossierWith(change);
    return statusOf(dossier, judge(dossier, 'detailed', ''), 'detailed').state;
  };
  const unsafe = CASES.filter(([, wanted]) => wanted === 'fails' || wanted === 'unread');

  it('an entry made unsafe, or left unread, in any one of these ways is never sound', () => {
    expect(unsafe.length).toBeGreaterThanOrEqual(40);
    for (const [check, , why, change] of unsafe) expect(state(change), `${check} ${why}`).not.toBe('sound');
  });

  it('nor in any two of them at once', () => {
    for (const [, , why, a] of unsafe) {
      // Where both change the same field the second stands; it is unsafe by itself.
      for (const [, , other, b] of unsafe)
        expect(state(merged(a, b)), `${why} and ${other}`).not.toBe('sound');
    }
  });

  it('a blank record never makes a check disappear', () => {
    const all = judge(dossierWith(), 'detailed', '').length;
    for (const blank of [
      { entry: { certificate: null } },
      { entry: { size: null } },
      { entry: { cable: null } },
      { entry: { ringFace: null } },
      { area: { zone: null, group: null } },
      { enclosure: { concepts: [] } },
      { certificate: { levels: [], groups: [] } },
      { cable: { armour: null } },
      { truth: { 'outer-sheath': [], 'inner-sheath': [], armour: [], 'thread-engagement': [], bond: [] } },
    ] as Change[]) {
      const findings = judge(dossierWith(blank), 'detailed', '');
      expect(findings.length).toBe(all);
      expect(findings.filter(({ outcome: o }) => o === 'not-applicable')).toEqual([]);
    }
  });
});
