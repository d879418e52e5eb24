import type { Where } from '../../makeoff/clocks';

/** Where something is: an entry of an enclosure, or a cable where no entry is named. */
export const whereWords = ({ tag, label }: Where): string =>
  label === null ? `cable ${tag}` : `${tag}, entry ${label}`;

/** Where a cable's end goes to. */
export const endWords = (entry: Where | null): string => (entry ? whereWords(entry) : 'no entry yet');

/** What a clock runs for. */
export const clockWhat = (compound: string | null): string => compound ?? 'insulation before sealing';
