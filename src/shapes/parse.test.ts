import { describe, expect, it } from 'vitest';
import { InputError } from '../core/quantity/error';
import { DOSSIER_TABLES, type DossierTable } from '../core/commands/commands';
import { recordsWith } from '../core/rulebook/sound-entry.test.data';
import { checkRecord, parseCommand } from './parse';

const slice = recordsWith({
  references: [
    { id: 'x', site: 's', title: 'Ours', over: 'iec-2013', basis: [{ check: 'E-01', text: 'Own rule 1' }] },
  ],
});
const RECORDS: Record<DossierTable, object> = {
  area: slice.get('area', 'a')!,
  enclosure: slice.get('enclosure', 'b')!,
  cable: slice.get('cable', 'k')!,
  certificate: slice.get('certificate', 'q')!,
  instrument: slice.get('instrument', 'c')!,
  entry: slice.get('entry', 'e')!,
  round: slice.get('round', 'r')!,
  reference: slice.get('reference', 'x')!,
};
const bare = (table: DossierTable) => {
  // Since when an entry holds its cable is not told, but kept.
  const {
    site: _site,
    cableSince: _since,
    of: _of,
    lentAt: _lent,
    ...record
  } = RECORDS[table] as { site: string; cableSince?: null; of?: null; lentAt?: null };
  return record as Record<string, unknown>;
};
const command = (kind: string, payload: unknown) => ({
  id: 'c1',
  kind,
  site: 's',
  at: '2026-03-04T10:00:00Z',
  payload,
});
const field = (run: () => unknown) => {
  try {
    run();
    return 'taken';
  } catch (error) {
    if (error instanceof InputError) return error.field;
    throw error;
  }
};

const MAY_BE_MISSING = new Set(
  Object.entries({
    area: ['beside', 'cloudIgnitionC', 'layerIgnitionC', 'dustLayerMm'],
    enclosure: ['branchTemperatureC', 'onlyIntrinsic', 'type', 'surroundings', 'movable'],
    cable: ['minC', 'screened'],
    certificate: ['withdrawn', 'categories', 'oRing', 'demandsBarrier'],
    instrument: ['calibrations', 'pooledPlaces'],
    entry: ['compartment', 'sealingDevice', 'factoryFitted', 'factoryThreaded', 'raceway', 'foundMadeOff'],
  }).flatMap(([table, keys]) => keys.map((key) => `${table}.${key}`)),
);

