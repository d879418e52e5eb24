import './insulation.css';
import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { Slice } from '../../core/record/slice';
import type { Cable } from '../../core/record/types';
import { day } from '../../core/words/en/format';
import { device, say } from '../hand/hand';
import { give } from '../hand/give';

const NOTHING = '–';

/** Which conductor is which at both ends: the sleeve at the far end that a conductor comes out under. */
export function ContinuityPanel({
  slice,
  cable,
  since = '',
}: {
  slice: Slice;
  cable: Cable;
  /** A tracing before this time does not count any more, ISO 8601. */
  since?: string;
}) {
  const names = cable.mineral!.conductors;
  const traced = slice
    .by('continuity', 'cable', cable.id)
    .filter(({ at }) => at >= since)
    .sort((a, b) => (a.at < b.at ? -1 : 1))
    .at(-1);
  const [far, setFar] = useState<Record<string, string>>({});
  const [again, setAgain] = useState(false);
  const asking = !traced || again;
  const keep = () => {
    const open = names.filter((name) => !far[name]);
    if (open.length > 0) return say(`Trace ${open.join(', ')} too: say which sleeve each comes out under.`);
    const found = names.map((near) => ({ near, far: far[near] === NOTHING ? null : far[near]! }));
    if (!give('continuity.record', { id: device.id(), cable: cable.id, found }, 'The tracing is kept.'))
      return;
    setAgain(false);
    setFar({});
  };
  return (
    <section aria-label="Continuity and sleeves" className="continuity">
      <h3>Continuity and sleeves, end to end</h3>
      {traced && (
        <>
          <ul>
            {names.map((name) => {
              const out = traced.found.find(({ near }) => near === name)?.far;
              const right = out === name;
              return (
                <li key={name} className={right ? '' : 'tone-failed'}>
                  {name}:{' '}
                  {out === undefined
                    ? 'not traced'
                    : out === null
                      ? 'nothing comes through'
                      : right
                        ? 'comes out under its own sleeve'
                        : `comes out as ${out}: crossed`}
                </li>
              );
            })}
          </ul>
          <p className="quiet">
            {traced.by}, {day(traced.at)}
          </p>
        </>
      )}
      {asking ? (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            keep();
          }}
        >
          <div className="mineral-fields">
            {names.map((name) => (
              <label key={name} className="field">
                <span>{name} comes out at the far end as</span>
                <NativeSelect
                  value={far[name] ?? ''}
                  onChange={(event) => setFar({ ...far, [name]: event.target.value })}
                >
                  <option value="">not traced yet</option>
                  {names.map((one) => (
                    <option key={one}>{one}</option>
                  ))}
                  <option value={NOTHING}>nothing comes through</option>
                </NativeSelect>
              </label>
            ))}
          </div>
          <Button type="submit">Keep the tracing</Button>
        </form>
      ) : (
        <Button variant="default" onClick={() => setAgain(true)}>
          Trace them again
        </Button>
      )}
    </section>
  );
}
