import { endMarks } from '../mineral/marks';
import { bondedMarks, type BondedBlock, type BondedMarks } from '../transit/bonded-marks';
import type { ArmourEnd } from '../record/types';
import type { Dossier } from '../rulebook/dossier';
import { kindOf } from '../rulebook/dossier';

/** A cut on the cable. */
export interface Mark {
  id:
    | 'inner-sheath'
    | 'armour'
    | 'outer-sheath'
    | 'screen'
    | 'strip'
    | 'pot'
    | 'stop'
    | 'jacket'
    | 'block-jacket'
    | 'block-piece'
    | 'block-armour';
  /** From the conductors' ends, mm; from the inner sheath's cut where the tail is not recorded. */
  atMm: number;
  /** How far the cut may lie off, mm below and above. */
  lowMm: number;
  highMm: number;
}

export interface CutMarks {
  /** What the marks are measured from. */
  from: 'conductor-ends' | 'inner-cut' | 'square-cut' | 'block-face';
  marks: Mark[];
  /** Where the cable ends, mm: the conductors' ends lie at 0, or before the inner cut by an unknown tail. */
  tailMm: number | null;
  /** The bonded block that the marks are for, with what was found for it; absent elsewhere. */
  block?: { sheet: BondedBlock; found: BondedMarks };
  /** What record or sheet do not say, so that marks are missing. */
  missing: ('tail' | 'seal-depth' | 'inner-proud' | 'armour-length' | 'size' | 'pot' | 'bonded-block')[];
}

/** Length that a cut may lie off where the sheet gives no range, mm. Chosen: what a rule and a saw reach. */
const CUT_TOLERANCE_MM = 1;

/**
 * Where a cable is cut for its gland, measured along it: conductors' tail from the terminal geometry, inner
 * sheath left proud of its seal, armour left for the clamp. Sources: the entry's record, the assembly sheet.
 *
 * @param armourEnd how the armour’s end is finished in a bonded block; null: as it usually is
 */
export function cutMarks(dossier: Dossier, armourEnd: ArmourEnd | null = null): CutMarks {
  const { entry, size } = dossier;
  const kind = kindOf(dossier);
  if (kind.mineral) return mineralMarks(dossier);
  if (kind.transit === 'bonded') return blockMarks(dossier, armourEnd);
  // The cables of another transit run through uncut.
  if (kind.transit) return { from: 'conductor-ends', marks: [], tailMm: null, missing: [] };
  const tailMm = entry.tailMm;
  const from = tailMm === null ? 'inner-cut' : 'conductor-ends';
  const missing: CutMarks['missing'] = tailMm === null ? ['tail'] : [];
  const origin = tailMm ?? 0;
  // Without the tail the cut of the inner sheath is where everything is measured from, and no figure of its own.
  const marks: Mark[] = tailMm === null ? [] : [around('inner-sheath', origin)];
  if (!size) return { from, marks, tailMm, missing: [...missing, 'size'] };
  if (size.sealDepthMm === null) return { from, marks, tailMm, missing: [...missing, 'seal-depth'] };
  if (kind.inner !== 'none' && size.inner !== null && size.innerProudMm === null)
    return { from, marks, tailMm, missing: [...missing, 'inner-proud'] };
  const next = origin + size.sealDepthMm + (size.innerProudMm ?? 0);
  if (kind.armour === 'none') {
    marks.push(around('outer-sheath', next));
    return { from, marks, tailMm, missing };
  }
  marks.push(around('armour', next));
  if (size.armourLengthMm === null) return { from, marks, tailMm, missing: [...missing, 'armour-length'] };
  const [low, high] = size.armourLengthMm;
  const middle = (low + high) / 2;
  marks.push({
    id: 'outer-sheath',
    atMm: next + middle,
    lowMm: next + low,
    highMm: next + high,
  });
  return { from, marks, tailMm, missing };
}

/** How the armour’s end is finished where nobody chose: a window where the sheet has one, else its own sheath. */
export const usualEnd = ({ window, overhangMm }: BondedBlock): ArmourEnd =>
  window
    ? { finish: 'window', finishMm: 0, overhangMm: 0 }
    : { finish: 'own-sheath', finishMm: overhangMm, overhangMm };

/** Marks of a cable in a bonded block. */
function blockMarks({ certificate }: Dossier, armourEnd: ArmourEnd | null): CutMarks {
  const from = 'block-face';
  const sheet = certificate?.sheet.transit?.bonded;
  if (!sheet) return { from, marks: [], tailMm: null, missing: ['bonded-block'] };
  const found = bondedMarks(sheet, armourEnd ?? usualEnd(sheet));
  const near = (id: Mark['id'], atMm: number): Mark => ({
    id,
    atMm,
    lowMm: atMm - sheet.toleranceMm,
    highMm: atMm + sheet.toleranceMm,
  });
  const marks = [
    near('block-jacket', found.jacketMm),
    ...(found.secondMm === null ? [] : [near('block-piece', found.secondMm)]),
    ...(found.armourMm === null
      ? []
      : [
          {
            id: 'block-armour' as const,
            atMm: found.armourMm,
            lowMm: found.armourMm,
            highMm: found.armourMm + CUT_TOLERANCE_MM,
          },
        ]),
  ];
  return {
    from,
    marks: marks.sort((a, b) => a.atMm - b.atMm),
    tailMm: null,
    block: { sheet, found },
    missing: [],
  };
}

/** Marks of a mineral-insulated end, all from the fresh square cut. */
function mineralMarks({ entry, size, cable }: Dossier): CutMarks {
  const { tailMm } = entry;
  const from = 'square-cut';
  if (tailMm === null) return { from, marks: [], tailMm, missing: ['tail'] };
  if (!size?.mineral) {
    const missing: CutMarks['missing'] = [size ? 'pot' : 'size'];
    return { from, marks: [around('strip', tailMm)], tailMm, missing };
  }
  const { threadLengthMm, projectionMm, gripMm, toolStopOffsetMm, screenStubMm } = size.mineral;
  const [least, most] = projectionMm;
  const screened = cable?.mineral?.screened === true && screenStubMm !== null && screenStubMm < tailMm;
  const end = endMarks({
    tailMm,
    toolStopOffsetMm,
    potRearMm: threadLengthMm - (least + most) / 2,
    screenStubMm: screened ? screenStubMm : null,
    glandGripMm: gripMm,
  });
  const half = (most - least) / 2;
  const marks: Mark[] = [
    ...(end.screenMm === null ? [] : [around('screen', end.screenMm)]),
    around('strip', end.stripMm),
    { id: 'pot', atMm: end.potMm, lowMm: end.potMm - half, highMm: end.potMm + half },
    around('stop', end.stopMm),
    ...(cable?.mineral?.jacketed ? [around('jacket', end.jacketMm)] : []),
  ];
  return { from, marks: marks.sort((a, b) => a.atMm - b.atMm), tailMm, missing: [] };
}

const around = (id: Mark['id'], atMm: number): Mark => ({
  id,
  atMm,
  lowMm: atMm - CUT_TOLERANCE_MM,
  highMm: atMm + CUT_TOLERANCE_MM,
});
