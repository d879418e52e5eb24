import { fetched } from '../../ui/fetched';
import { useState } from 'react';
import { KINDS } from '../../core/kinds/kinds';
import type { Finding } from '../../core/record/finding';
import type { Slice } from '../../core/record/slice';
import type { PackedOpening, TransitSheet } from '../../core/record/types';
import { assessDossier } from '../../core/rulebook/assess';
import type { Dossier } from '../../core/rulebook/dossier';
import type { BlockAt } from '../../core/rulebook/transit-planned';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { now } from '../../client/clock';
import { Later } from '../../ui/Later';
import { TabBar } from '../../ui/TabBar';
import { say } from '../hand/hand';
import { give } from '../hand/give';
import { JudgementColumn } from '../judging/JudgementColumn';
import { blocksOf } from './failed-blocks';
import { TABS, type Tab } from './tabs';
import { TransitLooks } from './TransitLooks';

// Dragging, packing and coring come with their tab.
const Board = fetched(() => import('./Board'));
const OneMoreTab = fetched(() => import('./OneMoreTab'));
const Planner = fetched(() => import('./Planner'));
const SealantTab = fetched(() => import('./SealantTab'));

interface OneTransitProps {
  slice: Slice;
  dossier: Dossier;
  tab: Tab;
  onTab: (tab: Tab) => void;
}

/** One transit with what is wrong with it. */
export function OneTransit(props: OneTransitProps) {
  const { slice, dossier, tab, onTab } = props;
  const { entry, enclosure, certificate, site } = dossier;
  const { findings, status } = assessDossier(slice, dossier, now());
  const [selected, setSelected] = useState<string | null>(null);
  const [block, setBlock] = useState<BlockAt | null>(null);
  // A finding leads to the block that it speaks of, or to its look.
  const follow = (finding: Finding) => {
    setSelected(finding.check);
    const [first] = blocksOf(finding);
    if (first) setBlock(first);
    const looks = KINDS[entry.kind].looks.some(({ id }) =>
      findings.some((one) => one.check === finding.check && one.facts.look === id),
    );
    onTab(looks && !first ? 'looks' : 'board');
  };
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
          <Later>
            <Panel {...props} findings={findings} block={block} onBlock={setBlock} />
          </Later>
        </TabBar>
      </main>
      <JudgementColumn
        dossier={dossier}
        findings={findings}
        status={status}
        hidden={0}
        defects={slice.by('defect', 'entry', entry.id)}
        selected={selected}
        onSelect={follow}
        onRaise={() => {
          say('Raise it on the bench, with photographs and an action.');
          location.assign(`/bench/?site=${site.id}&entry=${entry.id}`);
        }}
      />
    </>
  );
}

interface PanelProps extends OneTransitProps {
  findings: readonly Finding[];
  block: BlockAt | null;
  onBlock: (block: BlockAt | null) => void;
}

function Panel(props: PanelProps) {
  const { slice, dossier, tab, onTab } = props;
  if (tab === 'looks') return <TransitLooks slice={slice} dossier={dossier} />;
  const sheet = dossier.certificate?.sheet.transit ?? null;
  if (!sheet)
    return (
      <p className="make-safe">
        The approval on file says nothing about blocks or sealant. Complete its assembly sheet under Dossier,
        Certificates.
      </p>
    );
  if (!dossier.entry.frame)
    return (
      <p className="make-safe">
        The frame and its openings are not recorded. Record them on the entry, under Dossier, Entries.
      </p>
    );
  if (tab === 'more')
    return (
      <OneMoreTab
        slice={slice}
        dossier={dossier}
        sheet={sheet}
        onPut={(openings, words) => void keep(dossier, openings, words)}
      />
    );
  if (tab === 'board') return <BoardOf {...props} sheet={sheet} />;
  if (sheet.blocks.length === 0)
    return <p>Sealant is planned on the board itself: drag the cables to where they go.</p>;
  const take = (openings: PackedOpening[]) => {
    if (keep(dossier, openings, 'The packing is kept.')) onTab('board');
  };
  return <Planner slice={slice} dossier={dossier} sheet={sheet} onTake={take} />;
}

const keep = ({ entry }: Dossier, openings: PackedOpening[], words = '') =>
  give('packing.set', { id: entry.id, entry: entry.id, openings }, words);

function BoardOf({
  slice,
  dossier,
  findings,
  block,
  onBlock,
  onTab,
  sheet,
}: PanelProps & { sheet: TransitSheet }) {
  const common = {
    slice,
    dossier,
    sheet,
    onChange: (openings: PackedOpening[]) => void keep(dossier, openings),
  };
  if (KINDS[dossier.entry.kind].transit === 'sealant') return <SealantTab {...common} />;
  return (
    <Board {...common} findings={findings} selected={block} onSelect={onBlock} onPlan={() => onTab('plan')} />
  );
}
