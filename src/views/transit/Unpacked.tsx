import { Button } from '@mantine/core';
import type { PackedOpening } from '../../core/record/types';

/** Openings of the frame that nobody packed or looked at: each is a hole in the wall until somebody says otherwise. */
export function Unpacked({
  labels,
  packed,
  onChange,
}: {
  labels: readonly string[];
  packed: readonly PackedOpening[];
  onChange: (openings: PackedOpening[]) => void;
}) {
  if (labels.length === 0) return null;
  return (
    <section aria-label="Openings that are not recorded">
      {labels.map((label) => (
        <p key={label} className="tone-failed">
          Opening {label}: how it is packed or plugged is not recorded.{' '}
          <Button variant="default" onClick={() => onChange([...packed, plugged(label)])}>
            It is closed by a plug
          </Button>
        </p>
      ))}
    </section>
  );
}

const plugged = (label: string): PackedOpening => ({
  label,
  rows: [],
  wedgeMm: null,
  cables: [],
  recessMm: [],
  recessFarMm: [],
  plug: true,
  packedAt: null,
});
