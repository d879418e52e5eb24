import type { Person, Session as ServerSession } from '../client/api';
import type { Id } from '../core/record/types';
import type { Remembered } from './database';
import type { Keeper } from './keeper';
import { Subscribable } from './subscribable';

/** Who works on this device, who else there is, and which sites they have. */
export class Session extends Subscribable {
  person: Person | null = null;
  people: Person[] = [];
  sites: { id: Id; name: string }[] = [];
  /** Whether the server has lost who was signed in: what waits is sent after the next sign-in. */
  forgotten = false;

  constructor(private readonly keeper: Keeper) {
    super();
  }

  /** Takes up what the device remembers, for the time without a server. */
  async remember(): Promise<void> {
    const found = (await this.keeper.read((db) => db.get('facts', 'remembered'), undefined)) as
      Remembered | undefined;
    if (!found) return;
    this.person = found.session?.person ?? null;
    this.people = found.session?.people ?? [];
    // An answer that broke off was once kept as no list at all.
    this.sites = Array.isArray(found.sites) ? found.sites : [];
    this.changed();
  }

  /** What the server says about who is signed in. A device that knows who works on it keeps knowing. */
  take({ person, people }: Pick<ServerSession, 'person' | 'people'>, sites = this.sites): void {
    this.forgotten = person === null && this.person !== null;
    this.person = person ?? this.person;
    this.people = people;
    this.sites = sites;
    this.changed();
    void this.#keep();
  }

  /** Somebody signed in, here or in another tab. */
  become(person: Person): void {
    this.forgotten = false;
    this.person = person;
    if (!this.people.some(({ id }) => id === person.id)) this.people = [...this.people, person];
    this.changed();
    void this.#keep();
  }

  #keep(): Promise<boolean> {
    const { person, people, sites } = this;
    const remembered: Remembered = { session: { person, people }, sites };
    return this.keeper.write((db) => db.put('facts', remembered, 'remembered'));
  }
}
