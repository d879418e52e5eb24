import { Box, Group } from '@mantine/core';
import { currentInstruments } from '../../core/record/instruments';
import type { Slice } from '../../core/record/slice';
import type { Instrument, PackedOpening, SealedCable, TransitSheet } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import type { OpeningState } from '../../core/rulebook/transit-records';
import { placedIn } from '../../core/rulebook/transit-sealed';
import { figure } from '../../core/words/en/format';
import { Instead } from './Instead';
import { Recess } from './Recess';
import { SealantNeed } from './SealantNeed';
import { SealedFace } from './SealedFace';
import { SealedReadings } from './SealedReadings';
import { Unpacked } from './Unpacked';

interface SealantTabProps {
  slice: Slice;
  dossier: Dossier;
  sheet: TransitSheet;
  onChange: (openings: PackedOpening[]) => void;
}

/** Cables on the face of a sealed opening, placed by dragging; what it takes to close it, and a block frame instead. */
export default function SealantTab({ slice, dossier, sheet, onChange }: SealantTabProps) {
  const openings = dossier.transit?.openings ?? [];
  const packed = openings.map((one) => one.packed);
  const instruments = currentInstruments(slice, dossier.site.id);
  return (
    <>
      <Unpacked labels={dossier.transit?.unpacked ?? []} packed={packed} onChange={onChange} />
      {openings.map((opening) => (
        <SealedOpening
          key={opening.frame.label}
          slice={slice}
          dossier={dossier}
          sheet={sheet}
          opening={opening}
          calipers={instruments.filter(({ kind }) => kind === 'caliper')}
          onChange={(change) =>
            onChange(
              packed.map((one) => (one.label === opening.frame.label ? { ...one, ...change(one) } : one)),
            )
          }
        />
      ))}
    </>
  );
}

interface SealedOpeningProps extends Omit<SealantTabProps, 'onChange'> {
  opening: OpeningState;
  calipers: readonly Instrument[];
  onChange: (change: (opening: PackedOpening) => Partial<PackedOpening>) => void;
}

function SealedOpening({ slice, dossier, sheet, opening, calipers, onChange }: SealedOpeningProps) {
  const { frame, packed } = opening;
  const sealant = sheet.sealant!;
  const { cables: records } = dossier.transit!;
  const cables = placedIn(packed, records);
  const changeCable = (id: string, change: (cable: SealedCable) => SealedCable) =>
    onChange((one) => ({ cables: one.cables.map((cable) => (cable.cable === id ? change(cable) : cable)) }));
  return (
    <section aria-label={`Opening ${frame.label}`}>
      <h2>
        Opening {frame.label},{' '}
        {frame.shape === 'round'
          ? `${figure(frame.widthMm, 0)} mm wide`
          : `${figure(frame.widthMm, 0)} × ${figure(frame.heightMm, 0)} mm`}
      </h2>
      <Group gap={24} align="flex-start">
        <SealedFace
          frame={frame}
          cables={cables}
          sealant={sealant}
          dossier={dossier}
          onMove={(id, xMm, yMm) => changeCable(id, (cable) => ({ ...cable, xMm, yMm }))}
        />
        <Box flex="1 1 240px" maw={446}>
          <SealantNeed dossier={dossier} frame={frame} cables={cables} sealant={sealant} />
        </Box>
      </Group>
      <SealedReadings packed={packed} cables={records} calipers={calipers} onChange={changeCable} />
      <Depths
        sides={dossier.entry.frame!.sides}
        packed={packed}
        depthMm={sealant.depthMm}
        onChange={onChange}
      />
      <Instead slice={slice} dossier={dossier} frame={frame} cables={cables} />
    </section>
  );
}

interface DepthsProps {
  sides: number;
  packed: PackedOpening;
  depthMm: number;
  onChange: SealedOpeningProps['onChange'];
}

/** The depth of the sealant on every side that is closed. */
const Depths = ({ sides, packed, depthMm, onChange }: DepthsProps) => (
  <>
    <Recess
      key={packed.recessMm.join()}
      recessMm={packed.recessMm}
      side={sides === 2 ? 'near side' : null}
      depthMm={depthMm}
      onKeep={(recessMm) => onChange(() => ({ recessMm }))}
    />
    {sides === 2 && (
      <Recess
        key={`far ${packed.recessFarMm.join()}`}
        recessMm={packed.recessFarMm}
        side="far side"
        depthMm={depthMm}
        onKeep={(recessFarMm) => onChange(() => ({ recessFarMm }))}
      />
    )}
  </>
);
