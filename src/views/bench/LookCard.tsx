import type { LookQuestion } from '../../core/record/kinds';
import type { Look } from '../../core/record/types';
import { SealGlyph } from '../../ui/SealGlyph';

interface Props {
  look: LookQuestion;
  given: Look | undefined;
  sealed: boolean;
  onAnswer: (answer: string) => void;
}

/** A question that is answered by looking. */
export function LookCard({ look, given, sealed, onAnswer }: Props) {
  const answer = look.answers.find(({ id }) => id === given?.answer);
  const state = answer === undefined ? 'unread' : answer.good ? 'fits' : 'large';
  return (
    <fieldset className="look" id={`look-${look.id}`} disabled={sealed}>
      <legend>
        <SealGlyph state={state} label={`${look.title}: ${answer ? answer.title : 'not looked at'}`} />{' '}
        <b>{look.title}</b>
      </legend>
      <p>{look.question}</p>
      <div className="answers">
        {look.answers.map(({ id, title }) => (
          <button key={id} type="button" aria-pressed={given?.answer === id} onClick={() => onAnswer(id)}>
            {title}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
