import { describe, expect, it } from 'vitest';
import { recordsWith, soundBlock } from '../rulebook/sound-entry.test.data';
import { apply } from './apply';
import type { AnyCommand } from './commands';
import type { MemorySlice } from '../record/slice';
import { touchedEntries } from './touched';
import type { PackedOpening } from '../record/types';

let made = 0;
const give = (slice: MemorySlice, kind: string, payload: object): string => {
  const command = { id: `u${++made}`, kind, site: 's', at: '2026-03-04T12:00:00.000Z', payload };
  slice.write(apply(slice, command as unknown as AnyCommand, 'A. Vell'));
  return command.id;
};
const records = () => recordsWith({ kind: 'transit-block' });
const row = (...cables: (string | null)[]): PackedOpening['rows'][number] => ({
  heightMm: 30,
  plate: null,
  columns: cables.map((cable) => ({ widthMm: 30, blocks: [soundBlock(cable, false)] })),
});
const opening = (rows: PackedOpening['rows'], change: Partial<PackedOpening> = {}): PackedOpening => ({
  label: '1', rows, wedgeMm: null, cables: [], recessMm: [], recessFarMm: [], plug: false, packedAt: null, ...change,
}); // prettier-ignore
const set = (slice: MemorySlice, openings: PackedOpening[], rest: object = {}) =>
  give(slice, 'packing.set', { id: 'e', entry: 'e', openings, ...rest });

describe('a packing', () => {
  it('is one record per transit: the next replaces it, undo brings the one before back', () => {
    const slice = records();
    const before = slice.get('packing', 'e')!.openings;
    const again = set(slice, [opening([row(null, 'k')])]);
    expect(slice.get('packing', 'e')!.openings[0]!.rows[0]!.columns[1]!.blocks[0]!.cable).toBe('k');
    expect(slice.by('packing', 'site', 's')).toHaveLength(1);
    give(slice, 'undo', { command: again });
    expect(slice.get('packing', 'e')!.openings).toEqual(before);
  });
  it('belongs to an entry that is a transit, under its id', () => {
    expect(() => set(recordsWith(), [opening([])])).toThrow('entry.no-transit');
    expect(() => set(records(), [opening([])], { id: 'other' })).toThrow('packing.id');
    expect(() => set(records(), [opening([])], { id: 'x', entry: 'x' })).toThrow();
  });
  it('holds each cable once, and only cables that are on file', () => {
    expect(() => set(records(), [opening([row('k', 'k')])])).toThrow('cable.twice');
    const sealed = { cables: [{ cable: 'k', xMm: 0, yMm: 0, readings: [] }] };
    expect(() => set(records(), [opening([row('k', null)], sealed)])).toThrow('cable.twice');
    expect(() => set(records(), [opening([row('gone', null)])])).toThrow();
  });
  it('packs the openings of the frame, each once', () => {
    expect(() => set(records(), [opening([], { label: '9' })])).toThrow('opening.once');
    expect(() => set(records(), [opening([]), opening([])])).toThrow('opening.once');
    const bare = recordsWith({ kind: 'transit-block', entry: { frame: null } });
    expect(() => set(bare, [opening([])])).toThrow('opening.once');
  });
  it('keeps its entry from being removed', () => {
    expect(() => give(records(), 'entry.remove', { id: 'e' })).toThrow('record.used');
  });
  it('is judged anew when it changes, and when one of its cables does', () => {
    const slice = records();
    const touched = (table: 'packing' | 'cable', id: string) => [
      ...touchedEntries(slice, [{ table, id, before: null, after: slice.get(table, id) }]),
    ];
    expect(touched('packing', 'e')).toEqual(['e']);
    expect(touched('cable', 'k')).toContain('e');
  });
});
