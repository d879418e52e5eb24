import type { Scope } from '../../core/record/closure';
import type { DossierTable } from '../../core/commands/commands';
import type { Id } from '../../core/record/types';

/** Tables whose records do not all lie on a device of a large site. */
const FAR = { entry: 'entries', enclosure: 'enclosures', cable: 'cables', round: 'rounds' } as const satisfies Partial<Record<DossierTable, keyof Scope>>; // prettier-ignore

export type FarTableName = keyof typeof FAR;

export const isFar = (table: string): table is FarTableName => Object.hasOwn(FAR, table);

/** What brings a record along. */
export const scopeFor = (table: FarTableName, id: Id): Partial<Scope> => ({ [FAR[table]]: [id] });
