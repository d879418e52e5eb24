import { listed } from '../../ui/list/source';
import { SideList } from '../../ui/list/SideList';
import { TabBar } from '../../ui/TabBar';
import { historyOf, stateOfTest } from '../../core/rulebook/cable-tests';
import type { Slice } from '../../core/record/slice';
import type { Cable, Id } from '../../core/record/types';
import { now } from '../../client/clock';
import { SealGlyph, type GlyphState } from '../../ui/heart/SealGlyph';
import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import { KINDS } from '../../core/kinds/kinds';
import { KIND_IDS } from '../../core/record/kind-ids';
import { Root } from '../frame/Root';
import { tabKeys, useViewKeys } from '../frame/view-keys';
import { Drying } from '../testing/Drying';
import { BothEnds } from './BothEnds';
import { Insulation } from './Insulation';
import { LinkTool } from './LinkTool';
import { MarkOut } from './MarkOut';
import { testsOf } from '../testing/tests-of';
import { tabIn, useAddress } from '../hand/address';
import { device } from '../hand/hand';

const FarEntries = fetched(() => import('../hand/FarEntries'));

const MINERAL_KINDS = KIND_IDS.filter((kind) => KINDS[kind].mineral);

const TABS = [
  ['insulation', 'Insulation'],
  ['ends', 'Both ends'],
  ['drying', 'Drying out'],
  ['marks', 'Marking out'],
  ['link', 'Length of a link'],
] as const;

/** Mineral desk: one mineral-insulated cable, its insulation over the years, its marks and its length. */
export default function MineralDesk() {
  const [{ cable, end, ...address }, open] = useAddress('cable', 'end', 'tab');
  const tab = tabIn(TABS, address.tab);
  useViewKeys(tabKeys(TABS, (id) => open({ tab: id })));
  return (
    <Root view="mineral">
      {({ slice, site, part }) => {
        const cables = slice.by('cable', 'site', site).filter(({ mineral }) => mineral !== null);
        const chosen = cables.find(({ id }) => id === cable) ?? cables[0] ?? null;
        const near = (
          <CableList
            slice={slice}
            cables={cables}
            current={chosen?.id ?? null}
            onOpen={(id) => open({ cable: id })}
          />
        );
        return (
          <div className="split mineral">
            {part ? (
              <Later>
                <FarEntries
                  site={site}
                  label="Mineral terminations"
                  search="Enclosure or cable"
                  kinds={MINERAL_KINDS}
                  current={end}
                  onOpen={(id) =>
                    open({ end: id, cable: device.state().slice.get('entry', id)?.cable ?? null })
                  }
                >
                  {near}
                </FarEntries>
              </Later>
            ) : (
              near
            )}
            <main id="main" tabIndex={-1}>
              <TabBar label="Mineral desk" tabs={TABS} value={tab} onChange={(next) => open({ tab: next })}>
                <h1>
                  {tab === 'marks' || tab === 'link'
                    ? TABS.find(([id]) => id === tab)![1]
                    : (chosen?.tag ?? 'Mineral desk')}
                </h1>
                <Opened tab={tab} slice={slice} cable={chosen} site={site} />
              </TabBar>
            </main>
          </div>
        );
      }}
    </Root>
  );
}

type Tab = (typeof TABS)[number][0];

/** What lies under a tab; most of it needs a cable. */
function Opened({ tab, slice, cable, site }: { tab: Tab; slice: Slice; cable: Cable | null; site: Id }) {
  const key = cable?.id;
  if (tab === 'marks') return <MarkOut key={key} slice={slice} cable={cable} />;
  if (tab === 'link') return <LinkTool key={key} cable={cable} />;
  if (!cable && device.along.part)
    return <p>Choose a termination from the list: its cable comes along to this device.</p>;
  if (!cable) return <NoCable site={site} />;
  if (tab === 'insulation') return <Insulation key={key} slice={slice} cable={cable} />;
  if (tab === 'ends') return <BothEnds key={key} slice={slice} cable={cable} />;
  return <Drying key={key} slice={slice} cable={cable} />;
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
  const rows = cables.map((cable) => ({ cable, ...standing(slice, cable) }));
  const source = listed(rows, {
    key: ({ cable }) => cable.id,
    words: ({ cable }) => `${cable.tag} ${cable.from} ${cable.to}`,
    only: { state: ({ words }, value) => words === value },
  });
  const states = [...new Set(rows.map(({ words }) => words))];
  return (
    <SideList
      label="Mineral cables"
      source={source}
      search="Cable, from or to"
      filters={[
        {
          id: 'state',
          label: 'Show',
          options: [['', 'every cable'], ...states.map((one) => [one, one] as const)],
        },
      ]}
      keyOf={({ cable }) => cable.id}
      current={current}
      onOpen={onOpen}
      mark={({ glyph, words }) => <SealGlyph state={glyph} label={words} />}
      title={({ cable }) => cable.tag}
      beside={({ cable, words }) => `${words}; ${cable.from} to ${cable.to}`}
    />
  );
}
