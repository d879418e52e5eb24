import { Button, Group } from '@mantine/core';
import { useEffect, useState } from 'react';
import { DOSSIER_TABLES, type AnyCommand, type DossierTable } from '../../core/commands/commands';
import { count, moment } from '../../core/words/en/format';
import { commandWords, refusalWords } from '../../core/words/en/commands';
import type { DeviceState } from '../../device/device-state';
import type { Waiting } from '../../device/database';
import { photosIn } from '../../device/outbox';
import { device, takeUpdate } from '../hand/hand';
import { saveBlob } from '../hand/save-file';

/** What a person has to know before going on: what was not taken, what was lost, what waits, a new version. */
export default function Notices({ state, update }: { state: DeviceState; update: boolean }) {
  return (
    <>
      <Trouble state={state} />
      <Forgotten state={state} />
      <Held state={state} />
      <Refused state={state} />
      <Told state={state} />
      {update && <Update waiting={state.waiting} />}
    </>
  );
}

function Trouble({ state: { trouble } }: { state: DeviceState }) {
  if (trouble === null || trouble === 'no-offline') return null;
  return (
    <div className="notice" role="alert">
      {WORDS[trouble]}
    </div>
  );
}

const WORDS = {
  'no-store':
    'This browser keeps nothing on this device. What you record is sent while the server can be reached, and is gone when the page is closed before. Allow this site to store data, or use another browser.',
  'not-kept':
    'What you record is not kept on this device: it has no room left. It stays on this page and is sent while the server can be reached. Do not close the page before; make room on the device.',
  'little-space': 'This device has little room left. Make room before you go where there is no signal.',
} as const;

/** The server has lost who is signed in: without that nothing of theirs is sent. */
function Forgotten({ state: { forgotten, person, waiting } }: { state: DeviceState }) {
  const [problem, setProblem] = useState('');
  if (!forgotten || !person) return null;
  return (
    <div className="notice" role="alert">
      The server does not know who works here any more
      {waiting > 0 ? `; ${count(waiting, 'record')} wait on this device` : ''}. Sign in again to send.{' '}
      <Button
        size="compact-md"
        variant="default"
        onClick={() => void device.signIn(person.name).catch((error: Error) => setProblem(error.message))}
      >
        Sign in as {person.name}
      </Button>{' '}
      {problem && <span className="tone-failed">{problem}</span>}
    </div>
  );
}

/** What the server has lost after it had taken it. */
function Held({ state: { held } }: { state: DeviceState }) {
  if (held.length === 0) return null;
  return (
    <div className="notice" role="alert">
      <b>The server has gone back to an earlier state,</b> as after a backup was restored:{' '}
      {count(held.length, 'record')} that this device had sent {held.length === 1 ? 'is' : 'are'} not there
      any more. {held.length === 1 ? 'It is' : 'They are'} kept here.{' '}
      <Group mt="xs" gap="sm">
        <Button size="compact-md" onClick={() => void device.sendHeld()}>
          Send {held.length === 1 ? 'it' : 'them'} again
        </Button>
        <Button size="compact-md" variant="default" onClick={() => void device.dropHeld()}>
          Leave {held.length === 1 ? 'it' : 'them'} out
        </Button>
      </Group>
      <List waiting={held} />
    </div>
  );
}

/** Commands that the server did not take: kept with the reason, opened again or dropped by hand only. */
function Refused({ state: { refused, slice } }: { state: DeviceState }) {
  if (refused.length === 0) return null;
  return (
    <section className="notice" role="alert" aria-label="Records that were not taken">
      <b>
        {count(refused.length, 'record')} {refused.length === 1 ? 'was' : 'were'} not taken.
      </b>
      <ul>
        {refused.slice(0, 5).map((one) => (
          <li key={one.command.id}>
            {commandWords(slice, one.command)}, {moment(one.command.at)}: {refusalWords(one.refusal!)}
            <Group mt={4} gap="sm">
              <Mend command={one.command} />
              <Button size="compact-md" variant="default" onClick={() => void device.again(one.command.id)}>
                Try again
              </Button>
              <Button size="compact-md" variant="default" onClick={() => void device.drop(one.command.id)}>
                Drop it
              </Button>
            </Group>
          </li>
        ))}
      </ul>
      {refused.length > 5 && <p>{refused.length - 5} more stand behind these.</p>}
    </section>
  );
}

/** The way back to where it was typed, with what was typed. */
function Mend({ command }: { command: AnyCommand }) {
  const { kind, site, id } = command;
  const [table, verb] = kind.split('.') as [DossierTable, string];
  const photos = photosIn(command);
  if (DOSSIER_TABLES.includes(table) && (verb === 'add' || verb === 'edit'))
    return (
      <Button component="a" size="compact-md" href={`/dossier/?site=${site}&table=${table}&refused=${id}`}>
        Open it again
      </Button>
    );
  return (
    <>
      {kind === 'reading.take' && (
        <Button
          component="a"
          size="compact-md"
          href={`/bench/?site=${site}&entry=${command.payload.entry}&place=${command.payload.place}&typed=${encodeURIComponent(command.payload.typed)}`}
        >
          Open it again
        </Button>
      )}
      {kind === 'defect.edit' && (
        <Button
          component="a"
          size="compact-md"
          href={`/defects/?site=${site}&defect=${command.payload.id}&refused=${id}`}
        >
          Open it again
        </Button>
      )}
      {photos.map((photo) => (
        <SavePhoto key={photo} photo={photo} />
      ))}
    </>
  );
}

/** A photo that the server refused is still here, and can be saved elsewhere. */
function SavePhoto({ photo }: { photo: string }) {
  const [bytes, setBytes] = useState<Blob | null>(null);
  useEffect(() => {
    void device.refusedPhoto(photo).then((found) => setBytes(found?.bytes ?? null));
  }, [photo]);
  if (!bytes) return null;
  return (
    <Button size="compact-md" variant="default" onClick={() => saveBlob(`photo-${photo}.jpg`, bytes)}>
      Save the photo
    </Button>
  );
}

function List({ waiting }: { waiting: readonly Waiting[] }) {
  const { slice } = device.state();
  return (
    <details>
      <summary>Which they are</summary>
      <ul>
        {waiting.slice(0, 50).map(({ command, by }) => (
          <li key={command.id}>
            {commandWords(slice, command)}, {moment(command.at)}, {by}
          </li>
        ))}
      </ul>
      {waiting.length > 50 && <p>and {waiting.length - 50} more</p>}
    </details>
  );
}

/** Values of the person here that did not stand against another's. */
function Told({ state: { notices } }: { state: DeviceState }) {
  return notices.slice(0, 3).map(({ id, text }) => (
    <div key={id} className="notice" role="status">
      {text}{' '}
      <Button size="compact-md" variant="default" onClick={() => device.dismiss(id)}>
        I have seen it
      </Button>
    </div>
  ));
}

/** A new version of the program comes when the person agrees; what waits is sent first. */
function Update({ waiting }: { waiting: number }) {
  const [going, setGoing] = useState(false);
  return (
    <div className="notice" role="status">
      A new version of Yendral is ready. {waiting > 0 ? `${count(waiting, 'record')} are sent first. ` : ''}
      <Button
        size="compact-md"
        loading={going}
        onClick={() => {
          setGoing(true);
          void takeUpdate();
        }}
      >
        Change to it now
      </Button>
    </div>
  );
}
