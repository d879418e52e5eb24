import { describe, expect, it } from 'vitest';
import { InputError } from '../../core/quantity/error';
import { parseCommand } from '../../shapes/parse';

const field = (kind: string, payload: object): string => {
  try {
    parseCommand({ id: 'c1', kind, site: 's', at: '2026-03-04T10:00:00Z', payload });
    return 'taken';
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return error.field;
  }
};

const SIDE = { layers: [5, 4], readingsMm: [20.7], instrument: 'c', daylight: false };
const BLOCK = { cable: 'k', core: null, jacket: SIDE, armour: null, bondOhm: null };
const OPENING = {
  label: '1', wedgeMm: 11, recessMm: [20], cables: [{ cable: 'k2', xMm: -4, yMm: 3 }],
  rows: [{ heightMm: 30, plate: true, columns: [{ widthMm: 30, blocks: [BLOCK] }] }],
}; // prettier-ignore
const packed = (change: object) => ({ openings: [{ ...OPENING, ...change }] });
const blocked = (change: object) =>
  packed({ rows: [{ ...OPENING.rows[0], columns: [{ widthMm: 30, blocks: [{ ...BLOCK, ...change }] }] }] });

/** A sound payload of each command of the work on an entry or a cable. */
const SOUND: Record<string, Record<string, unknown>> = {
  'makeoff.start': { id: 'w', entry: 'e', round: 'r', why: 'make-off', habit: 'body-first' },
  'makeoff.tick': { id: 'w', step: 'body', initials: 'AV', skipped: null },
  'makeoff.untick': { id: 'w', step: 'body' },
  'insulation.start': { id: 't', cable: 'k', entry: null, stage: 'before-seal', drying: false, instrument: 'm', temperatureC: 20, farEndSealed: true },
  'continuity.record': { id: 'n', cable: 'k', found: [{ near: 'L', far: 'L' }, { near: 'N', far: null }] },
  'packing.set': { id: 'e', entry: 'e', openings: [OPENING] },
  'insulation.read': { id: 't', pair: 'L-N', megohm: 500, saturated: false },
  'pour.record': {
    id: 'p', entry: 'e', round: 'r', batch: null, expires: null, ratioKept: null, mixedAt: '2026-03-04T09:00:00Z', packedAt: null,
    temperatureC: null, lowestC: null, lookedAt: null,
  },
}; // prettier-ignore

describe.each(Object.entries(SOUND))('%s', (kind, sound) => {
  it('is taken whole', () => expect(field(kind, sound)).toBe('taken'));
  it.each(Object.keys(sound))('names %s when it is missing', (name) => {
    const { [name]: _gone, ...rest } = sound;
    expect(field(kind, rest)).toBe(`payload.${name}`);
  });
  it('names a field that it does not know', () =>
    expect(field(kind, { ...sound, more: 1 })).toBe('payload.more'));
  it.each([null, [], {}, '../x'])('names an id that is %j', (id) =>
    expect(field(kind, { ...sound, id })).toBe('payload.id'),
  );
});

describe('values out of bounds', () => {
  it.each([
    ['makeoff.start', { why: 'repair' }, 'why'],
    ['makeoff.start', { habit: 'any' }, 'habit'],
    ['makeoff.tick', { initials: '' }, 'initials'],
    ['makeoff.tick', { initials: 'far too long' }, 'initials'],
    ['makeoff.tick', { skipped: '' }, 'skipped'],
    ['makeoff.tick', { skipped: 'x'.repeat(301) }, 'skipped'],
    ['insulation.start', { stage: 'later' }, 'stage'],
    ['insulation.start', { temperatureC: -101 }, 'temperatureC'],
    ['insulation.start', { temperatureC: '20' }, 'temperatureC'],
    ['insulation.start', { farEndSealed: 'yes' }, 'farEndSealed'],
    ['packing.set', { openings: [] }, 'openings'],
    ['packing.set', packed({ wedgeMm: -1 }), 'openings.0.wedgeMm'],
    ['packing.set', packed({ recessMm: ['deep'] }), 'openings.0.recessMm.0'],
    ['packing.set', packed({ cables: [{ cable: 'k', xMm: null, yMm: 0 }] }), 'openings.0.cables.0.xMm'],
    [
      'packing.set',
      packed({ rows: [{ heightMm: 0, plate: null, columns: [] }] }),
      'openings.0.rows.0.heightMm',
    ],
    ['packing.set', blocked({ core: 'in' }), 'openings.0.rows.0.columns.0.blocks.0.core'],
    [
      'packing.set',
      blocked({ jacket: { ...SIDE, layers: [5] } }),
      'openings.0.rows.0.columns.0.blocks.0.jacket.layers',
    ],
    [
      'packing.set',
      blocked({ jacket: { ...SIDE, layers: [5, 4.5] } }),
      'openings.0.rows.0.columns.0.blocks.0.jacket.layers.1',
    ],
    [
      'packing.set',
      blocked({ armour: { ...SIDE, readingsMm: [0] } }),
      'openings.0.rows.0.columns.0.blocks.0.armour.readingsMm.0',
    ],
    ['packing.set', blocked({ bondOhm: -1 }), 'openings.0.rows.0.columns.0.blocks.0.bondOhm'],
    ['insulation.start', { entry: '' }, 'entry'],
    ['continuity.record', { found: [] }, 'found'],
    ['continuity.record', { found: [{ near: '', far: null }] }, 'found.0.near'],
    ['continuity.record', { found: [{ near: 'L', far: 7 }] }, 'found.0.far'],
    ['insulation.read', { megohm: 0 }, 'megohm'],
    ['insulation.read', { megohm: -1 }, 'megohm'],
    ['insulation.read', { megohm: Infinity }, 'megohm'],
    ['insulation.read', { pair: '' }, 'pair'],
    ['pour.record', { packedAt: 'soon' }, 'packedAt'],
    ['pour.record', { mixedAt: null }, 'mixedAt'],
  ] as const)('%s with %j names %s', (kind, change, name) => {
    expect(field(kind, { ...SOUND[kind], ...change })).toBe(`payload.${name}`);
  });
});
