import { describe, expect, it } from 'vitest';
import { diameterOf } from '../rulebook/dossier';
import { dossierWith, reading, type Change } from '../rulebook/sound-entry.test.data';
import { needOf } from './need';

const need = (change: Change = {}, measured = true, placed = true) => {
  const dossier = dossierWith(change);
  return needOf(dossier, dossier.cable!, measured, placed);
};
/** Mean and uncertainty of a place of a need. */
const at = (one: ReturnType<typeof need>, place: string) => {
  const group = one.groups.get(place)?.[0];
  if (!group) return null;
  const { meanMm, expandedUncertaintyMm, decisive } = diameterOf(one.dossier, group, false);
  return { meanMm, expandedUncertaintyMm, decisive };
};

describe('what a gland is looked for by', () => {
  it('is what was measured, place by place, and the record where nothing was', () => {
    const one = need({ truth: { 'inner-sheath': [] } });
    expect(one.sources).toMatchObject({
      'outer-sheath': 'measured',
      'inner-sheath': 'record',
      armour: 'measured',
    });
    expect(at(one, 'inner-sheath')!.meanMm).toBeCloseTo(15.2, 9);
    expect(at(one, 'inner-sheath')!.decisive).toBe(true);
    expect(at(one, 'inner-sheath')!.expandedUncertaintyMm).toBeCloseTo(0.4, 9);
  });
  it('readings that cannot count do not', () => {
    const one = need({ fault: 'past-calibration' });
    expect(one.sources['outer-sheath']).toBe('record');
  });
  it('of another cable than the entry’s is its record alone', () => {
    const dossier = dossierWith();
    const other = { ...dossier.cable!, id: 'k9', outerMm: 30, innerMm: 22 };
    const one = needOf(dossier, other, false);
    expect([one.sources['outer-sheath'], at(one, 'outer-sheath')!.meanMm, one.dossier.cable!.id]).toEqual([
      'record',
      30,
      'k9',
    ]);
  });
  it('corrugated armour is measured over its ridges', () => {
    const one = need({ kind: 'connector-resin', truth: { armour: [] } }, false);
    expect(at(one, 'armour')!.meanMm).toBeCloseTo(15.2 + 2 * 1.25, 9);
  });
  it('an unarmoured cable has no armour to hold', () => {
    expect(at(need({ kind: 'gland-plain' }, false), 'armour')).toBeNull();
  });
  it('several people’s readings of a place stay several diameters', () => {
    const own = dossierWith().groups.get('outer-sheath')!.length;
    const twice = need({ readings: [{ ...reading('outer-sheath', 20.9), by: 'B. Other' }] });
    expect(twice.groups.get('outer-sheath')!.length).toBe(own + 1);
  });
  it('knows whether it has a place at all', () =>
    expect([need().placed, need({}, true, false).placed]).toEqual([true, false]));
});
