import canonicalize from 'canonicalize';
import { canonicalHash } from '../core/record/seal';
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

  /** Appends a command; the caller holds the transaction. */
  append(
    command: AnyCommand,
    person: string,
    receivedAt: string,
    sent: string,
  ): { seq: number; hash: string } {
    const head = this.head();
    const line = { seq: head.seq + 1, prev: head.hash, received_at: receivedAt, person };
    const hash = canonicalHash({ ...line, command });
    this.#append.run({
      ...line,
      id: command.id,
      site: command.site,
      command: canonicalize(command),
      sent,
      hash,
    });
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
      const { received_at, person } = line;
      const command = JSON.parse(line.command) as AnyCommand;
      const hash = canonicalHash({ seq, prev, received_at, person, command });
      if (line.seq !== seq || line.prev !== prev || line.hash !== hash) return seq;
      prev = hash;
    }
    return null;
  }
}
