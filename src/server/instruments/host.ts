import { read, step, takeOut, type InstrumentInput, type Simulated } from '../../core/instrument/simulator';
import type { Instrument } from '../../core/record/types';
import type { Clock } from '../base/clock';
import type { EventHub } from '../base/events';

/** Samples per second that a simulated instrument sends. */
const SAMPLES_PER_SECOND = 8;
/** An instrument that nobody touches goes to sleep after this time. */
const SLEEP_MS = 120_000;

interface Running {
  simulated: Simulated;
  touchedMs: number;
}

/** Drives the simulated instruments and sends what they say to every page. */
export class InstrumentHost {
  /** By site and id. */
  readonly #running = new Map<string, Running>();
  #timer: NodeJS.Timeout | null = null;

  constructor(
    private readonly events: EventHub,
    private readonly clock: Clock,
  ) {}

  /** The user's hand on an instrument; wakes it up. */
  handle(instrument: Instrument, input: InstrumentInput): void {
    const seed = [...instrument.id].reduce((sum, c) => sum * 31 + c.charCodeAt(0), 7) % 2 ** 31;
    const key = `${instrument.site} ${instrument.id}`;
    const before = this.#running.get(key)?.simulated ?? takeOut(instrument, seed);
    // The record may have changed since, its calibration date above all.
    const simulated = step({ ...before, instrument }, input);
    this.#running.set(key, { simulated, touchedMs: Date.now() });
    this.#timer ??= setInterval(() => this.#tick(), 1000 / SAMPLES_PER_SECOND);
    this.#timer.unref();
  }

  #tick(): void {
    const at = this.clock().toISOString();
    for (const [key, running] of this.#running) {
      if (Date.now() - running.touchedMs > SLEEP_MS) {
        this.#running.delete(key);
        continue;
      }
      running.simulated = step(running.simulated, {});
      this.events.send('instrument', read(running.simulated, at), running.simulated.instrument.site);
    }
    if (this.#running.size === 0) this.stop();
  }

  stop(): void {
    if (this.#timer) clearInterval(this.#timer);
    this.#timer = null;
  }
}
