import { Alert, Button, Group, Stack } from '@mantine/core';
import type { FormEvent, KeyboardEvent } from 'react';
import { count } from '../../core/words/en/format';
import { FormProvider } from './form-context';
import { Fields } from './RecordFields';
import { nextProposed, useRecordForm, type RecordFormProps } from './use-record-form';

/**
 * A form over one record. It shows what it will save: every figure stays as it was typed, errors stand at their field
 * and go when they are right, and the check is the server's own.
 */
export function RecordForm(props: RecordFormProps) {
  const form = useRecordForm(props);
  const { root, reach, copied } = form;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    form.submit();
  };
  // Enter in a copied field confirms it and goes on to the next that is not confirmed.
  const onKeyDown = (event: KeyboardEvent<HTMLFormElement>) => {
    const path = (event.target as HTMLElement).closest('[data-proposed]')?.getAttribute('data-path');
    if (event.key !== 'Enter' || !path || event.target instanceof HTMLButtonElement) return;
    event.preventDefault();
    copied.confirm(path);
    nextProposed(root.current!, event.target as HTMLElement)?.focus();
  };
  return (
    <FormProvider value={reach}>
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- a key for all of its fields */}
      <form ref={root} className="record-form" noValidate onSubmit={submit} onKeyDown={onKeyDown}>
        <Fields fields={props.fields} path="" />
        <Stack className="form-foot wide" gap="sm" py="sm">
          {copied.proposed.size > 0 && (
            <Unconfirmed
              number={copied.proposed.size}
              sister={props.sister ?? 'the line'}
              onLeaveOut={copied.leaveOut}
            />
          )}
          {form.wrong > 0 && (
            <p role="alert" className="tone-failed">
              {count(form.wrong, 'field')} to put right
              {form.stray.length > 0 ? `. ${form.stray.join(' ')}` : '.'}
            </p>
          )}
          <Group>
            <Button type="submit" loading={form.saving}>
              Save
            </Button>
            <Button variant="default" onClick={props.onCancel}>
              Cancel
            </Button>
          </Group>
        </Stack>
      </form>
    </FormProvider>
  );
}

interface UnconfirmedProps {
  number: number;
  sister: string;
  onLeaveOut: () => void;
}

const Unconfirmed = ({ number, sister, onLeaveOut }: UnconfirmedProps) => (
  <Alert className="unconfirmed" role="status" title={`${count(number, 'fact')} copied, not confirmed`}>
    Look at each on {sister} and on the thing itself: Enter in the field, or its button, confirms it.{' '}
    <Button variant="default" size="compact-md" onClick={onLeaveOut}>
      Leave the rest not recorded
    </Button>
  </Alert>
);
