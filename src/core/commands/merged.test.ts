import { beforeEach, describe, expect, it } from 'vitest';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { apply } from './apply';
import type { AnyCommand, CommandKind, Payloads } from './commands';
import type { MemorySlice } from '../record/slice';
import type { AssemblySheet, PackedOpening } from '../record/types';

let slice: MemorySlice;
let count: number;
beforeEach(() => {
  slice = recordsWith();
  count = 0;
});

/** A command by somebody at an hour; commands arrive in the order in which they are given here. */
function give<K extends CommandKind>(
  by: string,
  hour: number,
  kind: K,
  payload: Payloads[K],
  on = slice,
): string {
  const id = `c${String(++count).padStart(3, '0')}`;
  const at = new Date(Date.UTC(2026, 4, 5, hour)).toISOString();
  on.write(apply(on, { id, kind, site: 's', at, payload } as unknown as AnyCommand, by));
  return id;
}
const lost = (id: string) =>
  slice.get('change', id)!.lost.map(({ field, value, by, standsBy }) => [field, value, by, standsBy]);
const sheet = () => structuredClone(slice.get('certificate', 'q')!.sheet);
const sized = (of: AssemblySheet, size: string): AssemblySheet => ({
  ...of,
  sizes: [...of.sizes, { ...of.sizes[0]!, size }],
});

describe('what two people change at once', () => {
  it('a round’s entries: both additions stay, a removal stays a removal', () => {
    const { site: _s, cableSince: _c, ...entry } = slice.get('entry', 'e')!;
    for (const id of ['x', 'y']) give('R. Tarn', 8, 'entry.add', { ...entry, id, label: id });
    const was = { entries: ['e'] };
    give('A. Vell', 10, 'round.edit', { id: 'r', set: { entries: ['e', 'x'] }, was });
    const b = give('M. Okonjo', 11, 'round.edit', { id: 'r', set: { entries: ['e', 'y'] }, was });
    expect(slice.get('round', 'r')!.entries).toEqual(['e', 'x', 'y']);
    expect(lost(b)).toEqual([]);
    const now = { entries: ['e', 'x', 'y'] };
    give('A. Vell', 12, 'round.edit', { id: 'r', set: { entries: ['e', 'y'] }, was: now });
    give('M. Okonjo', 12, 'round.edit', { id: 'r', set: { name: 'Spring' }, was: { name: 'x' } });
    expect(slice.get('round', 'r')!.entries).toEqual(['e', 'y']);
  });

  it('a sheet: each size and each field by itself', () => {
    const was = { sheet: sheet() };
    give('A. Vell', 10, 'certificate.edit', { id: 'q', set: { sheet: sized(sheet(), 'S7') }, was });
    const b = give('M. Okonjo', 11, 'certificate.edit', {
      id: 'q',
      set: { sheet: { ...sized(was.sheet, 'S8'), number: 'SHEET 2' } },
      was,
    });
    expect(sheet().sizes.map(({ size }) => size)).toEqual(['S3', 'S7', 'S8']);
    expect(sheet().number).toBe('SHEET 2');
    expect(lost(b)).toEqual([]);
  });

  it('of one size the later stands, whatever the order of arrival, and the other has its author', () => {
    const was = { sheet: sheet() };
    const proud = (innerProudMm: number) => ({
      ...sheet(),
      sizes: [{ ...was.sheet.sizes[0]!, innerProudMm }],
    });
    const [late, early] = [proud(7), proud(6)];
    give('A. Vell', 12, 'certificate.edit', { id: 'q', set: { sheet: late }, was });
    const b = give('M. Okonjo', 11, 'certificate.edit', { id: 'q', set: { sheet: early }, was });
    expect(sheet().sizes[0]!.innerProudMm).toBe(7);
    expect(slice.get('change', b)!.lost).toMatchObject([
      { field: 'sheet.sizes.S3', value: { innerProudMm: 6 }, by: 'M. Okonjo', standsBy: 'A. Vell' },
    ]);
  });

  it('who saw what stands, and changes it, contradicts nobody', () => {
    give('A. Vell', 10, 'cable.edit', { id: 'k', set: { from: 'MCC 1' }, was: { from: '' } });
    const b = give('M. Okonjo', 11, 'cable.edit', {
      id: 'k',
      set: { from: 'MCC 2' },
      was: { from: 'MCC 1' },
    });
    const c = give('R. Tarn', 12, 'cable.edit', { id: 'k', set: { from: 'MCC 3' }, was: { from: 'MCC 1' } });
    expect(lost(b)).toEqual([]);
    expect(lost(c)).toEqual([['from', 'MCC 2', 'M. Okonjo', 'R. Tarn']]);
  });

  it('a defect: action and owner by different people, photos of both, an older edit does not win', () => {
    give('A. Vell', 8, 'defect.raise', {
      id: 'd', entry: 'e', round: 'r', check: null, grade: 'close', photos: ['p0'], action: '',
      observation: { statement: 'Loose label.', consequence: 1, hazard: 'record' },
    }); // prettier-ignore
    const set = (action: string, photos: string[]) => ({ id: 'd', set: { action, photos }, was: { action: '', photos: ['p0'] } }); // prettier-ignore
    give('A. Vell', 12, 'defect.edit', set('Fix it.', ['p0', 'p1']));
    const b = give('M. Okonjo', 11, 'defect.edit', set('Leave it.', ['p0', 'p2']));
    expect(slice.get('defect', 'd')).toMatchObject({ action: 'Fix it.', photos: ['p0', 'p1', 'p2'] });
    expect(lost(b)).toEqual([['action', 'Leave it.', 'M. Okonjo', 'A. Vell']]);
  });
});

describe('a packing', () => {
  const packed = () => {
    const on = recordsWith({ kind: 'transit-block' });
    return { on, entry: 'e', openings: () => structuredClone(on.by('packing', 'entry', 'e')[0]!.openings) };
  };
  const block = (openings: PackedOpening[], b: number) => openings[0]!.rows[0]!.columns[b]!.blocks[0]!;

  it('keeps the blocks that each of two people measured', () => {
    const { on, entry, openings } = packed();
    const was = openings();
    const [mine, theirs] = [openings(), openings()];
    block(mine, 0).jacket.layers = [4, 4];
    block(theirs, 1).jacket.layers = [3, 3];
    give('A. Vell', 10, 'packing.set', { id: entry, entry, openings: mine, was }, on);
    const b = give('M. Okonjo', 11, 'packing.set', { id: entry, entry, openings: theirs, was }, on);
    expect(block(openings(), 0).jacket.layers).toEqual([4, 4]);
    expect(block(openings(), 1).jacket.layers).toEqual([3, 3]);
    expect(on.get('change', b)!.lost).toEqual([]);
  });

  it('one that was packed anew stands whole', () => {
    const { on, entry, openings } = packed();
    const was = openings();
    const anew = openings();
    anew[0]!.rows = [];
    const other = openings();
    block(other, 0).jacket.layers = [4, 4];
    give('A. Vell', 12, 'packing.set', { id: entry, entry, openings: anew, was }, on);
    give('M. Okonjo', 11, 'packing.set', { id: entry, entry, openings: other, was }, on);
    expect(openings()[0]!.rows).toEqual([]);
  });
});
