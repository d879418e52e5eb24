import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { certificates } from '../../../demo/series';
import { judge } from '../rulebook/judge';
import { dossierWith, recordsWith, type Change } from '../rulebook/sound-entry.test.data';
import type { Certificate, Entry } from '../record/types';
import { CandidateJudge, type Candidate } from './candidate';
import { connectionOf } from './connection';
import { bundleMm, needOf } from './need';
import { bestGland, chartSize, rankGlands } from './rank';
import { needsOf, packsOf, partsList, propose } from './schedule';

const AT = '2026-03-04T10:00:00Z';
const FILE = certificates('t').map((record) => ({ ...record, site: 's' }) as Certificate);

const needWith = (change: Change = {}, measured = true) => {
  const dossier = dossierWith(change);
  return needOf(dossier, dossier.cable!, measured);
};
const ranked = (change: Change = {}, measured = true) => rankGlands(needWith(change, measured), FILE, AT);
const of = (list: Candidate[], number: string, size: string) =>
  list.find((c) => c.certificate.number === number && c.size.size === size)!;
const why = ({ said }: Candidate) => said.map(({ check, key }) => `${check} ${key}`);

describe('the gland finder', () => {
  it('ranks every size of every certificate, those that fit first and the most central of them before the others', () => {
    const list = ranked();
    expect(list).toHaveLength(FILE.reduce((sum, { sheet }) => sum + sheet.sizes.length, 0));
    const order = ['fits', 'close', 'open', 'no'];
    const ranks = list.map(({ verdict }) => order.indexOf(verdict));
    expect([...ranks].sort()).toEqual(ranks);
    expect(list[0]).toMatchObject({ verdict: 'fits', connection: { how: 'direct' }, barrier: false });
    expect(list[0]!.size.size).toBe('S3');
    for (const { verdict, dimensions } of list.filter((c) => c.verdict === 'fits')) {
      for (const d of dimensions) {
        expect(d.minMm - d.expandedUncertaintyMm, verdict).toBeGreaterThanOrEqual(d.rangeMm[0]);
        expect(d.maxMm + d.expandedUncertaintyMm).toBeLessThanOrEqual(d.rangeMm[1]);
      }
    }
  });

  it.each([
    ['a withdrawn certificate', 'FRN 19.0031', 'S3', {}, null],
    ['a level for zone 2 in zone 1', 'FRN 22.0208', 'S3', {}, 'E-02'],
    ['a group that is too low', 'FRN 21.0150', 'S3', { area: { group: 'IIC' } }, 'E-03'],
    ['a seal that does not bear the heat', 'FRN 22.0391', 'S3', {}, 'E-04'],
    ['a rating below the enclosure’s', 'FRN 20.0073', 'S3', {}, 'E-05'],
    ['increased safety on a flameproof wall', 'FRN 23.0510', 'S3', {}, 'E-06'],
    ['an outer seal that is too small', 'FRN 24.0117X', 'S2', {}, 'E-11'],
    ['an armour that the ring does not hold', 'FRN 24.0117X', 'S4', {}, 'E-13'],
    [
      'no barrier where one is asked for',
      'FRN 24.0117X',
      'S3',
      { enclosure: { demandsBarrier: true } },
      'E-15',
    ],
    ['an armoured cable in a plain gland', 'FRN 22.0930', 'S3', {}, 'E-16'],
    [
      'a sheath that flows cold in a squeezing seal',
      'FRN 24.0117X',
      'S3',
      { cable: { coldFlow: true } },
      'E-16',
    ],
    ['a flat cable in a round seal', 'FRN 24.0117X', 'S3', { cable: { shape: 'flat' } }, 'E-11'],
  ] as [string, string, string, Change, string | null][])(
    'says no to %s, and why',
    (_what, number, size, change, check) => {
      const found = of(ranked(change), number, size);
      expect(found.verdict).toBe('no');
      if (check)
        expect(found.said.filter(({ outcome }) => outcome === 'fails').map((s) => s.check)).toContain(check);
    },
  );

  it('chooses the ring face by the armour, and a barrier gland where the path asks for one', () => {
    expect(of(ranked(), 'FRN 23.0442', 'S3')).toMatchObject({ ringFace: 'wire', verdict: 'fits' });
    const braid = { type: 'braid', sizeMm: 0.4, material: 'copper', areaMm2: 8 } as const;
    const list = ranked({ cable: { armour: braid }, truth: { armour: [0.4, 0.41, 0.39] } });
    expect(of(list, 'FRN 23.0442', 'S3')).toMatchObject({ ringFace: 'braid', verdict: 'fits' });
    const barrier = ranked({ enclosure: { demandsBarrier: true } })[0]!;
    expect([barrier.certificate.number, barrier.verdict]).toEqual(['FRN 23.0721', 'fits']);
  });

  it('agrees with the rule book that will judge the finished entry', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 45, noNaN: true }), fc.double({ min: 6, max: 40, noNaN: true }),
        fc.double({ min: 0.2, max: 3, noNaN: true }), fc.constantFrom('wire', 'braid', 'tape'),
        (outer, inner, size, type) => {
          const three = (x: number) => [x, x, x];
          const change = {
            cable: { outerMm: outer, innerMm: inner, armour: { type, sizeMm: size, material: 'steel', areaMm2: null } },
            truth: { 'outer-sheath': three(outer), 'inner-sheath': three(inner), armour: three(size) },
          } as Change; // prettier-ignore
          const dossier = dossierWith(change);
          const found = new CandidateJudge(needOf(dossier, dossier.cable!, true), AT).judge(dossier.certificate!, dossier.size!);
          const asked = new Set(['E-02', 'E-03', 'E-04', 'E-05', 'E-06', 'E-11', 'E-12', 'E-13', 'E-15', 'E-16']);
          const fails = judge(dossier, 'detailed', AT).some((f) => asked.has(f.check) && f.outcome === 'fails');
          expect(found.verdict === 'no').toBe(fails);
        },
      ),
      { numRuns: 150 },
    );
  }); // prettier-ignore

  it('takes the record where nothing is measured, with its tolerance as the uncertainty', () => {
    const list = ranked({ readings: [], truth: {} }, false);
    const best = of(list, 'FRN 24.0117X', 'S3');
    const outer = best.dimensions.find(({ place }) => place === 'outer-sheath')!;
    expect(outer).toMatchObject({ source: 'record', meanMm: 20.7 });
    expect(outer.expandedUncertaintyMm).toBeCloseTo(0.4, 9);
    // 24.0 mm by its record ± 0.4 mm in a seal up to 24.1 mm is too near to be called a fit.
    const near = ranked({ cable: { outerMm: 24 } }, false);
    expect(of(near, 'FRN 24.0117X', 'S3').verdict).toBe('close');
    expect(why(of(near, 'FRN 24.0117X', 'S3'))).toContain('E-11 fit.marginal');
  });

  it('finds the same best by the short way as by ranking everything', () => {
    for (const outerMm of [10, 15, 20.7, 24, 28, 33, 45, 70]) {
      const need = needWith({ cable: { outerMm, innerMm: outerMm - 5.5 } }, false);
      const first = rankGlands(need, FILE, AT)[0]!;
      const best = bestGland(need, FILE, AT);
      if (first.verdict === 'no') expect(best).toBeNull();
      else expect([best!.certificate.id, best!.size.size]).toEqual([first.certificate.id, first.size.size]);
    }
  });
});

