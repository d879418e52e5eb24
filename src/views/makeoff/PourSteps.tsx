import { Button, Checkbox, TextInput, Group } from '@mantine/core';
import { useEffect, useState } from 'react';
import { now } from '../../client/clock';
import { currentInstruments } from '../../core/record/instruments';
import { packsOf } from '../../core/finder/schedule';
import { compoundTimes } from '../../core/gland/compound';
import { sends } from '../../core/instrument/simulator';
import type { CompoundData, MakeOff, Pour } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { clocksOf } from '../../core/rulebook/judge-pour';
import { count, figure, moment } from '../../core/words/en/format';
import { fieldOf, useMeasure, type Measure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { device, instrument as hand, say } from '../hand/hand';
import { give } from '../hand/give';
import { LiveValue } from './PlaceField';

interface Props {
  dossier: Dossier;
  work: MakeOff;
}

/** Pours of this work, the newest last. */
const ownPours = ({ pours }: Dossier, work: MakeOff): Pour[] =>
  pours.filter(({ round, at }) => round === work.round && at >= work.at);

const NO_SHEET = (
  <p className="tone-failed">
    The sheet says nothing about a compound. Complete it under Certificates first.
  </p>
);

/** Mixing: batch, expiry, ratio and temperature; the working life runs from here. */
export function MixStep({ dossier, work, packs }: Props & { packs: boolean }) {
  const compound = dossier.certificate?.sheet.compound ?? null;
  if (!compound) return NO_SHEET;
  const pours = ownPours(dossier, work);
  return (
    <div className="pour-step">
      {pours.map((pour) => {
        const clocks = clocksOf(compound, pour);
        return (
          <p key={pour.id}>
            Mixed {moment(pour.mixedAt)}, batch {pour.batch ?? 'unknown'}
            {clocks && `; stiff at ${moment(clocks.stiffAt)}`}.
          </p>
        );
      })}
      <MixForm dossier={dossier} work={work} packs={packs} compound={compound} again={pours.length > 0} />
    </div>
  );
}

interface MixFormProps extends Props {
  /** Whether it is packed with the mixing, as an injected resin is. */
  packs: boolean;
  compound: CompoundData;
  again: boolean;
}

function MixForm({ dossier, work, packs, compound, again }: MixFormProps) {
  const [batch, setBatch] = useState('');
  const [expires, setExpires] = useState('');
  const [ratio, setRatio] = useState(false);
  const degrees = useMeasure('temperature');
  const mix = () => {
    const temperatureC = degrees.need();
    if (temperatureC === null) return;
    if (!compoundTimes(compound, temperatureC).mayMix)
      return say(`${compound.name} is not mixed below ${compound.minimumC} °C. Warm it up first.`);
    const at = now();
    give('pour.record', {
      id: device.id(), entry: work.entry, round: work.round, batch: batch.trim() || null, expires: expires || null,
      ratioKept: ratio, mixedAt: at, packedAt: packs ? at : null, temperatureC, lowestC: packs ? temperatureC : null, lookedAt: null,
    }, packs ? 'The injection is kept.' : 'Mixed: its working life runs.'); // prettier-ignore
  };
  return (
    <>
      <MixWords dossier={dossier} compound={compound} temperatureC={degrees.value} />
      <Group className="place-row" gap="0 12px" align="flex-end">
        <TextInput
          mb="xs"
          label="Batch on the label"
          value={batch}
          maxLength={60}
          onChange={(event) => setBatch(event.target.value)}
        />
        <TextInput
          mb="xs"
          label="Expires"
          type="date"
          value={expires}
          onChange={(event) => setExpires(event.target.value)}
        />
      </Group>
      <Degrees title="Temperature now" measure={degrees} site={work.site} />
      <Checkbox
        size="md"
        mb="xs"
        mih={48}
        label={`Mixed ${compound.ratio}, as the sheet says`}
        checked={ratio}
        onChange={(event) => setRatio(event.currentTarget.checked)}
      />
      <Button onClick={mix} variant="default">
        {packs ? 'Injected now' : again ? 'Mixed again now' : 'Mixed now'}
      </Button>
    </>
  );
}

interface MixWordsProps {
  dossier: Dossier;
  compound: CompoundData;
  temperatureC: number | null;
}

/** How much of what, and how long it works at this temperature. */
function MixWords({ dossier: { cable, certificate, size }, compound, temperatureC }: MixWordsProps) {
  const needed = cable && size ? packsOf(cable, certificate!, size) : 0;
  const times = temperatureC === null ? null : compoundTimes(compound, temperatureC);
  return (
    <p>
      {compound.name}, ratio {compound.ratio}: {needed > 0 ? count(needed, 'pack') : 'packs not known'}. Works
      for {figure(times?.workingMinutes ?? compound.workingMinutes, 0)} min
      {temperatureC === null ? ` at ${compound.referenceC} °C` : ` at ${figure(temperatureC, 1)} °C`}; not
      mixed below {compound.minimumC} °C.
    </p>
  );
}

/** A temperature, typed or taken from the thermometer. */
function Degrees({ title, measure, site }: { title: string; measure: Measure; site: string }) {
  const thermometer =
    currentInstruments(device.state().slice, site).find((one) => one.kind === 'thermometer' && sends(one)) ??
    null;
  useEffect(() => {
    hand.hold(thermometer);
    return () => hand.hold(null);
  }, [thermometer?.id]); // eslint-disable-line react-hooks/exhaustive-deps
  const take = () => {
    const { line } = hand;
    if (line?.fault)
      return say(
        `${thermometer!.tag} is past its calibration date or outside its span and does not send. Type the temperature.`,
      );
    if (!line?.stable || line.value === null) {
      if (!line || line.value === null) hand.handle({ target: AMBIENT_C });
      return say(`${thermometer!.tag} is creeping towards the temperature; take it when it rests.`);
    }
    measure.setText(figure(line.value, 1));
  };
  return (
    <Group className="place-row" gap="0 12px" align="flex-end">
      <MeasureInput label={title} {...fieldOf(measure)} />
      {thermometer && (
        <Button variant="default" onClick={take}>
          <span>
            {thermometer.tag} <LiveValue of={thermometer.id} />
          </span>
        </Button>
      )}
    </Group>
  );
}

/** What the simulated thermometer stands in unless somebody holds it elsewhere, °C. */
const AMBIENT_C = 18;

/** Packing: ends the working life and begins the cure. */
export function PackStep({ dossier, work }: Props) {
  const compound = dossier.certificate?.sheet.compound ?? null;
  const pour = ownPours(dossier, work).pop();
  if (!pour || !compound)
    return <p className="tone-failed">Nothing is mixed yet: record the mixing first.</p>;
  const clocks = clocksOf(compound, pour);
  if (pour.packedAt) {
    const late = clocks && Date.parse(pour.packedAt) > Date.parse(clocks.stiffAt);
    return (
      <p className={late ? 'tone-failed' : ''}>
        Packed {moment(pour.packedAt)}
        {late
          ? ', after it had stiffened: take it out and pack fresh compound.'
          : ', within its working life.'}
      </p>
    );
  }
  const pack = () =>
    give(
      'pour.edit',
      { id: pour.id, set: { packedAt: now(), lowestC: pour.temperatureC } },
      'Packed: the cure runs.',
    );
  return (
    <div className="pour-step">
      <p>
        Mixed {moment(pour.mixedAt)}
        {clocks && `; stiff at ${moment(clocks.stiffAt)}`}.
      </p>
      <Button variant="default" onClick={pack}>
        Packed now
      </Button>
    </div>
  );
}

/** The cure: the lowest temperature since packing, and the look once it is over. */
export function CureStep({ dossier, work }: Props) {
  const compound = dossier.certificate?.sheet.compound ?? null;
  const pour = ownPours(dossier, work).pop();
  const degrees = useMeasure('temperature');
  if (!pour || !compound || pour.packedAt === null)
    return <p className="tone-failed">Nothing is packed yet.</p>;
  const clocks = clocksOf(compound, pour);
  const keep = () => {
    const value = degrees.need();
    if (value === null) return;
    give('pour.edit', { id: pour.id, set: { lowestC: value } }, 'The lowest temperature is kept.');
  };
  const look = () => {
    if (clocks?.lookAt && Date.parse(now()) < Date.parse(clocks.lookAt)) {
      return say(`It cures until ${moment(clocks.lookAt)}. Opened earlier, the look counts for nothing.`);
    }
    give('pour.edit', { id: pour.id, set: { lookedAt: now() } }, 'The look is kept. Now say what you saw.');
  };
  return (
    <div className="pour-step">
      <p>
        Packed {moment(pour.packedAt)}; lowest since{' '}
        {pour.lowestC === null ? 'not recorded' : `${figure(pour.lowestC, 1)} °C`}
        {clocks?.lookAt && `; look from ${moment(clocks.lookAt)}`}.{' '}
        {pour.lookedAt && `Opened and looked at ${moment(pour.lookedAt)}.`}
      </p>
      <Degrees title="Lowest since packing" measure={degrees} site={work.site} />
      <Group gap="sm" my="sm">
        <Button variant="default" onClick={keep}>
          Keep the lowest
        </Button>
        {pour.lookedAt === null && (
          <Button variant="default" onClick={look}>
            Opened and looked at now
          </Button>
        )}
      </Group>
    </div>
  );
}
