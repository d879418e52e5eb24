/** A ULID made on the device, or a readable id in imported dossiers. */
export type Id = string;

/** A range [lower, upper]; the unit is in the field's name. */
export type Range = [number, number];

/** How much of an entry is looked at: eyes only, with tools, or opened (IEC 60079-17). */
export const GRADES = ['visual', 'close', 'detailed'] as const;
export type Grade = (typeof GRADES)[number];

/** What every record carries. */
export interface Base {
  id: Id;
  site: Id;
  /** Command that last changed the record; kept by the reducer. */
  rev?: Id;
  /** Per edited field: time and command of the value that stands. */
  stamps?: Record<string, [at: string, command: Id]>;
}

/** A record of the dossier that keeps what was typed beside what is stored. */
export interface KeepsTyped extends Base {
  /** Lengths as they were typed, by the field's dotted path, where that is more than the number. */
  typed?: Record<string, string>;
}

/** What a seal rests on: hashes of frozen bodies by what they are; null for what there was not. */
export type Frozen = Record<string, Id | Id[] | null>;
