import { Button, Group } from '@mantine/core';
import { fetched } from '../../ui/fetched';
import { memo, Suspense, useRef, useState } from 'react';
import { KINDS } from '../../core/kinds/kinds';
import type { Finding } from '../../core/record/finding';
import type { Slice } from '../../core/record/slice';
import type { Grade, Id } from '../../core/record/types';
import { asksFor } from '../../core/rulebook/grades';
import { rulesOf } from '../../core/rulebook/rules';
import { titleOf } from '../../core/words/en/kinds/titles';
import { Soon } from '../../ui/Soon';
import { Root } from '../frame/Root';
import { useViewKeys } from '../frame/view-keys';
import { useAddress } from '../hand/address';
import { give } from '../hand/give';
import { device, parameter, say } from '../hand/hand';
import { QUANTITY_OF } from '../hand/take';
import { JudgementColumn } from '../judging/JudgementColumn';
import { LookGroups } from '../judging/LookGroups';
import { benchKeys } from './bench-keys';
import './bench.css';
import { NextBar } from './NextBar';
import { NoEntry, NoRound } from './NoEntry';
import { Places } from './Places';
import { Section } from './Section';
import { Title } from './Title';
import { Tray, type TrayHandle } from './Tray';
import { useAnswers } from './use-answers';
import { useProof, type Proof } from './use-proof';
import { useJudged, type Judged } from './use-judged';
import { useRaising, type Raising } from './use-raising';
import { useTaking, type Taking } from './use-taking';
import { useWay, type Way } from './use-way';

const ProofBar = fetched(() => import('./ProofBar'));
const DefectSheet = fetched(() => import('./DefectSheet'));
const WalkList = fetched(() => import('./WalkList'));
const PourPanel = fetched(() => import('./PourPanel'));
const WorkPanel = fetched(() => import('./WorkPanel'));
const SealSheet = fetched(() => import('./SealSheet'));
const AsLeftSheet = fetched(() => import('../judging/AsLeftSheet'));
const CaliperPanel = fetched(() => import('../testing/CaliperPanel'));
const GaugePanel = fetched(() => import('../testing/GaugePanel'));

/** The bench: judge one entry. */
export default function Bench() {
  return <Root view="bench">{({ slice, site }) => <BenchHere slice={slice} site={site} />}</Root>;
}

/** It follows the records of its own entry, not every change of the device. */
const BenchHere = memo(function BenchHere({ slice, site }: { slice: Slice; site: Id }) {
  const [{ entry }, follow] = useAddress('entry', 'site', 'place', 'typed', 'defect');
  const chosen = entry ?? firstEntry(slice, site);
  const open = (id: Id) => follow({ entry: id, site, place: null, typed: null, defect: null });
  return <BenchOf slice={slice} entry={chosen} onOpen={open} key={chosen} />;
});

function firstEntry(slice: Slice, site: Id): Id | null {
  const rounds = slice.by('round', 'site', site).filter(({ closed }) => !closed);
  return rounds[rounds.length - 1]?.entries[0] ?? slice.by('entry', 'site', site)[0]?.id ?? null;
}

function BenchOf({ slice, entry, onOpen }: { slice: Slice; entry: Id | null; onOpen: (id: Id) => void }) {
  const [grade, setGrade] = useState<Grade | null>(null);
  const judged = useJudged(entry, grade);
  if (!judged) return <NoEntry />;
  if (!('round' in judged)) return <NoRound entry={judged.dossier.entry} slice={slice} />;
  return <OnBench judged={judged} onGrade={setGrade} onOpen={onOpen} />;
}

/** Sheets and panels that lie over the bench. */
type Over = 'seal' | 'as-left' | null;

