import { UnstyledButton } from '@mantine/core';
import { nominalOf } from '../../core/rulebook/fit-task';
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { now } from '../../client/clock';
import { currentInstruments } from '../../core/record/instruments';
import { sends } from '../../core/instrument/simulator';
import { KINDS } from '../../core/kinds/kinds';
import { GRADES, type Grade, type Id } from '../../core/record/types';
import { isSealed } from '../../core/commands/apply-inspection';
import { askedLooks, askedPlaces } from '../../core/rulebook/asked';
import { currentRound, dossierOf, type Context } from '../../core/rulebook/dossier';
import type { Finding } from '../../core/record/finding';
import { asksFor } from '../../core/rulebook/grades';
import { assessDossier, openingSettles } from '../../core/rulebook/assess';
import { contextOf } from '../../core/rulebook/judge';
import { rulesOf } from '../../core/rulebook/rules';
import { NumberPad } from '../../ui/heart/NumberPad';
import type { KeyBinding } from '../../ui/keys';
import { device, instrument as hand, parameter, say, useDevice } from '../hand/hand';
import { give, undoLast } from '../hand/give';
import { Root, type ViewProps } from '../frame/Root';
import './bench.css';
import { CaliperPanel } from '../testing/CaliperPanel';
import { GaugePanel } from '../testing/GaugePanel';
import { pieceOf } from '../hand/piece';
import { PourPanel } from './PourPanel';
import { JudgementColumn } from '../judging/JudgementColumn';
import { LookCard, type LookAnswerGiven } from '../judging/LookCard';
import { instrumentsFor } from '../hand/instruments-for';
import { NoEntry, NoRound } from './NoEntry';
import { PlaceCard } from './PlaceCard';
import { inOrder, nextPlace, placeView } from './place-view';
import { Section } from './Section';
import { QUANTITY_OF, takeLive, takeTyped, type Target } from '../hand/take';
import { Title } from './Title';
import { Tray } from './Tray';
import { WalkList } from './WalkList';
import { WorkPanel } from './WorkPanel';
import { titleOf } from '../../core/words/en/kinds/titles';
import { useAddress } from '../hand/address';

const DefectSheet = lazy(() => import('./DefectSheet'));
const SealSheet = lazy(() => import('./SealSheet'));
const AsLeftSheet = lazy(() => import('../judging/AsLeftSheet'));

/** The bench: judge one entry. */
export default function Bench() {
  const { slice, site } = useDevice();
  const [{ entry }, follow] = useAddress('entry', 'site', 'place', 'typed');
  const chosen = entry ?? (site ? firstEntry(slice, site) : null);
  const open = (id: Id) => follow({ entry: id, site, place: null, typed: null });
  return <BenchOf entry={chosen} onOpen={open} key={chosen} />;
}

function firstEntry(slice: ViewProps['state']['slice'], site: Id): Id | null {
  const rounds = slice.by('round', 'site', site).filter(({ closed }) => !closed);
  return rounds[rounds.length - 1]?.entries[0] ?? slice.by('entry', 'site', site)[0]?.id ?? null;
}

