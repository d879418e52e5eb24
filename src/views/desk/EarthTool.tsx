import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { CONDUCTORS, minimumArea, pathResistance, withstands, type Conductor } from '../../core/earth/path';
import { wireArmour } from '../../core/gland/armour';
import { inputSentence } from '../../core/words/en/inputs';
import { InputError } from '../../core/quantity/error';
import type { Dossier } from '../../core/rulebook/dossier';
import { figure, ohm } from '../../core/words/en/format';
import { drawArmourFace } from '../../drawing/desk/armour-face';
import { DrawingView } from '../../ui/heart/DrawingView';
import { Choice, Figure, typed, useFigures, Verdict } from '../../ui/Figure';

const MATERIALS: readonly (readonly [Conductor, string])[] = [['steel', 'steel'], ['copper', 'copper'], ['aluminium', 'aluminium']]; // prettier-ignore

/** Armour or sheath as earth path: its resistance, and whether it bears the fault. */
export function EarthTool({ dossier }: { dossier: Dossier | null }) {
  const cable = dossier?.cable;
  const armour = cable?.armour;
  const wires = armour?.type === 'wire' || !armour;
  const [from, setFrom] = useState<'wires' | 'area'>(wires ? 'wires' : 'area');
  const [material, setMaterial] = useState<Conductor>(armour?.material ?? 'steel');
  const figures = useFigures({
    bedding: typed(cable?.innerMm ?? 15.2),
    wire: typed(armour?.sizeMm ?? 1.25),
    lay: '',
    area: typed(armour?.areaMm2 ?? 20),
    length: typed(cable?.lengthM ?? 40),
    temperature: '20',
    fault: '800',
    duration: '0.4',
    k: typed(CONDUCTORS[armour?.material ?? 'steel'].k[0]),
  });
  const built = from === 'wires' ? builtOf(figures) : null;
  const areaMm2 =
    from === 'wires' ? (built && 'areaMm2' in built ? built.areaMm2 : null) : figures.number('area');
  const factor = from === 'wires' && built && 'areaMm2' in built ? built.lengthFactor : 1;
  const [length, temperature, fault, duration, k] = (
    ['length', 'temperature', 'fault', 'duration', 'k'] as const
  ).map((n) => figures.number(n));
  const [least, most] = CONDUCTORS[material].k;
  const kFits = k != null && k >= least && k <= most;
  const resistance =
    areaMm2 && length != null && length > 0 && temperature != null
      ? pathResistance(material, length, factor, areaMm2, temperature)
      : null;
  const minimum = fault && duration && kFits ? minimumArea(fault, duration, k) : null;
  return (
    <>
      <div className="desk-form">
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
        {from === 'wires' ? (
          <>
            <Figure figures={figures} name="bedding" title="Over the bedding" unit="mm" />
            <Figure figures={figures} name="wire" title="Wire diameter" unit="mm" />
            <TextInput
              className="field"
              label="Lay length, mm (empty: ten times the middle of the wires)"
              classNames={{ input: 'figures' }}
              inputMode="decimal"
              value={figures.text.lay}
              onChange={(event) => figures.set('lay', event.target.value)}
            />
          </>
        ) : (
          <Figure figures={figures} name="area" title="Cross-section" unit="mm²" />
        )}
        <Figure figures={figures} name="length" title="Length of the cable" unit="m" />
        <Figure figures={figures} name="temperature" title="Temperature" unit="°C" zero />
        <Figure figures={figures} name="fault" title="Fault current" unit="A" />
        <Figure figures={figures} name="duration" title="Until it is cleared" unit="s" />
        <Figure
          figures={figures}
          name="k"
          title={`Constant k, ${least} to ${most} for ${material}`}
          unit="A·√s/mm²"
        />
      </div>
      <div className="desk-result two">
        <div>
          {built && 'problem' in built && <Verdict good={false}>{built.problem}</Verdict>}
          {!kFits && (
            <Verdict good={null}>
              For {material}, k lies within {least} to {most}.
            </Verdict>
          )}
          {areaMm2 !== null && minimum !== null && (
            <Verdict good={withstands(areaMm2, minimum)}>
              {withstands(areaMm2, minimum)
                ? 'The armour bears the fault'
                : 'The armour does not bear the fault'}
              : it has {figure(areaMm2, 1)} mm², {figure(minimum, 1)} mm² are needed.
            </Verdict>
          )}
          <dl>
            {built && 'areaMm2' in built && (
              <>
                <dt>Wires side by side</dt>
                <dd className="figures">{built.wires}</dd>
                <dt>Each wire is longer than the cable by</dt>
                <dd className="figures">{figure((built.lengthFactor - 1) * 100, 1)} %</dd>
              </>
            )}
            {resistance !== null && (
              <>
                <dt>Resistance of the path</dt>
                <dd className="figures">{ohm(resistance)}</dd>
              </>
            )}
          </dl>
          <p className="quiet">
            A measured value counts only with one end disconnected, or with the parallel paths listed. Isolate
            and prove dead first.
          </p>
        </div>
        {built && 'areaMm2' in built && (
          <div className="desk-drawing">
            <DrawingView
              drawing={drawArmourFace(figures.length('bedding')!, figures.length('wire')!, built.wires)}
              states={{}}
              aspect={1.1}
              shownPx={330}
            />
          </div>
        )}
      </div>
    </>
  );
}

type Names = 'bedding' | 'wire' | 'lay' | 'area' | 'length' | 'temperature' | 'fault' | 'duration' | 'k';

function builtOf(figures: ReturnType<typeof useFigures<Names>>) {
  const [bedding, wire] = [figures.length('bedding'), figures.length('wire')];
  if (bedding === null || wire === null) return null;
  try {
    return wireArmour(bedding, wire, figures.length('lay'));
  } catch (error) {
    if (error instanceof InputError) return { problem: inputSentence(error) };
    throw error;
  }
}
