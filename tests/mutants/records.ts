import { createHash } from 'node:crypto';
import { MemorySlice, type Written } from '../../src/core/record/slice';
import type * as T from '../../src/core/record/types';
import { TABLES } from '../../src/core/record/tables';
import { recordsWith, type Change } from '../../src/core/rulebook/sound-entry.test.data';

/** The records of one entry, to be changed in place; nothing here knows a rule. */
export interface Records {
  site: Loose<T.Site>;
  area: Loose<T.Area>;
  enclosure: Loose<T.Enclosure>;
  entry: Loose<T.Entry>;
  cable: Loose<T.Cable>;
  certificate: Loose<T.Certificate>;
  size: Loose<T.GlandSize>;
  round: Loose<T.Round>;
  instruments: Map<string, Loose<T.Instrument>>;
  readings: Loose<T.Reading>[];
  looks: Loose<T.Look>[];
  pours: Loose<T.Pour>[];
  tests: Loose<T.InsulationTest>[];
  continuity: Loose<T.Continuity>[];
  works: Loose<T.MakeOff>[];
  opening: Loose<T.PackedOpening> | null;
  /** Everything, table by table. */
  all: [Written['table'], { id: string }][];
}

/** A record whose fields may be overwritten with anything, as a careless file would. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Loose<R> = { -readonly [K in keyof R]: any };

/** Fresh copies of the records that a test's change makes. */
export function copyOf(change: Change): Records {
  const slice = recordsWith(change);
  const all = TABLES.flatMap((table) =>
    slice.all(table).map((record): Records['all'][number] => [table, structuredClone(record)]),
  );
  return viewOf(all);
}

/** The same records, copied once more. */
export const again = (records: Records): Records =>
  viewOf(JSON.parse(JSON.stringify(records.all)) as Records['all']);

function viewOf(all: Records['all']): Records {
  const of = <R>(table: string) =>
    all.filter(([name]) => name === table).map(([, record]) => record as unknown as R);
  const one = <R>(table: string) => of<R>(table)[0] as R;
  const certificate = one<Records['certificate']>('certificate');
  const packing = of<{ openings: Loose<T.PackedOpening>[] }>('packing')[0];
  return {
    all,
    certificate,
    site: one('site'),
    area: one('area'),
    enclosure: one('enclosure'),
    entry: one('entry'),
    cable: one('cable'),
    size: (certificate.sheet as { sizes: Records['size'][] }).sizes[0]!,
    round: one('round'),
    instruments: new Map(of<Loose<T.Instrument>>('instrument').map((item) => [item.id as string, item])),
    readings: of('reading'),
    looks: of('look'),
    pours: of('pour'),
    tests: of('insulation'),
    continuity: of('continuity'),
    works: of('makeoff'),
    opening: packing?.openings[0] ?? null,
  };
}

/** Adds a record to a table. */
export const add = (records: Records, table: Written['table'], record: object): void =>
  void records.all.push([table, record as { id: string }]);

/** Takes the records of a table away that a test names. */
export const drop = (
  records: Records,
  table: string,
  which: (record: Record<string, unknown>) => boolean,
): void => {
  records.all = records.all.filter(
    ([name, record]) => name !== table || !which(record as Record<string, unknown>),
  );
};

/** A slice that holds the records, as the rule book reads them. */
export function sliceOf({ all }: Records): MemorySlice {
  const slice = new MemorySlice();
  slice.write(all.map(([table, after]) => ({ table, id: after.id, after }) as Written));
  return slice;
}

/** What two equal sets of records share. */
export const printOf = ({ all }: Records): string =>
  createHash('md5').update(JSON.stringify(all)).digest('base64');
