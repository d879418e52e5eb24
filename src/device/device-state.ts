import type { Person } from '../client/api';
import type { Slice } from '../core/record/slice';
import type { Id } from '../core/record/types';
import type { Part } from './along';
import type { Notice, Waiting } from './database';
import type { Trouble } from './keeper';

/** What the pages show of the device. */
export interface DeviceState {
  /** Nothing can be shown yet; everything is there; or it cannot be had. */
  ready: 'loading' | 'ready' | 'no-person' | 'no-site' | 'unreached';
  person: Person | null;
  people: Person[];
  sites: { id: Id; name: string }[];
  site: Id | null;
  /** What of a large site is on this device, and how much was fetched for it, bytes; null: all of the site is. */
  part: Part | null;
  /** Records with everything on this device applied. */
  slice: Slice;
  /** Commands of the person here that wait to be sent. */
  waiting: number;
  /** Commands of others who worked on this device, which wait for them. */
  ofOthers: number;
  refused: Waiting[];
  /** Commands that the server has lost after it had taken them. */
  held: Waiting[];
  notices: Notice[];
  trouble: Trouble | null;
  /** Whether the server has lost who is signed in. */
  forgotten: boolean;
  online: boolean;
  /** Grows with every change, so that a page knows when to look again. */
  version: number;
}
