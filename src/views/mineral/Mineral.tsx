import { NativeSelect, TextInput, UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import { historyOf, stateOfTest } from '../../core/rulebook/cable-tests';
import type { Slice } from '../../core/record/slice';
import type { Cable, Id } from '../../core/record/types';
import { now } from '../../client/clock';
import { SealGlyph, type GlyphState } from '../../ui/heart/SealGlyph';
import { Root } from '../frame/Root';
import { Drying } from '../testing/Drying';
import { BothEnds } from './BothEnds';
import { Insulation } from './Insulation';
import { LinkTool } from './LinkTool';
import { MarkOut } from './MarkOut';
import './mineral.css';
import { testsOf } from '../testing/tests-of';
import { tabIn, useAddress } from '../hand/address';

const TABS = [
  ['insulation', 'Insulation'],
  ['ends', 'Both ends'],
  ['drying', 'Drying out'],
  ['marks', 'Marking out'],
  ['link', 'Length of a link'],
] as const;

/** Mineral desk: one mineral-insulated cable, its insulation over the years, its marks and its length. */
export default function MineralDesk() {
  const [{ cable, ...address }, open] = useAddress('cable', 'tab');
  const tab = tabIn(TABS, address.tab);
  return (
    <Root
      view="mineral"
      keys={TABS.map(([id, title], i) => ({
        key: String(i + 1),
        title: `Open ${title.toLowerCase()}`,
        run: () => open({ tab: id }),
      }))}
    >
      {({ slice, site }) => {
        const cables = slice.by('cable', 'site', site).filter(({ mineral }) => mineral !== null);
        const chosen = cables.find(({ id }) => id === cable) ?? cables[0] ?? null;
        return (
          <div className="mineral">
            <CableList
              slice={slice}
              cables={cables}
              current={chosen?.id ?? null}
              onOpen={(id) => open({ cable: id })}
            />
            <main id="main" tabIndex={-1}>
              <nav className="mineral-tabs" aria-label="Mineral desk">
                {TABS.map(([id, title]) => (
                  <UnstyledButton
                    key={id}
                    aria-current={id === tab ? 'page' : undefined}
                    onClick={() => open({ tab: id })}
                  >
                    {title}
                  </UnstyledButton>
                ))}
              </nav>
              <h1>
                {tab === 'marks' || tab === 'link'
                  ? TABS.find(([id]) => id === tab)![1]
                  : (chosen?.tag ?? 'Mineral desk')}
              </h1>
              {tab === 'insulation' &&
                (chosen ? (
                  <Insulation key={chosen.id} slice={slice} cable={chosen} />
                ) : (
                  <NoCable site={site} />
                ))}
              {tab === 'ends' &&
                (chosen ? (
                  <BothEnds key={chosen.id} slice={slice} cable={chosen} />
                ) : (
                  <NoCable site={site} />
                ))}
              {tab === 'drying' &&
                (chosen ? <Drying key={chosen.id} slice={slice} cable={chosen} /> : <NoCable site={site} />)}
              {tab === 'marks' && <MarkOut key={chosen?.id} slice={slice} cable={chosen} />}
              {tab === 'link' && <LinkTool key={chosen?.id} cable={chosen} />}
            </main>
          </div>
        );
      }}
    </Root>
  );
}

function NoCable({ site }: { site: Id }) {
  return (
    <p>
      No cable of this site is recorded as mineral insulated. Record conductors and limits on the cable, under{' '}
      <a href={`/dossier/?site=${site}&table=cable`}>Dossier, Cables</a>.
    </p>
  );
}

/** Where a cable stands by its newest complete test. */
function standing(slice: Slice, cable: Cable): { glyph: GlyphState; words: string } {
  const tests = testsOf(slice, cable.id).filter(({ drying }) => !drying);
  const newest = tests[tests.length - 1];
  if (!newest) return { glyph: 'unread', words: 'never tested' };
  const { judged, missing } = stateOfTest(cable, newest, Date.parse(now()));
  const verdicts = [...judged.values()].map(({ verdict }) => verdict);
  if (verdicts.includes('short')) return { glyph: 'large', words: 'short' };
  if (verdicts.includes('invalid')) return { glyph: 'unread', words: 'test again' };
  if (verdicts.includes('damp')) return { glyph: 'large', words: 'damp' };
  if (missing.length > 0) return { glyph: 'unread', words: 'not all read' };
  const { crossing } = historyOf(cable, tests);
  return crossing && crossing.t - Date.parse(now()) < YEARS_AHEAD_MS
    ? { glyph: 'close', words: 'falling' }
    : { glyph: 'fits', words: 'sound' };
}

/** A forecast nearer than this is worth a word, ms: three years. */
const YEARS_AHEAD_MS = 3 * 365 * 86_400_000;

function CableList({
  slice,
  cables,
  current,
  onOpen,
}: {
  slice: Slice;
  cables: readonly Cable[];
  current: Id | null;
  onOpen: (id: Id) => void;
}) {
  const [text, setText] = useState('');
  const [state, setState] = useState('');
  const rows = cables.map((cable) => ({ cable, ...standing(slice, cable) }));
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = rows.filter(
    ({ cable, words: said }) =>
      (state === '' || said === state) &&
      words.every((word) => `${cable.tag} ${cable.from} ${cable.to}`.toLowerCase().includes(word)),
  );
  return (
    <aside>
      <TextInput
        className="field"
        label="Cable, from or to"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <NativeSelect
        className="field"
        label="Show"
        value={state}
        onChange={(event) => setState(event.target.value)}
      >
        <option value="">every cable</option>
        {[...new Set(rows.map(({ words: said }) => said))].map((said) => (
          <option key={said}>{said}</option>
        ))}
      </NativeSelect>
      {cables.length > 0 && shown.length === 0 && <p>Nothing matches. Clear the search.</p>}
      <ul>
        {shown.map(({ cable, glyph, words: said }) => (
          <li key={cable.id}>
            <UnstyledButton
              aria-current={cable.id === current ? 'page' : undefined}
              onClick={() => onOpen(cable.id)}
            >
              <SealGlyph state={glyph} label={said} />
              <span>
                <b>{cable.tag}</b> <small>{said}</small>
                <small className="from-to">
                  {cable.from} to {cable.to}
                </small>
              </span>
            </UnstyledButton>
          </li>
        ))}
      </ul>
    </aside>
  );
}
