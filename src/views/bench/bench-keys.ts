import { GRADES, type Grade } from '../../core/record/types';
import type { KeyBinding } from '../../ui/keys';
import { undoLast } from '../hand/give';
import type { Raising } from './use-raising';
import type { Taking } from './use-taking';
import type { Way } from './use-way';

/** What the keys of the bench act on. */
interface Bench {
  grade: Grade;
  way: Way;
  taking: Taking;
  raising: Raising;
  onGrade: (grade: Grade) => void;
  /** Walks to the stop after or before. */
  walk: (by: 1 | -1) => void;
  onPanel: () => void;
  onPad: () => void;
  onSeal: () => void;
  onAsLeft: () => void;
}

/** The keys of the bench, as they are listed. */
export const benchKeys = (bench: Bench): KeyBinding[] => [
  { key: ' ', title: 'Take the reading that the instrument shows', run: bench.taking.take },
  { key: 'n', title: 'Go to what is next unread', run: bench.way.toNext },
  { key: 'ArrowRight', title: 'Next place to measure', run: () => bench.way.step(1) },
  { key: 'ArrowLeft', title: 'Place before', run: () => bench.way.step(-1) },
  { key: 'd', title: 'Raise a defect from the selected failed check', run: () => bench.raising.raise() },
  { key: 'u', title: 'Undo your last change', run: undoLast },
  { key: 'w', title: 'Walk on to the next stop', run: () => bench.walk(1) },
  { key: 'b', title: 'Back to the stop before', run: () => bench.walk(-1) },
  {
    key: 'g',
    title: 'Next grade of inspection',
    run: () => bench.onGrade(GRADES[(GRADES.indexOf(bench.grade) + 1) % GRADES.length]!),
  },
  { key: 'j', title: 'Show what the instrument is held against', run: bench.onPanel },
  { key: 'p', title: 'Show the number pad', run: bench.onPad },
  { key: 's', title: 'Seal the inspection', run: bench.onSeal },
  { key: 'a', title: 'Seal how the entry was left', run: bench.onAsLeft },
  ...LOOK_KEYS,
];

/** Keys that a look takes itself while it has the focus; here for the list. */
const LOOK_KEYS: KeyBinding[] = [
  { key: '1 2 3', title: 'Answer the look that has the focus', run: () => undefined },
  {
    key: '0',
    title: 'All looks of the card as they should be, once all were on the screen',
    run: () => undefined,
  },
  { key: 'e', title: 'Note beside the answer of the look', run: () => undefined },
];
