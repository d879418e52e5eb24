import { api } from '../client/api';
import { now } from '../client/clock';
import {
  readCaliper,
  restingCaliper,
  stepCaliper,
  type CaliperInput,
  type CaliperLine,
  type CaliperState,
} from '../core/instrument/caliper';
import type { Instrument } from '../core/record/types';

/** Samples per second when the page drives the caliper itself. */
const SAMPLES_PER_SECOND = 8;
/** Silence after which the page takes over, ms. */
const SILENCE_MS = 900;

/** One simulated caliper as the page sees it: the server's stream, or the same simulator here when it is away. */
export class LiveCaliper {
  #state: CaliperState | null = null;
  #instrument: Instrument | null = null;
  #heardMs = 0;
  #timer: ReturnType<typeof setInterval> | null = null;
  line: CaliperLine | null = null;

  constructor(private readonly changed: () => void) {}

  /** Takes an instrument into the hand; null puts it down. */
  hold(instrument: Instrument | null): void {
    if (instrument?.id === this.#instrument?.id) return;
    this.#instrument = instrument;
    this.#state = null;
    this.line = null;
    if (this.#timer) clearInterval(this.#timer);
    this.#timer = instrument ? setInterval(() => this.#tick(), 1000 / SAMPLES_PER_SECOND) : null;
    this.changed();
  }

  /** The user's hand on the jaws. */
  handle(input: CaliperInput): void {
    const instrument = this.#instrument;
    if (!instrument) return;
    this.#state = stepCaliper(this.#state ?? restingCaliper(instrument, 97), input, instrument.span);
    void api.handleInstrument(instrument.id, input).catch(() => {
      this.#heardMs = 0;
    });
  }

  /** A line of the server's stream. */
  hear(line: CaliperLine): void {
    if (line.instrument !== this.#instrument?.id) return;
    this.#heardMs = Date.now();
    this.line = line;
    this.changed();
  }

  #tick(): void {
    if (!this.#instrument || !this.#state) return;
    this.#state = stepCaliper(this.#state, {}, this.#instrument.span);
    if (Date.now() - this.#heardMs < SILENCE_MS) return;
    this.line = readCaliper(this.#state, this.#instrument, now());
    this.changed();
  }
}
