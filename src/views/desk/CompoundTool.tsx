import { readQuantity } from '../../core/quantity/quantity';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { compoundFill, compoundTimes } from '../../core/gland/compound';
import type { Dossier } from '../../core/rulebook/dossier';
import { count, figure } from '../../core/words/en/format';
import { drawPotFace } from '../../drawing/desk/pot-face';
import { DrawingView } from '../../ui/heart/DrawingView';
import { Choice, Figure, typed, useFigures, Verdict } from '../../ui/Figure';

/** How much compound, how many packs, and how long it works and cures at this temperature. */
export function CompoundTool({ dossier }: { dossier: Dossier | null }) {
  const pot = dossier?.size?.pot;
  const sheet = dossier?.certificate?.sheet.compound;
  const figures = useFigures({
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
  });
  const [cores, setCores] = useState(() =>
    (dossier?.cable?.cores ?? [{ count: 4, diameterMm: 4.1 }]).map((core) => ({
      count: String(core.count),
      diameter: String(core.diameterMm),
    })),
  );
  const [extrapolates, setExtrapolates] = useState<'yes' | 'no'>(sheet?.extrapolates ? 'yes' : 'no');
  const list = cores.flatMap(({ count: n, diameter }) => {
    const [number, mm] = [readQuantity(n, 'number'), readQuantity(diameter, 'length')];
    if (!('value' in number) || !('value' in mm)) return [];
    const whole = Number.isInteger(number.value) && number.value > 0 && mm.value > 0;
    return whole ? [{ count: number.value, diameterMm: mm.value }] : [];
  });
  const [bore, depth] = [figures.length('bore'), figures.length('depth')];
  const [waste, pack] = [figures.number('waste'), figures.number('pack')];
  const taken = list.reduce((sum, core) => sum + core.count * core.diameterMm ** 2, 0);
  const full = bore !== null && taken >= bore ** 2;
  const fill =
    bore !== null && depth !== null && waste !== null && waste >= 0 && pack !== null && pack > 0 && !full
      ? compoundFill(bore, depth, list, waste, pack)
      : null;
  const times = timesOf(figures.number, extrapolates === 'yes');
  return (
    <>
      <div className="desk-form">
        <Figure figures={figures} name="bore" title="Bore of the pot" unit="mm" />
        <Figure figures={figures} name="depth" title="Depth that is filled" unit="mm" />
        <Figure figures={figures} name="waste" title="Waste" unit="%" zero />
        <Figure figures={figures} name="pack" title="Contents of a pack" unit="ml" />
        <fieldset className="choice wide">
          <legend>Cores: number and diameter, mm</legend>
          {cores.map((core, i) => (
            <span key={i} className="core-row">
              <TextInput
                aria-label={`Number of cores, line ${i + 1}`}
                classNames={{ input: 'figures' }}
                inputMode="numeric"
                value={core.count}
                onChange={(event) =>
                  setCores(cores.map((c, j) => (j === i ? { ...c, count: event.target.value } : c)))
                }
              />
              ×
              <TextInput
                aria-label={`Diameter of the cores, line ${i + 1}, mm`}
                classNames={{ input: 'figures' }}
                inputMode="decimal"
                value={core.diameter}
                onChange={(event) =>
                  setCores(cores.map((c, j) => (j === i ? { ...c, diameter: event.target.value } : c)))
                }
              />
              <Button
                variant="default"
                aria-label={`Take out line ${i + 1}`}
                onClick={() => setCores(cores.filter((_, j) => j !== i))}
              >
                ×
              </Button>
            </span>
          ))}
          <Button variant="default" onClick={() => setCores([...cores, { count: '1', diameter: '2.5' }])}>
            Add cores
          </Button>
          {list.length < cores.length && (
            <small className="tone-failed">
              A line has no whole number above 0, or no diameter. Correct it or take it out.
            </small>
          )}
        </fieldset>
      </div>
      <div className="desk-result two">
        <div>
          {full && <Verdict good={false}>The cores fill the whole pot: take a larger pot.</Verdict>}
          {fill && (
            <>
              <Verdict good={fill.conforms}>
                Compound fills {figure(fill.freePct, 1)} % of the pot along {figure(depth!)} mm; 20 % and 20
                mm are needed.
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
          )}
        </div>
        {bore !== null && !full && (
          <div className="desk-drawing">
            <DrawingView drawing={drawPotFace(bore, list)} states={{}} aspect={1.2} shownPx={300} />
          </div>
        )}
      </div>
      <h2>Times</h2>
      <div className="desk-form">
        <Figure
          figures={figures}
          name="temperature"
          title="Temperature; for the cure the lowest since packing"
          unit="°C"
          zero
        />
        <Figure figures={figures} name="reference" title="The sheet’s times hold at" unit="°C" zero />
        <Figure figures={figures} name="q10" title="Factor per 10 K" unit="factor" />
        <Figure figures={figures} name="working" title="Working life by the sheet" unit="min" />
        <Figure figures={figures} name="cure" title="Cure by the sheet" unit="h" />
        <Figure figures={figures} name="minimum" title="Not mixed below" unit="°C" zero />
        <Choice
          title="The sheet itself gives other temperatures"
          value={extrapolates}
          options={[
            ['no', 'no'],
            ['yes', 'yes'],
          ]}
          onChange={setExtrapolates}
        />
      </div>
      {times && (
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
      )}
    </>
  );
}

function timesOf(
  number: (name: 'reference' | 'q10' | 'working' | 'cure' | 'minimum' | 'temperature') => number | null,
  extrapolates: boolean,
) {
  const [referenceC, q10, workingMinutes, cureHours, minimumC, temperatureC] = (
    ['reference', 'q10', 'working', 'cure', 'minimum', 'temperature'] as const
  ).map(number);
  if (referenceC == null || minimumC == null || temperatureC == null) return null;
  if (!q10 || !workingMinutes || !cureHours || q10 <= 0 || workingMinutes <= 0 || cureHours <= 0) return null;
  return compoundTimes({ referenceC, q10, workingMinutes, cureHours, minimumC, extrapolates }, temperatureC);
}
