import { Button, Group, Kbd, Text, TextInput, UnstyledButton } from '@mantine/core';
import {
  memo,
  Suspense,
  useEffect,
  useImperativeHandle,
  useRef,
  useState,
  type KeyboardEvent,
  type Ref,
  type RefObject,
} from 'react';
import type { LookQuestion } from '../../core/kinds/look';
import { conditionNumber } from '../../core/kinds/worked-looks';
import type { Id, Look } from '../../core/record/types';
import { day } from '../../core/words/en/format';
import { answerTitle, lookQuestion } from '../../core/words/en/kinds/looks';
import { titleOf } from '../../core/words/en/kinds/titles';
import { afterPaint } from '../../ui/after-paint';
import { fetched } from '../../ui/fetched';
import { FileChoice } from '../../ui/FileChoice';
import type { GlyphState } from '../../ui/heart/SealGlyph';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { Toggle } from '../../ui/Toggle';
import { keepPhotos } from '../hand/keep-photos';
import { PhotoRow } from './PhotoRow';
import './looks.css';

const LookPictures = fetched(() => import('./LookPictures'));

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
  /** It has the eye: its pictures are shown, and keys answer it. */
  active?: boolean;
  onAnswer: (look: LookQuestion, given: LookAnswerGiven) => void;
  /** Takes the eye to it. */
  onActive?: (look: string) => void;
}

/** A question that is answered by looking: its answers, right and wrong drawn, a photo and a note. */
export const LookCard = memo(function LookCard(props: Props) {
  const { look, given, recorded, sealed, active = false, onAnswer, onActive } = props;
  // Alone, as at a step of a make-off, it has the eye anyway.
  const [open, setOpen] = useState(onActive === undefined);
  const row = useEye(active);
  const own = recorded ? undefined : given;
  const evidence = { photo: own?.photo ?? null, note: own?.note ?? '' };
  const pressed = useRef<(answer: string) => void>(null);
  const answer = (id: string) => {
    pressed.current?.(id);
    onAnswer(look, { answer: id, ...evidence });
  };
  const pictured = conditionNumber(look.id) === null;
  return (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- keys for all of its answers
    <div
      ref={row}
      role="group"
      tabIndex={-1}
      className={active ? 'look active' : 'look'}
      id={`look-${look.id}`}
      aria-label={titleOf(look)}
      onKeyDown={(event) => sealed || answerByKey(event, look, answer)}
      onFocus={({ target }) => target.matches(':focus-visible') && onActive?.(look.id)}
    >
      <LookHead look={look} given={given?.answer} onOpen={onActive && (() => onActive(look.id))} />
      <div>
        <Answers look={look} given={given?.answer} sealed={sealed} pressed={pressed} onAnswer={answer} />
        {recorded && given && (
          <small className="quiet">From the as-left record of {day(given.at)}; answer to look again.</small>
        )}
        {own?.together && <small className="quiet">Answered in one with what else was seen there.</small>}
        <Group className="look-foot" gap={6} mt={6}>
          {pictured && !active && (
            <Button variant="default" onClick={() => setOpen(!open)} aria-expanded={open}>
              {open ? 'Hide the pictures' : 'Pictures'}
            </Button>
          )}
          {own && !sealed && <Evidence key={own.id} given={own} onGiven={(next) => onAnswer(look, next)} />}
        </Group>
        {own?.photo && <PhotoRow photos={[own.photo]} />}
        {pictured && (active || open) && (
          <Suspense fallback={null}>
            <LookPictures look={look.id} />
          </Suspense>
        )}
      </div>
    </div>
  );
}, isSame);

/** What has the eye is on the screen, whole, and has the keys; its pictures and its note come a little later. */
function useEye(active: boolean): RefObject<HTMLDivElement | null> {
  const row = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const card = row.current;
    if (!active || !card) return;
    if (!card.contains(document.activeElement)) card.focus({ preventScroll: true });
    const watcher = new ResizeObserver(() => card.scrollIntoView({ block: 'nearest' }));
    watcher.observe(card);
    return () => watcher.disconnect();
  }, [active]);
  return row;
}

