import { useSyncExternalStore } from 'react';
import { now } from '../../client/clock';
import type { JudgingProgress, TaskProgress } from '../../core/commands/news';
import { EventsClient } from '../../client/events';
import type { Id, Standing } from '../../core/record/types';
import { day } from '../../core/words/en/format';
import { Device } from '../../device/device';
import type { DeviceState } from '../../device/device-state';
import { LiveInstrument } from '../../device/live-instrument';
import { afterPaint } from '../../ui/after-paint';

/** The device of this page. */
export const device = new Device();

const instrumentListeners = new Set<() => void>();
let instrumentVersion = 0;
/** The instrument in the hand. */
export const instrument = new LiveInstrument(() => {
  instrumentVersion++;
  for (const listener of instrumentListeners) listener();
});

/** Looks again whenever the instrument in the hand shows something else. */
export function useInstrument() {
  useSyncExternalStore(
    (listener) => {
      instrumentListeners.add(listener);
      return () => instrumentListeners.delete(listener);
    },
    () => instrumentVersion,
  );
  return instrument.line;
}

/** The device's state; a view looks again with every change. */
export const useDevice = (): DeviceState => useSyncExternalStore(device.subscribe, device.state);

const subscribeLater = (listener: () => void) => device.subscribe(() => afterPaint(listener));

/** The same for what takes longer than a key may: it looks again once what the press itself shows is painted. */
export const useDeviceLater = (): DeviceState => useSyncExternalStore(subscribeLater, device.state);

/** Where entries of the open site stand; a view looks again when one of them was judged anew. */
export function useStatuses(): (entry: Id) => Standing | null {
  useSyncExternalStore(device.statuses.subscribe, () => device.statuses.judged);
  return device.statuses.of;
}

/** A parameter of the page's address. */
export const parameter = (name: string): string | null => new URLSearchParams(location.search).get(name);

const taskListeners = new Set<(progress: TaskProgress) => void>();
const tellTask = (progress: TaskProgress) => taskListeners.forEach((listener) => listener(progress));

/** Hears how far long requests of this page are; gives what ends the hearing. */
export function onTask(listener: (progress: TaskProgress) => void): () => void {
  taskListeners.add(listener);
  return () => taskListeners.delete(listener);
}

let judging: JudgingProgress | null = null;
const judgingListeners = new Set<() => void>();

/** How far the server is with judging the open site anew; null where it is not. */
export const useJudging = (): JudgingProgress | null =>
  useSyncExternalStore(
    (listener) => {
      judgingListeners.add(listener);
      return () => judgingListeners.delete(listener);
    },
    () => judging,
  );

let started = false;

/** Starts the device once: local copy, server, event stream, service worker. */
export function startDevice(): void {
  if (started) return;
  started = true;
  void device.start(parameter('site'), parameter('entry'));
  // The first formatter of dates takes as long as a list: made while the page waits for its records.
  setTimeout(() => day(now()));
  device.onOtherPerson = ({ name }) =>
    say(`${name} is signed in on this device now; what you record stands under that name.`);
  const events = new EventsClient({
    instrument: (line) => instrument.hear(line),
    journal: (news) => device.hear(news),
    task: (progress) => tellTask(progress),
    judging: (progress) => {
      judging = progress.left > 0 ? progress : null;
      for (const listener of judgingListeners) listener();
    },
    open: (open) => {
      if (open) void device.refresh().then(() => device.flush());
    },
  });
  device.subscribe(() => {
    const { person, forgotten, ready, site } = device.state();
    events.listen(person && !forgotten && ready === 'ready' ? site : null);
  });
  window.addEventListener('online', () => void device.refresh().then(() => device.flush()));
  watchUpdate();
}

let waitingVersion: ServiceWorker | null = null;
const updateListeners = new Set<() => void>();

/** Registers the service worker, and notices when a new version of the program lies ready. */
function watchUpdate(): void {
  if (!('serviceWorker' in navigator)) return;
  const ready = (worker: ServiceWorker | null) => {
    // Without an older one there is nothing to update.
    if (!worker || !navigator.serviceWorker.controller) return;
    waitingVersion = worker;
    for (const listener of updateListeners) listener();
  };
  void navigator.serviceWorker
    .register('/sw.js')
    .then((registration) => {
      ready(registration.waiting);
      registration.addEventListener('updatefound', () => {
        const { installing } = registration;
        installing?.addEventListener('statechange', () => {
          if (installing.state === 'installed') ready(installing);
        });
      });
    })
    .catch(() => undefined);
}

/** Whether a new version of the program waits for the person to agree. */
export const useUpdate = (): boolean =>
  useSyncExternalStore(
    (listener) => {
      updateListeners.add(listener);
      return () => updateListeners.delete(listener);
    },
    () => waitingVersion !== null,
  );

/** Sends what waits, then goes over to the new version. */
export async function takeUpdate(): Promise<void> {
  await device.flush();
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
  waitingVersion?.postMessage({ type: 'SKIP_WAITING' });
}

/** Something that is said to the person, with one thing that can be done about it. */
export interface Said {
  text: string;
  action: { title: string; run: () => void } | null;
}

/** What is said: null takes it away again. */
type Hearer = (said: Said | null) => void;
const hearers = new Set<Hearer>();
/** The last thing said while nobody heard: the page is only coming up. */
let unheard: Said | null = null;

function tell(said: Said | null): void {
  if (hearers.size === 0) unheard = said;
  for (const hear of hearers) hear(said);
}

/** Says something at the head of the page. */
export const say = (text: string, action: Said['action'] = null): void => tell({ text, action });

/** Takes what was said away: it has been answered. */
export const hush = (): void => tell(null);

/** Hears what is said; gives what ends the hearing. */
export function onSaid(hear: Hearer): () => void {
  hearers.add(hear);
  if (unheard) hear(unheard);
  unheard = null;
  return () => hearers.delete(hear);
}
