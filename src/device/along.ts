import { ApiError } from '../client/api';
import type { Scope } from '../core/record/closure';
import type { Slice } from '../core/record/slice';
import type { Id } from '../core/record/types';
import type { Copy } from './copy';
import type { Courier } from './courier';

/** What of a large site is on this device, and how much was fetched for it, bytes. */
export interface Part {
  scope: Scope;
  bytes: number;
}

/** What of a large site this device takes along; of a small one it has all. */
export class Along {
  constructor(
    private readonly copy: Copy,
    private readonly courier: Courier,
    private readonly view: Slice,
  ) {}

  /** What is here; null where all of the site is. */
  get part(): Part | null {
    const { scope, bytes = 0 } = this.copy.head ?? {};
    return scope ? { scope, bytes } : null;
  }

  /** Whether an entry is here with all that it is inspected with. */
  readonly isHere = (entry: Id): boolean => {
    const { head, parts } = this.copy;
    if (head?.scope) return parts !== null && parts.isWhole(this.view, head.scope, entry);
    return this.view.get('entry', entry) !== null;
  };

  /**
   * Takes more along: it is here then whether or not there is a signal.
   *
   * @throws ApiError
   */
  async take(more: Partial<Scope>): Promise<void> {
    await (await taking()).take(this.copy, this.courier, more);
  }

  /**
   * Leaves behind what was taken along. What waits to be sent stays.
   *
   * @throws ApiError
   */
  async leave(less: Partial<Scope>): Promise<void> {
    await (await taking()).leave(this.copy, this.courier, less);
  }
}

/** @throws ApiError with status 0 while the program cannot be had whole */
const taking = () =>
  import('./taking').catch(() => {
    throw new ApiError(0, 'unreached', 'The program cannot be read whole; try again.');
  });
