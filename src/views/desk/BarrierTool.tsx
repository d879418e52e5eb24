import { Button } from '@mantine/core';
import { Toggle } from '../../ui/Toggle';
import { useState } from 'react';
import {
  barrierAnswers,
  barrierPath,
  type BarrierAnswers,
  type BarrierEdition,
  type BarrierQuestion,
} from '../../core/gland/barrier';
import {
  BOUNDARY_SEAL_FT,
  CONDUIT_SEAL_IN,
  MOST_FILL_PCT,
  sealReason,
  sealThicknessMm,
} from '../../core/hazard/division';
import { barrierFactsOf } from '../../core/rulebook/barrier-facts';
import { isFlameproof, type Dossier } from '../../core/rulebook/dossier';
import { figure } from '../../core/words/en/format';
import { Choice, Figure, useFigures, Verdict } from '../../ui/Figure';

/** Each question as it is asked. */
const ASKED: Record<BarrierQuestion, string> = {
  'certificate-demands': 'Does the certificate of the enclosure or the gland ask for a barrier?',
  'mineral-insulated': 'Is the cable mineral insulated?',
  'sealing-device': 'Is there a certified flameproof sealing device at the entry?',
  'indirect-entry':
    'Is the entry indirect: a certified bushing, or a terminal chamber that is not flameproof?',
  'class-a':
    'Is the cable circular, compact, with extruded bedding, non-hygroscopic fillers, effectively filled?',
  'breathing-test': 'Has a sample passed the breathing test?',
  'length-3m': 'Is the connected length 3 m or more?',
  'ignition-source': 'Is there an ignition source inside in normal operation?',
  'group-iic': 'Is the gas of group IIC?',
  'zone-2': 'Is it zone 2?',
  'over-2dm3': 'Is the volume above 2 dm³?',
};

const REASONS: Record<string, string> = {
  'every-termination':
    'every cable termination in Division 1 is sealed, the jacket off, so that compound surrounds each conductor',
  explosionproof: 'the enclosure has to be explosionproof',
  'ignition-source': `parts inside arc or run hot: the seal stands within ${CONDUIT_SEAL_IN} in of the enclosure`,
  'large-with-terminals': `trade size 2 or larger into terminals, splices or taps: the seal stands within ${CONDUIT_SEAL_IN} in`,
  boundary: `the run leaves the area: the seal stands within ${BOUNDARY_SEAL_FT} ft of the boundary`,
};

/** Is a barrier needed: the rule as a path of questions, or the seal rules of a division site. */
export function BarrierTool({ dossier }: { dossier: Dossier | null }) {
  const [scheme, setScheme] = useState<'zones' | 'divisions'>(dossier?.site.scheme ?? 'zones');
  return (
    <>
      <Choice
        title="Areas classified by"
        value={scheme}
        options={[
          ['zones', 'zones'],
          ['divisions', 'divisions'],
        ]}
        onChange={setScheme}
      />
      {scheme === 'zones' ? <ByPath dossier={dossier} /> : <BySeals dossier={dossier} />}
    </>
  );
}

