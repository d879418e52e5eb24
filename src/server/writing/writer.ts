import type { Id, Photo } from '../../core/record/types';
import type { Person } from '../../store/people';
import { listedSites } from '../base/site-list';
import { keepInstrument, lendInstrument } from '../instruments/register';
import { acceptCommands, type CommandAnswer, type Taking } from '../commands/accept';

/** Whatever is written into sites goes through here, in one order. */
export interface Writer {
  /** Takes commands; what is accepted is on the disk when this resolves. */
  accept: (values: readonly unknown[], person: Person) => Promise<CommandAnswer[]>;
  /** Adds the row of a photo whose file is there. */
  addPhoto: (site: Id, photo: Photo, sent: string) => Promise<void>;
  /** Writes an instrument into the register; the answers of the sites that have it. */
  keepInstrument: (value: unknown, person: Person) => Promise<CommandAnswer[]>;
  /** Lends an instrument of the register to a site. */
  lend: (instrument: Id, site: Id, person: Person) => Promise<CommandAnswer[]>;
  /** Stops judging a site anew, or goes on with it. */
  judging: (site: Id, go: boolean) => Promise<void>;
  /** Brings the list of sites up to what was written. */
  list: () => Promise<void>;
  /** Ends it, once everything that waits is written. */
  end: () => Promise<void>;
}

/** Writing in the caller's own thread, as a program of one task does. */
export const writerHere = (app: () => Taking): Writer => ({
  accept: (values, person) => Promise.resolve().then(() => acceptCommands(app(), values, person)),
  addPhoto: (site, photo, sent) => Promise.resolve(app().sites.get(site)?.photos.add(photo, sent)),
  keepInstrument: (value, person) => Promise.resolve().then(() => keepInstrument(app(), value, person)),
  lend: (instrument, site, person) =>
    Promise.resolve().then(() => lendInstrument(app(), instrument, site, person)),
  // What is judged in the caller's own thread is done before anybody could stop it.
  judging: () => Promise.resolve(),
  list: () => Promise.resolve(void listedSites(app())),
  end: () => Promise.resolve(),
});
