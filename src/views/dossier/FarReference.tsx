import { useState, type ReactNode } from 'react';
import { lists } from '../../client/lists';
import type { Id } from '../../core/record/types';
import RecordSelect from '../../ui/RecordSelect';
import { device } from '../hand/hand';
import { useAsked } from '../hand/use-asked';
import { scopeFor } from './far';
import { NOT_RECORDED } from './field-props';
import { titleOf } from './record-title';

interface FarReferenceProps {
  table: 'enclosure' | 'cable';
  site: Id;
  label: string;
  value: Id;
  error?: ReactNode;
  onChange: (id: Id) => void;
}

/** Records that are offered at once; what is typed narrows them down. */
const MOST_SHOWN = 30;

/** A choice of one record of a large site, found by typing; what is chosen comes along. */
export default function FarReference({ table, site, value, onChange, error, ...rest }: FarReferenceProps) {
  const [q, setQ] = useState('');
  const [fetching, setFetching] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { slice } = device.state();
  const own = value === '' ? null : slice.get(table, value);
  const chosen = own && { value: own.id, label: titleOf(slice, table, own) };
  const { answer, problem: away } = useAsked((signal) => lists.named(site, table, { q, limit: MOST_SHOWN }, signal), `${table} ${q}`);
  const here = slice.by(table, 'site', site);
  const found = (away === null ? (answer?.rows ?? []) : here.slice(0, MOST_SHOWN)).map((one) => ({ value: one.id, label: titleOf(slice, table, one) }));
  const take = (id: Id) => {
    setProblem(null);
    if (slice.get(table, id)) return onChange(id);
    setFetching(found.find((one) => one.value === id)?.label ?? '');
    device.along
      .take(scopeFor(table, id))
      .then(() => onChange(id))
      .catch((reason: Error) => setProblem(reason.message))
      .finally(() => setFetching(null));
  };
  return (
    <RecordSelect
      {...rest}
      value={value}
      none={NOT_RECORDED.label}
      records={[...found, ...(chosen && !found.some((one) => one.value === chosen.value) ? [chosen] : [])]}
      error={error ?? problem}
      description={fetching === null ? (away && 'Away from the server: what is on this device.') : `Fetching ${fetching} …`}
      onSearch={setQ}
      onChange={(id) => (id === '' ? onChange('') : take(id))}
    />
  );
} // prettier-ignore
