import { armourCount } from '../../core/doors/armour-count';
import { backNut } from '../../core/doors/back-nut';
import { barrier } from '../../core/doors/barrier';
import { breathing } from '../../core/doors/breathing';
import { compound } from '../../core/doors/compound';
import { diameter } from '../../core/doors/diameter';
import { earthPath } from '../../core/doors/earth-path';
import { fit } from '../../core/doors/fit';
import { insulation } from '../../core/doors/insulation';
import { miLink } from '../../core/doors/mi-link';
import { miMarks } from '../../core/doors/mi-marks';
import { pack } from '../../core/doors/pack';
import { peel } from '../../core/doors/peel';
import { sampleBound } from '../../core/doors/sample-bound';
import { sampleSize } from '../../core/doors/sample-size';
import { sealant } from '../../core/doors/sealant';
import { severity } from '../../core/doors/severity';
import { threadEngagement } from '../../core/doors/thread-engagement';
import { threadIdentify } from '../../core/doors/thread-identify';
import { walk } from '../../core/doors/walk';
import { solverOf, type HighsLike } from '../../core/transit/pack/solver';
import { inputSentence } from '../../core/words/en/inputs';
import { InputError } from '../../core/quantity/error';
import loadHighs from 'highs';
import { check } from '../../shapes/check';
import * as shapes from './shapes';

/** What a door answers: the output, or an error with a code and the field at fault. */
export type DoorAnswer =
  { output: object } | { error: { code: DoorErrorCode; field: string | null; message: string } };

export type DoorErrorCode = 'invalid-input' | 'invalid-json' | 'unknown-door' | 'too-large' | 'fault';

/** Longest input of a door, in bytes. Chosen: a hundred times the longest sensible input. */
export const DOOR_BYTES = 1_000_000;

interface Door<I extends object> {
  shape: new () => I;
  run: (input: I) => object;
}

const door = <I extends object>(shape: new () => I, run: (input: I) => object): Door<object> =>
  ({ shape, run }) as unknown as Door<object>;

/** Solver of integer programs for the packing; loaded once. */
const solve = solverOf((await loadHighs({})) as unknown as HighsLike);

const DOORS: Record<string, Door<object>> = {
  diameter: door(shapes.DiameterShape, diameter),
  fit: door(shapes.FitShape, fit),
  'thread-identify': door(shapes.ThreadIdentifyShape, threadIdentify),
  'thread-engagement': door(shapes.ThreadEngagementShape, threadEngagement),
  barrier: door(shapes.BarrierShape, barrier),
  breathing: door(shapes.BreathingShape, breathing),
  compound: door(shapes.CompoundShape, compound),
  'back-nut': door(shapes.BackNutShape, backNut),
  'mi-marks': door(shapes.MiMarksShape, miMarks),
  'mi-link': door(shapes.MiLinkShape, miLink),
  insulation: door(shapes.InsulationShape, insulation),
  'armour-count': door(shapes.ArmourCountShape, armourCount),
  'earth-path': door(shapes.EarthPathShape, earthPath),
  peel: door(shapes.PeelShape, peel),
  pack: door(shapes.PackShape, (input) => pack(input, solve)),
  sealant: door(shapes.SealantShape, sealant),
  'sample-size': door(shapes.SampleSizeShape, sampleSize),
  'sample-bound': door(shapes.SampleBoundShape, sampleBound),
  severity: door(shapes.SeverityShape, severity),
  walk: door(shapes.WalkShape, walk),
};

/** Names of every door. */
export const doorNames = (): string[] => Object.keys(DOORS);

const failure = (code: DoorErrorCode, message: string, field: string | null = null): DoorAnswer => ({
  error: { code, field, message },
});

/** Answers a door whose input is JSON text. */
export function openDoorText(name: string, text: string): DoorAnswer {
  if (!Object.hasOwn(DOORS, name)) return unknownDoor(name);
  if (Buffer.byteLength(text) > DOOR_BYTES) return failure('too-large', 'The input is over 1 MB; send less.');
  const parsed = parseJson(text);
  return parsed === undefined ? failure('invalid-json', 'The input is not JSON.') : openDoor(name, parsed);
}

/** Answers a door whose input is a JSON value. */
export function openDoor(name: string, input: unknown): DoorAnswer {
  const found = Object.hasOwn(DOORS, name) ? DOORS[name] : undefined;
  if (!found) return unknownDoor(name);
  try {
    return { output: found.run(check(found.shape, input)) };
  } catch (error) {
    if (error instanceof InputError) return failure('invalid-input', inputSentence(error), error.field);
    throw error;
  }
}

/** Answers one line `{"door", "input"}`. */
export function openDoorLine(line: string): DoorAnswer {
  if (Buffer.byteLength(line) > DOOR_BYTES) return failure('too-large', 'The line is over 1 MB; send less.');
  const parsed = parseJson(line);
  if (parsed === undefined) return failure('invalid-json', 'The line is not JSON.');
  const record = parsed as { door?: unknown; input?: unknown } | null;
  if (typeof record !== 'object' || record === null || typeof record.door !== 'string') {
    return failure('invalid-input', 'A line holds {"door": NAME, "input": {…}}.', 'door');
  }
  return openDoor(record.door, record.input);
}

const unknownDoor = (name: string): DoorAnswer =>
  failure('unknown-door', `There is no door "${name}". Doors: ${doorNames().join(', ')}.`);

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}
