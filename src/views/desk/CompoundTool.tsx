import { Box } from '@mantine/core';
import { FieldGrid } from '../../ui/FieldGrid';
import { useState } from 'react';
import { compoundFill, compoundTimes } from '../../core/gland/compound';
import type { Dossier } from '../../core/rulebook/dossier';
import { count, figure } from '../../core/words/en/format';
import { drawPotFace } from '../../drawing/desk/pot-face';
import { DrawingView } from '../../ui/heart/DrawingView';
import { Choice, typed, useFigures, Verdict, type Figures } from '../../ui/Figure';
import { CoreLines, useCores, type CoreGroup } from './CoreLines';
import { FigureFields, type FigureField } from '../../ui/FigureFields';

type Names = 'bore' | 'depth' | 'waste' | 'pack' | 'reference' | 'q10' | 'working' | 'cure' | 'minimum' | 'temperature'; // prettier-ignore

const OF_POT: readonly FigureField<Names>[] = [
  ['bore', 'Bore of the pot', 'mm'],
  ['depth', 'Depth that is filled', 'mm'],
  ['waste', 'Waste', '%', 'zero'],
  ['pack', 'Contents of a pack', 'ml'],
];
const OF_TIME: readonly FigureField<Names>[] = [
  ['temperature', 'Temperature; for the cure the lowest since packing', '°C', 'zero'],
  ['reference', 'The sheet’s times hold at', '°C', 'zero'],
  ['q10', 'Factor per 10 K', 'factor'],
  ['working', 'Working life by the sheet', 'min'],
  ['cure', 'Cure by the sheet', 'h'],
  ['minimum', 'Not mixed below', '°C', 'zero'],
];

/** How much compound, how many packs, and how long it works and cures at this temperature. */
export function CompoundTool({ dossier }: { dossier: Dossier | null }) {
  const figures = useFigures(startOf(dossier));
  const cores = useCores(dossier?.cable?.cores ?? [{ count: 4, diameterMm: 4.1 }]);
  const sheet = dossier?.certificate?.sheet.compound;
  const [extrapolates, setExtrapolates] = useState<'yes' | 'no'>(sheet?.extrapolates ? 'yes' : 'no');
  return (
    <>
      <FieldGrid min={264} gap="10px 18px" align="start" mt="xs">
        <FigureFields figures={figures} fields={OF_POT} />
        <CoreLines cores={cores} />
      </FieldGrid>
      <Filling figures={figures} cores={cores.groups} />
      <h2>Times</h2>
      <FieldGrid min={264} gap="10px 18px" align="start" mt="xs">
        <FigureFields figures={figures} fields={OF_TIME} />
        <Choice
          title="The sheet itself gives other temperatures"
          value={extrapolates}
          options={[
            ['no', 'no'],
            ['yes', 'yes'],
          ]}
          onChange={setExtrapolates}
        />
      </FieldGrid>
      <Times figures={figures} extrapolates={extrapolates === 'yes'} />
    </>
  );
}

function startOf(dossier: Dossier | null): Record<Names, string> {
  const pot = dossier?.size?.pot;
  const sheet = dossier?.certificate?.sheet.compound;
  return {
    bore: typed(pot?.boreMm ?? 18),
    depth: typed(pot?.depthMm ?? 26),
    waste: typed(sheet?.wastePct ?? 15),
    pack: typed(sheet?.packMl ?? 40),
    reference: typed(sheet?.referenceC ?? 21),
    q10: typed(sheet?.q10 ?? 2),
    working: typed(sheet?.workingMinutes ?? 30),
    cure: typed(sheet?.cureHours ?? 4),
    minimum: typed(sheet?.minimumC ?? 5),
    temperature: '15',
  };
}

/** The pot with its cores, and what fills the rest. */
function Filling({ figures, cores }: { figures: Figures<Names>; cores: readonly CoreGroup[] }) {
  const bore = figures.length('bore');
  const taken = cores.reduce((sum, core) => sum + core.count * core.diameterMm ** 2, 0);
  const full = bore !== null && taken >= bore ** 2;
  return (
    <FieldGrid min={360} gap="20px" align="start" fit>
      <div>
        {full ? (
          <Verdict good={false}>The cores fill the whole pot: take a larger pot.</Verdict>
        ) : (
          <Amounts figures={figures} cores={cores} />
        )}
      </div>
      {bore !== null && !full && (
        <Box className="desk-drawing" maw={640} mb="sm">
          <DrawingView drawing={drawPotFace(bore, cores)} states={{}} aspect={1.2} shownPx={300} />
        </Box>
      )}
    </FieldGrid>
  );
}

function Amounts({ figures, cores }: { figures: Figures<Names>; cores: readonly CoreGroup[] }) {
  const [bore, depth] = [figures.length('bore'), figures.length('depth')];
  const [waste, pack] = [figures.number('waste'), figures.number('pack')];
  if (bore === null || depth === null || waste === null || waste < 0 || pack === null || pack <= 0)
    return null;
  const fill = compoundFill(bore, depth, cores, waste, pack);
  return (
    <>
      <Verdict good={fill.conforms}>
        Compound fills {figure(fill.freePct, 1)} % of the pot along {figure(depth)} mm; 20 % and 20 mm are
        needed.
      </Verdict>
      <dl>
        <dt>Volume to fill</dt>
        <dd className="figures">{figure(fill.volumeMl, 1)} ml</dd>
        <dt>With waste</dt>
        <dd className="figures">{figure(fill.neededMl, 1)} ml</dd>
        <dt>Packs</dt>
        <dd className="figures">{count(fill.packs, 'pack')}</dd>
      </dl>
    </>
  );
}

function Times({ figures, extrapolates }: { figures: Figures<Names>; extrapolates: boolean }) {
  const times = timesOf(figures, extrapolates);
  if (!times) return null;
  return (
    <div className="desk-result">
      <Verdict good={times.mayMix}>
        {times.mayMix
          ? `It works for ${figure(times.workingMinutes, 1)} min after mixing and cures in ${figure(times.cureHours, 1)} h.`
          : `Too cold: below ${figures.text.minimum} °C it is not mixed, and its cure stops.`}
      </Verdict>
      <p className="quiet">
        Unless the sheet gives other temperatures, working life is never taken as longer and cure never as
        shorter than the sheet says. Gloves and goggles; keep to the data sheet.
      </p>
    </div>
  );
}

function timesOf({ number }: Figures<Names>, extrapolates: boolean) {
  const [referenceC, q10, workingMinutes, cureHours, minimumC, temperatureC] = (['reference', 'q10', 'working', 'cure', 'minimum', 'temperature'] as const).map(number); // prettier-ignore
  if (referenceC == null || minimumC == null || temperatureC == null) return null;
  if (!q10 || !workingMinutes || !cureHours || q10 <= 0 || workingMinutes <= 0 || cureHours <= 0) return null;
  return compoundTimes({ referenceC, q10, workingMinutes, cureHours, minimumC, extrapolates }, temperatureC);
}
