import { useState } from 'react';
import { readQuantity } from '../../core/quantity/quantity';
import {
  linkLengths,
  linkToleranceMm,
  type Bend,
  type LinkGeometry,
  type LinkUncertainty,
} from '../../core/mineral/link';
import type { Cable } from '../../core/record/types';
import { typed, useFigures, type Figures } from '../../ui/Figure';

/** A straight as it is typed, and what it may be off by. */
export interface StraightText {
  mm: string;
  off: string;
}

/** A bend as it is typed, and what it may be off by. */
export interface BendText {
  angle: string;
  radius: string;
  offDeg: string;
  offMm: string;
  right: boolean;
}

export type LinkNames = 'entry1' | 'entry2' | 'off1' | 'off2' | 'tail1' | 'tail2' | 'trim' | 'fit' | 'moved';

/** The path of a link while it is typed. */
export interface LinkDraft {
  straights: readonly StraightText[];
  setStraights: (straights: StraightText[]) => void;
  bends: readonly BendText[];
  setBends: (bends: BendText[]) => void;
  figures: Figures<LinkNames>;
}

const BLANK_STRAIGHT: StraightText = { mm: '', off: '1' };
const BLANK_BEND: BendText = { angle: '', radius: '', offDeg: '1', offMm: '2', right: false };

/** Keeps the path of a link as it is typed, beginning with the one that the cable has. */
export function useLinkDraft(cable: Cable | null): LinkDraft {
  const kept = cable?.mineral?.link ?? null;
  const [straights, setStraights] = useState<StraightText[]>(
    () => kept?.straightsMm.map((mm) => ({ mm: String(mm), off: '1' })) ?? [BLANK_STRAIGHT, BLANK_STRAIGHT],
  );
  const [bends, setBends] = useState<BendText[]>(
    () =>
      kept?.bends.map(({ angleDeg, radiusMm, right }) => ({ ...BLANK_BEND, angle: String(angleDeg), radius: String(radiusMm), right })) ?? [BLANK_BEND], // prettier-ignore
  );
  const figures = useFigures<LinkNames>({
    entry1: typed(kept?.entryMm[0]),
    entry2: typed(kept?.entryMm[1]),
    off1: '0.5',
    off2: '0.5',
    tail1: typed(kept?.tailMm[0]),
    tail2: typed(kept?.tailMm[1]),
    trim: typed(kept?.trimMm),
    fit: typed(kept?.fitMm),
    moved: '10',
  });
  return { straights, setStraights, bends, setBends, figures };
}

const degrees = (text: string): number | null => {
  const read = readQuantity(text, 'angle');
  return 'value' in read ? read.value : null;
};

/** A length that is typed, mm; null where it cannot be read. */
export const mmOf = (text: string): number | null => {
  const read = readQuantity(text, 'length');
  return 'value' in read ? read.value : null;
};

/** A path whose bends have their side. */
export interface TypedGeometry extends LinkGeometry {
  bends: readonly (Bend & { right: boolean })[];
}

/** The path that a draft says; null while something of it cannot be read. */
function geometryOf({ straights, bends, figures: { text } }: LinkDraft): TypedGeometry | null {
  const straightsMm = straights.flatMap(({ mm }) => mmOf(mm) ?? []);
  const read = bends.flatMap(({ angle, radius, right }) => {
    const [angleDeg, radiusMm] = [degrees(angle), mmOf(radius)];
    return angleDeg === null || radiusMm === null ? [] : [{ angleDeg, radiusMm, right }];
  });
  if (straightsMm.length < straights.length || read.length < bends.length) return null;
  const [entry1, entry2, tail1, tail2, trimMm] = (['entry1', 'entry2', 'tail1', 'tail2', 'trim'] as const).map((name) => mmOf(text[name])); // prettier-ignore
  if (entry1 == null || entry2 == null || tail1 == null || tail2 == null || trimMm == null) return null;
  return { straightsMm, bends: read, entryMm: [entry1, entry2], tailMm: [tail1, tail2], trimMm };
}

/** What each part of a draft may be off by; null while something of it cannot be read. */
function offOf({ straights, bends, figures: { text } }: LinkDraft): LinkUncertainty | null {
  const straightsMm = straights.flatMap(({ off }) => mmOf(off) ?? []);
  const read = bends.flatMap(({ offDeg, offMm }) => {
    const [angleDeg, radiusMm] = [degrees(offDeg), mmOf(offMm)];
    return angleDeg === null || radiusMm === null ? [] : [{ angleDeg, radiusMm }];
  });
  const [off1, off2] = [mmOf(text.off1), mmOf(text.off2)];
  if (straightsMm.length < straights.length || read.length < bends.length || off1 === null || off2 === null)
    return null;
  return { straightsMm, bends: read, entryMm: [off1, off2] };
}

/** Lengths of a draft with their tolerance; null while something of it cannot be read. */
export function linkOf(draft: LinkDraft) {
  const [geometry, off] = [geometryOf(draft), offOf(draft)];
  if (!geometry || !off) return null;
  return { geometry, lengths: linkLengths(geometry), toleranceMm: linkToleranceMm(geometry, off) };
}
