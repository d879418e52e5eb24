import type { Id, Photo } from '../../core/record/types';
import type { Person } from '../../store/people';
import { listedSites, type App } from '../app';
import { acceptCommands, type CommandAnswer } from '../commands/accept';

/** Whatever is written into sites goes through here, in one order. */
export interface Writer {
  /** Takes commands; what is accepted is on the disk when this resolves. */
  accept: (values: readonly unknown[], person: Person) => Promise<CommandAnswer[]>;
  /** Adds the row of a photo whose file is there. */
  addPhoto: (site: Id, photo: Photo, sent: string) => Promise<void>;
  /** Brings the list of sites up to what was written. */
  list: () => Promise<void>;
  /** Ends it, once everything that waits is written. */
  end: () => Promise<void>;
}

/** Writing in the caller's own thread, as a program of one task does. */
export const writerHere = (app: () => App): Writer => ({
  accept: (values, person) => Promise.resolve().then(() => acceptCommands(app(), values, person)),
  addPhoto: (site, photo, sent) => Promise.resolve(app().sites.get(site)?.photos.add(photo, sent)),
  list: () => Promise.resolve(void listedSites(app())),
  end: () => Promise.resolve(),
});
