import type { DossierTable } from '../../core/commands/commands';
import type { Slice } from '../../core/record/slice';
import type { Tables } from '../../core/record/types';
import { device } from '../hand/hand';
import type { ViewProps } from '../frame/Root';
import { blankOf, get } from './fields';
import { FORMS } from './forms';
import { offenceWords } from './offence-words';
import { reasonOf } from './saving';
import { titleOf } from './record-title';

/** What is open beside the list: a record, a new one, a copy of one, or a refused one that is mended. */
export type Open =
  { id: string } | { as: 'new' } | { as: 'copy'; of: string } | { as: 'refused'; command: string };

/** Parameters of an address that say what is open. */
export const OPENED = ['record', 'copy', 'refused'] as const;
type Opened = Record<(typeof OPENED)[number], string | null>;

/** What an address opens; null for the list. */
export function openedAt({ record, copy, refused }: Opened): Open | null {
  if (refused) return { as: 'refused', command: refused };
  if (copy) return { as: 'copy', of: copy };
  return record === 'new' ? { as: 'new' } : record ? { id: record } : null;
}

/** The address of what is open. */
export function addressOf(open: Open | null): Opened {
  const at: Opened = { record: null, copy: null, refused: null };
  if (open === null) return at;
  if ('id' in open) return { ...at, record: open.id };
  if (open.as === 'copy') return { ...at, copy: open.of };
  return open.as === 'refused' ? { ...at, refused: open.command } : { ...at, record: 'new' };
}

/** What a form starts from. */
export interface Start {
  title: string;
  record: Record<string, unknown>;
  isNew: boolean;
  sister: string | null;
  refused?: Record<string, string>;
}

/** What the form of something opened starts from; null when it is not here any more. */
export function startOf({
  table,
  state,
  open,
}: {
  table: DossierTable;
  state: ViewProps['state'];
  open: Open;
}): Start | null {
  const { slice } = state;
  const form = FORMS[table];
  if ('id' in open) {
    const record = slice.get(table, open.id);
    return (
      record && { title: nameOf(slice, table, record), record: { ...record }, isNew: false, sister: null }
    );
  }
  if (open.as === 'new') {
    const extra = typeof form.extra === 'function' ? form.extra() : form.extra;
    const record = { ...blankOf(form.fields, extra), id: device.id() };
    return { title: `New ${form.one}`, record, isNew: true, sister: null };
  }
  if (open.as === 'copy') {
    const of = slice.get(table, open.of) as unknown as Record<string, unknown> | null;
    if (!of) return null;
    const { rev: _r, stamps: _t, site: _s, cableSince: _c, of: _o, lentAt: _l, ...rest } = of;
    const record = { ...structuredClone(rest), id: device.id(), ...withoutName(rest) };
    const sister = nameOf(slice, table, of as never);
    return { title: `New ${form.one}, like ${sister}`, record, isNew: true, sister };
  }
  return refusedStart(table, state, open.command);
}

/** A record that was refused, as it was typed, with the reason at its field. */
function refusedStart(table: DossierTable, state: ViewProps['state'], command: string): Start | null {
  const waiting = state.refused.find((one) => one.command.id === command);
  if (!waiting?.refusal) return null;
  const payload = waiting.command.payload as unknown as Record<string, unknown>;
  const isNew = waiting.command.kind === `${table}.add`;
  const before = isNew ? {} : state.slice.get(table, String(payload.id));
  if (!before) return null;
  const record = isNew ? payload : { ...before, ...(payload.set as object) };
  const { field, message } = reasonOf(waiting.refusal);
  const words = offenceWords(message.replace(waiting.refusal.field, '').trim());
  return {
    title: `${FORMS[table].one[0]!.toUpperCase()}${FORMS[table].one.slice(1)} that was not taken`,
    record,
    isNew,
    sister: null,
    refused: { [field]: get(record, field) === undefined ? message : words },
  };
}

/** A copy has to be named by hand. */
function withoutName(record: Record<string, unknown>): Record<string, string> {
  for (const key of ['tag', 'number', 'name', 'label'])
    if (typeof record[key] === 'string') return { [key]: '' };
  return {};
}

/** What a record is called in the list of its table. */
export const nameOf = (slice: Slice, table: DossierTable, record: Tables[DossierTable]): string =>
  table === 'entry' ? titleOf(slice, table, record) : FORMS[table].name(record as never);
