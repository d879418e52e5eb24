import { api } from '../client/api';
import { now } from '../client/clock';
import type { InstrumentLine } from '../core/instrument/line';
import type { InstrumentInput, Simulated } from '../core/instrument/simulator';
import type { Instrument } from '../core/record/types';

/** Samples per second when the page drives the instrument itself. */
const SAMPLES_PER_SECOND = 8;
/** Silence after which the page takes over, ms. */
const SILENCE_MS = 900;

type Simulator = typeof import('../core/instrument/simulator');

/** The simulated instrument in the hand: the server's stream, or the same simulator here when it is away. */
export class LiveInstrument {
  #here: Simulated | null = null;
  /** Opened with the first instrument that is taken into the hand. */
  #simulator: Promise<Simulator> | null = null;
  #instrument: Instrument | null = null;
  #heardMs = 0;
  /** The server has not had the hand's last move: its lines are of another hand's. */
  #unheard = false;
  /** Moves of the hand that are on their way to the server. */
  #moved = 0;
  #timer: ReturnType<typeof setInterval> | null = null;
  line: InstrumentLine | null = null;

  constructor(private readonly changed: () => void) {}

  /** Id of the instrument in the hand; null without one. */
  get held(): string | null {
    return this.#instrument?.id ?? null;
  }

  /** Takes an instrument into the hand; null puts it down. */
  hold(instrument: Instrument | null): void {
    if (instrument?.id === this.#instrument?.id) return;
    this.#instrument = instrument;
    this.#here = null;
    this.#unheard = false;
    this.line = null;
    if (this.#timer) clearInterval(this.#timer);
    this.#timer = instrument ? setInterval(() => this.#tick(), 1000 / SAMPLES_PER_SECOND) : null;
    if (instrument) void this.#open().catch(() => undefined);
    this.changed();
  }

  /** The user's hand on it. */
  handle(input: InstrumentInput): void {
    const instrument = this.#instrument;
    if (!instrument) return;
    // What it showed before the hand moved is no reading of what comes now.
    if (this.line) this.line = { ...this.line, stable: false };
    this.#moved++;
    void this.#open().then(({ step, takeOut }) => {
      if (instrument === this.#instrument) this.#here = step(this.#here ?? takeOut(instrument, 97), input);
    }, console.error);
    void api
      .handleInstrument(instrument.site, instrument.id, input)
      .then(
        () => (this.#unheard = false),
        () => {
          this.#unheard = true;
          this.#heardMs = 0;
        },
      )
      .finally(() => this.#moved--);
  }

  /** A line of the server's stream. */
  hear(line: InstrumentLine): void {
    if (line.instrument !== this.#instrument?.id || this.#unheard) return;
    this.#heardMs = Date.now();
    // Until the server has the hand's move, its lines are of before.
    this.line = this.#moved > 0 ? { ...line, stable: false } : line;
    this.changed();
  }

  /** @returns what drives it on this page; asked for again where it could not be had */
  #open(): Promise<Simulator> {
    this.#simulator ??= import('../core/instrument/simulator').catch((error: unknown) => {
      this.#simulator = null;
      throw error;
    });
    return this.#simulator;
  }

  #tick(): void {
    if (!this.#here) return;
    void this.#open().then(({ step, read }) => {
      if (!this.#here) return;
      this.#here = step(this.#here, {});
      if (Date.now() - this.#heardMs < SILENCE_MS) return;
      this.line = read(this.#here, now());
      this.changed();
    }, console.error);
  }
}
