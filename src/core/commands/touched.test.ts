import { describe, expect, it } from 'vitest';
import { assess } from '../rulebook/assess';
import { apply } from './apply';
import type { AnyCommand } from './commands';
import { standingOf } from '../programme/standing';
import type { MemorySlice, Slice } from '../record/slice';
import { plant } from './plant.test.data';
import { touchedEntries, UNJUDGED } from './touched';

const AT = '2026-03-04T10:00:00.000Z';
const TIME = '2026-03-04T09:50:00.000Z';

const look = (entry: string, id: string, answer: string) => ({ id: `n-${entry}-${id}`, entry, round: 'r', look: id, answer, photo: null, note: '' }); // prettier-ignore
const COMMANDS: [kind: string, payload: object][] = [
  ['site.edit', { id: 's', set: { scheme: 'divisions' } }],
  ['site.edit', { id: 's', set: { bondLimitOhm: 0.001 } }],
  ['area.edit', { id: 'a', set: { zone: '0' } }],
  ['area.edit', { id: 'a', set: { ambientC: [-5, 99] } }],
  ['area.edit', { id: 'a2', set: { zone: '21', group: 'IIIB' } }],
  ['enclosure.edit', { id: 'b', set: { concepts: ['eb'] } }],
  ['enclosure.edit', { id: 'b2', set: { area: 'a2' } }],
  ['enclosure.edit', { id: 'b2', set: { unused: null } }],
  ['cable.edit', { id: 'k', set: { coldFlow: true } }],
  ['cable.edit', { id: 'k2', set: { maxC: 20 } }],
  ['certificate.edit', { id: 'q', set: { state: 'withdrawn', withdrawn: 'safety' } }],
  ['certificate.edit', { id: 'q2', set: { number: 'TRN 1X' } }],
  ['instrument.edit', { id: 'c', set: { calibratedUntil: '2026-01-01' } }],
  ['instrument.edit', { id: 'o', set: { calibratedUntil: '2026-01-01' } }],
  ['entry.edit', { id: 'e', set: { enclosure: 'b2' } }],
  ['entry.edit', { id: 'g', set: { enclosure: 'b' } }],
  ['entry.edit', { id: 'g', set: { cable: 'k2' } }],
  ['entry.edit', { id: 'h', set: { cable: 'k' } }],
  ['entry.edit', { id: 't', set: { frame: null } }],
  ['entry.edit', { id: 'e', set: { washerMm: 9 } }],
  ['round.edit', { id: 'r', set: { entries: ['f', 'g', 'h', 't'] } }],
  ['round.edit', { id: 'r', set: { grade: 'visual' } }],
  ['look.answer', look('e', 'unused-entries', 'open')],
  ['look.together', { entry: 'e', round: 'r', spot: 'outside', answers: [{ id: 'n-t', look: 'cable-held' }] }],
  ['look.answer', look('g', 'damage', 'cracked')],
  ['reading.take', { id: 'x1', entry: 'f', round: 'r', place: 'outer-sheath', value: 40, typed: '40', method: 'caliper', instrument: 'c', source: 'typed' }],
  ['packing.set', { id: 't', entry: 't', openings: [{ label: '1', rows: [], wedgeMm: null, cables: [], recessMm: [], recessFarMm: [], plug: true, packedAt: null }] }],
]; // prettier-ignore

const judgements = (slice: MemorySlice): Map<string, string> =>
  new Map(slice.all('entry').map(({ id }) => [id, JSON.stringify(assess(slice, id, 's', AT))]));

describe('what a change touches', () => {
  it.each(COMMANDS)('%s %o: every entry whose judgement it alters', (kind, payload) => {
    const slice = plant();
    const before = judgements(slice);
    const command = { id: 'c1', kind, site: 's', at: TIME, payload } as unknown as AnyCommand;
    const changes = apply(slice, command, 'A. Vell');
    slice.write(changes);
    const after = judgements(slice);
    const altered = [...before]
      .filter(([id, said]) => after.has(id) && after.get(id) !== said)
      .map(([id]) => id);
    const touched = touchedEntries(slice, changes);
    for (const id of altered) expect(touched, `${kind} alters ${id}`).toContain(id);
  });

  it('what a site alters for nobody is not read by judging', () => {
    const slice = plant();
    const site = new Proxy(slice.get('site', 's')!, {
      get(record, field) {
        expect(UNJUDGED, `judging reads ${String(field)}`).not.toContain(field);
        return Reflect.get(record, field) as unknown;
      },
    });
    const watched: Slice = {
      get: (table, id) => (table === 'site' ? (site as never) : slice.get(table, id)),
      by: slice.by.bind(slice),
      all: slice.all.bind(slice),
    };
    for (const { id } of slice.all('entry'))
      expect(standingOf(watched, id, 's', AT)).toEqual(standingOf(slice, id, 's', AT));
    const renamed = apply(slice, { id: 'c1', kind: 'site.edit', site: 's', at: TIME, payload: { id: 's', set: { name: 'North', severityDays: { 4: 0, 3: 1, 2: 2, 1: 3 } } } } as unknown as AnyCommand, 'A. Vell'); // prettier-ignore
    expect(touchedEntries(slice, renamed)).toEqual(new Set());
  });

  it('alters sister entries too', () => {
    const slice = plant();
    const before = judgements(slice);
    slice.write(apply(slice, { id: 'c1', kind: 'entry.edit', site: 's', at: TIME, payload: { id: 'g', set: { cable: 'k2' } } } as unknown as AnyCommand, 'A. Vell')); // prettier-ignore
    const altered = [...judgements(slice)].filter(([id, said]) => before.get(id) !== said).map(([id]) => id);
    expect(altered.length).toBeGreaterThan(1);
  });
});
