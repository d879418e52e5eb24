import { isTransit } from '../../core/record/kind-ids';
import type { Entry } from '../../core/record/types';

/** Where an entry is inspected: a transit on its board, an end of a mineral cable and every other entry on the bench. */
export const surfaceOf = ({ id, site, kind }: Pick<Entry, 'id' | 'site' | 'kind'>): string =>
  `/${isTransit(kind) ? 'transit' : 'bench'}/?entry=${id}&site=${site}`;
