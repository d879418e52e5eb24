import { describe, expect, it } from 'vitest';
import { recordsWith, soundBlock } from '../rulebook/sound-entry.test.data';
import { parseCommand } from '../../shapes/parse';
import { DOSSIER_TABLES, type AnyCommand, type CommandKind } from './commands';
import { earliest } from '../record/earliest.test.data';
import { upgradeCommand } from './upgrade';

const slice = recordsWith();
const bonded = recordsWith({ kind: 'transit-block-bonded' });

/** A record as people fill it in. */
const own = (record: object): Record<string, unknown> => {
  const {
    site: _s,
    rev: _r,
    stamps: _t,
    cableSince: _c,
    lastSeal: _l,
    of: _o,
    lentAt: _e,
    ...rest
  } = record as Record<string, unknown>;
  return rest;
};
const sound = (table: (typeof DOSSIER_TABLES)[number]): Record<string, unknown> =>
  table === 'reference'
    ? { id: 'x', title: 'Ours', over: 'iec-2013', basis: [] }
    : own(slice.by(table, 'site', 's')[0]!);

/** One command of each kind as the first version of the program gave it. */
const FIRST: Record<CommandKind, object> = {
  ...(Object.fromEntries(
    DOSSIER_TABLES.flatMap((table) => [
      [`${table}.add`, earliest(table, sound(table))],
      [`${table}.edit`, { id: 'x', set: firstField(sound(table)) }],
      [`${table}.remove`, { id: 'x' }],
    ]),
  ) as Record<CommandKind, object>),
  'site.add': earliest('site', own(slice.get('site', 's')!)),
  'site.edit': { id: 's', set: { name: 'Works' } },
  'instrument.lend': { ...earliest('instrument', sound('instrument')), id: 'c2', of: 'c' },
  'dossier.import': {
    source: 'cables.csv',
    items: [{ table: 'cable', record: earliest('cable', sound('cable')) }, { table: 'certificate', record: earliest('certificate', sound('certificate')) }],
  },
  'reading.take': { id: 'n', entry: 'e', round: 'r', place: 'outer-sheath', value: 20.7, typed: '20.7', method: 'caliper', instrument: 'c', source: 'typed' },
  'reading.strike': { id: 'n', reason: 'misreading' },
  'look.answer': { id: 'l', entry: 'e', round: 'r', look: 'damage', answer: 'yes', photo: null },
  'look.together': { entry: 'e', round: 'r', spot: 'outside', answers: [{ id: 'l1', look: 'damage' }] },
  'pour.record': { id: 'p', entry: 'e', round: 'r', batch: null, expires: null, ratioKept: null, mixedAt: '2026-03-04T10:00:00Z', packedAt: null, temperatureC: null, lowestC: null, lookedAt: null },
  'pour.edit': { id: 'p', set: { lowestC: 12 } },
  'makeoff.start': { id: 'm', entry: 'e', round: 'r', why: 'make-off', habit: 'body-first' },
  'makeoff.tick': { id: 'm', step: 'cut', initials: 'AV', skipped: null },
  'makeoff.untick': { id: 'm', step: 'cut' },
  'insulation.start': { id: 'i', cable: 'k', entry: null, stage: 'in-service', drying: false, instrument: 'i', temperatureC: 20, farEndSealed: true },
  'insulation.read': { id: 'i', pair: '1-2', megohm: 500, saturated: false },
  'continuity.record': { id: 'c', cable: 'k', found: [{ near: '1', far: '1' }] },
  'packing.set': earliest('packing', { ...own(bonded.by('packing', 'entry', 'e')[0]!), by: undefined, at: undefined, openings: [{ label: '1', wedgeMm: 10, cables: [], recessMm: [], recessFarMm: [], plug: false, packedAt: null, rows: [{ heightMm: 30, plate: true, columns: [{ widthMm: 30, blocks: [soundBlock('k', true)] }] }] }] }),
  'asleft.seal': { id: 'a', entry: 'e', round: 'r', why: 'opening', outerSeal: 'replaced', innerSeal: 'none', note: '' },
  'inspection.seal': { id: 's1', entry: 'e', round: 'r' },
  'defect.raise': { id: 'd', entry: 'e', round: 'r', check: 'E-01', grade: 'close', photos: [], action: '', observation: null },
  'defect.edit': { id: 'd', set: { owner: 'R. Tarn' } },
  undo: { command: 'c1' },
}; // prettier-ignore

function firstField(record: Record<string, unknown>): object {
  const field = ['name', 'tag', 'number', 'label', 'title'].find((one) => one in record)!;
  return { [field]: record[field] };
}

describe('a command that waits since an earlier version', () => {
  it.each(Object.keys(FIRST) as CommandKind[])('%s is taken by this one', (kind) => {
    const payload = JSON.parse(JSON.stringify(FIRST[kind])) as object;
    const command = {
      id: 'c',
      kind,
      site: 's',
      at: '2026-03-04T10:00:00Z',
      payload,
    } as unknown as AnyCommand;
    expect(() => parseCommand(upgradeCommand(command))).not.toThrow();
  });

  it('there are some that would be refused as they are', () => {
    const refused = (Object.keys(FIRST) as CommandKind[]).filter((kind) => {
      try {
        parseCommand({ id: 'c', kind, site: 's', at: '2026-03-04T10:00:00Z', payload: JSON.parse(JSON.stringify(FIRST[kind])) as object });
        return false;
      } catch {
        return true;
      }
    }); // prettier-ignore
    expect(refused).toEqual(
      expect.arrayContaining(['enclosure.add', 'certificate.add', 'entry.add', 'site.add']),
    );
  });

  it('a command of this version stays as it is', () => {
    const command = { id: 'c', kind: 'enclosure.add', site: 's', at: '2026-03-04T10:00:00Z', payload: sound('enclosure') } as unknown as AnyCommand; // prettier-ignore
    expect(upgradeCommand(command)).toEqual(command);
  });
});
