import { Button, Stack, Group } from '@mantine/core';
import { useState } from 'react';
import {
  barrierAnswers,
  barrierPath,
  type BarrierAnswers,
  type BarrierEdition,
  type BarrierQuestion,
} from '../../core/gland/barrier';
import { barrierFactsOf } from '../../core/rulebook/barrier-facts';
import { isFlameproof, type Dossier } from '../../core/rulebook/dossier';
import { Choice, Verdict } from '../../ui/Figure';
import { Toggle } from '../../ui/Toggle';

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

/** Is a barrier needed, question by question. */
export function BarrierPath({ dossier }: { dossier: Dossier | null }) {
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
      <Stack component="ol" gap="sm">
        {asked.map(([question, answer]) => (
          <Question
            key={question}
            words={ASKED[question]}
            answer={answer}
            onAnswer={(value) => setAnswers({ ...answers, [question]: value })}
          />
        ))}
      </Stack>
    </>
  );
}

interface QuestionProps {
  words: string;
  answer: boolean | undefined;
  onAnswer: (value: boolean) => void;
}

const Question = ({ words, answer, onAnswer }: QuestionProps) => (
  <li>
    {words}
    <Group gap={6} my={4}>
      {[true, false].map((value) => (
        <Toggle key={String(value)} on={answer === value} onClick={() => onAnswer(value)}>
          {value ? 'yes' : 'no'}
        </Toggle>
      ))}
    </Group>
  </li>
);