describe('dossier records', () => {
  it.each(DOSSIER_TABLES)('a sound %s is taken whole, and field by field', (table) => {
    expect(field(() => parseCommand(command(`${table}.add`, bare(table))))).toBe('taken');
    const { id, ...set } = bare(table);
    for (const [key, value] of Object.entries(set)) {
      expect(field(() => parseCommand(command(`${table}.edit`, { id, set: { [key]: value } })))).toBe(
        'taken',
      );
    }
    expect(field(() => parseCommand(command(`${table}.remove`, { id })))).toBe('taken');
  });

  it.each(DOSSIER_TABLES)('a %s with a field missing, unknown or null names that field', (table) => {
    for (const key of Object.keys(bare(table))) {
      const { [key]: _gone, ...rest } = bare(table);
      // What records were once written without may be missing still.
      const answer = MAY_BE_MISSING.has(`${table}.${key}`) ? 'taken' : `payload.${key}`;
      expect(field(() => parseCommand(command(`${table}.add`, rest)))).toBe(answer);
    }
    expect(field(() => parseCommand(command(`${table}.add`, { ...bare(table), surplus: 1 })))).toBe(
      'payload.surplus',
    );
    expect(field(() => parseCommand(command(`${table}.edit`, { id: 'x', set: { surplus: 1 } })))).toBe(
      'payload.set.surplus',
    );
    expect(field(() => parseCommand(command(`${table}.edit`, { id: 'x', set: {} })))).toBe('payload.set');
    expect(field(() => parseCommand(command(`${table}.edit`, { id: 'x', set: { id: 'y' } })))).toBe(
      'payload.set.id',
    );
  });

  it.each([
    ['cable', { outerMm: -1 }, 'outerMm'],
    ['cable', { outerMm: 1e9 }, 'outerMm'],
    ['cable', { outerMm: 'abc' }, 'outerMm'],
    ['cable', { outerMm: NaN }, 'outerMm'],
    ['cable', { cores: [{ count: 0, areaMm2: 1, diameterMm: 1 }] }, 'cores.0.count'],
    ['cable', { cores: [{ count: 1.5, areaMm2: 1, diameterMm: 1 }] }, 'cores.0.count'],
    ['cable', { cores: [null] }, 'cores.0'],
    ['cable', { armour: [] }, 'armour'],
    ['cable', { armour: { type: 'chain', sizeMm: 1, material: 'steel', areaMm2: null } }, 'armour.type'],
    ['cable', { shape: 'oval' }, 'shape'],
    ['cable', { tag: ' ' }, 'tag'],
    ['cable', { typed: { outerMm: '' } }, 'typed'],
    ['area', { zone: '3' }, 'zone'],
    ['area', { ambientC: [40, -5] }, 'ambientC'],
    ['area', { outlineM: { x: 0, y: 0, width: 0, height: 1 } }, 'outlineM.width'],
    ['enclosure', { concepts: ['db', 'zz'] }, 'concepts.1'],
    ['enclosure', { volumeCm3: 0 }, 'volumeCm3'],
    ['certificate', { divisions: [{ class: 'III', division: 1, groups: ['C'] }] }, 'divisions.0.class'],
    ['enclosure', { unused: [{ label: 'Z' }] }, 'unused.0.closure'],
    ['enclosure', { ignitionSource: 'yes' }, 'ignitionSource'],
    ['entry', { adaptors: [{ what: 'nipple' }] }, 'adaptors.0.what'],
    ['reference', { over: 'mine' }, 'over'],
    ['certificate', { issued: 'soon' }, 'issued'],
    ['instrument', { coverageFactor: 0 }, 'coverageFactor'],
    ['entry', { hole: { form: 'glued', thread: 'M20x1.5', diameterMm: null, chamfersMm: 0 } }, 'hole.form'],
    ['round', { grade: 'glance' }, 'grade'],
    ['round', { entries: ['e', ''] }, 'entries.1'],
  ] as [DossierTable, object, string][])('%s with %j names %s', (table, change, wanted) => {
    expect(field(() => checkRecord(table, { ...bare(table), ...change }, ''))).toBe(wanted);
  });

  it('a seal of a size deep in a sheet is named by its whole path', () => {
    const certificate = structuredClone(bare('certificate')) as {
      sheet: { sizes: { outer: { rangeMm: unknown } }[] };
    };
    certificate.sheet.sizes[0]!.outer.rangeMm = [24, 'x'];
    expect(field(() => checkRecord('certificate', certificate, 'record.'))).toBe(
      'record.sheet.sizes.0.outer.rangeMm.1',
    );
  });
});

describe('imports', () => {
  const item = (table: DossierTable, change: object = {}) => ({
    table,
    record: { ...bare(table), ...change },
  });
  it.each([
    [{ source: 'f', items: [item('cable')] }, 'taken'],
    [{ source: '', items: [item('cable')] }, 'payload.source'],
    [{ source: 'f', items: [] }, 'payload.items'],
    [{ source: 'f', items: 'all' }, 'payload.items'],
    [{ source: 'f', items: [item('cable'), item('cable', { maxC: 'hot' })] }, 'payload.items.1.record.maxC'],
    [{ source: 'f', items: [{ table: 'reading', record: {} }] }, 'payload.items.0.table'],
    [{ source: 'f', items: [null] }, 'payload.items.0'],
    [{ source: 'f', items: [{ ...item('cable'), more: 1 }] }, 'payload.items.0.more'],
    [{ source: 'f', items: [item('cable')], more: 1 }, 'payload.more'],
  ])('%# names what is wrong', (payload, wanted) => {
    expect(field(() => parseCommand(command('dossier.import', payload)))).toBe(wanted);
  });
});

describe('envelopes', () => {
  const sound = command('undo', { command: 'c0' });
  it.each([
    [{ ...sound, id: '../x' }, 'id'],
    [{ ...sound, id: 'x'.repeat(65) }, 'id'],
    [{ ...sound, site: null }, 'site'],
    [{ ...sound, at: '2026-13-04T10:00:00Z' }, 'at'],
    [{ ...sound, kind: 'toString' }, 'kind'],
    [{ ...sound, more: 1 }, 'more'],
    [{ ...sound, payload: undefined }, 'payload'],
    [JSON.parse('{"__proto__": {"id": "x"}, "id": "c"}'), '__proto__'],
  ])('%# names what is wrong', (value, wanted) => expect(field(() => parseCommand(value))).toBe(wanted));
  it('a sound one is given back unchanged', () => expect(parseCommand(sound)).toBe(sound));
});
