import type { Id } from '../core/record/types';
import type { Db } from './open';

export interface Person {
  id: Id;
  name: string;
}

/** People who record. */
export class People {
  constructor(private readonly db: Db) {}

  all(): Person[] {
    return this.db.prepare('SELECT id, name FROM person ORDER BY name').all() as Person[];
  }

  find(id: Id): Person | null {
    return (
      (this.db.prepare('SELECT id, name FROM person WHERE id = ?').get(id) as Person | undefined) ?? null
    );
  }

  byName(name: string): Person | null {
    return (
      (this.db.prepare('SELECT id, name FROM person WHERE name = ?').get(name) as Person | undefined) ?? null
    );
  }

  add(person: Person, createdAt: string): void {
    this.db
      .prepare('INSERT INTO person (id, name, created_at) VALUES (?, ?, ?)')
      .run(person.id, person.name, createdAt);
  }
}
