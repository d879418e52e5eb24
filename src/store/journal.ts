import { createHash } from 'node:crypto';
import { canonical } from '../core/record/canonical';
import type { Id } from '../core/record/types';
import type { Db } from './open';

/** One line of the journal. */
export interface JournalLine {
  seq: number;
  id: Id;
  received_at: string;
  person: string;
  command: string;
  sent: string;
  prev: string;
  hash: string;
}

/** Where a journal stands. */
export interface JournalHead {
  seq: number;
  hash: string;
}

/** A line of the program itself: nobody gave it, and it changes no record. */
export interface OwnLine {
  kind: 'migrated' | 'checkpoint';
  at: string;
  payload: Record<string, unknown>;
}

/** Ids of the program's own lines begin so; no command's can. */
const OWN = ':';

/**
 * Hash of a line: SHA-256 over the canonical JSON (RFC 8785) of its fields, which stand in the order of their
 * names; the command is canonical JSON already.
 */
export function hashOf({
  command,
  person,
  prev,
  received_at,
  seq,
}: Pick<JournalLine, 'command' | 'person' | 'prev' | 'received_at' | 'seq'>): string {
  const text = `{"command":${command},"person":${JSON.stringify(person)},"prev":"${prev}","received_at":"${received_at}","seq":${seq}}`;
  return createHash('sha256').update(text).digest('hex');
}

/** Hash before the first line. */
export const START = '0'.repeat(64);

/** A place where a chain does not hold. */
export interface BrokenLine {
  seq: number;
  what: 'missing' | 'link' | 'hash';
}

/** The journal of a site: accepted commands in server order, each line hashed over the one before. */
export class Journal {
  readonly #append;
  readonly #byId;
  readonly #earlier;
  #known: JournalHead | null = null;

  constructor(private readonly db: Db) {
    this.#append = db.prepare(
      `INSERT INTO journal (seq, id, received_at, person, command, sent, prev, hash)
       VALUES (@seq, @id, @received_at, @person, @command, @sent, @prev, @hash)`,
    );
    this.#byId = db.prepare('SELECT * FROM journal WHERE id = ?');
    this.#earlier = db.prepare('SELECT sent FROM earlier WHERE id = ?');
  }

  find(id: Id): JournalLine | null {
    return (this.#byId.get(id) as JournalLine | undefined) ?? null;
  }

  /** A line by its number; null where there is none. */
  line(seq: number): JournalLine | null {
    const row = this.db.prepare('SELECT * FROM journal WHERE seq = ?').get(seq);
    return (row as JournalLine | undefined) ?? null;
  }

  #anyEarlier: boolean | null = null;

  /** Hash of a command as it was sent before the site had a file of its own; null for any other. */
  sentEarlier(id: Id): string | null {
    // Only a site that was taken out of the earlier layout has any; none comes later.
    this.#anyEarlier ??= this.db.prepare('SELECT 1 FROM earlier LIMIT 1').get() !== undefined;
    if (!this.#anyEarlier) return null;
    return (this.#earlier.get(id) as { sent: string } | undefined)?.sent ?? null;
  }

  /** Newest line's number and hash: a chain alone cannot show a cut tail, so the head is printed on reports. */
  head(): JournalHead {
    // Beside a writer it may have moved.
    if (this.db.readonly) return headOf(this.db);
    return (this.#known ??= headOf(this.db));
  }

  /** Forgets where it stands: after something was taken back, or when somebody else may have written. */
  forget(): void {
    this.#known = null;
  }

  /** Whether the journal holds a line, by its number and, where it is known, its hash. */
  holds(seq: number, hash: string): boolean {
    const head = this.head();
    if (seq > head.seq) return false;
    if (hash === '') return true;
    if (seq === 0) return hash === START;
    return this.line(seq)?.hash === hash;
  }

  /** Those of the ids that were taken. */
  known(ids: readonly Id[]): Id[] {
    return ids.filter((id) => this.#byId.get(id) !== undefined || this.sentEarlier(id) !== null);
  }

  /** Appends a command; the caller holds the transaction. */
  append(id: Id, canonical: string, person: string, receivedAt: string, sent: string): JournalHead {
    return this.#put(id, canonical, person, receivedAt, sent);
  }

  /** Appends a line of the program itself; the caller holds the transaction. */
  appendOwn(line: OwnLine): JournalHead {
    return this.#put(`${OWN}${line.kind}-${this.head().seq + 1}`, canonical(line)!, '', line.at, '');
  }

  #put(id: Id, command: string, person: string, receivedAt: string, sent: string): JournalHead {
    const head = this.head();
    const line = { seq: head.seq + 1, prev: head.hash, received_at: receivedAt, person, command };
    const hash = hashOf(line);
    this.#append.run({ ...line, id, sent, hash });
    return (this.#known = { seq: line.seq, hash });
  }

  /** Commands after a line, in order, no more than some. */
  after(seq: number, most: number): JournalLine[] {
    return this.db
      .prepare(`SELECT * FROM journal WHERE seq > ? AND id NOT LIKE '${OWN}%' ORDER BY seq LIMIT ?`)
      .all(seq, most) as JournalLine[];
  }

  /** Every line in order, from a number on. */
  lines(from = 1): IterableIterator<JournalLine> {
    return this.db
      .prepare('SELECT * FROM journal WHERE seq >= ? ORDER BY seq')
      .iterate(from) as IterableIterator<JournalLine>;
  }

  /** The program's newest own line, which replay starts at; null where there is none. */
  lastOwn(): { seq: number; line: OwnLine } | null {
    const row = this.db
      .prepare(`SELECT seq, command FROM journal WHERE id LIKE '${OWN}%' ORDER BY seq DESC LIMIT 1`)
      .get() as { seq: number; command: string } | undefined;
    return row ? { seq: row.seq, line: JSON.parse(row.command) as OwnLine } : null;
  }

  /** The first line from a number on whose number, link or hash does not hold; null when the chain is whole. */
  firstBroken(from = 1): BrokenLine | null {
    return firstBrokenOf(this.db, from);
  }
}

/** Number and hash of the newest line of a journal. */
export const headOf = (db: Db): JournalHead =>
  (db.prepare('SELECT seq, hash FROM journal ORDER BY seq DESC LIMIT 1').get() as
    JournalHead | undefined) ?? { seq: 0, hash: START };

/** The first line of a journal, from a number on, whose number, link or hash does not hold; null when it is whole. */
export function firstBrokenOf(db: Db, from = 1): BrokenLine | null {
  const before = db
    .prepare('SELECT hash FROM journal WHERE seq = ?')
    .pluck()
    .get(from - 1) as string | undefined;
  if (from > 1 && before === undefined) return { seq: from - 1, what: 'missing' };
  let prev = before ?? START;
  let seq = from - 1;
  const lines = db.prepare('SELECT * FROM journal WHERE seq >= ? ORDER BY seq').iterate(from);
  for (const line of lines as IterableIterator<JournalLine>) {
    seq++;
    if (line.seq !== seq) return { seq, what: 'missing' };
    if (line.prev !== prev) return { seq, what: 'link' };
    if (line.hash !== hashOf(line)) return { seq, what: 'hash' };
    prev = line.hash;
  }
  return null;
}
