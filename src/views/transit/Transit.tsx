import { listed } from '../../ui/list/source';
import { SideList } from '../../ui/list/SideList';
import { TabBar } from '../../ui/TabBar';
import type { EntryState } from '../../core/record/finding';
import type { BlockAt } from '../../core/rulebook/transit-planned';
import { blocksOf } from './failed-blocks';
import { useState } from 'react';
import { KINDS } from '../../core/kinds/kinds';
import { isSealed } from '../../core/commands/apply-inspection';
import type { Slice } from '../../core/record/slice';
import type { Entry, Id, PackedOpening } from '../../core/record/types';
import { askedLooks } from '../../core/rulebook/asked';
import { assessDossier, standingState } from '../../core/rulebook/assess';
import { currentRound, dossierOf, type Dossier } from '../../core/rulebook/dossier';
import { STATE_WORDS } from '../../core/words/en/labels';
import { now } from '../../client/clock';
import { glyphOfState } from '../../ui/glyph-state';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { device, say, useStatuses } from '../hand/hand';
import { give } from '../hand/give';
import { JudgementColumn } from '../judging/JudgementColumn';
import { LookCard } from '../judging/LookCard';
import { Root } from '../frame/Root';
import { Board } from './Board';
import { OneMoreTab } from './OneMoreTab';
import { Planner } from './Planner';
import { SealantTab } from './SealantTab';
import './transit.css';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { tabIn, useAddress } from '../hand/address';

const TABS = [
  ['board', 'Board'],
  ['plan', 'Packing planner'],
  ['more', 'One more cable'],
  ['looks', 'Looked at'],
] as const;
type Tab = (typeof TABS)[number][0];

/** Transit board: one frame with its openings, as packed and as found, what is wrong, and how to pack it anew. */
export default function TransitBoard() {
  const [{ entry, ...address }, open] = useAddress('entry', 'tab');
  const tab = tabIn(TABS, address.tab);
  return (
    <Root
      view="transit"
      keys={TABS.map(([id, title], i) => ({
        key: String(i + 1),
        title: `Open ${title.toLowerCase()}`,
        run: () => open({ tab: id }),
      }))}
    >
      {({ slice, site }) => {
        const entries = slice.by('entry', 'site', site).filter(({ kind }) => KINDS[kind].transit !== null);
        const chosen = entries.find(({ id }) => id === entry) ?? entries[0] ?? null;
        const dossier = chosen && dossierOf(slice, chosen.id, currentRound(slice, chosen.id, site));
        return (
          <div className="transit">
            <TransitList
              slice={slice}
              entries={entries}
              current={chosen?.id ?? null}
              onOpen={(id) => open({ entry: id })}
            />
            {dossier ? (
              <One
                key={dossier.entry.id}
                slice={slice}
                dossier={dossier}
                tab={tab}
                onTab={(next) => open({ tab: next })}
              />
            ) : (
              <main id="main" tabIndex={-1}>
                <p>
                  No transit is recorded at this site. Add an entry of a transit kind with its frame, under{' '}
                  <a href={`/dossier/?site=${site}&table=entry`}>Dossier, Entries</a>.
                </p>
              </main>
            )}
          </div>
        );
      }}
    </Root>
  );
}