function OnBench({
  judged,
  onGrade,
  onOpen,
}: {
  judged: Judged;
  onGrade: (grade: Grade) => void;
  onOpen: (id: Id) => void;
}) {
  const { dossier, round, grade, sealed } = judged;
  const entry = dossier.entry.id;
  const proof = useProof(judged);
  const way = useWay(entry, judged, proof && asksForSome(proof) ? proof.needed : null);
  const taking = useTaking(judged, way);
  const raising = useRaising(judged);
  const tray = useRef<TrayHandle>(null);
  const [over, setOver] = useState<Over>(null);
  const [panel, setPanel] = useState(false);
  // At tablet size and below the pad is part of the page; at the desk it opens on demand.
  const [pad, setPad] = useState(() => window.matchMedia(WITH_PAD).matches);
  const walk = (by: 1 | -1) => {
    const next = round.entries[round.entries.indexOf(entry) + by];
    if (next) onOpen(next);
  };
  const onSeal = () => setOver(sealed ? null : 'seal');
  const onPad = () => setPad(!pad);
  const onPanel = () => setPanel(!panel);
  useViewKeys(benchKeys({
    grade, way, taking, raising, onGrade, walk, onPanel, onPad, onSeal, onAsLeft: () => setOver('as-left'),
  })); // prettier-ignore
  const place = (id: string) => {
    way.goTo({ is: 'place', id });
    tray.current?.focus();
  };
  return (
        <div className={`bench${pad ? ' with-pad' : ''}`}>
          <Suspense fallback={<nav className="walk" style={{ gridArea: 'walk' }} aria-label="Walk" aria-busy="true" />}>
            <WalkList round={round} current={entry} onOpen={onOpen} />
          </Suspense>
          <Centre judged={judged} way={way} proof={proof} onGrade={onGrade} onPlace={place} />
          <Column judged={judged} raising={raising} way={way} />
          {panel && <Held taking={taking} way={way} />}
          <div className="bench-foot">
            <NextBar way={way} sealed={sealed} onSeal={onSeal} />
            <TrayOf judged={judged} taking={taking} way={way} raising={raising} pad={pad} handle={tray} onPad={onPad} onPanel={onPanel} />
          </div>
          <SideFoot judged={judged} onSeal={onSeal} onAsLeft={() => setOver('as-left')} />
          <Sheets judged={judged} raising={raising} over={over} onClose={() => setOver(null)} />
        </div>
  ); // prettier-ignore
}

/** Whether a re-inspection leads through some of what is asked: until it is proven, and where its check rested on any of it. */
const asksForSome = ({ defect, running, needed }: Proof): boolean =>
  running && defect.state !== 'proven' && needed.places.length + needed.looks.length > 0;

const WITH_PAD = '(max-width: 1240px) and (min-width: 621px) and (orientation: portrait)';

/** The drawing, the places and the looks of an entry. */
function Centre({
  judged,
  way,
  proof,
  onGrade,
  onPlace,
}: {
  judged: Judged;
  way: Way;
  proof: Proof | null;
  onGrade: (grade: Grade) => void;
  onPlace: (place: string) => void;
}) {
  const { dossier, round, views, groups, grade, sealed } = judged;
  const { here, active } = way;
  const answers = useAnswers(judged, way);
  const selected = active?.place.id ?? null;
  return (
    <main id="main" className="centre" style={{ gridArea: 'centre' }} tabIndex={-1}>
      <Title dossier={dossier} grade={grade} onGrade={onGrade} sealed={sealed} />
      <Suspense fallback={null}>{proof && <ProofBar proof={proof} />}</Suspense>
      <Section dossier={dossier} views={views} selected={selected} onSelect={onPlace} />
      <Places
        views={views}
        guarded={dossier.site.acceptance === 'guarded'}
        selected={here?.is === 'look' ? null : selected}
        eye={here?.is === 'place' ? here.id : null}
        sealed={sealed}
        onSelect={onPlace}
      />
      <Soon>
        <Suspense fallback={null}>
          <PourPanel dossier={dossier} entry={dossier.entry.id} round={round.id} sealed={sealed} />
        </Suspense>
        <LookGroups
          groups={groups}
          given={dossier.looks}
          recorded={dossier.recorded}
          sealed={sealed}
          active={here?.is === 'look' ? here.id : null}
          onActive={(id) => way.goTo({ is: 'look', id })}
          onAnswer={answers.answer}
          onTogether={answers.together}
        />
        <Suspense fallback={null}>
          <WorkPanel dossier={dossier} />
        </Suspense>
      </Soon>
    </main>
  );
}

