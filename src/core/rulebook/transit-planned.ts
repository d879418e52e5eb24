import type { BlockSide, Cable, Id, PackedBlock, PackedOpening, TransitSheet } from '../record/types';
import type { Packing, PackCable } from '../transit/pack/types';
import { cableOn } from './transit-found';
import { peel, type MeasuredCable, type Peeling } from '../transit/peel';

/** A side that nobody has counted yet. */
export const UNREAD: BlockSide = {
  layers: null,
  readingsMm: [],
  instrument: null,
  readBy: null,
  readAt: null,
  others: [],
  daylight: null,
};

/** Nobody has measured a planned cable: its record and tolerance stand in. */
const NOBODY = { by: '', at: '' };

/** A block that nobody has looked at, with a cable or spare. */
export const freshBlock = (cable: Id | null, bonded: boolean): PackedBlock => ({
  cable,
  core: null,
  jacket: UNREAD,
  armour: bonded ? UNREAD : null,
  bondOhm: null,
  bondInstrument: null,
  bondAt: null,
});

/** A planned packing as it is recorded: every block still to be peeled, looked at and read. */
export const packedFrom = ({ openings }: Packing, bonded: boolean): PackedOpening[] =>
  openings.map(({ id, rows }) => ({
    label: id,
    wedgeMm: null,
    cables: [],
    recessMm: [],
    recessFarMm: [],
    plug: false,
    packedAt: null,
    rows: rows.map(({ heightMm, columns }) => ({
      heightMm,
      plate: null,
      columns: columns.map(({ widthMm, blocks }) => ({
        widthMm,
        blocks: blocks.map((cable) => freshBlock(cable, bonded)),
      })),
    })),
  }));

/** A cable as the packing asks for it: its smallest and largest diameter with the uncertainty added, both sides. */
export function packCable(cable: Cable, bonded: boolean): PackCable {
  const sides = bonded ? (['jacket', 'armour'] as const) : (['jacket'] as const);
  const known = sides.flatMap((side) => cableOn(side, UNREAD, cable, new Map(), NOBODY).cable ?? []);
  return {
    id: cable.id,
    minMm: Math.min(...known.map(({ minMm, expandedUncertaintyMm: u }) => minMm - u)),
    maxMm: Math.max(...known.map(({ maxMm, expandedUncertaintyMm: u }) => maxMm + u)),
  };
}

/** What has to be fetched: blocks by size, plates, wedges. */
export interface PickList {
  blocks: { sizeMm: number; withCable: number; spare: number }[];
  plates: number;
  wedges: number;
}

/** Counts the parts of a packing. */
export function pickList(openings: readonly PackedOpening[]): PickList {
  const blocks = new Map<number, { sizeMm: number; withCable: number; spare: number }>();
  for (const { rows } of openings) {
    for (const { widthMm, blocks: list } of rows.flatMap(({ columns }) => columns)) {
      const of = blocks.get(widthMm) ?? { sizeMm: widthMm, withCable: 0, spare: 0 };
      for (const { cable } of list) {
        if (cable === null) of.spare++;
        else of.withCable++;
      }
      blocks.set(widthMm, of);
    }
  }
  return {
    blocks: [...blocks.values()].sort((a, b) => b.sizeMm - a.sizeMm),
    plates: openings.reduce((sum, { rows }) => sum + rows.length, 0),
    wedges: openings.filter(({ rows }) => rows.length > 0).length,
  };
}

/** How one block is peeled for its cable. */
export interface PeelCard {
  cable: Id;
  opening: string;
  row: number;
  sizeMm: number;
  jacket: Peeling | null;
  /** Termination side of a bonded block; null where there is none. */
  armour: Peeling | null;
}

/** The card of every cable, in the order in which they are built in. */
export function peelCards(
  openings: readonly PackedOpening[],
  sheet: TransitSheet,
  cables: ReadonlyMap<Id, Cable>,
): PeelCard[] {
  const right = (side: 'jacket' | 'armour', cable: Cable, sizeMm: number): Peeling | null => {
    const block = sheet.blocks.find((one) => one.sizeMm === sizeMm);
    const measured: MeasuredCable | null = cableOn(side, UNREAD, cable, new Map(), NOBODY).cable;
    return block && measured ? peel(block, sheet.gapMm, measured, sheet.maxLayerDifference) : null;
  };
  return openings.flatMap(({ label, rows }) =>
    rows.flatMap(({ columns }, r) =>
      columns.flatMap(({ widthMm, blocks }) =>
        blocks.flatMap(({ cable, armour }): PeelCard[] => {
          const record = cable === null ? null : cables.get(cable);
          if (!record) return [];
          return [
            {
              cable: record.id,
              opening: label,
              row: r + 1,
              sizeMm: widthMm,
              jacket: right('jacket', record, widthMm),
              armour: armour ? right('armour', record, widthMm) : null,
            },
          ];
        }),
      ),
    ),
  );
}

/** Where a block lies: row from the far end, column, and place in its column. */
export interface BlockAt {
  opening: string;
  row: number;
  column: number;
  index: number;
}

/** Changes one block of a packing. */
export const changeBlock = (
  openings: readonly PackedOpening[],
  at: BlockAt,
  change: (block: PackedBlock) => PackedBlock,
): PackedOpening[] =>
  openings.map((opening) =>
    opening.label !== at.opening
      ? opening
      : {
          ...opening,
          rows: opening.rows.map((row, r) =>
            r !== at.row
              ? row
              : {
                  ...row,
                  columns: row.columns.map((column, c) =>
                    c !== at.column
                      ? column
                      : {
                          ...column,
                          blocks: column.blocks.map((block, i) => (i === at.index ? change(block) : block)),
                        },
                  ),
                },
          ),
        },
  );

/** The block at a place; null where there is none. */
export const blockAt = (openings: readonly PackedOpening[], at: BlockAt): PackedBlock | null =>
  openings.find(({ label }) => label === at.opening)?.rows[at.row]?.columns[at.column]?.blocks[at.index] ??
  null;

/**
 * Moves a cable to another block; the cable that lay there comes back in exchange. What was counted and read at
 * both is worth nothing any more.
 */
export function moveCable(openings: readonly PackedOpening[], from: BlockAt, to: BlockAt): PackedOpening[] {
  const [one, other] = [blockAt(openings, from), blockAt(openings, to)];
  if (!one || !other) return [...openings];
  const bonded = one.armour !== null;
  const moved = changeBlock(openings, to, () => freshBlock(one.cable, bonded));
  return changeBlock(moved, from, () => freshBlock(other.cable, bonded));
}
