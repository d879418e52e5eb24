import { MOST_COMMANDS } from '../../server/commands/accept';
import { HttpError } from '../../server/base/error';
import { endpoint, json, needPerson, readJson } from '../../server/http/endpoint';

export const prerender = false;

export const POST = endpoint(async (call) => {
  const person = needPerson(call);
  const { commands } = (readJson(call.body) ?? {}) as { commands?: unknown };
  if (!Array.isArray(commands) || commands.length === 0 || commands.length > MOST_COMMANDS) {
    throw new HttpError(
      422,
      'invalid',
      `Send {"commands": […]} with 1 to ${MOST_COMMANDS} commands.`,
      'commands',
    );
  }
  const answers = await call.app.writer.accept(commands, person);
  const allRefused = answers.every(({ status }) => status === 'refused');
  const conflict = answers.some((answer) => answer.status === 'refused' && answer.code !== 'invalid');
  return json({ answers }, allRefused ? (conflict ? 409 : 422) : 200);
});
