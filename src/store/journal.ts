import { createHash } from 'node:crypto';
import canonicalize from 'canonicalize';
import type { AnyCommand } from '../core/record/commands';
import type { Id } from '../core/record/types';
import type { Db } from './open';

/** One line of the journal. */
export interface JournalLine {
  seq: number;
  id: Id;
  site: Id;
  received_at: string;
  person: string;
  command: string;
  sent: string;
  prev: string;
  hash: string;
}

/**
 * Hash of a line: SHA-256 over the canonical JSON (RFC 8785) of its fields, which stand in the order of their
 * names; the command is canonical JSON already.
 */
function hashOf({
  command,
  person,
  prev,
  received_at,
  seq,
}: Omit<JournalLine, 'id' | 'site' | 'sent' | 'hash'>): string {
  const text = `{"command":${command},"person":${JSON.stringify(person)},"prev":"${prev}","received_at":"${received_at}","seq":${seq}}`;
  return createHash('sha256').update(text).digest('hex');
}

/** Hash before the first line. */
const START = '0'.repeat(64);

/** The journal: accepted commands in server order, each line hashed over the one before. */
export class Journal {
  readonly #append;
  readonly #byId;
  readonly #head;

  constructor(private readonly db: Db) {
    this.#append = db.prepare(
      `INSERT INTO journal (seq, id, site, received_at, person, command, sent, prev, hash)
       VALUES (@seq, @id, @site, @received_at, @person, @command, @sent, @prev, @hash)`,
    );
    this.#byId = db.prepare('SELECT * FROM journal WHERE id = ?');
    this.#head = db.prepare('SELECT seq, hash FROM journal ORDER BY seq DESC LIMIT 1');
  }

  find(id: Id): JournalLine | null {
    return (this.#byId.get(id) as JournalLine | undefined) ?? null;
  }

  /** Newest line's number and hash: a chain alone cannot show a cut tail, so the head is printed on reports. */
  head(): { seq: number; hash: string } {
    return (this.#head.get() as { seq: number; hash: string } | undefined) ?? { seq: 0, hash: START };
  }

  /** Whether the journal holds a line, by its number and, where it is known, its hash. */
  holds(seq: number, hash: string): boolean {
    const head = this.head();
    if (seq > head.seq) return false;
    if (hash === '') return true;
    if (seq === 0) return hash === START;
    const line = this.db.prepare('SELECT hash FROM journal WHERE seq = ?').get(seq) as
      { hash: string } | undefined;
    return line?.hash === hash;
  }

  /** Number of a site's newest line before a number; 0 where there is none. */
  lastOf(site: Id, before = Number.MAX_SAFE_INTEGER): number {
    const row = this.db
      .prepare('SELECT max(seq) AS seq FROM journal WHERE site = ? AND seq < ?')
      .get(site, before) as {
      seq: number | null;
    };
    return row.seq ?? 0;
  }

  /** Those of the ids that are in the journal. */
  known(ids: readonly Id[]): Id[] {
    return ids.filter((id) => this.#byId.get(id) !== undefined);
  }

  /** Appends a command; the caller holds the transaction. */
  append(
    command: AnyCommand,
    person: string,
    receivedAt: string,
    sent: string,
  ): { seq: number; hash: string } {
    const head = this.head();
    const line = { seq: head.seq + 1, prev: head.hash, received_at: receivedAt, person };
    const text = canonicalize(command)!;
    const hash = hashOf({ ...line, command: text });
    this.#append.run({ ...line, id: command.id, site: command.site, command: text, sent, hash });
    return { seq: line.seq, hash };
  }

  /** Lines of a site after a line, in order. */
  after(site: Id, seq: number): JournalLine[] {
    return this.db
      .prepare('SELECT * FROM journal WHERE site = ? AND seq > ? ORDER BY seq')
      .all(site, seq) as JournalLine[];
  }

  /** Every line in order. */
  lines(): IterableIterator<JournalLine> {
    return this.db.prepare('SELECT * FROM journal ORDER BY seq').iterate() as IterableIterator<JournalLine>;
  }

  /** Number of the first line whose hash or link does not hold; null when the chain is whole. */
  firstBroken(): number | null {
    let prev = START;
    let seq = 0;
    for (const line of this.lines()) {
      seq++;
      const { received_at, person, command } = line;
      const hash = hashOf({ seq, prev, received_at, person, command });
      if (line.seq !== seq || line.prev !== prev || line.hash !== hash) return seq;
      prev = hash;
    }
    return null;
  }
}
