import type { Statement } from 'better-sqlite3';
import type { Db } from './open';

/** Statements of a database, each prepared when it is first asked for: a file of an earlier version lacks what came since. */
export class Prepared {
  readonly #statements = new Map<string, Statement>();

  constructor(private readonly db: Db) {}

  get(sql: string): Statement {
    let statement = this.#statements.get(sql);
    if (!statement) this.#statements.set(sql, (statement = this.db.prepare(sql)));
    return statement;
  }
}
