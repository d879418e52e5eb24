import { KINDS } from '../../core/kinds/kinds';
import type { Entry } from '../../core/record/types';

/** Where an entry is inspected: a transit on its board, an end of a mineral cable and every other entry on the bench. */
export const surfaceOf = ({ id, site, kind }: Pick<Entry, 'id' | 'site' | 'kind'>): string =>
  KINDS[kind].transit === null ? `/bench/?entry=${id}&site=${site}` : `/transit/?entry=${id}&site=${site}`;
