import { touchedEntries } from '../core/commands/touched';
import type { RecordChange, Slice } from '../core/record/slice';
import type { Id } from '../core/record/types';

/** Which entries' judgement may have changed: a number per entry that grows with everything that touches it. */
export class Touched {
  readonly #of = new Map<Id, number>();
  #all = 0;
  #clock = 0;

  /** @param heard which entries were touched, each time */
  constructor(private readonly heard: (entries: ReadonlySet<Id>) => void = () => undefined) {}

  /** The number of an entry that nothing has touched since the copy was taken up. */
  get untouched(): number {
    return this.#all;
  }

  /** Grows with every change of any record. */
  get version(): number {
    return this.#clock;
  }

  /** Grows with every change that may alter the judgement of an entry. */
  versionOf(entry: Id): number {
    return Math.max(this.#of.get(entry) ?? 0, this.#all);
  }

  /** Another copy lies below: whatever was known of any entry counts no more. */
  everything(): void {
    this.#all = ++this.#clock;
  }

  /** Notes changes; the slice is read as they have left it. */
  note(slice: Slice, changes: readonly RecordChange[]): void {
    const real = changes.filter(({ before, after }) => !isSame(before, after));
    if (real.length === 0) return;
    this.#clock++;
    const entries = touchedEntries(slice, real);
    for (const entry of entries) this.#of.set(entry, this.#clock);
    this.heard(entries);
  }
}

/** Whether a record is as it was: what the server acknowledges is what this device had shown. */
const isSame = (before: { rev?: Id } | null, after: { rev?: Id } | null): boolean =>
  before === after || (before?.rev !== undefined && before.rev === after?.rev);
