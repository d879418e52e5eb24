import { Box, Button } from '@mantine/core';
import { useState } from 'react';
import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import { now } from '../../client/clock';
import { defectStatement } from '../../core/words/en/defects';
import { dayIn } from '../../core/record/calendar';
import type { Slice } from '../../core/record/slice';
import { ListTable } from '../../ui/list/ListTable';
import { listed, naturally, type Listed } from '../../ui/list/source';
import { parameter } from '../hand/hand';
import { Root, type ViewProps } from '../frame/Root';
import { COLUMNS, FILTERS, LedgerTitle, lineOf, NO_DEFECT, rowClass, type LedgerLine } from './ledger';
import './defects.css';

const FarLedger = fetched(() => import('./FarLedger'));
const DefectDetail = fetched(() => import('./DefectDetail'));

/** The ledger of a site's defects, by due date. */
export default function Defects() {
  return (
    <Root view="defects">
      {(state) =>
        state.part ? (
          <Later>
            <FarLedger state={state} near={<LedgerTable state={state} />} />
          </Later>
        ) : (
          <Ledger state={state} />
        )
      }
    </Root>
  );
}

const Ledger = ({ state }: ViewProps) => (
  <Box component="main" id="main" className="page" maw={1240} w="100%" mx="auto">
    <LedgerTitle site={state.site} />
    <LedgerTable state={state} />
  </Box>
);

/** The defects that are on this device. */
function LedgerTable({ state: { slice, site } }: ViewProps) {
  const [entry, setEntry] = useState(parameter('entry'));
  const [open, setOpen] = useState<string | null>(parameter('defect'));
  const all = linesOf(slice, site).filter(({ defect }) => entry === null || defect.entry === entry);
  const owners = [...new Set(all.flatMap(({ defect }) => defect.owner ?? []))].sort();
  // A defect that somebody was led to is shown whatever its state.
  const led = parameter('defect') !== null || parameter('entry') !== null;
  return (
    <ListTable
      className="ledger"
      label="Defects"
      source={listed(all, LISTED)}
      start={{ sort: 'due', only: { state: led ? '' : 'unproven' } }}
      search="Search defects"
      placeholder="Tag, check, statement"
      filters={[...FILTERS, { id: 'owner', label: 'Owner', options: [['', 'All owners'], ['none', 'No owner'], ...owners.map((one) => [one, one] as const)] }]}
      columns={COLUMNS}
      keyOf={({ defect }) => defect.id}
      onOpen={(id) => setOpen(open === id ? null : id)}
      open={open}
      detail={({ defect, overdue }) => (
        <Later key={defect.id}>
          <DefectDetail defect={defect} overdue={overdue} />
        </Later>
      )}
      rowClass={rowClass}
      beside={entry && <Button variant="default" onClick={() => setEntry(null)}>One entry only ×</Button>}
      empty={NO_DEFECT}
    />
  ); // prettier-ignore
}

/** How the ledger is searched, filtered and sorted. */
const LISTED: Listed<LedgerLine> = {
  key: ({ defect }) => defect.id,
  words: ({ defect, where }) =>
    `${where} ${defect.check} ${defectStatement(defect)} ${defect.action} ${defect.owner}`,
  only: {
    state: ({ defect }, value) => (value === 'unproven' ? defect.state !== 'proven' : defect.state === value),
    level: ({ defect }, value) => `${defect.severity}` === value,
    owner: ({ defect }, value) => (value === 'none' ? defect.owner === null : defect.owner === value),
  },
  sorts: {
    due: (a, b) => (a.defect.due < b.defect.due ? -1 : a.defect.due > b.defect.due ? 1 : b.defect.severity - a.defect.severity),
    where: (a, b) => naturally(a.where, b.where),
    state: (a, b) => naturally(a.defect.state, b.defect.state) || naturally(a.where, b.where),
  },
}; // prettier-ignore

function linesOf(slice: Slice, site: string): LedgerLine[] {
  const today = dayIn(now(), slice.get('site', site)?.timeZone ?? 'UTC');
  return slice.by('defect', 'site', site).map((defect) => {
    const entry = slice.get('entry', defect.entry);
    const tag = entry ? (slice.get('enclosure', entry.enclosure)?.tag ?? '') : '';
    return lineOf(defect, `${tag}, entry ${entry?.label ?? ''}`, today);
  });
}
