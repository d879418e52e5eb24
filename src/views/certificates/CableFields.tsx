import { FieldGrid } from '../../ui/FieldGrid';
import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { readQuantity, shownQuantity } from '../../core/quantity/quantity';
import type { Slice } from '../../core/record/slice';
import { ARMOUR_TYPES, type ArmourType, type Cable, type Id } from '../../core/record/types';
import { bundleMm } from '../../core/finder/need';
import type { Drop } from '../../drawing/certificates/range-chart';
import { naturally } from '../../ui/list/source';
import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import { MeasureInput } from '../../ui/MeasureInput';

const RecordSelect = fetched(() => import('../../ui/RecordSelect'));

const FIELDS = [
  ['outer', 'Overall diameter'],
  ['inner', 'Inner sheath'],
  ['armourSize', 'Armour wire or thickness'],
] as const;
type Name = (typeof FIELDS)[number][0];

export interface CableChoice {
  cables: Cable[];
  /** Record that was chosen; null while the figures are typed. */
  chosen: Cable | null;
  choose: (id: Id | '') => void;
  text: Record<Name, string>;
  type: (name: Name, text: string) => void;
  armour: () => ArmourType | 'none';
  setArmour: (armour: ArmourType | 'none') => void;
  /** The cable as typed; null while a figure is missing or wrong. */
  cable: () => Cable | null;
  drops: () => Partial<Record<string, Drop>>;
}

/** A cable of the site, or one that is typed here and kept nowhere. */
export function useCable(slice: Slice, site: Id): CableChoice {
  const cables = slice.by('cable', 'site', site).sort((a, b) => naturally(a.tag, b.tag));
  const [id, setId] = useState<Id | ''>('');
  const [text, setText] = useState<Record<Name, string>>({ outer: '', inner: '', armourSize: '' });
  const [armour, setArmour] = useState<ArmourType | 'none'>('wire');
  const chosen = cables.find((one) => one.id === id) ?? null;
  const mm = (name: Name): number | null => {
    const read = readQuantity(text[name], 'length');
    return 'value' in read && read.value > 0 ? read.value : null;
  };
  const cable = (): Cable | null => {
    const [outerMm, innerMm, sizeMm] = [mm('outer'), mm('inner'), mm('armourSize')];
    if (chosen && outerMm === chosen.outerMm && innerMm === chosen.innerMm) return chosen;
    if (outerMm === null || innerMm === null || (armour !== 'none' && sizeMm === null)) return null;
    return {
      ...(chosen ?? BARE),
      id: chosen?.id ?? 'typed-here',
      site,
      outerMm,
      innerMm,
      armour: armour === 'none' ? null : { type: armour, sizeMm: sizeMm!, material: null, areaMm2: null },
      unarmoured: armour === 'none' ? { by: 'typed here', on: '' } : null,
    };
  };
  return {
    cables,
    chosen,
    choose: (next) => {
      setId(next);
      const found = cables.find((one) => one.id === next);
      if (!found) return;
      setText({
        outer: shownQuantity(found.outerMm, 'length'),
        inner: shownQuantity(found.innerMm, 'length'),
        armourSize: shownQuantity(found.armour?.sizeMm, 'length'),
      });
      setArmour(found.armour?.type ?? 'none');
    },
    text,
    type: (name, next) => setText((all) => ({ ...all, [name]: next })),
    armour: () => armour,
    setArmour,
    cable,
    drops: () => {
      const now = cable();
      const tolerance = now?.toleranceMm ?? 0;
      const around = (value: number | null, by: number): Drop | undefined =>
        value === null ? undefined : { lowMm: value - by, highMm: value + by };
      return {
        'outer-sheath': around(mm('outer'), tolerance),
        'inner-sheath': around(mm('inner'), tolerance),
        armour: around(mm('armourSize'), 0),
        'over-cores': chosen ? around(bundleMm(chosen.cores), 0) : undefined,
      };
    },
  };
}

const BARE: Omit<Cable, 'id' | 'site'> = {
  tag: 'typed here',
  from: '',
  to: '',
  lengthM: null,
  cores: [],
  shape: 'round',
  coldFlow: false,
  innerMm: null,
  armour: null,
  unarmoured: null,
  sheathMm: null,
  outerMm: null,
  toleranceMm: 0.2,
  maxC: 90,
  filling: null,
  breathing: null,
  mineral: null,
  minC: null,
  screened: null,
};

/** The fields of that cable. */
export function CableFields({ cable }: { cable: CableChoice }) {
  return (
    <FieldGrid min={190} gap="0 16px" align="start">
      <Later>
        <RecordSelect
          label="Cable of the site"
          value={cable.chosen?.id ?? ''}
          none="typed here"
          records={cable.cables.map(({ id, tag }) => ({ value: id, label: tag }))}
          onChange={cable.choose}
        />
      </Later>
      {FIELDS.map(([name, title]) => (
        <MeasureInput
          key={name}
          quantity="length"
          label={title}
          value={cable.text[name]}
          disabled={name === 'armourSize' && cable.armour() === 'none'}
          onText={(text) => cable.type(name, text)}
        />
      ))}
      <NativeSelect
        mb="xs"
        label="Armour"
        value={cable.armour()}
        onChange={(event) => cable.setArmour(event.target.value as ArmourType)}
      >
        {[...ARMOUR_TYPES, 'none' as const].map((one) => (
          <option key={one}>{one}</option>
        ))}
      </NativeSelect>
    </FieldGrid>
  );
}