function BenchOf({ entry, onOpen }: { entry: Id | null; onOpen: (id: Id) => void }) {
  const state = useDevice();
  const { slice } = state;
  const record = entry ? slice.get('entry', entry) : null;
  const round = record ? currentRound(slice, record.id, record.site) : null;
  const dossier = record ? dossierOf(slice, record.id, round) : null;
  const [grade, setGrade] = useState<Grade | null>(null);
  const asked = grade ?? round?.grade ?? 'detailed';
  const [place, setPlace] = useState<string | null>(() =>
    entry === parameter('entry') ? parameter('place') : null,
  );
  const [check, setCheck] = useState<string | null>(null);
  // A reading that was not taken is opened again as it was typed.
  const [typed, setTyped] = useState(() => (entry === parameter('entry') ? (parameter('typed') ?? '') : ''));
  // What was wrong with the text that was last entered; it goes with that text.
  const [problem, setProblem] = useState<{ text: string; said: string } | null>(null);
  // At tablet size and below the pad is part of the page; at the desk it opens on demand.
  const [pad, setPad] = useState(
    () => window.matchMedia('(max-width: 1240px) and (orientation: portrait)').matches,
  );
  const [panel, setPanel] = useState(false);
  const [sheet, setSheet] = useState<Id | null>(null);
  const [asLeft, setAsLeft] = useState(false);
  const [sealing, setSealing] = useState(false);
  const [more, setMore] = useState(false);
  const [chosenInstrument, setInstrument] = useState<Record<string, Id>>({});
  const input = useRef<HTMLInputElement>(null);

  const context: Context | null = dossier && contextOf(dossier, asked, now());
  const assessed = dossier ? assessDossier(slice, dossier, now(), asked) : null;
  const findings = assessed?.findings ?? [];
  const kind = dossier && KINDS[dossier.entry.kind];
  const views =
    context && kind
      ? inOrder(askedPlaces(context))
          .filter(({ grade: g }) => asksFor(asked, g))
          .map((p) => placeView(context, p, findings))
      : [];
  // Places that are measured only in doubt stay away until they are asked for.
  const shown = views.filter(
    ({ place: p, readings }) => more || p.wanted > 0 || readings.length > 0 || p.id === place,
  );
  const active =
    views.find((view) => view.place.id === place) ?? views.find((view) => view.place.id === nextPlace(views));
  const instruments =
    active && dossier
      ? instrumentsFor(currentInstruments(slice, dossier.site.id), active.place.instruments)
      : [];
  const instrument =
    instruments.find(({ id }) => id === chosenInstrument[active?.place.id ?? '']) ?? instruments[0] ?? null;
  const sealed = Boolean(entry && round && isSealed(slice, entry, round.id));
  const defects = entry ? slice.by('defect', 'entry', entry) : [];
  const stops = round?.entries ?? [];

  const simulated = instrument && sends(instrument) ? instrument : null;
  const nominalMm = dossier ? nominalOf(dossier, active?.place.id ?? '') : 20;
  useEffect(() => {
    hand.hold(simulated);
    // Another place, another thing between the jaws.
    if (simulated?.kind === 'caliper')
      hand.handle({ jaws: 'open', workpiece: pieceOf(nominalMm, 0.1), angleDeg: 0 });
    else if (simulated) hand.handle({ target: null });
  }, [simulated?.id, active?.place.id]); // eslint-disable-line react-hooks/exhaustive-deps

  const target = (): Target | null => {
    if (!entry || !round || !active) return null;
    if (!instrument) {
      say('No instrument on file measures this. Add one under Dossier, Instruments.');
      return null;
    }
    return { entry, round, place: active.place, instrument };
  };
  const afterReading = () => {
    setTyped('');
    if (active && active.readings.length + 1 >= active.place.wanted && place === null) setPlace(null);
  };
  const take = () => {
    const where = target();
    if (where && takeLive(where, hand.line, nominalMm)) afterReading();
  };
  const enter = () => {
    const where = target();
    if (!where) return;
    const said = takeTyped(where, typed);
    if (said === null) afterReading();
    setProblem(said ? { text: typed, said } : null);
  };
  const raise = (finding: Finding | undefined) => {
    if (!entry || !round) return;
    const failed =
      finding ??
      findings.find((f) => f.check === check && f.outcome === 'fails') ??
      firstUnraised(findings, defects);
    if (!failed) return say('No failed check is without a defect. Select a failed check first.');
    const existing = defects.find(
      (d) => d.check === failed.check && d.state !== 'done' && d.state !== 'proven',
    );
    if (existing) return setSheet(existing.id);
    const id = device.id();
    const payload = defectOf(id, entry, round.id, failed.check, asked);
    if (!give('defect.raise', payload, `Defect ${failed.check} is raised.`)) return;
    const again = device
      .state()
      .slice.by('defect', 'entry', entry)
      .find((d) => d.check === failed.check);
    setSheet(again?.id ?? id);
  };
  const step = (by: number) => {
    const at = views.findIndex((view) => view === active);
    const next = views[(at + by + views.length) % views.length];
    if (next) setPlace(next.place.id);
  };
  const walk = (by: number) => {
    const next = stops[stops.indexOf(entry ?? '') + by];
    if (next) onOpen(next);
  };
  const nextUnread = () => {
    const open = views.find(({ readings, place: p }) => p.wanted > 0 && readings.length < p.wanted);
    if (open) return setPlace(open.place.id);
    const looks = dossier ? askedLooks(dossier).filter((look) => asksFor(asked, look.grade)) : [];
    const unread = looks.find(({ id }) => !dossier?.looks.has(id));
    if (unread) goToLook(unread.id);
    else say('Nothing is unread here.');
  };
  const seal = () => {
    if (!entry || !round) return;
    setSealing(false);
    if (give('inspection.seal', { id: device.id(), entry, round: round.id }))
      say('The inspection is sealed.');
  };
  const raiseAll = (all: readonly Finding[]) => {
    if (!entry || !round) return;
    // Pressed twice, each is raised once.
    const raised = new Set(
      device
        .state()
        .slice.by('defect', 'entry', entry)
        .flatMap((one) => (one.state === 'proven' ? [] : one.check)),
    );
    for (const { check: of } of all)
      if (!raised.has(of))
        give('defect.raise', defectOf(device.id(), entry, round.id, of, asked), `Defect ${of} is raised.`);
  };
  const askToSeal = () => setSealing(Boolean(entry && round && !sealed));

  const roundId = round?.id ?? '';
  const answer = useCallback(
    (look: string, given: LookAnswerGiven) =>
      void give('look.answer', { id: device.id(), entry: entry ?? '', round: roundId, look, ...given }),
    [entry, roundId],
  );

  const typing = (key: string): KeyBinding => ({
    key,
    title: '',
    run: () => {
      setTyped((text) => text + key);
      input.current?.focus();
    },
  });
  const keys: KeyBinding[] = [
    { key: ' ', title: 'Take the reading that the instrument shows', run: take },
    { key: 'd', title: 'Raise a defect from the selected failed check', run: () => raise(undefined) },
    { key: 'u', title: 'Undo your last change', run: undoLast },
    { key: 'ArrowRight', title: 'Next place to measure', run: () => step(1) },
    { key: 'ArrowLeft', title: 'Place before', run: () => step(-1) },
    { key: 'w', title: 'Walk on to the next stop', run: () => walk(1) },
    { key: 'b', title: 'Back to the stop before', run: () => walk(-1) },
    {
      key: 'g',
      title: 'Next grade of inspection',
      run: () => setGrade(GRADES[(GRADES.indexOf(asked) + 1) % GRADES.length]!),
    },
    { key: 'j', title: 'Show what the instrument is held against', run: () => setPanel(!panel) },
    { key: 'n', title: 'Go to what is next unread', run: nextUnread },
    { key: 'p', title: 'Show the number pad', run: () => setPad(!pad) },
    { key: 's', title: 'Seal the inspection', run: askToSeal },
    { key: 'a', title: 'Seal how the entry was left', run: () => setAsLeft(true) },
  ];
  const digits = [...'0123456789.,'].map(typing);

  return (
    <Root view="bench" keys={keys} silent={digits}>
      {() => {
        if (!dossier || !context || !kind) return <NoEntry />;
        if (!round || !entry) return <NoRound entry={dossier.entry} slice={slice} />;
        return (
          <div className={`bench${pad ? ' with-pad' : ''}`}>
            <WalkList slice={slice} version={state.version} round={round} current={entry} onOpen={onOpen} />
            <main id="main" className="centre" tabIndex={-1}>
              <Title dossier={dossier} grade={asked} onGrade={setGrade} sealed={sealed} />
              <Section
                dossier={dossier}
                views={views}
                selected={active?.place.id ?? null}
                onSelect={setPlace}
              />
              <div className="places">
                {shown.map((view) => (
                  <PlaceCard
                    key={view.place.id}
                    view={view}
                    guarded={dossier.site.acceptance === 'guarded'}
                    selected={view === active}
                    sealed={sealed}
                    onSelect={() => {
                      setPlace(view.place.id);
                      input.current?.focus();
                    }}
                  />
                ))}
                {views.length > shown.length && (
                  <UnstyledButton className="more-places" onClick={() => setMore(true)}>
                    {views.length - shown.length} more places, measured only in doubt
                  </UnstyledButton>
                )}
              </div>
              <PourPanel dossier={dossier} entry={entry} round={round.id} sealed={sealed} />
              <div className="looks">
                {askedLooks(dossier)
                  .filter((look) => asksFor(asked, look.grade))
                  .map((look) => (
                    <LookCard
                      key={look.id}
                      look={look}
                      given={dossier.looks.get(look.id)}
                      recorded={dossier.recorded.has(look.id)}
                      sealed={sealed}
                      onAnswer={answer}
                    />
                  ))}
              </div>
              <WorkPanel dossier={dossier} />
            </main>
            <JudgementColumn
              dossier={dossier}
              findings={findings}
              status={assessed!.status}
              opening={openingSettles(dossier, asked, now())}
              hidden={rulesOf(kind.id).filter(({ grade }) => !asksFor(asked, grade)).length}
              defects={defects}
              selected={check}
              onSelect={(finding) => {
                setCheck(finding.check);
                if (finding.place && views.some((view) => view.place.id === finding.place))
                  setPlace(finding.place);
                else goToLook(finding.place);
              }}
              onRaise={raise}
            />
            {panel && simulated?.kind === 'caliper' && (
              <CaliperPanel key={`${active?.place.id}`} nominalMm={nominalMm} />
            )}
            {panel && simulated && simulated.kind !== 'caliper' && (
              <GaugePanel key={`${active?.place.id}`} instrument={simulated} nominal={nominalMm} />
            )}
            {pad && <NumberPad value={typed} onChange={setTyped} onEnter={enter} />}
            <Tray
              instruments={instruments}
              instrument={instrument}
              onInstrument={(id) => setInstrument({ ...chosenInstrument, [active?.place.id ?? '']: id })}
              placeTitle={active ? titleOf(active.place) : 'Reading'}
              quantity={active ? QUANTITY_OF[active.place.unit] : 'length'}
              problem={problem?.text === typed ? problem.said : null}
              typed={typed}
              onTyped={setTyped}
              onEnter={enter}
              onTake={take}
              onRaise={() => raise(undefined)}
              onPad={() => setPad(!pad)}
              onPanel={() => setPanel(!panel)}
              sealed={sealed}
              inputRef={input}
            />
            <section className="side-foot" aria-label="Record">
              <a href={`/defects/?site=${dossier.site.id}&entry=${entry}`}>Defects</a>
              <a href={`/desk/?site=${dossier.site.id}&entry=${entry}`}>Desk</a>
              <UnstyledButton onClick={() => setAsLeft(true)} disabled={sealed}>
                As left
              </UnstyledButton>
              <UnstyledButton onClick={askToSeal} disabled={sealed}>
                {sealed ? 'Sealed' : 'Seal'}
              </UnstyledButton>
            </section>
            <Suspense fallback={null}>
              {asLeft && <AsLeftSheet dossier={dossier} round={round.id} onClose={() => setAsLeft(false)} />}
              {sealing && (
                <SealSheet
                  findings={findings}
                  defects={defects}
                  onRaiseAll={raiseAll}
                  onSeal={seal}
                  onClose={() => setSealing(false)}
                />
              )}
              {sheet && <DefectSheet key={sheet} defect={sheet} onClose={() => setSheet(null)} />}
            </Suspense>
          </div>
        );
      }}
    </Root>
  );
}

/** Takes eye and keys to a look: its first answer has the focus. */
function goToLook(look: string | null): void {
  const card = document.getElementById(`look-${look}`);
  card?.scrollIntoView({ block: 'center' });
  card?.querySelector<HTMLElement>('.answers button')?.focus({ preventScroll: true });
}

/** A defect as it is raised from a check: nobody has said yet what is done about it. */
const defectOf = (id: Id, entry: Id, round: Id, check: string, grade: Grade) => ({
  id, entry, round, check, grade, photos: [], action: '', observation: null,
}); // prettier-ignore

const firstUnraised = (
  findings: readonly Finding[],
  defects: readonly { check: string | null; state: string }[],
) =>
  findings.find(
    (f) =>
      f.outcome === 'fails' &&
      !defects.some((d) => d.check === f.check && d.state !== 'done' && d.state !== 'proven'),
  );
