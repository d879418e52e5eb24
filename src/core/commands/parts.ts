import type { AssemblySheet, Id, PackedBlock, PackedOpening } from '../record/types';

/** A field taken apart: what stands under each name is merged by itself. */
type Parts = Map<string, unknown>;

/** How one field is taken apart and put together again. */
interface Divider {
  /** Null where its parts have no names of their own: then it is one. */
  split(value: unknown): Parts | null;
  /** `like` are values whose order is kept, the first before the second. */
  join(parts: Parts, like: readonly unknown[]): unknown;
}

/** Fields that several people fill at once: by table and name. Any other field is one part. */
const DIVIDERS: Readonly<Record<string, Divider>> = {
  'round.entries': {
    split: (value) => named((value as Id[]).map((id) => [id, true])),
    join: (parts, like) =>
      inOrder(
        like.map((ids) => ids as Id[]),
        [...parts.keys()],
      ),
  },
  'certificate.sheet': { split: splitSheet, join: joinSheet },
  'packing.openings': { split: splitOpenings, join: joinOpenings },
  'defect.photos': {
    split: (value) => named((value as Id[]).map((id) => [id, true])),
    join: (parts, like) =>
      inOrder(
        like.map((ids) => ids as Id[]),
        [...parts.keys()],
      ),
  },
};

/** The divider of a field; null for one that is merged as a whole. */
export const dividerOf = (table: string, field: string): Divider | null =>
  DIVIDERS[`${table}.${field}`] ?? null;

/** Parts under their names; null where a name stands twice. */
function named(entries: readonly (readonly [string, unknown])[]): Parts | null {
  const parts: Parts = new Map(entries);
  return parts.size === entries.length ? parts : null;
}

/** Names in the order in which they stand in the lists, each once; those in no list come last. */
function inOrder(lists: readonly (readonly string[])[], names: readonly string[]): string[] {
  const wanted = new Set(names);
  const order = new Set<string>();
  for (const list of lists) for (const name of list) if (wanted.has(name)) order.add(name);
  for (const name of names) order.add(name);
  return [...order];
}

/** Lists of a sheet whose lines have a name. */
const SHEET_LISTS = {
  sizes: (line: unknown) => (line as { size: string }).size,
  joints: (line: unknown) => (line as { joint: string }).joint,
  chart: (line: unknown) => {
    const { cores, areaMm2 } = line as { cores: number; areaMm2: number };
    return `${cores}x${areaMm2}`;
  },
} as const;
type SheetList = keyof typeof SHEET_LISTS;

function splitSheet(value: unknown): Parts | null {
  const entries = Object.entries(value as AssemblySheet).flatMap(([key, of]): [string, unknown][] => {
    const nameOf = SHEET_LISTS[key as SheetList];
    return nameOf ? (of as unknown[]).map((line) => [`${key}.${nameOf(line)}`, line]) : [[key, of]];
  });
  return named(entries);
}

function joinSheet(parts: Parts, like: readonly unknown[]): unknown {
  const sheet: Record<string, unknown> = { sizes: [], joints: [], chart: [] };
  for (const [name, value] of parts) if (!/^(sizes|joints|chart)\./.test(name)) sheet[name] = value;
  for (const key of Object.keys(SHEET_LISTS) as SheetList[]) {
    const lists = like.map((one) =>
      (one as AssemblySheet)[key].map((line) => `${key}.${SHEET_LISTS[key](line)}`),
    );
    const here = [...parts.keys()].filter((name) => name.startsWith(`${key}.`));
    sheet[key] = inOrder(lists, here).map((name) => parts.get(name));
  }
  return sheet;
}

/** Rows and columns of an opening, without what lies in them. */
const layoutOf = ({ rows }: PackedOpening): string =>
  rows.map(({ heightMm, columns }) => `${heightMm}:${columns.map(({ widthMm, blocks }) => `${widthMm}*${blocks.length}`).join(',')}`).join(';'); // prettier-ignore

