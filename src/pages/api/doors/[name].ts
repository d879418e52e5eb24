import { DOOR_BYTES, openDoorText, type DoorAnswer, type DoorErrorCode } from '../../../server/doors/door';
import { endpoint, json } from '../../../server/http/endpoint';
import { wholeOf } from '../../../server/jobs/job';

export const prerender = false;

const STATUS: Record<DoorErrorCode, number> = {
  'invalid-input': 422,
  'invalid-json': 400,
  'unknown-door': 404,
  'too-large': 413,
  fault: 500,
};

/** Doors whose work grows with their input by far: beside the thread that answers everybody. */
const LONG = ['pack', 'walk'];

export const POST = endpoint(async ({ app, params, body, gone }) => {
  const name = params.name ?? '';
  const text = body.length > DOOR_BYTES ? ' '.repeat(DOOR_BYTES + 1) : body.toString('utf8');
  const answer = LONG.includes(name)
    ? (JSON.parse(await wholeOf(app.jobs({ do: 'door', name, text }, gone))) as DoorAnswer)
    : openDoorText(name, text);
  return 'output' in answer ? json(answer.output) : json(answer, STATUS[answer.error.code]);
});
