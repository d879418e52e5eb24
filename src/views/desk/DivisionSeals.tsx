import { FieldGrid } from '../../ui/FieldGrid';
import { useState } from 'react';
import {
  BOUNDARY_SEAL_FT,
  CONDUIT_SEAL_IN,
  MOST_FILL_PCT,
  sealReason,
  sealThicknessMm,
} from '../../core/hazard/division';
import { isFlameproof, type Dossier } from '../../core/rulebook/dossier';
import { figure } from '../../core/words/en/format';
import { Choice, useFigures, Verdict, type Figures } from '../../ui/Figure';
import { FigureFields, type FigureField } from '../../ui/FigureFields';

const REASONS: Record<string, string> = {
  'every-termination':
    'every cable termination in Division 1 is sealed, the jacket off, so that compound surrounds each conductor',
  explosionproof: 'the enclosure has to be explosionproof',
  'ignition-source': `parts inside arc or run hot: the seal stands within ${CONDUIT_SEAL_IN} in of the enclosure`,
  'large-with-terminals': `trade size 2 or larger into terminals, splices or taps: the seal stands within ${CONDUIT_SEAL_IN} in`,
  boundary: `the run leaves the area: the seal stands within ${BOUNDARY_SEAL_FT} ft of the boundary`,
};

/** Division of the area of an entry; null where none is recorded. */
const divisionOf = (dossier: Dossier | null): 1 | 2 | null => {
  const division = dossier?.area.division;
  return division && division !== 'unclassified' ? division.division : null;
};

type YesNo = 'yes' | 'no';

/** What is said of the place, each by one of two words. */
interface Answers {
  wiring: 'cable' | 'conduit';
  division: '1' | '2';
  explosionproof: YesNo;
  ignition: YesNo;
  terminals: YesNo;
  boundary: YesNo;
}

const answersOf = (dossier: Dossier | null): Answers => ({
  wiring: 'cable',
  division: divisionOf(dossier) === 2 ? '2' : '1',
  explosionproof: dossier && isFlameproof(dossier) ? 'yes' : 'no',
  ignition: dossier?.enclosure.ignitionSource === false ? 'no' : 'yes',
  terminals: 'yes',
  boundary: 'no',
});

const YES_NO = ['yes', 'no'] as const;
type Asked = readonly [name: keyof Answers, title: string, options: readonly string[]];
const ALWAYS: readonly Asked[] = [
  ['wiring', 'Wiring', ['cable', 'conduit']],
  ['division', 'Division', ['1', '2']],
  ['explosionproof', 'Enclosure has to be explosionproof', YES_NO],
];
const OF_CONDUIT: readonly Asked[] = [
  ['ignition', 'Parts inside arc or run hot', YES_NO],
  ['terminals', 'Terminals, splices or taps inside', YES_NO],
  ['boundary', 'The run leaves the area here', YES_NO],
];

type Names = 'trade' | 'bore' | 'count' | 'core';
const FIELDS: readonly FigureField<Names>[] = [
  ['trade', 'Trade size', 'in'],
  ['bore', 'Bore of rigid conduit of that size', 'mm'],
  ['count', 'Conductors', 'number'],
  ['core', 'Diameter of a conductor', 'mm'],
];

/** Is a seal asked for, and how thick, by the rules of a division site. */
export function DivisionSeals({ dossier }: { dossier: Dossier | null }) {
  const [answers, setAnswers] = useState(() => answersOf(dossier));
  const figures = useFigures<Names>({ trade: '1', bore: '26.6', count: '4', core: '4.1' });
  const conduit = answers.wiring === 'conduit';
  return (
    <>
      <FieldGrid min={264} gap="10px 18px" align="start" mt="xs">
        {[...ALWAYS, ...(conduit ? OF_CONDUIT : [])].map(([name, title, options]) => (
          <Choice
            key={name}
            title={title}
            value={answers[name] as string}
            options={options.map((one) => [one, one] as const)}
            onChange={(next) => setAnswers({ ...answers, [name]: next })}
          />
        ))}
        {conduit && <FigureFields figures={figures} fields={FIELDS} />}
      </FieldGrid>
      <SealWords answers={answers} figures={figures} />
    </>
  );
}

function SealWords({ answers, figures }: { answers: Answers; figures: Figures<Names> }) {
  const conduit = answers.wiring === 'conduit';
  const trade = figures.number('trade') ?? 0;
  const reason = sealReason({
    wiring: answers.wiring,
    division: Number(answers.division) as 1 | 2,
    explosionproof: answers.explosionproof === 'yes',
    ignitionSource: answers.ignition === 'yes',
    terminals: answers.terminals === 'yes',
    tradeSizeIn: trade,
    boundary: answers.boundary === 'yes',
  });
  const fill = conduit ? fillPct(figures) : null;
  return (
    <div className="desk-result">
      <Verdict good={reason === null}>
        {reason === null ? 'No seal is asked for here.' : `A seal is asked for: ${REASONS[reason]}.`}
      </Verdict>
      {reason !== null && (
        <p>
          Compound at least {figure(sealThicknessMm(conduit ? trade : 0))} mm thick; no splice in the seal.
          {fill !== null &&
            ` Conductors fill ${figure(fill, 1)} % of the conduit; ${MOST_FILL_PCT} % is allowed unless listed otherwise${fill > MOST_FILL_PCT ? ': too many' : ''}.`}
        </p>
      )}
      <p className="quiet">NFPA 70, 501.15 as commonly applied; the local code and its inspector decide.</p>
    </div>
  );
}

/** Share of the conduit's section that the conductors take, percent; null while a figure is missing. */
function fillPct({ length, number }: Figures<Names>): number | null {
  const [bore, count, core] = [length('bore'), number('count'), length('core')];
  return bore && count && core ? (100 * count * core ** 2) / bore ** 2 : null;
}