/** The answers to a look, the good ones first; each has its key. */
function Answers({
  look,
  given,
  sealed,
  pressed,
  onAnswer,
}: Pick<Props, 'look' | 'sealed'> & {
  given: string | undefined;
  pressed: Ref<(answer: string) => void>;
  onAnswer: (answer: string) => void;
}) {
  // What is pressed shows at once; what follows from it, once that is painted.
  const [now, setNow] = useState<string | null>(null);
  useImperativeHandle(pressed, () => (answer) => {
    setNow(answer);
    afterPaint(() => setNow(null));
  });
  return (
    <Group className="answers" gap={6}>
      {look.answers.map(({ id }, i) => (
        <Toggle key={id} on={(now ?? given) === id} disabled={sealed} onClick={() => onAnswer(id)}>
          <Kbd size="sm" aria-hidden="true" mr={6}>
            {i + 1}
          </Kbd>
          {answerTitle(look, id)}
        </Toggle>
      ))}
    </Group>
  );
}

/** Title and question of a look, with the mark of its answer. */
function LookHead({
  look,
  given,
  onOpen,
}: {
  look: LookQuestion;
  given: string | undefined;
  onOpen: (() => void) | undefined;
}) {
  const title = titleOf(look);
  const answer = look.answers.find(({ id }) => id === given);
  const state: GlyphState = answer === undefined ? 'unread' : answer.good ? 'fits' : 'large';
  return (
    <div className="look-head">
      <UnstyledButton className="line" component={onOpen ? 'button' : 'div'} onClick={onOpen}>
        <SealGlyph
          state={state}
          label={`${title}: ${answer ? answerTitle(look, answer.id) : 'not looked at'}`}
        />
        <b>{title}</b>
      </UnstyledButton>
      <Text size="sm" data-question={look.id}>
        {lookQuestion(look)}
      </Text>
    </div>
  );
}

/** 1 2 3 answer, and E goes to the note, while the card has the focus; a text that is typed stays one. */
function answerByKey(event: KeyboardEvent, look: LookQuestion, answer: (id: string) => void): void {
  const at = event.target as HTMLElement;
  if (at.matches('input, textarea') || event.ctrlKey || event.altKey || event.metaKey) return;
  const one = look.answers[Number(event.key) - 1];
  const note =
    event.key === 'e' ? event.currentTarget.querySelector<HTMLElement>('input.note, .note input') : null;
  // Nothing is measured here: a reading that is taken by habit goes nowhere.
  const strayed = event.key === ' ' && at === event.currentTarget;
  if (!one && !note && !strayed) return;
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
    (a.given === b.given || (a.given?.rev !== undefined && a.given.rev === b.given?.rev)) &&
    a.recorded === b.recorded &&
    a.sealed === b.sealed &&
    a.active === b.active &&
    a.onAnswer === b.onAnswer
  );
}

/** Photo and note beside an answer. */
function Evidence({ given, onGiven }: { given: Look; onGiven: (given: LookAnswerGiven) => void }) {
  const { answer, photo } = given;
  const [note, setNote] = useState(given.note);
  const keep = () => note !== given.note && onGiven({ answer, photo, note });
  const addPhoto = async (files: File[]) => {
    const [added] = await keepPhotos(files);
    if (added) onGiven({ answer, note: given.note, photo: added });
  };
  return (
    <>
      <FileChoice
        title={photo ? 'Other photo' : 'Photo'}
        accept="image/jpeg,image/png"
        camera
        onFiles={(files) => void addPhoto(files)}
      />
      <TextInput
        className="note"
        flex="1 1 160px"
        aria-label="Note on what was seen"
        placeholder="Note"
        maxLength={500}
        value={note}
        onChange={(event) => setNote(event.target.value)}
        onBlur={keep}
        onKeyDown={leaveByKey}
      />
    </>
  );
}

/** Enter and Escape leave a note, which keeps it: the keys are the look's again. */
function leaveByKey(event: KeyboardEvent<HTMLInputElement>): void {
  if (event.key === 'Enter' || event.key === 'Escape')
    event.currentTarget.closest<HTMLElement>('.look')?.focus({ preventScroll: true });
}
