import { Table } from '@mantine/core';
import type { FrameOpening, SealantSheet } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { sealantFor, type Placed } from '../../core/rulebook/transit-sealed';
import { count, figure } from '../../core/words/en/format';

interface SealantNeedProps {
  dossier: Dossier;
  frame: FrameOpening;
  cables: readonly Placed[];
  sealant: SealantSheet;
}

/** What closing the opening takes. */
export const SealantNeed = (props: SealantNeedProps) => (
  <Table className="need">
    <Table.Tbody>
      {rowsOf(props).map(([title, words, good]) => (
        <Table.Tr key={title}>
          <Table.Th scope="row">{title}</Table.Th>
          <Table.Td className={good ? '' : 'tone-failed'}>{words}</Table.Td>
        </Table.Tr>
      ))}
    </Table.Tbody>
  </Table>
);

type Row = [title: string, words: string, good: boolean];

function rowsOf({ dossier, frame, cables, sealant }: SealantNeedProps): Row[] {
  const { wallDepthMm } = dossier.entry.frame!;
  const need = sealantFor(dossier.entry.frame!, frame, cables, sealant);
  return [
    [
      'Filled by cables',
      `${figure(need.fillPct, 1)} %, at most ${figure(sealant.maxFillPct, 0)} %`,
      need.fillConforms,
    ],
    ['Cables with their sleeves', need.fits ? 'fit the opening' : 'need more than the opening', need.fits],
    ['Sleeves round cables, per side', String(need.wrapSleevesPerSide), true],
    ['Filler sleeves, per side', String(need.fillerSleevesPerSide), true],
    [
      'Sealant',
      `${figure(need.sealantMl, 0)} ml, ${count(need.cartridges, 'cartridge')} of ${figure(sealant.cartridgeMl, 0)} ml`,
      true,
    ],
    [
      'Depth of the wall',
      need.depthConforms
        ? `${figure(wallDepthMm, 0)} mm is enough for sleeves and recess`
        : `cut the sleeves to ${figure(need.cutSleevesToMm ?? 0, 0)} mm`,
      need.depthConforms,
    ],
  ];
}
