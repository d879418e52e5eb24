import { HttpError } from '../../../server/base/error';
import { endpoint, json, needPerson, readJson } from '../../../server/http/endpoint';

export const prerender = false;

/** An instrument as it is from now on: entered in the register, and lent anew to every site that has it. */
export const PUT = endpoint(async (call) => {
  const person = needPerson(call);
  const value = readJson(call.body);
  if ((value as { id?: unknown } | null)?.id !== call.params.id)
    throw new HttpError(422, 'invalid', 'The id of the instrument is that of the address.', 'id');
  return json({ answers: await call.app.writer.keepInstrument(value, person) });
});
