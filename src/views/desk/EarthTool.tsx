import { Box } from '@mantine/core';
import { FieldGrid } from '../../ui/FieldGrid';
import { useState } from 'react';
import { CONDUCTORS, minimumArea, pathResistance, withstands, type Conductor } from '../../core/earth/path';
import { wireArmour, type WireArmour } from '../../core/gland/armour';
import { InputError } from '../../core/quantity/error';
import type { Dossier } from '../../core/rulebook/dossier';
import { figure, ohm } from '../../core/words/en/format';
import { inputSentence } from '../../core/words/en/inputs';
import { drawArmourFace } from '../../drawing/desk/armour-face';
import { DrawingView } from '../../ui/heart/DrawingView';
import { Choice, typed, useFigures, Verdict, type Figures } from '../../ui/Figure';
import { FigureFields, type FigureField } from '../../ui/FigureFields';

type Names = 'bedding' | 'wire' | 'lay' | 'area' | 'length' | 'temperature' | 'fault' | 'duration' | 'k';

const OF_WIRES: readonly FigureField<Names>[] = [
  ['bedding', 'Over the bedding', 'mm'],
  ['wire', 'Wire diameter', 'mm'],
  ['lay', 'Lay length (empty: ten times the middle of the wires)', 'mm'],
];
const OF_AREA: readonly FigureField<Names>[] = [['area', 'Cross-section', 'mm²']];
const fieldsOf = (material: Conductor): readonly FigureField<Names>[] => [
  ['length', 'Length of the cable', 'm'],
  ['temperature', 'Temperature', '°C', 'zero'],
  ['fault', 'Fault current', 'A'],
  ['duration', 'Until it is cleared', 's'],
  ['k', `Constant k, ${CONDUCTORS[material].k.join(' to ')} for ${material}`, 'A·√s/mm²'],
];

const MATERIALS: readonly (readonly [Conductor, string])[] = [['steel', 'steel'], ['copper', 'copper'], ['aluminium', 'aluminium']]; // prettier-ignore

/** Armour or sheath as earth path: its resistance, and whether it bears the fault. */
export function EarthTool({ dossier }: { dossier: Dossier | null }) {
  const armour = dossier?.cable?.armour;
  const [from, setFrom] = useState<'wires' | 'area'>(!armour || armour.type === 'wire' ? 'wires' : 'area');
  const [material, setMaterial] = useState<Conductor>(armour?.material ?? 'steel');
  const figures = useFigures(startOf(dossier));
  return (
    <>
      <FieldGrid min={264} gap="10px 18px" align="start" mt="xs">
        <Choice
          title="Armour given by"
          value={from}
          options={[
            ['wires', 'its wires'],
            ['area', 'its cross-section'],
          ]}
          onChange={setFrom}
        />
        <Choice
          title="Material"
          value={material}
          options={MATERIALS}
          onChange={(next) => {
            setMaterial(next);
            figures.set('k', String(CONDUCTORS[next].k[0]));
          }}
        />
        <FigureFields
          figures={figures}
          fields={[...(from === 'wires' ? OF_WIRES : OF_AREA), ...fieldsOf(material)]}
        />
      </FieldGrid>
      <EarthResult path={pathOf(figures, from, material)} material={material} figures={figures} />
    </>
  );
}

function startOf(dossier: Dossier | null): Record<Names, string> {
  const cable = dossier?.cable;
  const armour = cable?.armour;
  return {
    bedding: typed(cable?.innerMm ?? 15.2),
    wire: typed(armour?.sizeMm ?? 1.25),
    lay: '',
    area: typed(armour?.areaMm2 ?? 20),
    length: typed(cable?.lengthM ?? 40),
    temperature: '20',
    fault: '800',
    duration: '0.4',
    k: typed(CONDUCTORS[armour?.material ?? 'steel'].k[0]),
  };
}

