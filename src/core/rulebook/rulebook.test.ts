import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sentence, settling, statement } from '../words/en/findings';
import type { Aspect } from '../record/finding';
import { statusOf } from './assess';
import { judge } from './judge';
import { KIND_IDS } from '../record/kind-ids';
import { KINDS } from '../kinds/kinds';
import { CHECK_IDS } from '../record/check-ids';
import { checksOf, ruleOf, RULES } from './rules';
import { basisOf } from './basis';
import { CASES } from './rulebook.cases.test.data';
import { dossierWith, reading, type Change } from './sound-entry.test.data';

const NOW = '2026-03-04T10:00:00Z';

/** Outcome of a check on the sound dossier with a change. */
const outcome = (check: string, change: Change = {}, grade: 'visual' | 'close' | 'detailed' = 'detailed') =>
  judge(dossierWith(change), grade, NOW).find((finding) => finding.check === check)?.outcome;
const said = (check: string, change: Change = {}) =>
  statement(judge(dossierWith(change), 'detailed', '').find((finding) => finding.check === check)!);

describe('the rule book', () => {
  it.each(KIND_IDS)('finds a sound %s sound, at every grade', (kind) => {
    for (const grade of ['visual', 'close', 'detailed'] as const) {
      const dossier = dossierWith({ kind });
      const findings = judge(dossier, grade, '');
      const open = findings.filter(({ outcome: o }) => o !== 'conforms' && o !== 'not-applicable');
      expect(open.map((finding) => `${finding.check} ${statement(finding)}`)).toEqual([]);
      expect(statusOf(dossier, findings, grade)).toMatchObject({ state: 'sound', grade });
    }
  });

  it('has for every kind only checks that the book knows, and every check for some kind', () => {
    expect(RULES.map(({ id }) => id)).toEqual([...CHECK_IDS]);
    const known = new Set(RULES.map(({ id }) => id));
    const used = new Set(KIND_IDS.flatMap((kind) => checksOf(kind)));
    expect([...used].filter((id) => !known.has(id))).toEqual([]);
    expect([...known].filter((id) => !used.has(id))).toEqual([]);
  });

  it.each(CASES)('%s %s: %s', (check, wanted, _why, change) => expect(outcome(check, change)).toBe(wanted));

  it('has a case that fails for every rule', () => {
    const failing = new Set(CASES.filter(([, wanted]) => wanted === 'fails').map(([check]) => check));
    expect([...RULES.map(({ id }) => id)].filter((id) => !failing.has(id))).toEqual([]);
  });

  it.each(KIND_IDS)('asks of a %s only what the grade can answer', (kind) => {
    const order = ['visual', 'close', 'detailed'] as const;
    for (const grade of order) {
      const asked = judge(dossierWith({ kind }), grade, '').map(({ check }) => check);
      const wanted = checksOf(kind).filter((id) => order.indexOf(ruleOf(id)!.grade) <= order.indexOf(grade));
      expect(asked).toEqual(wanted);
    }
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
    expect(both).toContain('something is under the seal');
  });

  it('two people’s readings of one place that contradict each other leave it unread', () => {
    const second = [24.4, 24.4, 24.4].map((value) => ({
      ...reading('outer-sheath', value),
      by: 'M. Okonjo',
    }));
    expect(outcome('E-11', { readings: second })).toBe('unread');
    expect(said('E-11', { readings: second })).toContain('M. Okonjo');
  });

  it('has a sentence and a settling text for everything that can be said, and a basis for every rule', () => {
    const spoken = CASES.flatMap(([, , , change]) => judge(dossierWith(change), 'detailed', '')).flatMap(
      (f) => [f, ...f.also],
    );
    for (const aspect of spoken) expect(sentence(aspect)).toMatch(/\.$/);
    const asked = spoken.filter(({ settle }) => settle !== null);
    for (const aspect of asked as Aspect[]) expect(settling(aspect), aspect.settle!).not.toBe('');
    for (const { id } of RULES) expect(basisOf(id, dossierWith())).toMatch(/IEC 60079|[Aa]ssembly sheet/);
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
    return statusOf(dossier, judge(dossier, 'detailed', NOW), 'detailed').state;
  };
  const unsafe = CASES.filter(([, wanted]) => wanted === 'fails' || wanted === 'unread');

  it('an entry made unsafe, or left unread, in any one of these ways is never sound', () => {
    expect(unsafe.length).toBeGreaterThanOrEqual(40);
    for (const [check, , why, change] of unsafe) expect(state(change), `${check} ${why}`).not.toBe('sound');
  });

  it('nor in two of them at once that do not touch the same field', () => {
    const fields = (change: Change) =>
      Object.entries(change).flatMap(([key, value]) =>
        typeof value === 'object' && value !== null
          ? Object.keys(value).map((field) => `${key}.${field}`)
          : [key],
      );
    const pair = fc.tuple(fc.constantFrom(...unsafe), fc.constantFrom(...unsafe));
    fc.assert(
      fc.property(pair, ([[, , why, a], [, , other, b]]) => {
        const both = new Set(fields(a));
        fc.pre(fields(b).every((field) => !both.has(field)) && (a.kind ?? null) === (b.kind ?? null));
        expect(state(merged(a, b)), `${why} and ${other}`).not.toBe('sound');
      }),
      { numRuns: 1500 },
    );
  });

  it('nor under any rule for readings near a limit', () => {
    const surroundings = fc.record({
      acceptance: fc.constantFrom('simple' as const, 'guarded' as const, 'guarded-reject' as const),
      bondLimitOhm: fc.double({ min: 0.05, max: 0.2, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.constantFrom(...unsafe), surroundings, ([, , why, change], site) => {
        expect(state(merged({ site }, change)), why).not.toBe('sound');
      }),
      { numRuns: 600 },
    );
  });

  it.each(KIND_IDS)('a blank record never makes a check of a %s disappear', (kind) => {
    const sound = judge(dossierWith({ kind }), 'detailed', '');
    const ruledOut = new Set(
      sound.filter(({ outcome: o }) => o === 'not-applicable').map(({ check }) => check),
    );
    for (const blank of [
      { entry: { certificate: null } },
      { entry: { size: null } },
      { entry: { cable: null } },
      { entry: { ringFace: null } },
      { entry: { adaptors: null } },
      { area: { zone: null, group: null, weather: null } },
      { enclosure: { concepts: [], material: null, unused: null } },
      { enclosure: { ignitionSource: null, indirectEntry: null, demandsBarrier: null } },
      { certificate: { levels: [], groups: [] } },
      { cable: { armour: null, unarmoured: null, filling: null } },
      { size: { pot: null, armourLengthMm: null, innerProudMm: null } },
      { sheet: { joints: [], compound: null, shroud: null } },
      { pour: null },
      { truth: Object.fromEntries(KINDS[kind].places.map(({ id }) => [id, []])) },
      { looks: Object.fromEntries(KINDS[kind].looks.map(({ id }) => [id, null])) },
    ] as Change[]) {
      const findings = judge(dossierWith({ ...blank, kind }), 'detailed', '');
      expect(findings.map(({ check }) => check)).toEqual(checksOf(kind));
      const gone = findings.filter(({ outcome: o, check }) => o === 'not-applicable' && !ruledOut.has(check));
      expect(
        gone.map(({ check }) => check),
        JSON.stringify(blank),
      ).toEqual([]);
    }
  });
});
