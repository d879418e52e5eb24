import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apply } from '../commands/apply';
import type { AnyCommand, ImportItem } from '../commands/commands';
import { MemorySlice } from '../record/slice';
import type { Site } from '../record/types';
import { BULK_TABLES, COLUMNS, type BulkTable } from './columns';
import { entriesForEnds } from './ends';
import { proposedMapping, proposedTable } from './headings';
import { readSheets, type BulkRead, type SheetAs } from './sheets';

const SITE = { id: 's', site: 's', rev: 'r', lastSeal: null } as Site;

function fresh(): MemorySlice {
  const slice = new MemorySlice();
  slice.write([{ table: 'site', id: 's', after: SITE }]);
  return slice;
}

/** A sheet as somebody types it: headings, then rows, with commas between. */
function sheet(table: BulkTable, head: string, ...rows: string[]): SheetAs {
  const headings = head.split(',').map((one) => one.trim());
  return {
    name: table,
    table,
    headings,
    mapping: proposedMapping(table, headings),
    rows: rows.map((row, i) => ({ row: i + 2, cells: row.split(',') })),
  };
}

let ids = 0;
const read = (slice: MemorySlice, ...sheets: SheetAs[]): BulkRead =>
  readSheets(slice, sheets, { site: 's', id: () => `id${String(ids++).padStart(6, '0')}`, faults: () => [] });

function take(slice: MemorySlice, items: ImportItem[]): void {
  if (items.length === 0) return;
  const id = `cmd${String(ids++).padStart(6, '0')}`;
  const command = { id, kind: 'dossier.import', site: 's', at: '2026-11-02T09:00:00.000Z', payload: { source: 'x', items } } as AnyCommand; // prettier-ignore
  slice.write(apply(slice, command, 'A. Vell'));
}

const said = ({ rows }: BulkRead) => rows.map(({ what, action, why }) => [what, action, why.join(' ')]);

const AREAS = sheet('area', 'Area name,Zone,Gas group', 'Press hall,Zone 1,iib', 'Yard,non-hazardous,');
const BOXES = sheet('enclosure', 'Tag,Area,Ex protection', 'PB-1,Press hall,Ex db eb', 'PB-2,Yard,');
const CABLES = sheet('cable', 'Cable no.,From,To,Length [ft],OD', 'C-1,PB-1,PB-2,100,20', 'C-2,PB-2,XX-9,,');

describe('headings', () => {
  it.each<[BulkTable, string, string | null, string | null]>([
    ['cable', 'LENGTH (ft)', 'length_m', 'ft'],
    ['cable', 'length_m', 'length_m', null],
    ['cable', 'Length [m]', 'length_m', null],
    ['cable', 'Outer-Diameter in', 'outer_mm', 'in'],
    ['cable', 'outer_mm', 'outer_mm', null],
    ['cable', 'Cable No.', 'cable', null],
    ['cable', 'Colour', null, null],
    ['enclosure', 'Volume, dm³', 'volume_cm3', 'dm³'],
    ['area', 'T-Class', 'temperature_class', null],
    ['entry', 'Gland size', 'size', null],
  ])('of %s: %s is %s in %s', (table, heading, column, unit) => {
    expect(proposedMapping(table, [heading])).toEqual([{ heading, column, unit }]);
  });

  it('are taken once each, from the first that says them', () => {
    expect(proposedMapping('cable', ['Tag', 'Cable']).map(({ column }) => column)).toEqual(['cable', null]);
  });

  it.each(BULK_TABLES)('a template of %s is told by its headings alone', (table) => {
    const headings = COLUMNS[table].map(({ id }) => id);
    expect(proposedTable('Sheet1', headings)).toBe(table);
    expect(proposedMapping(table, headings).map(({ column }) => column)).toEqual(headings);
  });

  it('that say nothing tell no table', () => {
    expect(proposedTable('Sheet1', ['a', 'b'])).toBeNull();
  });
});

