import type { Base, Id } from './types/base';
import type { Cable } from './types/cable';
import type { Certificate } from './types/certificate';
import type { Defect, FrozenBody, Inspection, ReferenceRecord, Round } from './types/inspection';
import type { Instrument } from './types/instrument';
import type { Area, Enclosure, Entry, Site } from './types/place';
import type { TransitPacking } from './types/transit';
import type { AsLeft, Continuity, InsulationTest, Look, MakeOff, Pour, Reading } from './types/work';

export * from './types/base';
export * from './types/place';
export * from './types/cable';
export * from './types/certificate';
export * from './types/instrument';
export * from './types/work';
export * from './types/inspection';
export * from './types/transit';

/** A value that lost against another: whose it was, and what stands instead. */
export interface Lost {
  table: TableName;
  id: Id;
  /** Dotted path of the field or part. */
  field: string;
  value: unknown;
  /** Whose value it was; null where that is older than what is known. Absent in records of an earlier day. */
  by?: string | null;
  stands?: unknown;
  standsBy?: string | null;
}

/** What one command did, so that it can be undone. */
export interface Change extends Base {
  kind: string;
  by: string;
  at: string;
  /** `before` is null for a record that the command made; `rev` is the record's afterwards, null for one removed. */
  records: { table: TableName; id: Id; before: unknown; rev: Id | null }[];
  /** Set once the change is undone. */
  undone: Id | null;
  /** Values that lost against a later one, kept for the history. */
  lost: Lost[];
  /** What it was taken together with, and is undone together with. */
  batch?: Id;
}

/** Every table of a site's records and what is in it. */
export interface Tables {
  site: Site;
  area: Area;
  enclosure: Enclosure;
  cable: Cable;
  certificate: Certificate;
  instrument: Instrument;
  entry: Entry;
  round: Round;
  reading: Reading;
  look: Look;
  pour: Pour;
  makeoff: MakeOff;
  insulation: InsulationTest;
  continuity: Continuity;
  packing: TransitPacking;
  asleft: AsLeft;
  reference: ReferenceRecord;
  frozen: FrozenBody;
  inspection: Inspection;
  defect: Defect;
  change: Change;
}
export type TableName = keyof Tables;
