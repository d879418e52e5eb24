import { DOOR_BYTES, openDoorText, type DoorErrorCode } from '../../../server/doors/door';
import { endpoint, json } from '../../../server/http/endpoint';

export const prerender = false;

const STATUS: Record<DoorErrorCode, number> = {
  'invalid-input': 422,
  'invalid-json': 400,
  'unknown-door': 404,
  'too-large': 413,
  fault: 500,
};

export const POST = endpoint(({ params, body }) => {
  const text = body.length > DOOR_BYTES ? ' '.repeat(DOOR_BYTES + 1) : body.toString('utf8');
  const answer = openDoorText(params.name ?? '', text);
  return 'output' in answer ? json(answer.output) : json(answer, STATUS[answer.error.code]);
});
