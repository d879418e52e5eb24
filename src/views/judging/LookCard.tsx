import { Button, Kbd, TextInput, UnstyledButton } from '@mantine/core';
import { memo, useState, type KeyboardEvent } from 'react';
import type { LookQuestion } from '../../core/kinds/look';
import { conditionNumber } from '../../core/kinds/worked-looks';
import type { Id, Look } from '../../core/record/types';
import { day } from '../../core/words/en/format';
import { lookPictures } from '../../drawing/looks/pictures';
import { DrawingView } from '../../ui/heart/DrawingView';
import { FileChoice } from '../../ui/FileChoice';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { keepPhotos } from '../hand/keep-photos';
import { PhotoRow } from './PhotoRow';
import './looks.css';
import { answerTitle, lookQuestion } from '../../core/words/en/kinds/looks';
import { titleOf } from '../../core/words/en/kinds/titles';

/** An answer with its evidence. */
export interface LookAnswerGiven {
  answer: string;
  photo: Id | null;
  note: string;
}

interface Props {
  look: LookQuestion;
  given: Look | undefined;
  /** The answer comes from the sealed as-left record, not from this round. */
  recorded: boolean;
  sealed: boolean;
  onAnswer: (look: string, given: LookAnswerGiven) => void;
}

/** A question that is answered by looking: right and wrong drawn, the answer, a photo and a note. */
export const LookCard = memo(function LookCard({
  look,
  given,
  recorded,
  sealed,
  onAnswer: answerWith,
}: Props) {
  const onAnswer = (next: LookAnswerGiven) => answerWith(look.id, next);
  const [open, setOpen] = useState(false);
  const pictures = open ? lookPictures(look.id) : null;
  const hasPictures = conditionNumber(look.id) === null;
  const title = titleOf(look);
  const answer = look.answers.find(({ id }) => id === given?.answer);
  const state = answer === undefined ? 'unread' : answer.good ? 'fits' : 'large';
  const own = recorded ? undefined : given;
  const evidence = { photo: own?.photo ?? null, note: own?.note ?? '' };
  const addPhoto = async (files: File[]) => {
    const [photo] = await keepPhotos(files);
    if (photo && own) onAnswer({ answer: own.answer, note: evidence.note, photo });
  };
  return (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- keys for all of its answers
    <fieldset
      className="look"
      id={`look-${look.id}`}
      disabled={sealed}
      onKeyDown={(event) => answerByKey(event, look, (id) => onAnswer({ answer: id, ...evidence }))}
    >
      <legend>
        <SealGlyph
          state={state}
          label={`${title}: ${answer ? answerTitle(look, answer.id) : 'not looked at'}`}
        />{' '}
        <b>{title}</b>
      </legend>
      <p>{lookQuestion(look)}</p>
      {pictures && (
        <div className="pictures">
          <Picture drawing={pictures.right} words={pictures.rightWords} />
          <Picture drawing={pictures.wrong} words={pictures.wrongWords} wrong />
        </div>
      )}
      <div className="answers">
        {look.answers.map(({ id }, i) => (
          <UnstyledButton
            key={id}
            aria-pressed={given?.answer === id}
            onClick={() => onAnswer({ answer: id, ...evidence })}
          >
            <Kbd size="sm" aria-hidden="true">
              {i + 1}
            </Kbd>{' '}
            {answerTitle(look, id)}
          </UnstyledButton>
        ))}
      </div>
      {recorded && given && (
        <small className="quiet from-record">
          From the as-left record of {day(given.at)}; answer to look again.
        </small>
      )}
      <div className="look-foot">
        {hasPictures && (
          <Button variant="default" onClick={() => setOpen(!open)} aria-expanded={open}>
            {open ? 'Hide pictures' : 'Right and wrong'}
          </Button>
        )}
        {own && (
          <Evidence
            key={own.id}
            given={own}
            onPhoto={addPhoto}
            onNote={(note) => onAnswer({ answer: own.answer, photo: evidence.photo, note })}
          />
        )}
      </div>
      {own?.photo && <PhotoRow photos={[own.photo]} />}
    </fieldset>
  );
}, isSame);

/** 1 2 3 answer, and E goes to the note, while the card has the focus; a text that is typed stays one. */
function answerByKey(event: KeyboardEvent, look: LookQuestion, answer: (id: string) => void): void {
  const at = event.target as HTMLElement;
  if (at.matches('input, textarea') || event.ctrlKey || event.altKey || event.metaKey) return;
  const one = look.answers[Number(event.key) - 1];
  const note =
    event.key === 'e' ? event.currentTarget.querySelector<HTMLElement>('input.note, .note input') : null;
  if (!one && !note) return;
  event.preventDefault();
  // On a place the same keys are a reading.
  event.stopPropagation();
  if (one) answer(one.id);
  note?.focus();
}

/** Two dozen of these stand on the bench; a reading of something else leaves them as they are. */
function isSame(a: Props, b: Props): boolean {
  return (
    a.look.id === b.look.id &&
    a.look.condition?.text === b.look.condition?.text &&
    a.given === b.given &&
    a.recorded === b.recorded &&
    a.sealed === b.sealed &&
    a.onAnswer === b.onAnswer
  );
}

function Picture({
  drawing,
  words,
  wrong = false,
}: {
  drawing: Parameters<typeof DrawingView>[0]['drawing'];
  words: string;
  wrong?: boolean;
}) {
  return (
    <figure className={wrong ? 'wrong' : ''}>
      <DrawingView drawing={drawing} states={{}} aspect={1.5} shownPx={230} />
      <figcaption>
        <b>{wrong ? 'Wrong' : 'Right'}:</b> {words}
      </figcaption>
    </figure>
  );
}

/** Photo and note beside an answer. */
function Evidence({
  given,
  onPhoto,
  onNote,
}: {
  given: Look;
  onPhoto: (files: File[]) => Promise<void>;
  onNote: (note: string) => void;
}) {
  const [note, setNote] = useState(given.note);
  return (
    <>
      <FileChoice
        title={given.photo ? 'Other photo' : 'Photo'}
        accept="image/jpeg,image/png"
        camera
        onFiles={(files) => void onPhoto(files)}
      />
      <TextInput
        className="note"
        aria-label="Note on what was seen"
        placeholder="Note"
        maxLength={500}
        value={note}
        onChange={(event) => setNote(event.target.value)}
        onBlur={() => note !== given.note && onNote(note)}
        onKeyDown={(event) => event.key === 'Enter' && note !== given.note && onNote(note)}
      />
    </>
  );
}
