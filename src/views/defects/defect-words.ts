import { SEVERITY_WORDS, DEFECT_STATE_WORDS } from '../../core/words/en/labels';
import type { FieldWords } from '../../core/words/en/history';
import { day } from '../../core/words/en/format';
import type { Defect } from '../../core/record/types';

const TITLES: Record<string, string> = {
  owner: 'Owner',
  state: 'State',
  action: 'What has to be done',
  severity: 'Level',
  severityReason: 'Why the level was changed',
  due: 'Due',
  photos: 'Photos',
  statement: 'What is wrong',
  repeats: 'Repeats',
};

/** Fields of a defect and their values as its history says them. */
export const defectWords: FieldWords = (path, value) => {
  const title = TITLES[path];
  if (path === 'owner' && value === null) return { title, value: 'nobody' };
  if (path === 'action' && value === '') return { title, value: 'nothing said' };
  if (path === 'state') return { title, value: DEFECT_STATE_WORDS[value as Defect['state']] };
  if (path === 'severity')
    return { title, value: `${String(value)}, ${SEVERITY_WORDS[value as Defect['severity']]}` };
  if (path === 'due') return { title, value: day(String(value)) };
  if (path === 'photos') return { title, value: String((value as unknown[] | null)?.length ?? 0) };
  return title ? { title } : null;
};
