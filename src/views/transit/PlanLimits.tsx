import { Checkbox } from '@mantine/core';
import type { TransitSheet } from '../../core/record/types';
import type { OpeningState } from '../../core/rulebook/transit-records';
import { toggled } from './toggled';

interface UnusedSizesProps {
  sheet: TransitSheet;
  forbidden: readonly number[];
  onForbid: (sizesMm: number[]) => void;
}

/** Block sizes that a packing does without. */
export const UnusedSizes = ({ sheet, forbidden, onForbid }: UnusedSizesProps) => (
  <fieldset>
    <legend>Sizes that are not to be used, mm</legend>
    {sheet.blocks.map(({ sizeMm }) => (
      <Checkbox
        key={sizeMm}
        size="md"
        mih={44}
        mr="sm"
        label={sizeMm}
        checked={forbidden.includes(sizeMm)}
        onChange={() => onForbid(toggled(forbidden, sizeMm))}
      />
    ))}
  </fieldset>
);

interface LockedRowsProps {
  openings: readonly OpeningState[];
  locks: readonly string[];
  onLock: (rows: string[]) => void;
}

/** Rows that a packing leaves as they are. */
export function LockedRows({ openings, locks, onLock }: LockedRowsProps) {
  const rows = openings.flatMap(({ frame: { label }, packed }) =>
    packed.rows.map(({ heightMm }, r) => ({
      key: `${label} ${r}`,
      words: `${label}: row ${r + 1}, ${heightMm} mm`,
    })),
  );
  if (rows.length === 0) return null;
  return (
    <fieldset>
      <legend>Rows that stay as they are</legend>
      {rows.map(({ key, words }) => (
        <Checkbox
          key={key}
          size="md"
          mih={44}
          mr="sm"
          label={words}
          checked={locks.includes(key)}
          onChange={() => onLock(toggled(locks, key))}
        />
      ))}
    </fieldset>
  );
}