describe('sheets', () => {
  it('are read in the order in which they refer to each other, whatever their own', () => {
    const found = read(fresh(), CABLES, BOXES, AREAS);
    expect(found.rows.map(({ sheet: name }) => name)).toEqual(['cable', 'cable', 'enclosure', 'enclosure', 'area', 'area']); // prettier-ignore
    expect(found.items.map(({ table }) => table)).toEqual(['area', 'area', 'cable', 'cable', 'enclosure', 'enclosure']); // prettier-ignore
    const [hall, yard] = found.items.map(({ record }) => record);
    expect(hall).toMatchObject({ name: 'Press hall', zone: '1', group: 'IIB', temperatureClass: null });
    expect(yard).toMatchObject({ zone: 'unclassified', group: null });
  });

  it('leave not recorded what is blank, and keep a figure as it was written', () => {
    const [cable] = read(fresh(), sheet('cable', 'cable,length (ft),outer_mm,cold_flow', 'C-1,100,,')).items;
    expect(cable!.record).toMatchObject({ lengthM: 30.48, outerMm: null, coldFlow: null, cores: [], armour: null, unarmoured: null, typed: { lengthM: '100 ft' } }); // prettier-ignore
  });

  it('brought twice change nothing', () => {
    const slice = fresh();
    take(slice, read(slice, AREAS, BOXES, CABLES).items);
    const again = read(slice, AREAS, BOXES, CABLES);
    expect(again.items).toEqual([]);
    expect(again.rows.every(({ action }) => action === 'same')).toBe(true);
  });

  it('a blank cell leaves what is on file, another changes it', () => {
    const slice = fresh();
    take(slice, read(slice, AREAS, BOXES).items);
    const changed = read(slice, sheet('enclosure', 'enclosure,protection,ingress', 'PB-1,,IP66'));
    expect(changed.rows[0]).toMatchObject({ action: 'change', fields: ['ingress'] });
    expect(changed.items[0]!.record).toMatchObject({ concepts: ['db', 'eb'], ingress: 'IP66' });
  });

  it.each([
    [
      'a new one that lacks what it needs',
      sheet('enclosure', 'enclosure,what', 'PB-9,box'),
      'area: is blank',
    ],
    ['a blank key', sheet('area', 'area,zone', ',1'), 'area: is blank'],
    ['what is no zone', sheet('area', 'area,zone', 'Hall,9'), 'zone: "9" must be one of'],
    ['what refers to nothing', sheet('enclosure', 'enclosure,area', 'PB-9,Nowhere'), 'area: "Nowhere" is not on file'], // prettier-ignore
    ['a number that is none', sheet('cable', 'cable,outer_mm', 'C-9,thick'), 'outer_mm: "thick"'],
    ['a protection that is none', sheet('enclosure', 'enclosure,area,protection', 'PB-9,Hall,Ex zz'), 'protection: "zz"'], // prettier-ignore
  ])('refuse %s, with the column and the row of the spreadsheet', (_what, one, why) => {
    const slice = fresh();
    take(slice, read(slice, sheet('area', 'area', 'Hall')).items);
    const { rows, items } = read(slice, one);
    expect(rows[0]).toMatchObject({ action: 'refused', row: 2 });
    expect(rows[0]!.why.join(' ')).toContain(why);
    expect(items).toEqual([]);
  });

  it('refuse the second of two rows of one name, and what refers to a refused one', () => {
    const found = read(fresh(), sheet('area', 'area,zone', 'Hall,1', 'Hall,2', 'Loft,9'), sheet('enclosure', 'enclosure,area', 'PB-1,Loft')); // prettier-ignore
    expect(said(found)).toEqual([
      ['Hall', 'add', ''],
      ['Hall', 'refused', 'Hall stands in row 2 already; keep one of them.'],
      ['Loft', 'refused', expect.stringContaining('zone: "9"')],
      ['PB-1', 'refused', 'area: "Loft" is refused itself; mend its row first.'],
    ]);
  });

  it('take cores with their area, and say when the rest is missing', () => {
    const slice = fresh();
    const head = 'cable,cores,core_diameter_mm';
    const [whole, part] = read(slice, sheet('cable', head, 'C-1,4 x 2.5,3.1', 'C-2,4 x 2.5,')).items;
    expect(whole!.record).toMatchObject({ cores: [{ count: 4, areaMm2: 2.5, diameterMm: 3.1 }] });
    expect(part!.record).toMatchObject({ cores: [] });
    expect(read(slice, sheet('cable', head, 'C-2,4 x 2.5,')).rows[0]!.notes.join()).toContain(
      'Cores stay not recorded',
    );
  });

  it('give what they do not place a tidy place: areas beside each other, enclosures inside theirs', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 0, max: 60 }), (areas, boxes) => {
        const { items } = read(
          fresh(),
          sheet('area', 'area', ...Array.from({ length: areas }, (_, i) => `A${i}`)),
          sheet(
            'enclosure',
            'enclosure,area',
            ...Array.from({ length: boxes }, (_, i) => `B${i},A${i % areas}`),
          ),
        );
        const outlines = new Map(items.flatMap((item) => (item.table === 'area' ? [[item.record.id, item.record.outlineM]] : []))); // prettier-ignore
        const all = [...outlines.values()];
        for (const [i, a] of all.entries())
          for (const b of all.slice(i + 1))
            expect(a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y).toBe(true); // prettier-ignore
        const seen = new Set<string>();
        for (const item of items) {
          if (item.table !== 'enclosure') continue;
          const { x, y } = item.record.positionM;
          const area = outlines.get(item.record.area)!;
          expect(x > area.x && x < area.x + area.width && y > area.y && y < area.y + area.height).toBe(true);
          expect(seen.has(`${x} ${y}`)).toBe(false);
          seen.add(`${x} ${y}`);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('a place that they give stands', () => {
    const { items } = read(fresh(), sheet('area', 'area,x_m,y_m,width_m,depth_m', 'Hall,5,0,30,20'), sheet('enclosure', 'enclosure,area,x_m,y_m', 'PB-1,Hall,0,7')); // prettier-ignore
    expect(items[0]!.record).toMatchObject({ outlineM: { x: 5, y: 0, width: 30, height: 20 } });
    expect(items[1]!.record).toMatchObject({ positionM: { x: 0, y: 7, z: 0 } });
  });
});

describe('an entry for every cable end', () => {
  it('is made once, called by the next letter that is free, and says which ends have no enclosure', () => {
    const slice = fresh();
    take(slice, read(slice, AREAS, BOXES, CABLES).items);
    take(slice, read(slice, sheet('entry', 'enclosure,entry,kind', 'PB-2,A,plain gland')).items);
    const make = () => entriesForEnds(slice, 's', 'gland-double-seal', () => `e${ids++}`);
    const first = make();
    expect(first.rows.map(({ what, action }) => [what, action])).toEqual([
      ['PB-1, entry A, cable C-1', 'add'],
      ['PB-2, entry B, cable C-1', 'add'],
      ['PB-2, entry C, cable C-2', 'add'],
      ['C-2, to XX-9', 'refused'],
    ]);
    take(slice, first.items);
    expect(make()).toMatchObject({ items: [], counts: { add: 0, same: 3, refused: 1 } });
  });
});
