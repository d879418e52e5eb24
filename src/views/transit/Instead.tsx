import { useMemo, useState } from 'react';
import type { Slice } from '../../core/record/slice';
import type { FrameOpening, TransitSheet } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { packCable, packedFrom, pickList } from '../../core/rulebook/transit-planned';
import type { Placed } from '../../core/rulebook/transit-sealed';
import { greedyPack } from '../../core/transit/pack/pack';
import { count, figure } from '../../core/words/en/format';

interface InsteadProps {
  slice: Slice;
  dossier: Dossier;
  frame: FrameOpening;
  cables: readonly Placed[];
}

/** The same cables in a block frame of that opening: space, parts, steps and the effort of the next cable. */
export function Instead({ slice, dossier, frame, cables }: InsteadProps) {
  const [open, setOpen] = useState(false);
  const system = slice
    .by('certificate', 'site', dossier.entry.site)
    .find(({ sheet }) => (sheet.transit?.blocks.length ?? 0) > 0);
  const words = useMemo(
    () => (open && system ? compare(system.sheet.transit!, frame, cables, dossier) : []),
    [open, system, frame, cables, dossier],
  );
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>A block frame instead, for the same cables</summary>
      {system ? (
        <>
          <p className="quiet">
            By sheet {system.sheet.number}, in a rectangular frame that goes into this opening.
          </p>
          <ul>
            {words.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </>
      ) : (
        <p>No block system is on file. Add one under Dossier, Certificates.</p>
      )}
    </details>
  );
}

function compare(
  sheet: TransitSheet,
  frame: FrameOpening,
  cables: readonly Placed[],
  dossier: Dossier,
): string[] {
  // Of a round opening only the square inside it takes a frame.
  const side = frame.shape === 'round' ? frame.widthMm / Math.SQRT2 : null;
  const grid = Math.min(...sheet.blocks.map(({ sizeMm }) => sizeMm));
  const widthMm = Math.floor((side ?? frame.widthMm) / grid) * grid;
  const heightMm = side ?? frame.heightMm;
  const records = cables.flatMap(({ id }) => dossier.transit!.cables.get(id) ?? []);
  const result = greedyPack({
    openings: [
      { id: '1', widthMm, heightMm, plateMm: sheet.stayPlateMm, compressionMm: sheet.compressionMm },
    ],
    blocks: sheet.blocks,
    cables: records.map((cable) => packCable(cable, false)),
    sparePct: 20,
  });
  if (!result) {
    return [
      `Blocks do not take these cables in ${figure(widthMm, 0)} × ${figure(heightMm, 0)} mm. Sealant does.`,
      'Next cable in sealant: one hole is cored, one side is closed again.',
    ];
  }
  const list = pickList(packedFrom(result, false));
  const pairs = list.blocks.reduce((sum, { withCable, spare }) => sum + withCable + spare, 0);
  return [
    `Space left: ${figure(result.sparePct, 1)} % of the blocks are spare.`,
    `Parts: ${count(pairs, 'block pair')}, ${count(list.plates, 'stay plate')}, one compression unit.`,
    `Steps: ${count(cables.length, 'block')} peeled, ${count(list.plates, 'row')} built, one wedge; in sealant: wrap, fill, seal ${dossier.entry.frame!.sides === 2 ? 'both sides' : 'one side'}, wait for it to set.`,
    'Next cable in blocks: the wedge and the rows before a spare come out; in sealant: one hole is cored and closed.',
  ];
}
