import type { Id, Photo } from '../core/record/types';
import type { Db } from './open';

type Row = Photo & { sent: string };

/** What is known of each stored photo; the bytes are files. */
export class Photos {
  constructor(private readonly db: Db) {}

  find(id: Id): Row | null {
    return (this.db.prepare('SELECT * FROM photo WHERE id = ?').get(id) as Row | undefined) ?? null;
  }

  add(photo: Photo, sent: string): void {
    this.db
      .prepare(
        `INSERT INTO photo (id, type, bytes, width, height, sha256, sent)
         VALUES (@id, @type, @bytes, @width, @height, @sha256, @sent)`,
      )
      .run({ ...photo, sent });
  }
}