/** The judgement; a press on a finding takes eye and keys to what would answer it. */
function Column({ judged, raising, way }: { judged: Judged; raising: Raising; way: Way }) {
  const { dossier, findings, status, opening, kind, grade, defects, views } = judged;
  const select = ({ check, place }: Finding) => {
    raising.select(check);
    if (place === null) return;
    way.goTo({ is: views.some((view) => view.place.id === place) ? 'place' : 'look', id: place });
  };
  return (
    <JudgementColumn
      dossier={dossier}
      findings={findings}
      status={status}
      opening={opening}
      hidden={rulesOf(kind.id).filter((rule) => !asksFor(grade, rule.grade)).length}
      defects={defects}
      selected={raising.check}
      onSelect={select}
      onRaise={raising.raise}
    />
  );
}

/** What a sending instrument is held against. */
function Held({ taking: { sending, nominalMm }, way: { active } }: { taking: Taking; way: Way }) {
  if (!sending) return null;
  const key = active?.place.id;
  return (
    <Suspense fallback={null}>
      {sending.kind === 'caliper' ? (
        <CaliperPanel key={key} nominalMm={nominalMm} />
      ) : (
        <GaugePanel key={key} instrument={sending} nominal={nominalMm} />
      )}
    </Suspense>
  );
}

/** The tray for the place that is active. */
function TrayOf({
  judged: { dossier, sealed },
  taking,
  way: { active },
  raising,
  ...rest
}: {
  judged: Judged;
  taking: Taking;
  way: Way;
  raising: Raising;
  pad: boolean;
  handle: React.RefObject<TrayHandle | null>;
  onPad: () => void;
  onPanel: () => void;
}) {
  // A reading that was not taken is opened again as it was typed.
  const typed = dossier.entry.id === parameter('entry') ? (parameter('typed') ?? '') : '';
  return (
    <Tray
      taking={taking}
      title={active ? titleOf(active.place) : 'Reading'}
      quantity={active ? QUANTITY_OF[active.place.unit] : 'length'}
      typed={typed}
      sealed={sealed}
      onRaise={() => raising.raise()}
      {...rest}
    />
  );
}

/** Where one goes from the bench, and its two seals. */
function SideFoot({
  judged: { dossier, sealed, kind },
  onSeal,
  onAsLeft,
}: {
  judged: Judged;
  onSeal: () => void;
  onAsLeft: () => void;
}) {
  const of = `?site=${dossier.site.id}&entry=${dossier.entry.id}`;
  return (
    <Group
      component="section"
      className="side-foot"
      gap={6}
      justify="space-between"
      p="4px 12px"
      style={{ gridArea: 'side' }}
      aria-label="Record"
    >
      <Button component="a" variant="default" px={9} href={`/defects/${of}`}>
        Defects
      </Button>
      {KINDS[kind.id].transit !== null && (
        <Button component="a" variant="default" px={9} href={`/transit/${of}`}>
          Board
        </Button>
      )}
      <Button component="a" variant="default" px={9} href={`/desk/${of}`}>
        Desk
      </Button>
      <Button variant="default" px={9} onClick={onAsLeft} disabled={sealed}>
        As left
      </Button>
      <Button variant="default" px={9} onClick={onSeal} disabled={sealed}>
        {sealed ? 'Sealed' : 'Seal'}
      </Button>
    </Group>
  );
}

/** Sheets over the bench: the seals, and a defect that was raised. */
function Sheets({
  judged: { dossier, round, findings, defects },
  raising,
  over,
  onClose,
}: {
  judged: Judged;
  raising: Raising;
  over: Over;
  onClose: () => void;
}) {
  const seal = () => {
    onClose();
    const of = { id: device.id(), entry: dossier.entry.id, round: round.id };
    // What is sealed is not undone.
    if (give('inspection.seal', of)) say('The inspection is sealed.');
  };
  return (
    <Suspense fallback={null}>
      {over === 'as-left' && <AsLeftSheet dossier={dossier} round={round.id} onClose={onClose} />}
      {over === 'seal' && (
        <SealSheet
          findings={findings}
          defects={defects}
          onRaiseAll={raising.raiseAll}
          onSeal={seal}
          onClose={onClose}
        />
      )}
      {raising.sheet && <DefectSheet key={raising.sheet} defect={raising.sheet} onClose={raising.close} />}
    </Suspense>
  );
}