function ByPath({ dossier }: { dossier: Dossier | null }) {
  const [edition, setEdition] = useState<BarrierEdition>(dossier?.site.barrierSchool ?? '2013');
  const [answers, setAnswers] = useState<BarrierAnswers>(() => {
    const facts = dossier && isFlameproof(dossier) ? barrierFactsOf(dossier) : null;
    return facts && 'facts' in facts ? barrierAnswers(edition, facts.facts) : {};
  });
  const { path, next, barrierRequired } = barrierPath(edition, answers);
  const asked: [BarrierQuestion, boolean | undefined][] = [
    ...path.map(({ question, answer }): [BarrierQuestion, boolean] => [question, answer]),
    ...(next ? [[next, undefined] as [BarrierQuestion, undefined]] : []),
  ];
  return (
    <>
      <Choice
        title="Rule of"
        value={edition}
        options={[
          ['2013', 'IEC 60079-14:2013'],
          ['2007', 'IEC 60079-14:2007'],
        ]}
        onChange={setEdition}
      />
      <div className="desk-result">
        <Verdict good={barrierRequired === null ? null : !barrierRequired}>
          {barrierRequired === null
            ? 'Answer the next question.'
            : barrierRequired
              ? 'A barrier gland is needed.'
              : 'No barrier gland is needed.'}
        </Verdict>
        <Button variant="default" onClick={() => setAnswers({})}>
          Start again
        </Button>
      </div>
      <ol className="path">
        {asked.map(([question, answer]) => (
          <li key={question}>
            <span>{ASKED[question]}</span>
            <span className="choice">
              {(
                [
                  ['yes', true],
                  ['no', false],
                ] as const
              ).map(([words, value]) => (
                <Toggle
                  key={words}
                  on={answer === value}
                  onClick={() => setAnswers({ ...answers, [question]: value })}
                >
                  {words}
                </Toggle>
              ))}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}

/** Division of the area of an entry; null where none is recorded. */
const divisionOf = (dossier: Dossier | null): 1 | 2 | null => {
  const division = dossier?.area.division;
  return division && division !== 'unclassified' ? division.division : null;
};

function BySeals({ dossier }: { dossier: Dossier | null }) {
  const [wiring, setWiring] = useState<'cable' | 'conduit'>('cable');
  const [division, setDivision] = useState<'1' | '2'>(divisionOf(dossier) === 2 ? '2' : '1');
  const [explosionproof, setExplosionproof] = useState<'yes' | 'no'>(
    dossier && isFlameproof(dossier) ? 'yes' : 'no',
  );
  const [ignition, setIgnition] = useState<'yes' | 'no'>(
    dossier?.enclosure.ignitionSource === false ? 'no' : 'yes',
  );
  const [terminals, setTerminals] = useState<'yes' | 'no'>('yes');
  const [boundary, setBoundary] = useState<'yes' | 'no'>('no');
  const figures = useFigures({ trade: '1', bore: '26.6', count: '4', core: '4.1' });
  const trade = figures.number('trade') ?? 0;
  const reason = sealReason({
    wiring,
    division: Number(division) as 1 | 2,
    explosionproof: explosionproof === 'yes',
    ignitionSource: ignition === 'yes',
    terminals: terminals === 'yes',
    tradeSizeIn: trade,
    boundary: boundary === 'yes',
  });
  const yesNo = [
    ['yes', 'yes'],
    ['no', 'no'],
  ] as const;
  const bore = figures.length('bore');
  const count = figures.number('count');
  const core = figures.length('core');
  const fill = bore && count && core ? (100 * count * core ** 2) / bore ** 2 : null;
  return (
    <>
      <div className="desk-form">
        <Choice
          title="Wiring"
          value={wiring}
          options={[
            ['cable', 'cable'],
            ['conduit', 'conduit'],
          ]}
          onChange={setWiring}
        />
        <Choice
          title="Division"
          value={division}
          options={[
            ['1', '1'],
            ['2', '2'],
          ]}
          onChange={setDivision}
        />
        <Choice
          title="Enclosure has to be explosionproof"
          value={explosionproof}
          options={yesNo}
          onChange={setExplosionproof}
        />
        {wiring === 'conduit' && (
          <>
            <Choice
              title="Parts inside arc or run hot"
              value={ignition}
              options={yesNo}
              onChange={setIgnition}
            />
            <Choice
              title="Terminals, splices or taps inside"
              value={terminals}
              options={yesNo}
              onChange={setTerminals}
            />
            <Choice
              title="The run leaves the area here"
              value={boundary}
              options={yesNo}
              onChange={setBoundary}
            />
            <Figure figures={figures} name="trade" title="Trade size" unit="in" />
            <Figure figures={figures} name="bore" title="Bore of rigid conduit of that size" unit="mm" />
            <Figure figures={figures} name="count" title="Conductors" unit="number" />
            <Figure figures={figures} name="core" title="Diameter of a conductor" unit="mm" />
          </>
        )}
      </div>
      <div className="desk-result">
        <Verdict good={reason === null}>
          {reason === null ? 'No seal is asked for here.' : `A seal is asked for: ${REASONS[reason]}.`}
        </Verdict>
        {reason !== null && (
          <p>
            Compound at least {figure(sealThicknessMm(wiring === 'conduit' ? trade : 0))} mm thick; no splice
            in the seal.
            {wiring === 'conduit' && fill !== null && (
              <>
                {' '}
                Conductors fill {figure(fill, 1)} % of the conduit; {MOST_FILL_PCT} % is allowed unless listed
                otherwise
                {fill > MOST_FILL_PCT ? ': too many' : ''}.
              </>
            )}
          </p>
        )}
        <p className="quiet">NFPA 70, 501.15 as commonly applied; the local code and its inspector decide.</p>
      </div>
    </>
  );
}
