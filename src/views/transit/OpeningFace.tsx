import { Group } from '@mantine/core';
import type { TransitSheet } from '../../core/record/types';
import type { BlockAt } from '../../core/rulebook/transit-planned';
import type { OpeningState } from '../../core/rulebook/transit-records';
import { compressionOf } from '../../core/rulebook/transit-found';
import { figure } from '../../core/words/en/format';
import { keyOf } from './block-key';
import { BlockFace } from './BlockFace';

/** What a face shows of all its openings. */
export interface FaceShown {
  sheet: TransitSheet;
  side: 'jacket' | 'armour';
  selected: BlockAt | null;
  /** Blocks that a check fails on. */
  failed: ReadonlySet<string>;
  onSelect: (at: BlockAt) => void;
}

interface OpeningFaceProps extends FaceShown {
  opening: OpeningState;
  pxPerMm: number;
}

/** One opening to scale, its far end at the foot. */
export function OpeningFace(props: OpeningFaceProps) {
  const { opening, sheet, pxPerMm } = props;
  const { frame, packed, blocks } = opening;
  const compression = compressionOf(frame, packed, sheet, blocks);
  const px = (mm: number) => `${mm * pxPerMm}px`;
  return (
    <figure className="face" aria-label={`Opening ${frame.label}`}>
      <div className="face-frame" style={{ width: px(frame.widthMm), minHeight: px(frame.heightMm) }}>
        <div
          className={`face-wedge ${compression.state}`}
          style={{ height: px(Math.max(compression.leftMm, 8)) }}
        >
          {figure(compression.leftMm, 1)} mm for the wedge
        </div>
        {packed.rows.map((_, r) => <FaceRow key={r} {...props} row={r} />).reverse()}
      </div>
      <figcaption>Opening {frame.label}</figcaption>
    </figure>
  );
}

function FaceRow(props: OpeningFaceProps & { row: number }) {
  const { opening, sheet, pxPerMm, row } = props;
  const { columns, plate } = opening.packed.rows[row]!;
  return (
    <div className="face-row">
      <div
        className={`face-plate${plate === false ? ' missing' : ''}`}
        style={{ height: `${sheet.stayPlateMm * pxPerMm}px` }}
      />
      <Group gap={0} wrap="nowrap" align="stretch">
        {columns.map(({ widthMm, blocks }, column) => (
          <div key={column} className="face-column" style={{ width: `${widthMm * pxPerMm}px` }}>
            {blocks
              .map((_, index) => (
                <OneBlock key={index} {...props} place={[row, column, index]} px={widthMm * pxPerMm} />
              ))
              .reverse()}
          </div>
        ))}
      </Group>
    </div>
  );
}

type OneBlockProps = OpeningFaceProps & { place: [row: number, column: number, index: number]; px: number };

function OneBlock({
  opening,
  side,
  selected,
  failed,
  onSelect,
  place: [row, column, index],
  px,
}: OneBlockProps) {
  const at = { opening: opening.frame.label, row, column, index };
  const isHere = (one: { row: number; column: number; index: number }) =>
    one.row === row && one.column === column && one.index === index;
  return (
    <BlockFace
      at={at}
      state={opening.blocks.find(isHere)!}
      side={side}
      px={px}
      selected={selected !== null && keyOf(selected) === keyOf(at)}
      failed={failed.has(keyOf(at))}
      onSelect={() => onSelect(at)}
    />
  );
}
