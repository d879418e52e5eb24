import type { Db } from './open';

/** What a database keeps of itself: names and values. */
export class Settings {
  constructor(private readonly db: Db) {}

  /** A value; null where there is none. */
  get(key: string): string | null {
    const row = this.db.prepare('SELECT value FROM setting WHERE key = ?').get(key) as
      { value: string } | undefined;
    return row?.value ?? null;
  }

  set(key: string, value: string): void {
    this.db
      .prepare(
        'INSERT INTO setting (key, value) VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value',
      )
      .run(key, value);
  }

  /** Takes a value out; one that is not there stays so. */
  remove(key: string): void {
    this.db.prepare('DELETE FROM setting WHERE key = ?').run(key);
  }

  /** A value, made with `make` when it is asked for the first time. */
  made(key: string, make: () => string): string {
    const known = this.get(key);
    if (known !== null) return known;
    const value = make();
    this.set(key, value);
    return value;
  }
}
