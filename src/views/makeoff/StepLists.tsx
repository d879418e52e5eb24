import { Box, Button, Checkbox, Group, Text, TextInput, UnstyledButton } from '@mantine/core';
import '@mantine/core/styles/CheckboxIndicator.layer.css';
import { Fragment, useState } from 'react';
import type { Laid } from '../../core/makeoff/plan';
import { lookOf } from '../../core/kinds/kinds';
import { MOST_TRIES, tryTick } from '../../core/kinds/ticks';
import { count, moment } from '../../core/words/en/format';
import { answerTitle } from '../../core/words/en/kinds/looks';
import { SEEN_WORDS, toolTitle } from '../../core/words/en/kinds/steps';
import { supplyTitle } from '../../core/words/en/supplies';
import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import type { StepCardProps } from './step-card-props';

const SeenPictures = fetched(() => import('./SeenPictures'));

type Props = Pick<StepCardProps, 'step' | 'dossier' | 'onMark' | 'onUntick'>;

/** One thing that is ticked: its whole line is pressed, with gloves. */
const Tick = ({ title, on, onPress }: { title: string; on: boolean; onPress: () => void }) => (
  <UnstyledButton
    className="seen-line"
    role="checkbox"
    aria-checked={on}
    display="flex"
    mih={48}
    w="100%"
    style={{ alignItems: 'center', gap: 10 }}
    onClick={onPress}
  >
    <Checkbox.Indicator checked={on} />
    <span>{title}</span>
  </UnstyledButton>
);

/** What has to be seen before the work goes on, each ticked for itself. */
export function SeenList({ step, onMark, onUntick }: Props) {
  if (step.seen.length === 0) return null;
  return (
    <Box component="fieldset" className="seen" my={6}>
      <legend className="tone-failed">
        <b>Before going on</b>
      </legend>
      {step.seen.map(({ key, id, tick }) => (
        <Fragment key={key}>
          <Tick
            title={SEEN_WORDS[key]!}
            on={tick !== null}
            onPress={() => (tick ? onUntick(id) : onMark(id, null))}
          />
          <Later>
            <SeenPictures seen={key} />
          </Later>
        </Fragment>
      ))}
    </Box>
  );
}

/** The list that is ticked off before anything is cut; what is missing is written down with who said so. */
export function LayingOut({ step, onMark, onUntick }: Props) {
  const { lays } = step;
  if (lays.length === 0) return null;
  const open = lays.filter(({ tick }) => tick === null);
  return (
    <Box component="fieldset" className="seen" my={6}>
      <legend>
        <b>{open.length === 0 ? 'Everything is accounted for' : `${open.length} of ${lays.length} open`}</b>
      </legend>
      {lays.map((one) => (
        <Item key={one.id} laid={one} onMark={onMark} onUntick={onUntick} />
      ))}
      {open.length > 1 && (
        <Button variant="default" onClick={() => open.forEach(({ id }) => onMark(id, null))}>
          The other {open.length} are here
        </Button>
      )}
    </Box>
  );
}

const itemTitle = ({ part, count: many, tool }: Laid): string =>
  part ? `${many} × ${supplyTitle(part)}` : toolTitle(tool!);

/** One item: here, or missing. */
function Item({ laid, onMark, onUntick }: { laid: Laid } & Pick<Props, 'onMark' | 'onUntick'>) {
  const [asks, setAsks] = useState(false);
  const [reason, setReason] = useState('');
  const { id, tick } = laid;
  const missing = tick?.skipped != null;
  return (
    <Group gap="sm" justify="space-between" wrap="nowrap">
      <Tick
        title={itemTitle(laid)}
        on={tick !== null && !missing}
        onPress={() => (tick && !missing ? onUntick(id) : onMark(id, null))}
      />
      {asks ? (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (!reason.trim()) return;
            onMark(id, reason.trim());
            setAsks(false);
          }}
        >
          <Group gap={6} wrap="nowrap">
            <TextInput
              aria-label={`What instead of ${itemTitle(laid)}, and who said so`}
              placeholder="What instead, who said so"
              maxLength={300}
              value={reason}
              onChange={(event) => setReason(event.target.value)}
            />
            <Button type="submit" variant="default">
              Note
            </Button>
          </Group>
        </form>
      ) : missing ? (
        <Text size="sm" className="tone-failed">
          Missing: {tick.skipped}
        </Text>
      ) : (
        !tick && (
          <Button variant="default" onClick={() => setAsks(true)} aria-label={`Missing: ${itemTitle(laid)}`}>
            Missing
          </Button>
        )
      )}
    </Group>
  );
}

/** A dry clamp that does not look right is opened, set and tried again; each try is a line of the record. */
export function Tries({ step, dossier, onMark }: Props) {
  const { tries, hold } = step;
  if (!tries) return null;
  const seen = hold?.seen ?? null;
  const last = tries.at(-1);
  const counted = seen !== null && last !== undefined && last.at >= seen.at;
  const bad = seen !== null && !seen.good;
  const look = hold && lookOf(dossier.entry.kind, hold.id);
  const answer = hold && dossier.looks.get(hold.id)?.answer;
  const again = () =>
    onMark(tryTick(step.id, tries.length + 1), look && answer ? answerTitle(look, answer) : '');
  return (
    <>
      {tries.length > 0 && (
        <ol className="tries" aria-label="Tries">
          {tries.map((one) => (
            <li key={one.step}>
              {one.skipped}, {one.initials}, {moment(one.at)}
            </li>
          ))}
        </ol>
      )}
      {bad && tries.length >= MOST_TRIES && (
        <p className="make-safe" role="alert">
          {count(MOST_TRIES, 'try', 'tries')}: cut the end off and begin it again.
        </p>
      )}
      {bad && !counted && tries.length < MOST_TRIES && (
        <Button variant="default" onClick={again}>
          Not right: open it, set it, clamp again
        </Button>
      )}
      {bad && counted && <p className="tone-failed">Clamp again, open, and answer the look anew.</p>}
    </>
  );
}