describe('how a gland gets into the hole', () => {
  const { entry, enclosure } = dossierWith();
  const increased = { ...enclosure, concepts: ['eb'] };
  const hole = (rest: object) => ({ ...entry, hole: { ...entry.hole, ...rest } });
  const clearance = (diameterMm: number | null) => hole({ form: 'clearance', diameterMm });
  const fitted = {
    what: 'reducer' as const,
    male: 'M25x1.5',
    female: 'M20x1.5',
    concepts: [],
    levels: [],
    groups: [],
  };
  it.each([
    ['its own thread', entry, enclosure, 'M25x1.5', 'direct', null, null],
    ['a smaller gland', entry, enclosure, 'M20x1.5', 'adaptor', 'reducer', null],
    ['a larger gland', entry, enclosure, 'M32x1.5', 'adaptor', 'adaptor', null],
    [
      'a thread that nearly fits',
      hole({ thread: 'Pg 13.5' }),
      enclosure,
      'M20x1.5',
      'adaptor',
      'reducer',
      'near-miss',
    ],
    [
      'a second adaptor on d',
      { ...entry, adaptors: [fitted] },
      enclosure,
      'M25x1.5',
      'impossible',
      null,
      'one-adaptor-only',
    ],
    [
      'the adaptor that is there',
      { ...entry, adaptors: [fitted] },
      enclosure,
      'M20x1.5',
      'direct',
      null,
      null,
    ],
    [
      'a clearance hole on d',
      clearance(25.3),
      enclosure,
      'M25x1.5',
      'impossible',
      null,
      'clearance-on-flameproof',
    ],
    ['a clearance hole on e', clearance(25.7), increased, 'M25x1.5', 'locknut', null, null],
    ['a hole that is too wide', clearance(25.8), increased, 'M25x1.5', 'impossible', null, 'hole-wide'],
    ['a hole that is too small', clearance(24.9), increased, 'M25x1.5', 'impossible', null, 'hole-small'],
    [
      'a hole that nobody measured',
      clearance(null),
      increased,
      'M25x1.5',
      'impossible',
      null,
      'hole-unknown',
    ],
  ] as const)('%s', (_what, at, where, thread, how, what, note) => {
    const found = connectionOf(at as Entry, where, thread);
    expect([found.how, found.adaptor?.what ?? null, found.note]).toEqual([how, what, note]);
  });
});

