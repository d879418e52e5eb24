import { useForm, type UseFormReturnType } from '@mantine/form';
import { useEffect, useRef, useState } from 'react';
import type { Severity } from '../../core/defects/severity';
import type { Payloads } from '../../core/commands/commands';
import type { Defect } from '../../core/record/types';
import type { Waiting } from '../../device/database';
import { useAskBeforeLeaving } from '../../ui/leaving';
import { device } from '../hand/hand';
import { tryGive } from '../hand/give';

/** What can be typed of a defect. */
interface DefectDraft {
  owner: string;
  action: string;
  due: string;
  level: Severity;
  reason: string;
}

export interface DefectForm {
  form: UseFormReturnType<DefectDraft>;
  /** Whether something is typed that the record does not say. */
  dirty: boolean;
  /** Keeps everything that is shown, with a new state where one is meant. False when something is wrong: it is told at its field. */
  keep: (state?: Defect['state'], done?: string) => boolean;
  /** What is wrong with more than one field; null while nothing is. */
  problem: string | null;
}

const FIELD: Record<string, keyof DefectDraft> = {
  'set.severityReason': 'reason',
  'set.owner': 'owner',
  'set.due': 'due',
  'set.action': 'action',
};

/**
 * The form of a defect. Whichever button is pressed, all that stands in it is kept; and what is typed is kept when its
 * form goes away.
 */
export function useDefectForm(defect: Defect, refused: Waiting | null = null): DefectForm {
  const form = useForm<DefectDraft>({
    mode: 'controlled',
    initialValues: { ...draftOf(defect), ...refusedIn(refused) },
    initialErrors: refused?.refusal
      ? { [FIELD[refused.refusal.field.replace(/^payload\./, '')] ?? 'action']: refused.refusal.message }
      : {},
    validate: { reason: (reason, { level }) => reasonFault(defect, level, reason) },
    validateInputOnChange: ['reason'],
  });
  const latest = useFollowed(defect, form);
  const [problem, setProblem] = useState<string | null>(null);
  const changed = changesOf(defect, form.values);
  const dirty = Object.keys(changed).length > 0;
  const keep = (state?: Defect['state'], done = 'The defect is changed.') => {
    setProblem(null);
    const set = changesOf(defect, form.getValues());
    if (set.severity !== undefined && form.validateField('reason').hasError) return false;
    const whole = { ...set, ...(state === undefined ? {} : { state }) };
    if (Object.keys(whole).length === 0) return true;
    const given = tryGive('defect.edit', { id: defect.id, set: whole }, done);
    if (typeof given === 'string') {
      if (refused) void device.drop(refused.command.id);
      return true;
    }
    const field = FIELD[given.field];
    if (field) form.setFieldError(field, given.message);
    else setProblem(given.message);
    return false;
  };
  // What was typed is kept when the form is closed by whatever way; a level without its reason is not.
  useEffect(() => () => leave(latest.current, form.getValues()), []); // eslint-disable-line react-hooks/exhaustive-deps
  useAskBeforeLeaving(dirty);
  return { form, dirty, keep, problem };
}

/**
 * A field that nobody has typed in since the record was last the same says what the record says: after a change was
 * taken back, by this hand or by another. What is typed stays.
 *
 * @returns the record as it is now, for what runs when the form is gone
 */
function useFollowed(defect: Defect, form: UseFormReturnType<DefectDraft>) {
  const latest = useRef(defect);
  useEffect(() => {
    const before = draftOf(latest.current);
    const now = draftOf(defect);
    const typed = form.getValues();
    latest.current = defect;
    const follows = (['owner', 'action', 'due', 'level'] as const).filter(
      (field) =>
        now[field] !== before[field] && (typed[field] === before[field] || typed[field] === now[field]),
    );
    if (follows.length === 0) return;
    form.setValues(Object.fromEntries(follows.map((field) => [field, now[field]])));
    // The reason has gone with its level.
    if (follows.includes('level')) form.setFieldValue('reason', '');
  }, [defect]); // eslint-disable-line react-hooks/exhaustive-deps
  return latest;
}

/** What a change that was not taken had typed. */
function refusedIn(refused: Waiting | null): Partial<DefectDraft> {
  if (refused?.command.kind !== 'defect.edit') return {};
  const { owner, action, due, severity, severityReason } = refused.command.payload.set;
  return {
    ...(owner === undefined ? {} : { owner: owner ?? '' }),
    ...(action === undefined ? {} : { action }),
    ...(due === undefined ? {} : { due }),
    ...(severity === undefined ? {} : { level: severity, reason: severityReason ?? '' }),
  };
}

const draftOf = ({ owner, action, due, severity }: Defect): DefectDraft => ({
  owner: owner ?? '',
  action,
  due,
  level: severity,
  reason: '',
});

const reasonFault = ({ severity }: Defect, level: Severity, reason: string): string | null =>
  level !== severity && reason.trim() === '' ? 'Say why the level is changed; the reason is kept.' : null;

function changesOf(
  defect: Defect,
  { owner, action, due, level, reason }: DefectDraft,
): Payloads['defect.edit']['set'] {
  return {
    ...(owner.trim() !== (defect.owner ?? '') ? { owner: owner.trim() || null } : {}),
    ...(action !== defect.action ? { action } : {}),
    ...(level !== defect.severity ? { severity: level, severityReason: reason } : {}),
    ...(due !== '' && due !== defect.due ? { due } : {}),
  };
}

/** Keeps what was typed since the record was last seen, unless the record says it by now: its form may go away with the very change that it has made. */
function leave(seen: Defect, draft: DefectDraft): void {
  const record = device.state().slice.get('defect', seen.id);
  const { severity, severityReason, ...set } = changesOf(seen, draft);
  const unsaid = record ? changesOf(record, draft) : {};
  const level = severity !== undefined && severityReason?.trim() ? { severity, severityReason } : {};
  const whole = Object.fromEntries(Object.entries({ ...set, ...level }).filter(([field]) => field in unsaid));
  if (Object.keys(whole).length > 0) tryGive('defect.edit', { id: seen.id, set: whole }, 'What you typed of the defect is kept.'); // prettier-ignore
}
