import { isSoft } from '../../core/measuring/soft';
import { agreement } from '../../core/measuring/agreement';
import { diameterOf, groupsOf, type Dossier } from '../../core/rulebook/dossier';
import { figure } from '../../core/words/en/format';
import { drawLayers } from '../../drawing/desk/layers';
import { DrawingView } from '../../ui/heart/DrawingView';
import { Figure, typed, useFigures, Verdict } from '../../ui/Figure';

/** Does the cable agree with its record: what lies between outer and inner sheath, measured and recorded. */
export function AgreementTool({ dossier }: { dossier: Dossier | null }) {
  const cable = dossier?.cable;
  const of = (place: string) => {
    const group = dossier && groupsOf(dossier, place).find(({ fault }) => !fault);
    return group ? diameterOf(dossier, group, isSoft(cable ?? null)) : null;
  };
  const [outer, inner] = [of('outer-sheath'), of('inner-sheath')];
  const figures = useFigures({
    outer: typed(outer?.meanMm ?? cable?.outerMm ?? 20.7),
    outerU: typed(outer?.expandedUncertaintyMm ?? 0.05, 3),
    inner: typed(inner?.meanMm ?? cable?.innerMm ?? 15.2),
    innerU: typed(inner?.expandedUncertaintyMm ?? 0.05, 3),
    armour: typed(cable?.armour?.sizeMm ?? 1.25),
    sheath: typed(cable?.sheathMm ?? 1.5),
    tolerance: typed(cable?.toleranceMm ?? 0.4),
    recorded: typed(cable?.innerMm ?? 15.2),
  });
  const mm = (name: Parameters<typeof figures.length>[0]) => figures.length(name);
  const zero = (name: Parameters<typeof figures.number>[0]) => figures.number(name);
  const [o, i, a, s, r] = [mm('outer'), mm('inner'), mm('armour'), mm('sheath'), mm('recorded')];
  const [oU, iU, t] = [zero('outerU'), zero('innerU'), zero('tolerance')];
  const result =
    o && i && a && s && oU !== null && iU !== null && t !== null
      ? agreement(
          { meanMm: o, expandedUncertaintyMm: oU },
          { meanMm: i, expandedUncertaintyMm: iU },
          { armourMm: a, sheathMm: s, toleranceMm: t },
        )
      : null;
  return (
    <>
      <div className="desk-form">
        <Figure figures={figures} name="outer" title="Outer sheath, measured" unit="mm" />
        <Figure figures={figures} name="outerU" title="Its expanded uncertainty" unit="mm" zero />
        <Figure figures={figures} name="inner" title="Inner sheath, measured" unit="mm" />
        <Figure figures={figures} name="innerU" title="Its expanded uncertainty" unit="mm" zero />
        <Figure figures={figures} name="recorded" title="Inner sheath by the record" unit="mm" />
        <Figure figures={figures} name="armour" title="Armour by the record" unit="mm" />
        <Figure figures={figures} name="sheath" title="Outer sheath thickness by the record" unit="mm" />
        <Figure figures={figures} name="tolerance" title="Tolerance of the record" unit="mm" zero />
      </div>
      {result && (
        <div className="desk-result two">
          <div>
            <Verdict good={result.agrees}>
              Outer less inner sheath is {figure(result.foundMm)} mm; armour and sheath by the record give{' '}
              {figure(result.expectedMm)} mm, ± {figure(result.allowedMm)} mm is allowed.
              {!result.agrees && ' The wrong cable, the wrong record or a misreading.'}
            </Verdict>
          </div>
          {r && a && s && o && i && (
            <div className="desk-drawing">
              <DrawingView
                drawing={drawLayers({ innerMm: r, armourMm: a, sheathMm: s }, { innerMm: i, outerMm: o })}
                states={{}}
                aspect={1.3}
                shownPx={360}
              />
            </div>
          )}
        </div>
      )}
    </>
  );
}
