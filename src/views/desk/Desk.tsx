import { Box, Button, NavLink } from '@mantine/core';
import { fetched } from '../../ui/fetched';
import '@mantine/core/styles/NavLink.layer.css';
import { Suspense, useState, type ComponentType } from 'react';
import { naturally } from '../../ui/list/source';
import { currentRound, dossierOf, type Dossier } from '../../core/rulebook/dossier';
import { parameter } from '../hand/hand';
import { Root, type ViewProps } from '../frame/Root';
import { tabKeys, useViewKeys } from '../frame/view-keys';
import { AgreementTool } from './AgreementTool';
import { BackNutTool } from './BackNutTool';
import { BarrierTool } from './BarrierTool';
import { BreathingTool } from './BreathingTool';
import { CompoundTool } from './CompoundTool';
import './desk.css';
import { EarthTool } from './EarthTool';
import { ThreadTool } from './ThreadTool';
import { useAddress } from '../hand/address';

const RecordSelect = fetched(() => import('../../ui/RecordSelect'));

interface Tool {
  id: string;
  title: string;
  what: string;
  View: ComponentType<{ dossier: Dossier | null }>;
}

/** Helpers of the desk; each works alone or with the values of an entry. */
const TOOLS: readonly Tool[] = [
  { id: 'thread', title: 'Thread', what: 'Which thread is it, and which others nearly fit', View: ThreadTool },
  { id: 'barrier', title: 'Barrier', what: 'Is a barrier gland needed', View: BarrierTool },
  { id: 'breathing', title: 'Breathing test', what: 'Does the cable breathe', View: BreathingTool },
  { id: 'compound', title: 'Compound', what: 'How much, how many packs, how long', View: CompoundTool },
  { id: 'back-nut', title: 'Back-nut scale', what: 'How far the nut should have gone', View: BackNutTool },
  { id: 'earth', title: 'Armour as earth path', what: 'Its resistance, and whether it bears the fault', View: EarthTool },
  { id: 'agreement', title: 'Cable and record', what: 'Does the cable agree with its record', View: AgreementTool },
]; // prettier-ignore

/** The desk: calculations beside the bench. */
export default function Desk() {
  const [address, follow] = useAddress('tool');
  const tool = TOOLS.find(({ id }) => id === address.tool) ?? TOOLS[0]!;
  const open = (next: string) => follow({ tool: next }, 'replace');
  useViewKeys(tabKeys(TOOLS.map(({ id, title }) => [id, title] as const), open)); // prettier-ignore
  return <Root view="desk">{(state) => <DeskOf state={state} tool={tool} onOpen={open} />}</Root>;
}

interface DeskOfProps extends ViewProps {
  tool: Tool;
  onOpen: (id: string) => void;
}

function DeskOf({ state, tool, onOpen }: DeskOfProps) {
  const { slice } = state;
  const [entryId, setEntry] = useState(() => parameter('entry') ?? '');
  const entry = entryId ? slice.get('entry', entryId) : null;
  const dossier = entry ? dossierOf(slice, entry.id, currentRound(slice, entry.id, entry.site)) : null;
  const { View } = tool;
  return (
    <div className="split desk">
      <nav className="beside" aria-label="Helpers">
        <h2>Desk</h2>
        {TOOLS.map(({ id, title, what }) => (
          <NavLink
            key={id}
            component="button"
            active={id === tool.id}
            aria-current={id === tool.id ? 'page' : undefined}
            label={title}
            description={what}
            onClick={() => onOpen(id)}
          />
        ))}
      </nav>
      <Box component="main" id="main" maw={1040} tabIndex={-1}>
        <header className="title">
          <h1 style={{ flex: 1 }}>{tool.title}</h1>
          <ValuesOf state={state} entry={entry?.id ?? ''} onEntry={setEntry} />
        </header>
        {/* Another entry or helper starts from its own values. */}
        <View key={`${tool.id} ${entry?.id ?? ''}`} dossier={dossier} />
        <p className="quiet">
          Yendral advises; a competent, authorised person decides. Local codes come first.
        </p>
      </Box>
    </div>
  );
}

/** Height of the choice with its label, px. */
const ROOM_PX = 75;

/** Whose values a helper starts from. */
function ValuesOf({
  state: { slice, site },
  entry,
  onEntry,
}: ViewProps & { entry: string; onEntry: (id: string) => void }) {
  const entries = slice
    .by('entry', 'site', site)
    .map(({ id, enclosure, label }) => ({
      value: id,
      label: `${slice.get('enclosure', enclosure)?.tag ?? '?'}, entry ${label}`,
    }))
    .sort((a, b) => naturally(a.label, b.label));
  return (
    <>
      {/* Its room is kept: what is aimed at below does not move when it is here. */}
      <Suspense fallback={<Box h={ROOM_PX} mb="xs" />}>
        <RecordSelect
          label="Values of"
          none="no entry, typed here"
          value={entry}
          records={entries}
          onChange={onEntry}
        />
      </Suspense>
      {entry && (
        <Button component="a" variant="default" href={`/bench/?site=${site}&entry=${entry}`}>
          To its bench
        </Button>
      )}
    </>
  );
}
