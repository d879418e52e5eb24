import { Button } from '@mantine/core';

interface TwoAnswersProps {
  legend: string;
  /** What was answered; null while nobody has. */
  value: boolean | null;
  answers: readonly (readonly [value: boolean, words: string])[];
  onAnswer: (value: boolean) => void;
}

/** A question with two answers, neither of which is given until somebody presses it. */
export const TwoAnswers = ({ legend, value, answers, onAnswer }: TwoAnswersProps) => (
  <fieldset>
    <legend>{legend}</legend>
    {answers.map(([one, words]) => (
      <Button
        key={words}
        type="button"
        variant={value === one ? 'filled' : 'default'}
        aria-pressed={value === one}
        onClick={() => onAnswer(one)}
      >
        {words}
      </Button>
    ))}
  </fieldset>
);
