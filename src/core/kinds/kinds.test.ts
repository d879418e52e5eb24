import { describe, expect, it } from 'vitest';
import { KIND_IDS } from '../record/kind-ids';
import { GRADES } from '../record/types';
import { dossierWith } from '../rulebook/sound-entry.test.data';
import { KINDS, lookOf, looksOf, measures, placeOf, placeRow, placesOf } from './kinds';
import { isTick, partTick } from './ticks';

const twice = (ids: readonly string[]): string[] => ids.filter((id, i) => ids.indexOf(id) !== i);

describe.each(KIND_IDS)('a %s', (id) => {
  const kind = KINDS[id];

  it('is filed under its own id', () => expect(kind.id).toBe(id));

  it('names every place, look, part and step once', () => {
    expect(twice(kind.places.map((place) => place.id))).toEqual([]);
    expect(twice(kind.looks.map((look) => look.id))).toEqual([]);
    expect(twice(kind.steps.map((step) => step.id))).toEqual([]);
    expect(twice(kind.joints)).toEqual([]);
  });

  it('holds only at what it measures, looks at or tests', () => {
    const known = new Set([...kind.places, ...kind.looks].map((row) => row.id));
    for (const { hold, asks } of kind.steps) {
      for (const look of asks) expect(lookOf(id, look), look).not.toBeNull();
      if (hold !== null && !known.has(hold))
        expect(hold).toMatch(/^(insulation|continuity|part-|cure|packing)/);
    }
  });

  it('closes in its steps only joints that its sheet can name', () => {
    const closed = kind.steps.flatMap(({ joint }) => (joint === null ? [] : [joint]));
    for (const joint of closed) expect(kind.joints).toContain(joint);
  });

  it('has at every look a choice, the good answers first', () => {
    for (const { id: look, answers } of kind.looks) {
      const goods = answers.map(({ good }) => good);
      expect([look, goods[0], goods.length > 1]).toEqual([look, true, true]);
      expect([look, goods.slice(0, goods.lastIndexOf(true)).every(Boolean)]).toEqual([look, true]);
      expect([look, twice(answers.map((answer) => answer.id))]).toEqual([look, []]);
    }
  });

  it('can measure each of its places with something, at a grade', () => {
    for (const { id: place, instruments, grade, wanted } of kind.places) {
      expect([place, instruments.length > 0]).toEqual([place, true]);
      expect(GRADES).toContain(grade);
      expect([place, Number.isInteger(wanted) && wanted >= 0]).toEqual([place, true]);
    }
  });

  it('finds its rows by their ids, and no others', () => {
    for (const place of kind.places) {
      expect(placeOf(id, place.id)).not.toBeNull();
      expect(placeRow(id, place.id)).not.toBeNull();
      expect(measures(kind, place.id)).toBe(true);
    }
    for (const look of kind.looks) expect(lookOf(id, look.id)).toEqual(look);
    expect(placeOf(id, 'nowhere')).toBeNull();
    expect(lookOf(id, 'nothing')).toBeNull();
    expect(measures(kind, 'nowhere')).toBe(false);
  });

  it('asks less of a sheet that says nothing, never something else', () => {
    const { certificate } = dossierWith({ kind: id });
    const whole = new Set(kind.places.map((place) => place.id));
    const bySheet = placesOf(id, certificate!.sheet).map((place) => place.id);
    const byNone = placesOf(id, null).map((place) => place.id);
    for (const place of [...bySheet, ...byNone]) {
      const ownOrJoint = whole.has(place) || placeRow(id, place) !== null;
      expect([place, ownOrJoint]).toEqual([place, true]);
    }
  });

  it('asks for the special conditions of its certificate, each by its own tick', () => {
    const { certificate } = dossierWith({ kind: id });
    const conditions = ['Hold the cable within 300 mm.', 'Protect it from impact.'];
    const own = looksOf(id, { ...certificate!, specialConditions: [] }).map((look) => look.id);
    const withThem = looksOf(id, { ...certificate!, specialConditions: conditions }).map((look) => look.id);
    expect(withThem.filter((look) => !own.includes(look))).toEqual(['condition-1', 'condition-2']);
  });
});

it('ticks parts, steps, what is seen, laid out and tried, and nothing else', () => {
  const kind = KINDS['gland-double-seal'];
  for (const tick of [partTick('back-nut'), 'body', 'seen-by-hand', 'lay-two-spanners', 'try-1-dry-clamp'])
    expect([tick, isTick(kind, tick)]).toEqual([tick, true]);
  for (const tick of [
    'pot-over',
    'part-tag',
    'seen-warm',
    'try-4-dry-clamp',
    'try-1-clamp',
    'lay-',
    'lay-A b',
  ])
    expect([tick, isTick(kind, tick)]).toEqual([tick, false]);
});
