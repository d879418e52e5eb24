import { Button, Group } from '@mantine/core';
import { figure } from '../../core/words/en/format';
import { MeasuresInput, useMeasures } from '../../ui/MeasuresInput';

interface RecessProps {
  recessMm: readonly number[];
  /** Which side of the wall; null where only one is closed. */
  side: string | null;
  depthMm: number;
  onKeep: (mm: number[]) => void;
}

/** The depth of the sealant at several points, as it was found. */
export function Recess({ recessMm, side, depthMm, onKeep }: RecessProps) {
  const depths = useMeasures(recessMm);
  const keep = () => {
    const values = depths.need();
    if (values) onKeep(values);
  };
  const shallow = recessMm.some((mm) => mm < depthMm - 1e-9);
  return (
    <Group
      component="form"
      gap="0 12px"
      align="flex-end"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <MeasuresInput
        label={`Depth of the sealant as found${side ? `, ${side}` : ''}, mm, at three points or more (${figure(depthMm, 0)} mm is asked for)`}
        measures={depths}
      />
      <Button type="submit" variant="default">
        Keep the depths
      </Button>
      {shallow && (
        <p className="tone-failed">Too shallow at one point: cut it out there and press in more.</p>
      )}
    </Group>
  );
}
