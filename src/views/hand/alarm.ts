import { clocksOfSite, inOrder, type Clock, type Clocks } from '../../core/makeoff/clocks';
import { DUE_WORDS } from '../../core/words/en/makeoff';
import type { Id } from '../../core/record/types';
import { now } from '../../client/clock';
import { clockAddress } from './clock-address';
import { farClocks, farTimes } from './far-clocks';
import { device, say } from './hand';
import { whereWords } from '../../core/words/en/where';

/** Clocks that have rung on this device; a page that is opened later does not ring them again. */
const RUNG = 'yendral.rung';
const SOUND = 'yendral.sound';
const NOTIFY = 'yendral.notify';
/** How many are remembered. */
const MOST_RUNG = 400;

const rung = new Set<string>(read());

function read(): string[] {
  try {
    return JSON.parse(localStorage.getItem(RUNG) ?? '[]') as string[];
  } catch {
    return [];
  }
}

/** How a clock that runs out makes itself known on this device. */
export function alarmState(): { sound: boolean; notify: boolean; blocked: boolean } {
  const blocked = !('Notification' in window) || Notification.permission === 'denied';
  return {
    sound: localStorage.getItem(SOUND) !== 'off',
    notify: !blocked && Notification.permission === 'granted' && localStorage.getItem(NOTIFY) === 'on',
    blocked,
  };
}

/** Switches the sound on or off. */
export const setSound = (on: boolean): void => localStorage.setItem(SOUND, on ? 'on' : 'off');

/** Switches notifications on, which asks the browser, or off. */
export async function askForNotifications(on: boolean): Promise<void> {
  if (on && Notification.permission === 'default') await Notification.requestPermission();
  localStorage.setItem(NOTIFY, on && Notification.permission === 'granted' ? 'on' : 'off');
}

/** Three short tones; silent where the browser does not allow sound yet, as before the first touch of a page. */
export function ring(): void {
  if (!(navigator.userActivation?.hasBeenActive ?? true)) return;
  try {
    const context = new AudioContext();
    for (const i of [0, 1, 2]) {
      const tone = context.createOscillator();
      const volume = context.createGain();
      tone.frequency.value = 880;
      volume.gain.value = 0.2;
      tone.connect(volume).connect(context.destination);
      tone.start(context.currentTime + i * 0.35);
      tone.stop(context.currentTime + i * 0.35 + 0.18);
    }
    setTimeout(() => void context.close(), 1500);
  } catch {
    // Without sound the words on the page still say it.
  }
}

let looked: { key: string; found: Clocks } | null = null;

/** How often clocks of the past are let go of, ms. An hour in milliseconds. */
const LET_GO_MS = 3_600_000;

/**
 * The clocks of the open site, on this device and, of a large site, elsewhere: looked for anew only when a record has
 * changed, others have come, or an hour is over.
 */
export function clocksHere(site: Id, nowMs: number): Clocks {
  const { slice, part, version } = device.state();
  const far = part && farClocks(site, version);
  const key = `${site} ${device.touched.version} ${Math.floor(nowMs / LET_GO_MS)} ${far ? farTimes() : ''}`;
  if (looked?.key === key) return looked.found;
  const here = clocksOfSite(slice, site, nowMs);
  looked = { key, found: far ? inOrder([far, here], nowMs) : here };
  return looked.found;
}

/** Looks at the clocks of the site, rings those that have run out since, and says how many are due. */
export function watchClocks(): { due: number; running: number } {
  const { site, ready } = device.state();
  if (ready !== 'ready' || site === null) return { due: 0, running: 0 };
  const nowMs = Date.parse(now());
  const { clocks } = clocksHere(site, nowMs);
  const due = clocks.filter((clock) => !clock.stopped && Date.parse(clock.due) <= nowMs);
  // A clock whose temperature moved its end may ring again.
  const fresh = due.filter((clock) => !rung.has(`${clock.id} ${clock.due}`));
  if (fresh.length > 0) signal(fresh);
  return { due: due.length, running: clocks.length };
}

function signal(fresh: readonly Clock[]): void {
  for (const { id, due } of fresh) rung.add(`${id} ${due}`);
  localStorage.setItem(RUNG, JSON.stringify([...rung].slice(-MOST_RUNG)));
  const [first] = fresh;
  const words = `${whereWords(first!.where)}: ${DUE_WORDS[first!.is].toLowerCase()}${fresh.length > 1 ? `, and ${fresh.length - 1} more` : ''}.`;
  const { site } = device.state();
  say(words, { title: 'Open', run: () => location.assign(clockAddress(first!, site ?? '')) });
  const { sound, notify } = alarmState();
  if (sound) ring();
  if (notify) new Notification('Yendral', { body: words, tag: first!.id });
}
