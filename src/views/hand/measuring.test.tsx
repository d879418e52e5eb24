import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { Dimension } from '../../core/finder/candidate';
import { KIND_IDS } from '../../core/record/kind-ids';
import type { Instrument, InstrumentKind } from '../../core/record/types';
import { askedPlaces } from '../../core/rulebook/asked';
import { limitsOf, nominalOf } from '../../core/rulebook/fit-task';
import { dossierWith } from '../../core/rulebook/sound-entry.test.data';
import { CandidateStrip } from '../certificates/CandidateStrip';
import { instrumentsFor } from './instruments-for';
import { pieceOf } from './piece';

describe('what an instrument meets', () => {
  it.each(KIND_IDS)('at every asked place of a sound %s is something that its limits take', (kind) => {
    const dossier = dossierWith({ kind });
    for (const place of askedPlaces(dossier).filter(({ wanted, unit }) => wanted > 0 && unit !== 'ohm')) {
      const nominal = nominalOf(dossier, place.id);
      expect(nominal, place.id).toBeGreaterThan(0);
      const [low, high] = limitsOf(dossier, place.id) ?? [null, null];
      if (low !== null) expect(nominal, place.id).toBeGreaterThanOrEqual(low);
      if (high !== null) expect(nominal, place.id).toBeLessThanOrEqual(high);
    }
  });
  it('is an oval of its mean', () => {
    expect(pieceOf(20, 0.4)).toEqual({ minorMm: 19.8, majorMm: 20.2 });
    expect(pieceOf(0.1, 1).minorMm).toBeGreaterThan(0);
  });
});

describe('instruments of a place', () => {
  const one = (id: string, kind: InstrumentKind, calibratedUntil = '2099-01-01') =>
    ({ id, kind, calibratedUntil }) as Instrument;
  it('come with the usual kind first, those past their calibration last, and no other kind', () => {
    const all = [
      one('f', 'feeler'),
      one('old', 'caliper', '2020-01-01'),
      one('o', 'milliohm-meter'),
      one('c', 'caliper'),
    ];
    expect(instrumentsFor(all, ['caliper', 'feeler']).map(({ id }) => id)).toEqual(['c', 'f', 'old']);
    expect(instrumentsFor(all, ['rule'])).toEqual([]);
  });
});

describe('the strip of a candidate', () => {
  const dimension = (change: Partial<Dimension>): Dimension => ({
    place: 'outer-sheath', part: 'outer-seal', on: undefined, rangeMm: [16.9, 24.1], meanMm: 20, minMm: 19.9, maxMm: 20.1, expandedUncertaintyMm: 0.1,
    source: 'measured', position: 0.43, ...change,
  }); // prettier-ignore
  const drawn = (change: Partial<Dimension>) =>
    renderToStaticMarkup(<CandidateStrip dimension={dimension(change)} />);
  it.each([
    [{}, 'tone-sound'],
    [{ minMm: 16.8 }, 'tone-failed'],
    [{ maxMm: 24.2 }, 'tone-failed'],
    [{ maxMm: 24.05 }, 'tone-close'],
    [{ minMm: 16.95 }, 'tone-close'],
    [{ maxMm: 24.0, expandedUncertaintyMm: 0.1 }, 'tone-sound'],
  ])('%j is %s', (change, tone) => expect(drawn(change)).toContain(tone));
  it('says what its range belongs to', () => {
    expect(drawn({})).toContain('Outer seal');
    expect(drawn({ part: 'ring-face', on: { face: 'wire', armour: 'wire' } })).toContain(
      'Ring face wire, wire',
    );
    expect(drawn({ part: 'clamp-of', on: { face: 'both', armour: 'braid' } })).toContain('Clamp, braid');
  });
  it('says where its figures come from', () => {
    expect(drawn({})).toContain('measured');
    expect(drawn({ source: 'record' })).toContain('by its record');
  });
});
