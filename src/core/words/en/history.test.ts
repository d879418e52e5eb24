import { describe, expect, it } from 'vitest';
import { recordsWith } from '../../rulebook/sound-entry.test.data';
import { apply } from '../../commands/apply';
import type { AnyCommand } from '../../commands/commands';
import { historyOf } from './history';
import { fieldWords, lostWords, valueWords } from './lost';

const slice = recordsWith();
let count = 0;
function give(kind: string, payload: object, by = 'A. Vell', hour = 10): void {
  const id = `c${++count}`;
  const at = new Date(Date.UTC(2026, 4, 5, hour, count)).toISOString();
  slice.write(apply(slice, { id, kind, site: 's', at, payload } as unknown as AnyCommand, by));
}

describe('a history', () => {
  it('says who changed what, from what, to what, the newest first', () => {
    give('cable.edit', { id: 'k', set: { from: 'MCC 1' } });
    give('cable.edit', { id: 'k', set: { from: 'MCC 2', outerMm: 21 }, was: { from: 'MCC 1', outerMm: 20.7 } }, 'M. Okonjo'); // prettier-ignore
    give('undo', { command: 'c2' }, 'M. Okonjo');
    const lines = historyOf(slice.all('change'), 'k', slice.get('cable', 'k'), (path) =>
      path === 'from' ? { title: 'From' } : null,
    );
    expect(lines.map(({ by, said, undone }) => [by, undone, ...said])).toEqual([
      ['M. Okonjo', false, 'undone: From: “MCC 2” → “MCC 1”', 'undone: outer: 21 → 20.7'],
      ['M. Okonjo', true, 'From: “MCC 1” → “MCC 2”', 'outer: 20.7 → 21'],
      ['A. Vell', false, expect.stringMatching(/^From: .* → “MCC 1”$/)],
    ]);
  });

  it('names fields at any depth, and what was made and taken away', () => {
    const before = slice.all('change').length;
    const { site: _s, rev: _r, stamps: _t, ...area } = slice.get('area', 'a')!;
    give('area.add', { ...area, id: 'a9', name: 'Yard' });
    give('area.edit', { id: 'a9', set: { outlineM: { ...area.outlineM, width: 99 } } });
    give('area.remove', { id: 'a9' });
    const changes = slice.all('change').slice(before);
    const said = historyOf(changes, 'a9', null).map((line) => line.said);
    expect(said).toEqual([['removed'], [expect.stringMatching(/^outline, width: \d+ → 99$/)], ['added']]);
  });

  it('tells a value that did not stand, and whose it was', () => {
    give('cable.edit', { id: 'k', set: { to: 'Pump' } }, 'A. Vell', 14);
    give('cable.edit', { id: 'k', set: { to: 'Fan' } }, 'M. Okonjo', 12);
    const [newest] = historyOf(slice.all('change'), 'k', slice.get('cable', 'k'));
    expect(newest!.said).toContain('to: “Fan” of M. Okonjo did not stand against A. Vell');
    const [lost] = slice.get('change', newest!.id)!.lost;
    expect(lostWords(slice, lost!)).toBe(
      'A. Vell changed the same at the same time: to of cable P-1 is “Pump” now; yours was “Fan”. Both stand in its history.',
    );
  });

  it.each([
    [null, 'not recorded'],
    ['', 'not recorded'],
    [true, 'yes'],
    [4.5, '4.5'],
    [['db', 'eb'], 'db, eb'],
    [[], 'none'],
    [[{ a: 1 }, { a: 2 }], '2 of them'],
    [{ size: 'S3', innerProudMm: 5, outer: {} }, 'size “S3”, inner proud 5'],
  ])('%j is said as %s', (value, said) => expect(valueWords(value)).toBe(said));

  it('a path is said without units and brackets', () => {
    expect(fieldWords('sheet.sizes.S3')).toBe('sheet, sizes, S3');
    expect(fieldWords('volumeCm3')).toBe('volume');
    expect(fieldWords('maxC')).toBe('max');
  });
});
