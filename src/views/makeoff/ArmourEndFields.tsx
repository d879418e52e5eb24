import { NativeSelect } from '@mantine/core';
import type { ArmourFinish } from '../../core/record/types';
import { FINISH_WORDS } from '../../core/words/en/makeoff';
import { fieldOf } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import type { EndChoice } from './use-armour-end';

/** The finish of the armour’s end behind a bonded block, and how far armour and finish go. */
export default function ArmourEndFields({ finishes, finish, setFinish, overhang, length }: EndChoice) {
  return (
    <>
      <NativeSelect
        mb="xs"
        label="The armour’s end is finished by"
        value={finish}
        data={finishes.map((one) => ({ value: one, label: FINISH_WORDS[one] }))}
        onChange={(event) => setFinish(event.currentTarget.value as ArmourFinish)}
      />
      {finish !== 'window' && (
        <>
          <MeasureInput label="Armour past the block" {...fieldOf(overhang)} />
          <MeasureInput label="Length of the finish" {...fieldOf(length)} />
        </>
      )}
    </>
  );
}
