import { useForm, type UseFormReturnType } from '@mantine/form';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { DossierTable } from '../../core/commands/commands';
import type { Slice } from '../../core/record/slice';
import { useAskBeforeLeaving } from '../../ui/leaving';
import { asSent, faultsOf, toDraft, toRecord, type Draft } from './draft';
import { get, type Field } from './fields';
import type { FormReach } from './form-context';
import { emptyOf, factsIn, moved } from './proposed';

/** Why a record is not kept, at the path of the field. */
export interface SaveFault {
  field: string;
  message: string;
}

/** A record in a form. */
export interface RecordFormProps {
  table: DossierTable | 'site';
  fields: readonly Field[];
  /** The record that is edited, a blank one, or a copy. */
  value: object;
  /** Name of the record that this one was copied from: each of its facts is confirmed by hand. */
  sister?: string | null;
  /** What the server said about it, by path, when it was refused. */
  refused?: Record<string, string>;
  slice: Slice;
  site: string;
  /** Keeps the record; false leaves the form open. A refusal of the records is given back by its path. */
  onSave: (value: Record<string, unknown>) => SaveFault | null | Promise<SaveFault | null>;
  onCancel: () => void;
  /** Told whether something is typed that is not saved. */
  onDirty?: (dirty: boolean) => void;
}

/** A form over one record: what its fields reach, what is copied and not confirmed, what is wrong, and the saving. */
export function useRecordForm(props: RecordFormProps) {
  const { table, fields, value, sister = null, slice, site, onDirty } = props;
  const start = useMemo(() => toDraft(fields, value), []); // eslint-disable-line react-hooks/exhaustive-deps
  const form = useForm<Draft>({ mode: 'controlled', initialValues: start, initialErrors: props.refused });
  const root = useRef<HTMLFormElement>(null);
  const dirty = form.isDirty() || sister !== null || props.refused !== undefined;
  useEffect(() => onDirty?.(dirty), [dirty, onDirty]);
  useAskBeforeLeaving(dirty);
  const copied = useCopied(form, fields, sister === null ? null : start);
  const faults = () => faultsOf(table, fields, form.getValues());
  const recheck = () => {
    const standing = Object.keys(form.errors);
    if (standing.length === 0) return;
    const now = faults();
    form.setErrors(Object.fromEntries(standing.flatMap((path) => (now[path] ? [[path, now[path]]] : []))));
  };
  const { proposed, confirm, insert, takeOut } = copied;
  const reach: FormReach = {
    form, slice, site, sister, proposed, confirm, insert, takeOut,
    change(path, next) {
      form.setFieldValue(path, next);
      confirm(path);
      recheck();
    },
    left(path) {
      const fault = faults()[path];
      if (fault && get(form.getValues(), path) !== '') form.setFieldError(path, fault);
    },
  }; // prettier-ignore
  return { root, reach, copied, ...useSaving(props, { form, root, faults, proposed }) };
}

/** Facts that were copied and that nobody has confirmed, while lines of lists come and go. */
function useCopied(form: UseFormReturnType<Draft>, fields: readonly Field[], start: Draft | null) {
  const [proposed, setProposed] = useState<ReadonlySet<string>>(
    () => new Set(start === null ? [] : factsIn(fields, start)),
  );
  return {
    proposed,
    confirm: (path: string) =>
      setProposed((all) => (all.has(path) ? new Set([...all].filter((one) => one !== path)) : all)),
    insert(list: string, at: number, line: Draft, copied: boolean) {
      form.insertListItem(list, line, at);
      setProposed((all) => {
        const next = moved(all, list, at, 1);
        const facts = copied ? factsIn(fields, form.getValues()) : [];
        for (const path of facts) if (path.startsWith(`${list}.${at}.`)) next.add(path);
        return next;
      });
    },
    takeOut(list: string, at: number) {
      form.removeListItem(list, at);
      setProposed((all) => moved(all, list, at, -1));
    },
    /** What is not confirmed is not recorded. */
    leaveOut() {
      for (const path of proposed) form.setFieldValue(path, emptyOf(get(form.getValues(), path)));
      setProposed(new Set());
    },
  };
}

interface Held {
  form: UseFormReturnType<Draft>;
  root: React.RefObject<HTMLFormElement | null>;
  faults: () => Record<string, string>;
  proposed: ReadonlySet<string>;
}

function useSaving({ table, fields, onSave }: RecordFormProps, { form, root, faults, proposed }: Held) {
  const [saving, setSaving] = useState(false);
  const [stray, setStray] = useState<string[]>([]);
  /** Shows errors at their fields and takes the eye to the first; what has no field stands at the foot. */
  const tell = (found: Record<string, string>) => {
    form.setErrors(found);
    const here = (path: string) =>
      root.current?.querySelector<HTMLElement>(`[data-path="${CSS.escape(path)}"]`);
    setStray(Object.entries(found).flatMap(([path, message]) => (here(path) ? [] : [`${path}: ${message}`])));
    requestAnimationFrame(() => {
      const first = root.current?.querySelector<HTMLElement>(
        '[aria-invalid="true"], .invalid input, .invalid select',
      );
      first?.focus();
      first?.scrollIntoView({ block: 'center' });
    });
  };
  const submit = () => {
    const found = faults();
    if (Object.keys(found).length > 0) return tell(found);
    if (proposed.size > 0) return nextProposed(root.current!)?.focus();
    const said = onSave(asSent(table, toRecord(fields, form.getValues())));
    const done = (refusal: SaveFault | null) => (refusal ? tell({ [refusal.field]: refusal.message }) : form.resetDirty()); // prettier-ignore
    if (!(said instanceof Promise)) return done(said);
    setSaving(true);
    void said.then(done).finally(() => setSaving(false));
  };
  return { submit, saving, wrong: Object.keys(form.errors).length, stray };
}

/** The next copied field behind an element, in the order of the page; the first where none is given. */
export function nextProposed(root: HTMLElement, from: HTMLElement | null = null): HTMLElement | null {
  const all = [...root.querySelectorAll<HTMLElement>('[data-proposed] input, [data-proposed] select, [data-proposed] textarea')]; // prettier-ignore
  const behind = (one: HTMLElement) =>
    from === null || (from !== one && from.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING);
  return all.find(behind) ?? null;
}