function One({
  slice,
  dossier,
  tab,
  onTab,
}: {
  slice: Slice;
  dossier: Dossier;
  tab: Tab;
  onTab: (tab: Tab) => void;
}) {
  const { entry, enclosure, certificate, round, site } = dossier;
  const sheet = certificate?.sheet.transit ?? null;
  const { findings, status } = assessDossier(slice, dossier, now());
  const [selected, setSelected] = useState<string | null>(null);
  const [block, setBlock] = useState<BlockAt | null>(null);
  const defects = slice.by('defect', 'entry', entry.id);
  const keep = (openings: PackedOpening[], words = 'The packing is kept.') =>
    give('packing.set', { id: entry.id, entry: entry.id, openings }, words);
  const sealed = round !== null && isSealed(slice, entry.id, round.id);
  const missing = !sheet
    ? 'The approval on file says nothing about blocks or sealant. Complete its assembly sheet under Dossier, Certificates.'
    : !entry.frame
      ? 'The frame and its openings are not recorded. Record them on the entry, under Dossier, Entries.'
      : null;
  return (
    <>
      <main id="main" tabIndex={-1}>
        <TabBar label="Transit board" tabs={TABS} value={tab} onChange={onTab}>
          <h1>
            {enclosure.tag}, entry {entry.label}
          </h1>
          <p className="no-print">
            {kindTitle(entry.kind)}, {certificate?.number ?? 'no approval on file'}
            {entry.frame && `, ${entry.frame.where} of ${entry.frame.wallDepthMm} mm`};{' '}
            <a href={`/bench/?site=${site.id}&entry=${entry.id}`}>to its bench</a>,{' '}
            <a href={`/makeoff/?site=${site.id}&entry=${entry.id}`}>to its make-off</a>
          </p>
          {missing && <p className="make-safe">{missing}</p>}
          {!missing && tab === 'board' && sheet && (
            <>
              {KINDS[entry.kind].transit === 'sealant' ? (
                <SealantTab
                  slice={slice}
                  dossier={dossier}
                  sheet={sheet}
                  onChange={(openings) => keep(openings, '')}
                />
              ) : (
                <Board
                  slice={slice}
                  dossier={dossier}
                  sheet={sheet}
                  findings={findings}
                  selected={block}
                  onSelect={setBlock}
                  onChange={(openings) => keep(openings, '')}
                  onPlan={() => onTab('plan')}
                />
              )}
            </>
          )}
          {!missing && tab === 'plan' && sheet && (
            <>
              {sheet.blocks.length > 0 ? (
                <Planner
                  slice={slice}
                  dossier={dossier}
                  sheet={sheet}
                  onTake={(openings) => {
                    if (keep(openings)) onTab('board');
                  }}
                />
              ) : (
                <p>Sealant is planned on the board itself: drag the cables to where they go.</p>
              )}
            </>
          )}
          {!missing && tab === 'more' && sheet && <OneMoreTab dossier={dossier} sheet={sheet} />}
          {tab === 'looks' && (
            <div className="transit-looks">
              {!round && <p>This entry belongs to no round yet. Add it to one under Dossier, Rounds.</p>}
              {round &&
                askedLooks(dossier).map((look) => (
                  <LookCard
                    key={look.id}
                    look={look}
                    given={dossier.looks.get(look.id)}
                    recorded={dossier.recorded.has(look.id)}
                    sealed={sealed}
                    onAnswer={({ id: name }, given) =>
                      void give('look.answer', {
                        id: device.id(),
                        entry: entry.id,
                        round: round.id,
                        look: name,
                        ...given,
                      })
                    }
                  />
                ))}
            </div>
          )}
        </TabBar>
      </main>
      <JudgementColumn
        dossier={dossier}
        findings={findings}
        status={status}
        hidden={0}
        defects={defects}
        selected={selected}
        onSelect={(finding) => {
          const { check } = finding;
          setSelected(check);
          // A finding leads to the block that it speaks of.
          const [first] = blocksOf(finding);
          if (first) setBlock(first);
          const place = KINDS[entry.kind].looks.some(({ id }) =>
            findings.some((f) => f.check === check && f.facts.look === id),
          );
          onTab(place && !first ? 'looks' : 'board');
        }}
        onRaise={() => {
          say('Raise it on the bench, with photographs and an action.');
          location.assign(`/bench/?site=${site.id}&entry=${entry.id}`);
        }}
      />
    </>
  );
}

function TransitList({
  slice,
  entries,
  current,
  onOpen,
}: {
  slice: Slice;
  entries: readonly Entry[];
  current: Id | null;
  onOpen: (id: Id) => void;
}) {
  const statusOf = useStatuses();
  const rows = entries
    .map((entry) => {
      const status = statusOf(entry.id);
      const state: EntryState = status ? standingState(status) : 'incomplete';
      const box = slice.get('enclosure', entry.enclosure);
      return { entry, tag: box?.tag ?? '', what: box?.what ?? '', state };
    })
    .sort((a, b) => (`${a.tag} ${a.entry.label}` < `${b.tag} ${b.entry.label}` ? -1 : 1));
  const source = listed(rows, {
    key: ({ entry }) => entry.id,
    words: ({ entry, tag, what }) => `${tag} ${entry.label} ${what} ${kindTitle(entry.kind)}`,
    only: { state: ({ state }, value) => state === value },
  });
  return (
    <SideList
      label="Transits"
      source={source}
      search="Wall, deck or kind"
      filters={[
        { id: 'state', label: 'Show', options: [['', 'every transit'], ...Object.entries(STATE_WORDS)] },
      ]}
      keyOf={({ entry }) => entry.id}
      current={current}
      onOpen={onOpen}
      mark={({ state }) => <SealGlyph state={glyphOfState(state)} label={STATE_WORDS[state]} />}
      title={({ tag, entry }) => `${tag}, entry ${entry.label}`}
      beside={({ entry, what }) => `${kindTitle(entry.kind)}; ${what}`}
    />
  );
}
