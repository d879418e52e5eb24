import { openDeviceDb, type DeviceDb } from './database';
import { Subscribable } from './subscribable';

/** Space under which somebody has to make room, bytes. */
const LITTLE_SPACE = 30e6;

/** Why this device may not keep what is recorded on it. */
export type Trouble = 'no-store' | 'not-kept' | 'little-space' | 'no-offline';

/** This device's own store, and whether it does what is asked of it: a write that fails is told at once. */
export class Keeper extends Subscribable {
  #db: DeviceDb | null = null;
  readonly #troubles = new Set<Trouble>();

  /** What is wrong, the worst first; null while all is well. */
  get trouble(): Trouble | null {
    for (const one of ['no-store', 'not-kept', 'little-space', 'no-offline'] as const)
      if (this.#troubles.has(one)) return one;
    return null;
  }

  /** Opens the store; without one everything still works, for as long as the page stays open. */
  async open(): Promise<void> {
    try {
      this.#db = await openDeviceDb();
    } catch (error) {
      console.error(error);
      this.#tell('no-store');
    }
    if (typeof isSecureContext !== 'undefined' && !isSecureContext) this.#tell('no-offline');
    void this.#askForRoom();
  }

  async #askForRoom(): Promise<void> {
    const storage = typeof navigator === 'undefined' ? undefined : navigator.storage;
    try {
      await storage?.persist?.();
      await this.lookAtSpace();
    } catch {
      // A browser that does not say has to be taken as it is.
    }
  }

  /** Looks how much room is left. */
  async lookAtSpace(): Promise<void> {
    const { quota, usage } = (await navigator.storage?.estimate?.()) ?? {};
    if (quota === undefined || usage === undefined) return;
    if (quota - usage < LITTLE_SPACE) this.#tell('little-space');
    else if (this.#troubles.delete('little-space')) this.changed();
  }

  /** Reads; what cannot be read is as good as not there. */
  async read<R>(run: (db: DeviceDb) => Promise<R>, otherwise: R): Promise<R> {
    if (!this.#db) return otherwise;
    try {
      return await run(this.#db);
    } catch (error) {
      console.error(error);
      return otherwise;
    }
  }

  /** Writes; false when it is not kept, which has been told then. */
  async write(run: (db: DeviceDb) => Promise<unknown>): Promise<boolean> {
    if (!this.#db) return false;
    try {
      await run(this.#db);
      if (this.#troubles.delete('not-kept')) this.changed();
      return true;
    } catch (error) {
      console.error(error);
      this.#tell('not-kept');
      return false;
    }
  }

  #tell(trouble: Trouble): void {
    if (this.#troubles.has(trouble)) return;
    this.#troubles.add(trouble);
    this.changed();
  }
}
