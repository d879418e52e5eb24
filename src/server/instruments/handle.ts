import { sends, type InstrumentInput } from '../../core/instrument/simulator';
import type { Id } from '../../core/record/types';
import type { SiteStore } from '../../store/site-store';
import { HttpError } from '../base/error';
import type { InstrumentHost } from './host';
import { check } from '../../shapes/check';
import { Nested, Nullable, Num, OneOf } from '../../shapes/decorators';

class WorkpieceShape {
  @Num({ above: 0, max: 1000 }) minorMm!: number;
  @Num({ above: 0, max: 1000 }) majorMm!: number;
}

class InputShape {
  @OneOf(['open', 'close']) jaws!: 'open' | 'close';
  @Num({ min: 0, max: 360 }) angleDeg!: number;
  @Nullable() @Nested(() => WorkpieceShape) workpiece!: WorkpieceShape | null;
  @Nullable() @Num({ min: -100, max: 1e6 }) target!: number | null;
}

/**
 * The user's hand on a simulated instrument.
 *
 * @throws HttpError 404 for an unknown instrument, 409 for one that is not simulated
 */
export function handleInstrument(
  { instruments }: { instruments: InstrumentHost },
  store: SiteStore,
  id: Id,
  input: unknown,
): void {
  const instrument = store.records.get('instrument', id);
  if (!instrument) throw new HttpError(404, 'unknown-id', 'There is no instrument with this id.');
  if (!sends(instrument)) {
    throw new HttpError(
      409,
      'not-simulated',
      `${instrument.tag} does not send by itself; type its readings.`,
    );
  }
  instruments.handle(instrument, check(InputShape, input, { partial: true }) as InstrumentInput);
}