function splitOpenings(value: unknown): Parts | null {
  const entries = (value as PackedOpening[]).flatMap((opening): [string, unknown][] => {
    const { label, rows, cables, ...fields } = opening;
    const at = `${label}/${layoutOf(opening)}`;
    const own = Object.entries(fields).map(([key, of]): [string, unknown] => [`${at}/${key}`, of]);
    const sealed = cables.map((one): [string, unknown] => [`${at}/cables.${one.cable}`, one]);
    const inRows = rows.flatMap(({ plate, columns }, r) => [
      [`${at}/rows.${r}.plate`, plate] as [string, unknown],
      ...columns.flatMap(({ blocks }, c) => blocks.flatMap((block, b) => splitBlock(`${at}/rows.${r}.${c}.${b}`, block))),
    ]); // prettier-ignore
    return [[`${at}/label`, label], ...own, ...sealed, ...inRows];
  });
  return named(entries);
}

/** A block's own parts: what lies in it, each side, and its bond with its instrument. */
const splitBlock = (
  at: string,
  { cable, core, jacket, armour, ...bond }: PackedBlock,
): [string, unknown][] => [
  [`${at}.cable`, { cable, core }],
  [`${at}.jacket`, jacket],
  [`${at}.armour`, armour],
  [`${at}.bond`, bond],
];

function joinOpenings(parts: Parts, like: readonly unknown[]): unknown {
  // An opening that was packed anew has another layout: its later packing stands whole.
  const labels = inOrder(
    like.map((one) => (one as PackedOpening[]).map(({ label }) => label)),
    labelsIn(parts),
  );
  return labels.flatMap((label) => {
    const packings = [...like]
      .reverse()
      .flatMap((one) => (one as PackedOpening[]).filter((of) => of.label === label));
    const stands = packings.find((of) => parts.has(`${label}/${layoutOf(of)}/label`));
    return stands ? [joinOpening(parts, stands, like)] : [];
  });
}

const labelsIn = (parts: Parts): string[] =>
  [...parts].flatMap(([name, value]) => (name.endsWith('/label') ? [String(value)] : []));

function joinOpening(parts: Parts, shape: PackedOpening, like: readonly unknown[]): PackedOpening {
  const { label, rows, cables: _cables, ...fields } = shape;
  const at = `${label}/${layoutOf(shape)}`;
  const part = (name: string, otherwise: unknown) =>
    parts.has(`${at}/${name}`) ? parts.get(`${at}/${name}`) : otherwise;
  const names = like.map((one) =>
    (one as PackedOpening[]).flatMap((of) => (of.label === label ? of.cables.map(({ cable }) => `${at}/cables.${cable}`) : [])),
  ); // prettier-ignore
  const sealed = [...parts.keys()].filter((name) => name.startsWith(`${at}/cables.`));
  return {
    ...(Object.fromEntries(Object.entries(fields).map(([key, of]) => [key, part(key, of)])) as typeof fields),
    label,
    rows: rows.map((row, r) => ({
      ...row,
      plate: part(`rows.${r}.plate`, row.plate) as boolean | null,
      columns: row.columns.map((column, c) => ({
        ...column,
        blocks: column.blocks.map((block, b): PackedBlock => {
          const name = `rows.${r}.${c}.${b}`;
          return {
            ...(part(`${name}.cable`, block) as Pick<PackedBlock, 'cable' | 'core'>),
            jacket: part(`${name}.jacket`, block.jacket) as PackedBlock['jacket'],
            armour: part(`${name}.armour`, block.armour) as PackedBlock['armour'],
            ...(part(`${name}.bond`, block) as Pick<PackedBlock, 'bondOhm' | 'bondInstrument' | 'bondAt'>),
          };
        }),
      })),
    })),
    cables: inOrder(names, sealed).map((name) => parts.get(name) as PackedOpening['cables'][number]),
  };
}
