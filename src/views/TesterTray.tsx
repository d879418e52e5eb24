import './insulation.css';
import { Button } from '@mantine/core';
import { useEffect, useState } from 'react';
import { sends } from '../core/instrument/simulator';
import type { InsulationTest } from '../core/record/types';
import { device, instrument as hand, say, useInstrument } from './device';
import { give } from './give';
import { megohmWords } from './insulation-words';

/** The tester on one pair: its live value, or a typed one. */
export function TesterTray({
  test,
  pair,
  onRead,
}: {
  test: InsulationTest;
  pair: string;
  onRead: () => void;
}) {
  const line = useInstrument();
  const [typed, setTyped] = useState('');
  const [truth, setTruth] = useState('650');
  const tester = device.state().slice.get('instrument', test.instrument);
  const live = tester && sends(tester) ? tester : null;
  useEffect(() => {
    hand.hold(live);
    return () => hand.hold(null);
  }, [live?.id]); // eslint-disable-line react-hooks/exhaustive-deps
  const keep = (megohm: number, saturated: boolean) => {
    if (!give('insulation.read', { id: test.id, pair, megohm, saturated })) return;
    hand.handle({ target: null });
    setTyped('');
    onRead();
  };
  const take = () => {
    if (line?.fault)
      return say(`${tester!.tag} is past its calibration date or outside its span and does not send.`);
    if (!line?.stable || line.value === null || line.value <= 0)
      return say('The reading is still rising with the charge; take it when it rests.');
    keep(line.value, line.over);
  };
  const enter = () => {
    const over = /^\s*>/.test(typed);
    const plain = typed.replace('>', '').trim().replace(',', '.');
    const kilo = /k\s*(Ω|ohm)?$/i.test(plain);
    const value = Number.parseFloat(plain);
    if (!/^\d+(\.\d+)?\s*(k|M)?\s*(Ω|ohm)?$/i.test(plain) || !(value > 0)) {
      return say('Type megohms, for example 650, 0.35, 80k, or >1000 when the tester shows no more.');
    }
    keep(kilo ? value / 1000 : value, over);
  };
  return (
    <form
      className="tester"
      onSubmit={(event) => {
        event.preventDefault();
        enter();
      }}
    >
      <label className="field">
        <span>{pair}, MΩ</span>
        <input
          className="figures"
          inputMode="decimal"
          autoComplete="off"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <Button type="submit" variant="default">
        Enter
      </Button>
      {live && (
        <>
          <output className="figures" aria-label="Live value">
            {line?.instrument === live.id && line.value !== null
              ? megohmWords(Math.max(line.value, 0.0001), line.over)
              : '– –'}
            {line?.stable && ' at rest'}
          </output>
          <label className="field">
            <span>The simulated leads are on, MΩ</span>
            <input
              className="figures"
              inputMode="decimal"
              value={truth}
              onChange={(event) => setTruth(event.target.value)}
            />
          </label>
          <Button
            variant="default"
            onClick={() => Number(truth) > 0 && hand.handle({ target: Number(truth) })}
          >
            Test voltage on
          </Button>
          <Button onClick={take}>Take it</Button>
        </>
      )}
    </form>
  );
}
