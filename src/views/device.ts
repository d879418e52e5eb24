import { useSyncExternalStore } from 'react';
import { openEvents } from '../client/events';
import { Device, type DeviceState } from '../offline/device';
import { LiveInstrument } from '../offline/live-instrument';

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

/** A parameter of the page's address. */
export const parameter = (name: string): string | null => new URLSearchParams(location.search).get(name);

let started = false;

/** Starts the device once: local copy, server, event stream, service worker. */
export function startDevice(): void {
  if (started) return;
  started = true;
  void device.start(parameter('site'), parameter('entry'));
  openEvents({
    instrument: (line) => instrument.hear(line),
    journal: ({ site }) => {
      if (site === device.state().site) void device.refresh();
    },
    open: (open) => {
      if (open) void device.refresh().then(() => device.flush());
    },
  });
  window.addEventListener('online', () => void device.refresh().then(() => device.flush()));
  if ('serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js').catch(() => undefined);
}

interface Said {
  text: string;
  action: { title: string; run: () => void } | null;
}
let said: Said | null = null;
let saidTimer: ReturnType<typeof setTimeout> | undefined;
const saidListeners = new Set<() => void>();

/** Says something at the foot of the page, with one thing that can be done about it. */
export function say(text: string, action: Said['action'] = null): void {
  said = { text, action };
  clearTimeout(saidTimer);
  saidTimer = setTimeout(hush, 9000);
  for (const listener of saidListeners) listener();
}

/** Takes the text at the foot of the page away. */
export function hush(): void {
  said = null;
  for (const listener of saidListeners) listener();
}

/** What is being said. */
export const useSaid = (): Said | null =>
  useSyncExternalStore(
    (listener) => {
      saidListeners.add(listener);
      return () => saidListeners.delete(listener);
    },
    () => said,
  );
