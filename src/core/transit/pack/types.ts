/** One opening of a frame, mm. */
export interface Opening {
  id: string;
  widthMm: number;
  heightMm: number;
  /** Thickness of a stay plate; every row has one. */
  plateMm: number;
  /** What the wedge or compression unit needs, least and most. */
  compressionMm: readonly [number, number];
}

/** A block of the sheet's list: its square side and the diameters that it takes, mm. */
export interface Block {
  sizeMm: number;
  rangeMm: readonly [number, number];
}

/** A cable with the uncertainty of its readings added already, mm. */
export interface PackCable {
  id: string;
  minMm: number;
  maxMm: number;
}

/** Blocks of one width one above the other; null is a blank. */
interface Column {
  widthMm: number;
  blocks: (string | null)[];
}

/** A row of columns, a stay plate on it. */
export interface Row {
  heightMm: number;
  columns: Column[];
}

/** A row that stays as it is: its cables keep their blocks, its blanks may be filled. */
export interface LockedRow extends Row {
  opening: string;
}

export interface PackJob {
  openings: readonly Opening[];
  blocks: readonly Block[];
  cables: readonly PackCable[];
  /** Wanted share of blank blocks, % of the area of all blocks. */
  sparePct: number;
  locked?: readonly LockedRow[];
}

/** A packing of every opening, its rows from the far end to the wedge. */
export interface Packing {
  openings: { id: string; rows: Row[]; compressionMm: number }[];
  /** Rows that hold a cable, their plates included, mm. */
  cableRowsHeightMm: number;
  /** Openings that hold a cable. */
  openingsUsed: number;
  /** Sizes of the blocks that hold a cable. */
  sizesUsed: number;
  sparePct: number;
  /** No packing has lower rows with cables; with several openings, none uses fewer of them either. */
  provenBest: boolean;
}

/** Why nothing can be packed. */
export interface PackReason {
  code: 'no-block' | 'height' | 'width';
  /** Cables that no block takes; empty for another reason. */
  cables: string[];
  /** Height that is missing, or by which the compression misses its window, mm. */
  missingMm: number;
}

export type PackResult = { fits: true; packing: Packing } | { fits: false; reason: PackReason };

/** What a solver of integer programs says. */
export interface Solution {
  status: 'optimal' | 'feasible' | 'infeasible' | 'unknown';
  value: (name: string) => number;
}

/**
 * Solves an integer program in the LP text format.
 *
 * @param seconds how long it may take
 */
export type Solve = (program: string, seconds: number) => Solution;
