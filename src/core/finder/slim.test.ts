import { describe, expect, it } from 'vitest';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { needsOf, propose } from './schedule';
import { slim, whole } from './slim';

describe('a proposal between threads', () => {
  const slice = recordsWith();
  const certificates = slice.by('certificate', 'site', 's');
  const [need] = needsOf(slice, 's');
  const proposal = propose(need!, certificates, '');
  const byId = new Map(certificates.map((one) => [one.id, one]));

  it('comes back as it went, and takes no record with it', () => {
    const travelled = structuredClone(slim(proposal));
    expect(JSON.stringify(travelled)).not.toContain('maleLengthMm');
    const back = whole(travelled, byId);
    expect(back).toEqual(proposal);
    expect(back.best!.certificate).toBe(certificates[0]);
  });
  it('is none any more when its certificate or its size has gone meanwhile', () => {
    expect(whole(slim(proposal), new Map()).best).toBeNull();
    const without = new Map([
      ['q', { ...certificates[0]!, sheet: { ...certificates[0]!.sheet, sizes: [] } }],
    ]);
    expect(whole(slim(proposal), without).best).toBeNull();
    expect(whole(slim({ ...proposal, best: null }), byId).best).toBeNull();
  });
  it('keeps the gland that is fitted where it is as good as any', () => {
    const twin = { ...certificates[0]!, id: 'a-twin', number: 'AAA 1' };
    expect(propose(need!, [twin, ...certificates], '').best!.certificate.id).toBe('q');
  });
  it('of a mineral-insulated cable there is none: it ends in a pot', () => {
    const mineral = {
      conductors: ['1'],
      screened: false,
      jacketed: false,
      testVoltage: 500,
      newMegohm: 100,
      serviceMegohm: 20,
      windowMin: 15,
      fallFactor: 2,
      sheathMm2: null,
      sheathC: null,
      earthLimitOhm: null,
      link: null,
    };
    expect(needsOf(recordsWith({ cable: { mineral } }), 's')).toEqual([]);
  });
});
