import { Button } from '@mantine/core';
import { useState } from 'react';
import { now } from '../../client/clock';
import { KINDS } from '../../core/record/kinds';
import type { Id, Pour } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { clocksOf } from '../../core/rulebook/judge-pour';
import { compoundFill } from '../../core/gland/compound';
import { count, figure } from '../../core/words/format';
import { device, say } from '../device';
import { give } from '../give';

interface Props {
  dossier: Dossier;
  entry: Id;
  round: Id;
  sealed: boolean;
}

/** What was mixed and packed into the pot, with the clocks that follow, and the next mixing. */
export function PourPanel({ dossier, entry, round, sealed }: Props) {
  const [open, setOpen] = useState(false);
  const kind = KINDS[dossier.entry.kind];
  if (kind.pot === 'none') return null;
  const what = kind.pot === 'resin' ? 'Resin' : 'Compound';
  const compound = dossier.certificate?.sheet.compound ?? null;
  return (
    <details className="bench-panel" open>
      <summary>
        {what}: {dossier.pours.length === 0 ? 'no mixing recorded' : count(dossier.pours.length, 'mixing')}
      </summary>
      <div>
        {compound && <Needed dossier={dossier} />}
        <ul>
          {dossier.pours.map((pour) => (
            <PourLine key={pour.id} pour={pour} dossier={dossier} round={round} sealed={sealed} />
          ))}
        </ul>
        {!compound && (
          <p>The sheet says nothing about a compound. Complete it under Dossier, Certificates.</p>
        )}
        {compound && !sealed && !open && (
          <Button variant="default" onClick={() => setOpen(true)}>
            Record a mixing
          </Button>
        )}
        {compound && open && <PourForm entry={entry} round={round} onDone={() => setOpen(false)} />}
        <p className="quiet">Gloves and goggles; keep to the data sheet.</p>
      </div>
    </details>
  );
}

/** How much has to be mixed for this cable. */
function Needed({ dossier: { size, cable, certificate } }: { dossier: Dossier }) {
  const pot = size?.pot;
  const compound = certificate?.sheet.compound;
  if (!pot || !cable || !compound) return null;
  const taken = cable.cores.reduce((sum, { count: n, diameterMm }) => sum + n * diameterMm ** 2, 0);
  if (taken >= pot.boreMm ** 2) return <p>The cores fill the whole pot: take a larger size.</p>;
  const fill = compoundFill(pot.boreMm, pot.depthMm, cable.cores, compound.wastePct, compound.packMl);
  return (
    <p>
      {compound.name}: {figure(fill.neededMl, 1)} ml with {compound.wastePct} % waste,{' '}
      {count(fill.packs, 'pack')} of {compound.packMl} ml, ratio {compound.ratio}; it fills{' '}
      {figure(fill.freePct, 0)} % of the pot. Not mixed below {compound.minimumC} °C.
    </p>
  );
}

const moment = (iso: string) =>
  new Date(iso).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });

function PourLine({
  pour,
  dossier,
  round,
  sealed,
}: {
  pour: Pour;
  dossier: Dossier;
  round: Id;
  sealed: boolean;
}) {
  const [lowest, setLowest] = useState(pour.lowestC === null ? '' : String(pour.lowestC));
  const compound = dossier.certificate?.sheet.compound;
  const clocks = compound ? clocksOf(compound, pour) : null;
  const own = pour.round === round;
  const keep = () => {
    const value = Number(lowest.replace(',', '.').replace('−', '-'));
    if (lowest.trim() === '' || !Number.isFinite(value))
      return say('Type the lowest temperature in °C, for example 14.5.');
    give('pour.edit', { id: pour.id, set: { lowestC: value } }, 'The lowest temperature is kept.');
  };
  return (
    <li>
      Batch {pour.batch ?? 'unknown'}, expires {pour.expires ?? 'unknown'}; mixed {moment(pour.mixedAt)} at{' '}
      {pour.temperatureC === null ? 'an unknown temperature' : `${figure(pour.temperatureC, 1)} °C`},{' '}
      {pour.packedAt ? `packed ${moment(pour.packedAt)}` : 'not packed yet'}.{' '}
      {clocks && (
        <>
          Stiff at {moment(clocks.stiffAt)}
          {clocks.lookAt && `, look from ${moment(clocks.lookAt)}`}
          {clocks.energiseAt && `, energise from ${moment(clocks.energiseAt)}`}.{' '}
        </>
      )}
      {pour.lookedAt ? `Looked at ${moment(pour.lookedAt)}.` : 'Not looked at yet.'}
      {own && !sealed && (
        <span className="look-foot">
          <input
            className="note"
            inputMode="decimal"
            aria-label="Lowest temperature since packing, °C"
            placeholder="Lowest since packing, °C"
            value={lowest}
            onChange={(event) => setLowest(event.target.value)}
          />
          <button type="button" onClick={keep}>
            Keep
          </button>
          {pour.lookedAt === null && (
            <button
              type="button"
              onClick={() =>
                give('pour.edit', { id: pour.id, set: { lookedAt: now() } }, 'The look is kept.')
              }
            >
              Opened and looked at now
            </button>
          )}
        </span>
      )}
    </li>
  );
}

const local = (iso: string) => {
  const at = new Date(iso);
  at.setMinutes(at.getMinutes() - at.getTimezoneOffset());
  return at.toISOString().slice(0, 16);
};

function PourForm({ entry, round, onDone }: { entry: Id; round: Id; onDone: () => void }) {
  const [batch, setBatch] = useState('');
  const [expires, setExpires] = useState('');
  const [ratio, setRatio] = useState('');
  const [mixedAt, setMixedAt] = useState(() => local(now()));
  const [packedAt, setPackedAt] = useState(() => local(now()));
  const [temperature, setTemperature] = useState('');
  const [problem, setProblem] = useState('');
  const save = () => {
    const degrees =
      temperature.trim() === '' ? null : Number(temperature.replace(',', '.').replace('−', '-'));
    if (degrees !== null && !Number.isFinite(degrees))
      return setProblem('Temperature: type a number, for example 18.5.');
    if (!mixedAt || !packedAt) return setProblem('Say when it was mixed and when it was packed.');
    const payload = {
      id: device.id(),
      entry,
      round,
      batch: batch.trim() || null,
      expires: expires || null,
      ratioKept: ratio === '' ? null : ratio === 'yes',
      mixedAt: new Date(mixedAt).toISOString(),
      packedAt: new Date(packedAt).toISOString(),
      temperatureC: degrees,
      lowestC: null,
      lookedAt: null,
    };
    if (give('pour.record', payload, 'The mixing is kept.')) onDone();
  };
  const field = (title: string, type: string, value: string, onChange: (text: string) => void) => (
    <label className="field">
      <span>{title}</span>
      <input type={type} value={value} onChange={(event) => onChange(event.target.value)} />
    </label>
  );
  return (
    <form
      className="pour-form"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      {field('Batch on the label', 'text', batch, setBatch)}
      {field('Expires', 'date', expires, setExpires)}
      <label className="field">
        <span>Ratio of the sheet kept</span>
        <select value={ratio} onChange={(event) => setRatio(event.target.value)}>
          <option value="">not recorded</option>
          <option>yes</option>
          <option>no</option>
        </select>
      </label>
      {field('Mixed at', 'datetime-local', mixedAt, setMixedAt)}
      {field('Packed at', 'datetime-local', packedAt, setPackedAt)}
      {field('Temperature at mixing, °C', 'text', temperature, setTemperature)}
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      <div>
        <Button type="submit">Keep the mixing</Button>{' '}
        <Button variant="default" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
