import { atMost } from '../quantity/compare';

/** A block that carries the armour to the frame, as its sheet has it; lengths mm, from its jacket-side face. */
export interface BondedBlock {
  blockDepthMm: number;
  braidMm: readonly [from: number, to: number];
  leastContactMm: number;
  overhangMm: number;
  toleranceMm: number;
  /** Whether the jacket may go on behind a window; null: the sheet says nothing. */
  window: boolean | null;
}

/** How the end of the armour is finished behind a bonded block. */
type ArmourFinish = 'own-sheath' | 'tube' | 'bushing' | 'window';

/** What is chosen for a cable in a bonded block; lengths mm. */
export interface BondedChoice {
  /** How far the armour goes past the armour-side face; for a window it is not cut. */
  overhangMm: number;
  finish: ArmourFinish;
  /** Length of the piece, tube or bushing; 0 for a window. */
  finishMm: number;
}

/** Marks on the cable, from the block’s jacket-side face, mm. */
export interface BondedMarks {
  /** Where the jacket ends, and how far that may lie off. */
  jacketMm: number;
  toleranceMm: number;
  /** Second cut of the jacket: the end of the piece that is kept, or of the window; null without one. */
  secondMm: number | null;
  /** Where the armour is cut; null where the jacket goes on behind a window. */
  armourMm: number | null;
  /** Contact of the braid with the block. */
  contactMm: number;
  /** Stretch that the finish lies over; null where there is no end to finish. */
  finishMm: readonly [from: number, to: number] | null;
  /** What does not go together with the sheet; empty where all does. */
  faults: BondedFault[];
}

export type BondedFault = 'contact' | 'overhang' | 'finish-inside' | 'window';

/**
 * Where a cable is cut for a bonded block: the jacket off over the block’s braid section, the armour cut past its far
 * face, its end finished wholly outside. Source: geometry of the block, by the assembly sheet.
 *
 * @param sheet block depth B, braid section [b1, b2], least contact, least overhang; mm, all at least 0
 */
export function bondedMarks(sheet: BondedBlock, { overhangMm, finish, finishMm }: BondedChoice): BondedMarks {
  const { blockDepthMm, leastContactMm, toleranceMm } = sheet;
  const [from, to] = sheet.braidMm;
  const contactMm = to - from;
  const faults: BondedFault[] = atMost(leastContactMm, contactMm) ? [] : ['contact'];
  if (finish === 'window') {
    if (!sheet.window) faults.push('window');
    return { jacketMm: from, toleranceMm, secondMm: to, armourMm: null, contactMm, finishMm: null, faults };
  }
  const armourMm = blockDepthMm + overhangMm;
  if (!atMost(sheet.overhangMm, overhangMm)) faults.push('overhang');
  // A finish that reaches under the block holds its halves apart.
  if (!atMost(finishMm, overhangMm)) faults.push('finish-inside');
  return {
    jacketMm: from,
    toleranceMm,
    secondMm: finish === 'own-sheath' ? from + finishMm : null,
    armourMm,
    contactMm,
    finishMm: [armourMm - finishMm, armourMm],
    faults,
  };
}
