import type { Id, Photo } from '../core/record/types';
import type { Db } from './open';

type Row = Photo & { sent: string };

/** A stored photo, and the hash of the bytes as they were sent. */
export interface KnownPhoto {
  photo: Photo;
  sent: string;
}

/** Name of a photo's file in its site's folder of photos. */
export const photoFile = ({ id, type }: Pick<Photo, 'id' | 'type'>): string =>
  `${id}.${type === 'image/png' ? 'png' : 'jpg'}`;

/** What is known of each stored photo; the bytes are files. */
export class Photos {
  constructor(private readonly db: Db) {}

  find(id: Id): KnownPhoto | null {
    const row = this.db.prepare('SELECT * FROM photo WHERE id = ?').get(id) as Row | undefined;
    if (!row) return null;
    const { sent, ...photo } = row;
    return { photo, sent };
  }

  all(): Photo[] {
    const rows = this.db.prepare('SELECT * FROM photo ORDER BY id').all() as Row[];
    return rows.map(({ sent: _sent, ...photo }) => photo);
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
