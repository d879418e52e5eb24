import type { AreaGroup } from './group';
import type { Level } from './level';

/** Classes, divisions and groups (NFPA 70, articles 500 and 501, as commonly applied). */
export const DIVISION_CLASSES = ['I', 'II'] as const;
export const DIVISION_GROUPS = ['A', 'B', 'C', 'D', 'E', 'F', 'G'] as const;
type DivisionGroup = (typeof DIVISION_GROUPS)[number];

/** How an area of a division site is classified. */
export interface AreaDivision {
  class: 'I' | 'II';
  division: 1 | 2;
  group: DivisionGroup;
}

/** What a device is listed for; Division 1 serves Division 2 as well. */
export interface ListedDivision {
  class: 'I' | 'II';
  division: 1 | 2;
  groups: DivisionGroup[];
}

/** Whether class and group belong together, and the division exists: group E has no Division 2 (NEC 500). */
export function isKnownDivision(area: AreaDivision): boolean {
  const dust = area.group === 'E' || area.group === 'F' || area.group === 'G';
  if (dust !== (area.class === 'II')) return false;
  return !(area.group === 'E' && area.division === 2);
}

const LEVEL: Record<'I' | 'II', Record<1 | 2, Level>> = {
  I: { 1: 'Gb', 2: 'Gc' },
  II: { 1: 'Db', 2: 'Dc' },
};

const GROUP: Record<DivisionGroup, AreaGroup> = {
  A: 'IIC', B: 'hydrogen', C: 'IIB', D: 'IIA', E: 'IIIC', F: 'IIIB', G: 'IIIB',
}; // prettier-ignore

/** Level of the zone scheme that a class and division come near to; serves severity only. Metal dust is always Division 1. */
export const levelOfDivision = ({ class: of, division, group }: AreaDivision): Level =>
  LEVEL[of][group === 'E' ? 1 : division];

/** Group of the zone scheme that a group letter asks for. */
export const groupOfDivision = (area: AreaDivision): AreaGroup => GROUP[area.group];

/** Zone markings that a class and division accept: zone 0 (20) in Division 1, all of them in Division 2. */
export function levelsForDivision(area: AreaDivision): readonly Level[] {
  const dust = area.class === 'II';
  if (area.division === 1) return dust ? ['Da'] : ['Ga'];
  return dust ? ['Da', 'Db', 'Dc'] : ['Ga', 'Gb', 'Gc'];
}

/** Whether a listing covers class and division of an area. */
export const listedForDivision = (listed: ListedDivision, area: AreaDivision): boolean =>
  listed.class === area.class && listed.division <= area.division;

/** What a cable seal or a conduit seal is asked for by (NFPA 70, 501.15 as commonly applied). */
export interface SealFacts {
  wiring: 'cable' | 'conduit';
  division: 1 | 2;
  /** The enclosure has to be explosionproof. */
  explosionproof: boolean;
  /** Parts inside arc or run hot. */
  ignitionSource: boolean;
  /** Terminals, splices or taps inside. */
  terminals: boolean;
  /** Trade size of the conduit, in; 0 for a cable. */
  tradeSizeIn: number;
  /** The run leaves the classified area here. */
  boundary: boolean;
}

/** Largest distance of a conduit seal from an enclosure, in; of a boundary seal, ft. Source: NFPA 70, 501.15. */
export const CONDUIT_SEAL_IN = 18;
export const BOUNDARY_SEAL_FT = 10;
/** Least thickness of a seal: 5/8 in, or the trade size where that is more. Source: NFPA 70, 501.15(C). */
const LEAST_THICKNESS_IN = 0.625;
/** Millimetres in an inch, exactly. */
const MM_PER_IN = 25.4;
/** Trade size from which an enclosure with terminals asks for a seal, in. Source: NFPA 70, 501.15(A). */
const TERMINALS_FROM_IN = 2;
/** Most of the conduit's cross-section that conductors may fill in a seal, %. Source: NFPA 70, 501.15(C). */
export const MOST_FILL_PCT = 25;

/** Why a seal is asked for; null when none is. */
export type SealReason =
  'every-termination' | 'explosionproof' | 'ignition-source' | 'large-with-terminals' | 'boundary' | null;

/** Whether a division site asks for a seal at this termination, and by which rule. */
export function sealReason(facts: SealFacts): SealReason {
  if (facts.wiring === 'cable') {
    if (facts.division === 1) return 'every-termination';
    return facts.explosionproof ? 'explosionproof' : null;
  }
  if (facts.boundary) return 'boundary';
  if (facts.division === 2) return facts.explosionproof ? 'explosionproof' : null;
  if (facts.ignitionSource) return 'ignition-source';
  return facts.terminals && facts.tradeSizeIn >= TERMINALS_FROM_IN ? 'large-with-terminals' : null;
}

/** Least thickness of compound in a seal, mm. */
export const sealThicknessMm = (tradeSizeIn: number): number =>
  Math.max(LEAST_THICKNESS_IN, tradeSizeIn) * MM_PER_IN;

/**
 * Share of the bore that conductors fill, %.
 *
 * @param boreMm bore of rigid conduit of the trade size, mm, > 0
 */
export const sealFillPct = (
  cores: readonly { count: number; diameterMm: number }[],
  boreMm: number,
): number =>
  (100 * cores.reduce((sum, { count, diameterMm }) => sum + count * diameterMm ** 2, 0)) / boreMm ** 2;
