import { ApiError } from '../client/api';

/** What commands do and how entries are judged: half of the program, which no page needs to show its records. */
export type Rules = typeof import('./rule-book').default;

let opened: Rules | null = null;
let opening: Promise<Rules> | null = null;

/** The rule book, where it is open already. */
export const rulesOpened = (): Rules | null => opened;

/**
 * Opens the rule book beside the records, once.
 *
 * @throws ApiError with status 0 while it cannot be fetched; the next call tries again
 */
export function openRules(): Promise<Rules> {
  opening ??= import('./rule-book').then(
    ({ default: rules }) => (opened = rules),
    () => {
      opening = null;
      throw new ApiError(0, 'unreached', 'The program cannot be read whole; it is tried again.');
    },
  );
  return opening;
}
