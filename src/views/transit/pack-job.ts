import type { PackJob } from '../../core/transit/pack/types';
import type { Slice } from '../../core/record/slice';
import type { Id, TransitSheet } from '../../core/record/types';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import { packCable } from '../../core/rulebook/transit-planned';

/** What somebody wants of a packing. */
export interface Wanted {
  cables: readonly Id[];
  /** Rows that stay as they are, as `opening row`. */
  locks: readonly string[];
  /** Block sizes that are not to be used, mm. */
  forbidden: readonly number[];
  /** Share of spare blocks, percent. */
  sparePct: number;
}

/** What the search is given: the frame's openings, the blocks that are allowed, the cables, the rows that stay. */
export function packJob(slice: Slice, dossier: Dossier, sheet: TransitSheet, wanted: Wanted): PackJob {
  const bonded = kindOf(dossier).transit === 'bonded';
  return {
    openings: dossier.entry.frame!.openings.map(({ label, widthMm, heightMm }) => ({
      id: label, widthMm, heightMm, plateMm: sheet.stayPlateMm, compressionMm: sheet.compressionMm,
    })), // prettier-ignore
    blocks: sheet.blocks.filter(({ sizeMm }) => !wanted.forbidden.includes(sizeMm)),
    cables: wanted.cables
      .flatMap((id) => slice.get('cable', id) ?? [])
      .map((cable) => packCable(cable, bonded)),
    sparePct: wanted.sparePct,
    locked: lockedRows(dossier, wanted),
  };
}

const lockedRows = ({ transit }: Dossier, { locks, cables }: Wanted): PackJob['locked'] =>
  (transit?.openings ?? []).flatMap(({ frame, packed }) =>
    packed.rows
      .filter((_, r) => locks.includes(`${frame.label} ${r}`))
      .map(({ heightMm, columns }) => ({
        opening: frame.label,
        heightMm,
        columns: columns.map(({ widthMm, blocks }) => ({
          widthMm,
          blocks: blocks.map(({ cable }) => (cable !== null && cables.includes(cable) ? cable : null)),
        })),
      })),
  );
