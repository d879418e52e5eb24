import { Alert, Button, Group } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { DossierTable } from '../../core/commands/commands';
import type { Slice } from '../../core/record/slice';
import { count } from '../../core/words/en/format';
import { useAskBeforeLeaving } from '../../ui/leaving';
import { faultsOf, toDraft, toRecord, asSent, type Draft } from './draft';
import { get, type Field } from './fields';
import { FormProvider, type FormReach } from './form-context';
import { emptyOf, factsIn, moved } from './proposed';
import { Fields } from './RecordFields';

/** Why a record is not kept, at the path of the field. */
export interface SaveFault {
  field: string;
  message: string;
}

interface Props {
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

/**
 * A form over one record. It shows what it will save: every figure stays as it was typed, errors stand at their field
 * and go when they are right, and the check is the server's own.
 */
export function RecordForm(props: Props) {
  const { table, fields, value, sister = null, slice, site, onSave, onCancel, onDirty } = props;
  const start = useMemo(() => toDraft(fields, value), []); // eslint-disable-line react-hooks/exhaustive-deps
  const form = useForm<Draft>({ mode: 'controlled', initialValues: start, initialErrors: props.refused });
  const [proposed, setProposed] = useState<ReadonlySet<string>>(
    () => new Set(sister === null ? [] : factsIn(fields, start)),
  );
  const [saving, setSaving] = useState(false);
  const [stray, setStray] = useState<string[]>([]);
  const root = useRef<HTMLFormElement>(null);
  const dirty = form.isDirty() || sister !== null || props.refused !== undefined;
  useEffect(() => onDirty?.(dirty), [dirty, onDirty]);
  useAskBeforeLeaving(dirty);

  const faults = () => faultsOf(table, fields, form.getValues());
  const recheck = () => {
    const standing = Object.keys(form.errors);
    if (standing.length === 0) return;
    const now = faults();
    form.setErrors(Object.fromEntries(standing.flatMap((path) => (now[path] ? [[path, now[path]]] : []))));
  };
  const confirm = (path: string) =>
    setProposed((all) => (all.has(path) ? new Set([...all].filter((one) => one !== path)) : all));
  const reach: FormReach = {
    form, slice, site, sister, proposed, confirm,
    change(path, next) {
      form.setFieldValue(path, next);
      confirm(path);
      recheck();
    },
    left(path) {
      const fault = faults()[path];
      if (fault && get(form.getValues(), path) !== '') form.setFieldError(path, fault);
    },
    insert(list, at, line, copied) {
      form.insertListItem(list, line, at);
      setProposed((all) => {
        const next = moved(all, list, at, 1);
        if (copied) for (const path of copiedFacts(fields, form.getValues(), list, at)) next.add(path);
        return next;
      });
    },
    takeOut(list, at) {
      form.removeListItem(list, at);
      setProposed((all) => moved(all, list, at, -1));
    },
  }; // prettier-ignore

  const submit = () => {
    const found = faults();
    if (Object.keys(found).length > 0) return tell(found);
    if (proposed.size > 0) return root.current?.querySelector<HTMLElement>('[data-proposed] input, [data-proposed] select, [data-proposed] textarea')?.focus(); // prettier-ignore
    const said = onSave(asSent(table, toRecord(fields, form.getValues())));
    const done = (refusal: SaveFault | null) => (refusal ? tell({ [refusal.field]: refusal.message }) : form.resetDirty()); // prettier-ignore
    if (!(said instanceof Promise)) return done(said);
    setSaving(true);
    void said.then(done).finally(() => setSaving(false));
  };
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
  const wrong = Object.keys(form.errors).length;
  const leaveOut = () => {
    for (const path of proposed) form.setFieldValue(path, emptyOf(get(form.getValues(), path)));
    setProposed(new Set());
  };
  return (
    <FormProvider value={reach}>
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- a key for all of its fields */}
      <form
        ref={root}
        className="record-form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
        onKeyDown={(event) => {
          // Enter in a copied field confirms it and goes on to the next that is not confirmed.
          const path = (event.target as HTMLElement).closest('[data-proposed]')?.getAttribute('data-path');
          if (event.key !== 'Enter' || !path || event.target instanceof HTMLButtonElement) return;
          event.preventDefault();
          confirm(path);
          nextProposed(root.current!, event.target as HTMLElement)?.focus();
        }}
      >
        <Fields fields={fields} path="" />
        <div className="form-foot wide">
          {proposed.size > 0 && (
            <Alert
              className="unconfirmed"
              role="status"
              title={`${count(proposed.size, 'fact')} copied, not confirmed`}
            >
              Look at each on {sister ?? 'the line'} and on the thing itself: Enter in the field, or its
              button, confirms it.{' '}
              <Button variant="default" size="compact-md" onClick={leaveOut}>
                Leave the rest not recorded
              </Button>
            </Alert>
          )}
          {wrong > 0 && (
            <p role="alert" className="tone-failed">
              {count(wrong, 'field')} to put right{stray.length > 0 ? `. ${stray.join(' ')}` : '.'}
            </p>
          )}
          <Group>
            <Button type="submit" loading={saving}>
              Save
            </Button>
            <Button variant="default" onClick={onCancel}>
              Cancel
            </Button>
          </Group>
        </div>
      </form>
    </FormProvider>
  );
}

/** The next copied field behind an element, in the order of the page. */
function nextProposed(root: HTMLElement, from: HTMLElement): HTMLElement | null {
  const all = [...root.querySelectorAll<HTMLElement>('[data-proposed] input, [data-proposed] select, [data-proposed] textarea')]; // prettier-ignore
  return all.find((one) => from.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING && one !== from) ?? null; // prettier-ignore
}

/** Facts of one line of a list. */
function copiedFacts(fields: readonly Field[], draft: Draft, list: string, at: number): string[] {
  return factsIn(fields, draft).filter((path) => path.startsWith(`${list}.${at}.`));
}
