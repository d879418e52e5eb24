import { Box, Button, Text } from '@mantine/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { now } from '../../client/clock';
import { lists } from '../../client/lists';
import { dayIn } from '../../core/record/calendar';
import type { Id } from '../../core/record/types';
import { FarTable } from '../../ui/list/FarTable';
import type { FarSource } from '../../ui/list/source';
import type { ViewProps } from '../frame/Root';
import { useAddress } from '../hand/address';
import { device } from '../hand/hand';
import DefectDetail from './DefectDetail';
import { COLUMNS, FILTERS, LedgerTitle, lineOf, NO_DEFECT, rowClass, type LedgerLine } from './ledger';

/**
 * The ledger of a site that is too large to lie on a device: asked of the server, page by page.
 *
 * @param near the same of what is on this device
 */
export default function FarLedger({ state: { slice, site }, near }: ViewProps & { near: ReactNode }) {
  const [{ entry, defect }, follow] = useAddress('entry', 'defect');
  const [asked, setAsked] = useState(0);
  const today = dayIn(now(), slice.get('site', site)?.timeZone ?? 'UTC');
  const source = useMemo(() => farDefects(site, entry, today, asked), [site, entry, today, asked]);
  return (
    <Box component="main" id="main" className="page" maw={1240} w="100%" mx="auto">
      <LedgerTitle site={site}>
        <Button variant="default" onClick={() => setAsked(asked + 1)}>
          Ask again
        </Button>
      </LedgerTitle>
      <FarTable
        className="ledger"
        label="Defects"
        source={source}
        near={near}
        start={{ sort: 'due', only: { state: entry || defect ? '' : 'unproven' } }}
        search="Search defects"
        placeholder="Tag, check, statement"
        filters={FILTERS}
        columns={COLUMNS.map((column) => ({ ...column, sorts: column.id === 'due' }))}
        keyOf={(line) => line.defect.id}
        onOpen={(id) => follow({ defect: defect === id ? null : id }, 'replace')}
        open={defect}
        detail={(line) => <Detail key={line.defect.id} line={line} />}
        rowClass={rowClass}
        beside={entry && <Button variant="default" onClick={() => follow({ entry: null })}>One entry only ×</Button>}
        empty={NO_DEFECT}
      />
    </Box>
  ); // prettier-ignore
}

/** A defect with what can be done about it: its entry comes along first. */
function Detail({ line: { defect, overdue } }: { line: LedgerLine }) {
  const here = device.along.isHere(defect.entry);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let left = false;
    if (!here) device.along.take({ entries: [defect.entry] }).catch((error: Error) => left || setProblem(error.message)); // prettier-ignore
    return () => void (left = true);
  }, [here, defect.entry]);
  if (here) return <DefectDetail defect={device.state().slice.get('defect', defect.id) ?? defect} overdue={overdue} />; // prettier-ignore
  return (
    <Text role="status" p="sm">
      {problem ?? 'Fetching the entry …'}
    </Text>
  );
}

/** The ledger as the server has it. */
const farDefects = (site: Id, entry: Id | null, today: string, version: number): FarSource<LedgerLine> => ({
  version: `${entry} ${version}`,
  ask: async (query, after, signal) => {
    const { state = '', level = '' } = query.only;
    const page = await lists.defects(site, { q: query.text, state, severity: level, entry, sort: 'due', after }, signal); // prettier-ignore
    const matching = page.matching ?? 0;
    return { rows: page.rows.map((row) => lineOf(row, row.where, today)), next: page.next, matching, of: null }; // prettier-ignore
  },
});