/** What the figures give, as far as they are known. */
interface EarthPath {
  wires: WireArmour | null;
  /** Why the wires cannot lie as typed; null where they can. */
  problem: string | null;
  areaMm2: number | null;
  resistanceOhm: number | null;
  /** Cross-section that the fault needs, mm². */
  minimumMm2: number | null;
  kFits: boolean;
}

function pathOf(figures: Figures<Names>, from: 'wires' | 'area', material: Conductor): EarthPath {
  const built = from === 'wires' ? builtOf(figures) : null;
  const wires = built && 'areaMm2' in built ? built : null;
  const areaMm2 = from === 'wires' ? (wires?.areaMm2 ?? null) : figures.number('area');
  const [length, temperature, fault, duration, k] = (['length', 'temperature', 'fault', 'duration', 'k'] as const).map(figures.number); // prettier-ignore
  const [least, most] = CONDUCTORS[material].k;
  const kFits = k != null && k >= least && k <= most;
  const known = areaMm2 && length != null && length > 0 && temperature != null;
  return {
    wires,
    problem: built && 'problem' in built ? built.problem : null,
    areaMm2,
    resistanceOhm: known
      ? pathResistance(material, length, wires?.lengthFactor ?? 1, areaMm2, temperature)
      : null,
    minimumMm2: fault && duration && kFits ? minimumArea(fault, duration, k) : null,
    kFits,
  };
}

function builtOf(figures: Figures<Names>): WireArmour | { problem: string } | null {
  const [bedding, wire] = [figures.length('bedding'), figures.length('wire')];
  if (bedding === null || wire === null) return null;
  try {
    return wireArmour(bedding, wire, figures.length('lay'));
  } catch (error) {
    if (error instanceof InputError) return { problem: inputSentence(error) };
    throw error;
  }
}

interface EarthResultProps {
  path: EarthPath;
  material: Conductor;
  figures: Figures<Names>;
}

function EarthResult({ path, material, figures }: EarthResultProps) {
  const { wires, problem, areaMm2, minimumMm2, kFits } = path;
  return (
    <FieldGrid min={360} gap="20px" align="start" fit>
      <div>
        {problem && <Verdict good={false}>{problem}</Verdict>}
        {!kFits && (
          <Verdict good={null}>
            For {material}, k lies within {CONDUCTORS[material].k.join(' to ')}.
          </Verdict>
        )}
        {areaMm2 !== null && minimumMm2 !== null && (
          <Verdict good={withstands(areaMm2, minimumMm2)}>
            {withstands(areaMm2, minimumMm2)
              ? 'The armour bears the fault'
              : 'The armour does not bear the fault'}
            : it has {figure(areaMm2, 1)} mm², {figure(minimumMm2, 1)} mm² are needed.
          </Verdict>
        )}
        <PathFigures path={path} />
        <p className="quiet">
          A measured value counts only with one end disconnected, or with the parallel paths listed. Isolate
          and prove dead first.
        </p>
      </div>
      {wires && (
        <Box className="desk-drawing" maw={640} mb="sm">
          <DrawingView
            drawing={drawArmourFace(figures.length('bedding')!, figures.length('wire')!, wires.wires)}
            states={{}}
            aspect={1.1}
            shownPx={330}
          />
        </Box>
      )}
    </FieldGrid>
  );
}

const PathFigures = ({ path: { wires, resistanceOhm } }: { path: EarthPath }) => (
  <dl>
    {wires && (
      <>
        <dt>Wires side by side</dt>
        <dd className="figures">{wires.wires}</dd>
        <dt>Each wire is longer than the cable by</dt>
        <dd className="figures">{figure((wires.lengthFactor - 1) * 100, 1)} %</dd>
      </>
    )}
    {resistanceOhm !== null && (
      <>
        <dt>Resistance of the path</dt>
        <dd className="figures">{ohm(resistanceOhm)}</dd>
      </>
    )}
  </dl>
);
