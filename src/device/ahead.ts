import type { Id } from '../core/record/types';
import type { Waiting } from './database';

const PREFIX = 'yendral.ahead.';

/**
 * Commands that are being put into the device's store. The store works beside the page, and a page that is left in
 * that moment takes the write with it; this one is written before the call returns. Empty but for milliseconds.
 */
export const ahead = {
  /** Notes a command; a browser that has no room goes on without. */
  note(waiting: Waiting): void {
    try {
      localStorage.setItem(PREFIX + waiting.command.id, JSON.stringify(waiting));
    } catch {
      // The store itself tells when there is no room.
    }
  },

  /** The command lies in the store. */
  kept(command: Id): void {
    localStorage.removeItem(PREFIX + command);
  },

  /** What was noted and, as far as this page knows, never got into the store. */
  left(): Waiting[] {
    const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)!);
    return keys
      .filter((key) => key.startsWith(PREFIX))
      .flatMap((key) => {
        const text = localStorage.getItem(key);
        return text === null ? [] : [JSON.parse(text) as Waiting];
      });
  },
};