describe('a whole schedule', () => {
  it('gets a proposal per end, and one parts list with adaptors, washers and packs', () => {
    const slice = recordsWith({ enclosure: { demandsBarrier: true } });
    const lonely = { ...slice.get('cable', 'k')!, id: 'k2', tag: 'P-2', outerMm: 70 };
    slice.write([{ table: 'cable', id: 'k2', after: lonely }]);
    const needs = needsOf(slice, 's');
    const found = needs.map((need) => propose(need, FILE, AT));
    expect(found.map(({ tag, where, best }) => [tag, where, best?.size.size ?? null])).toEqual([
      ['P-1', { tag: 'JB-1', label: 'A' }, 'S3'],
      ['P-2', null, null],
    ]);
    const list = partsList(found.map(({ best }, i) => ({ cable: needs[i]!.need.cable, best })));
    const thread = 'M25x1.5';
    expect(list).toEqual([
      {
        part: { is: 'gland', certificate: 'FRN 23.0721', kind: 'gland-barrier', size: 'S3', thread },
        count: 1,
      },
      { part: { is: 'washer', thread }, count: 1 },
      { part: { is: 'earth-tag', thread }, count: 1 },
      { part: { is: 'compound', name: 'Dessel Yard compound, grey pack', packMl: 43 }, count: 1 },
    ]);
  });
  it('says nothing of packs for a pot that the cores overfill', () => {
    const barrier = FILE.find(({ number }) => number === 'FRN 23.0721')!;
    const cable = { ...dossierWith().cable!, cores: [{ count: 9, areaMm2: 4, diameterMm: 6 }] };
    expect(packsOf(cable, barrier, barrier.sheet.sizes[1]!)).toBe(0);
  });
  it('knows what the chart proposes, and nothing outside it', () => {
    const { cable } = dossierWith();
    expect(chartSize(FILE[0]!, cable!)).toBe('S3');
    expect(chartSize(FILE[0]!, { ...cable!, cores: [{ count: 5, areaMm2: 4, diameterMm: 4 }] })).toBeNull();
  });
});

describe('the bundle of cores', () => {
  it.each([[0, 0], [1, 4], [2, 8], [3, 8.6188], [4, 9.6568], [7, 12]])('%i cores of 4 mm measure %f mm', (count, mm) => {
    expect(bundleMm(count === 0 ? [] : [{ count, areaMm2: 2.5, diameterMm: 4 }])).toBeCloseTo(mm, 3);
  }); // prettier-ignore
  it('never measures less than its cores’ area needs', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        (count, d) => {
          expect(bundleMm([{ count, areaMm2: 1, diameterMm: d }]) ** 2).toBeGreaterThanOrEqual(
            count * d * d - 1e-9,
          );
        },
      ),
    );
  });
});
