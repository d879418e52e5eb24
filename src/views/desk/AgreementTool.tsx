import { Box } from '@mantine/core';
import { FieldGrid } from '../../ui/FieldGrid';
import { isSoft } from '../../core/measuring/soft';
import { agreement } from '../../core/measuring/agreement';
import { diameterOf, groupsOf, type Dossier } from '../../core/rulebook/dossier';
import { figure } from '../../core/words/en/format';
import { drawLayers } from '../../drawing/desk/layers';
import { DrawingView } from '../../ui/heart/DrawingView';
import { typed, useFigures, Verdict, type Figures } from '../../ui/Figure';
import { FigureFields, type FigureField } from '../../ui/FigureFields';

type Names = 'outer' | 'outerU' | 'inner' | 'innerU' | 'recorded' | 'armour' | 'sheath' | 'tolerance';

const FIELDS: readonly FigureField<Names>[] = [
  ['outer', 'Outer sheath, measured', 'mm'],
  ['outerU', 'Its expanded uncertainty', 'mm', 'zero'],
  ['inner', 'Inner sheath, measured', 'mm'],
  ['innerU', 'Its expanded uncertainty', 'mm', 'zero'],
  ['recorded', 'Inner sheath by the record', 'mm'],
  ['armour', 'Armour by the record', 'mm'],
  ['sheath', 'Outer sheath thickness by the record', 'mm'],
  ['tolerance', 'Tolerance of the record', 'mm', 'zero'],
];

/** Does the cable agree with its record: what lies between outer and inner sheath, measured and recorded. */
export function AgreementTool({ dossier }: { dossier: Dossier | null }) {
  const figures = useFigures(startOf(dossier));
  const result = resultOf(figures);
  return (
    <>
      <FieldGrid min={264} gap="10px 18px" align="start" mt="xs">
        <FigureFields figures={figures} fields={FIELDS} />
      </FieldGrid>
      {result && (
        <FieldGrid min={360} gap="20px" align="start" fit>
          <div>
            <Verdict good={result.agrees}>
              Outer less inner sheath is {figure(result.foundMm)} mm; armour and sheath by the record give{' '}
              {figure(result.expectedMm)} mm, ± {figure(result.allowedMm)} mm is allowed.
              {!result.agrees && ' The wrong cable, the wrong record or a misreading.'}
            </Verdict>
          </div>
          <Layers figures={figures} />
        </FieldGrid>
      )}
    </>
  );
}

function startOf(dossier: Dossier | null): Record<Names, string> {
  const cable = dossier?.cable;
  const of = (place: string) => {
    const group = dossier && groupsOf(dossier, place).find(({ fault }) => !fault);
    return group ? diameterOf(dossier, group, isSoft(cable ?? null)) : null;
  };
  const [outer, inner] = [of('outer-sheath'), of('inner-sheath')];
  return {
    outer: typed(outer?.meanMm ?? cable?.outerMm ?? 20.7),
    outerU: typed(outer?.expandedUncertaintyMm ?? 0.05, 3),
    inner: typed(inner?.meanMm ?? cable?.innerMm ?? 15.2),
    innerU: typed(inner?.expandedUncertaintyMm ?? 0.05, 3),
    armour: typed(cable?.armour?.sizeMm ?? 1.25),
    sheath: typed(cable?.sheathMm ?? 1.5),
    tolerance: typed(cable?.toleranceMm ?? 0.4),
    recorded: typed(cable?.innerMm ?? 15.2),
  };
}

function resultOf(figures: Figures<Names>) {
  const [outer, inner, armourMm, sheathMm] = (['outer', 'inner', 'armour', 'sheath'] as const).map(figures.length); // prettier-ignore
  const [outerU, innerU, toleranceMm] = (['outerU', 'innerU', 'tolerance'] as const).map(figures.number);
  if (!outer || !inner || !armourMm || !sheathMm) return null;
  if (outerU == null || innerU == null || toleranceMm == null) return null;
  return agreement(
    { meanMm: outer, expandedUncertaintyMm: outerU },
    { meanMm: inner, expandedUncertaintyMm: innerU },
    { armourMm, sheathMm, toleranceMm },
  );
}

/** The cable by its record beside the cable as measured, to scale. */
function Layers({ figures: { length } }: { figures: Figures<Names> }) {
  const [innerMm, armourMm, sheathMm] = [length('recorded'), length('armour'), length('sheath')];
  const [inner, outer] = [length('inner'), length('outer')];
  if (!innerMm || !armourMm || !sheathMm || !inner || !outer) return null;
  const drawing = drawLayers({ innerMm, armourMm, sheathMm }, { innerMm: inner, outerMm: outer });
  return (
    <Box className="desk-drawing" maw={640} mb="sm">
      <DrawingView drawing={drawing} states={{}} aspect={1.3} shownPx={360} />
    </Box>
  );
}
