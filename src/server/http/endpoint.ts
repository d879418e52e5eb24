import type { APIContext, APIRoute } from 'astro';
import type { InputError } from '../../core/quantity/error';
import { isRefusal } from '../../core/commands/commands';
import type { Tables } from '../../core/record/types';
import { inputSentence } from '../../core/words/en/inputs';
import { refusalSentence } from '../../core/words/en/refusals';
import type { Person } from '../../store/people';
import type { DatabaseError } from '../../store/open';
import type { SiteStore } from '../../store/site-store';
import type { App } from '../app/app';
import { HttpError } from '../base/error';

/** What the server puts beside every request. */
export interface Locals {
  app: App;
  /** The body, read within its limit. */
  body: Buffer;
  /** Who is signed in, from the session. */
  person: Person | null;
  /** Whoever asked has gone away. */
  gone: AbortSignal;
}

/** What an endpoint works with. */
export interface Call extends Locals {
  params: Record<string, string>;
  url: URL;
  /** Only what stands before the answer is asked for. */
  headOnly: boolean;
}

/** Turns a use case into a route: errors become answers with a code, a field and what to do. */
export function endpoint(run: (call: Call) => Response | Promise<Response>): APIRoute {
  return async (context: APIContext) => {
    const locals = context.locals as unknown as Locals;
    try {
      const params = context.params as Record<string, string>;
      const headOnly = context.request.method === 'HEAD';
      const answer = await run({ ...locals, params, url: context.url, headOnly });
      if (!headOnly) return answer;
      // Nobody reads what would follow, so that what makes it has to be told.
      await answer.body?.cancel();
      return new Response(null, { status: answer.status, headers: answer.headers });
    } catch (error) {
      // Nobody reads the answer any more; what was being done has been ended.
      if (locals.gone.aborted) return new Response(null, { status: 499 });
      return failure(error);
    }
  };
}

/** A JSON answer. */
export function json(value: unknown, status = 200, headers: Record<string, string> = {}): Response {
  return jsonText(JSON.stringify(value), status, headers);
}

/** An answer that is JSON already. */
export function jsonText(text: string, status = 200, headers: Record<string, string> = {}): Response {
  const body = Buffer.from(text);
  return new Response(body, {
    status,
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'cache-control': 'no-store',
      // One of unknown length is compressed however short it is, and that takes longer than answering.
      'content-length': String(body.length),
      ...headers,
    },
  });
}

/** The body as JSON. */
export function readJson(body: Buffer): unknown {
  try {
    return JSON.parse(body.toString('utf8')) as unknown;
  } catch {
    throw new HttpError(400, 'invalid-json', 'The request is not JSON.');
  }
}

/** Who is signed in, or a refusal. */
export function needPerson({ person }: Call): Person {
  if (!person) throw new HttpError(401, 'who', 'Say who you are first.');
  return person;
}

/** The site of a path and its file, or a refusal. */
export function needSite({ app, params }: Call): { store: SiteStore; site: Tables['site'] } {
  const store = app.sites.get(params.site ?? '');
  const site = store?.site;
  if (!store || !site)
    throw new HttpError(404, 'unknown-id', 'There is no site with this id. Go back to the list of sites.');
  return { store, site };
}

/** By name, not class: pages, server and threads are bundled apart, and each may throw its own copy of the class. */
const isNamed = <E extends Error>(error: unknown, name: string): error is E =>
  error instanceof Error && error.name === name;

function failure(error: unknown): Response {
  if (isNamed<HttpError>(error, 'HttpError')) return errorBody(error.status, error.code, error.field, error.message); // prettier-ignore
  if (isNamed<InputError>(error, 'InputError'))
    return errorBody(422, 'invalid', error.field, inputSentence(error));
  if (isRefusal(error)) return errorBody(409, error.code, error.field, refusalSentence(error));
  if (isNamed<DatabaseError>(error, 'DatabaseError')) return errorBody(503, 'damaged', null, error.message);
  if (isDiskFull(error)) return errorBody(507, 'disk-full', null, 'The disk of the server is full. Nothing was changed and nothing is lost; it goes on by itself once there is room.'); // prettier-ignore
  console.error(error);
  return errorBody(500, 'fault', null, 'The server failed on this request. Nothing was changed; try again.');
}

/** No room for the database or for a file. */
const isDiskFull = (error: unknown): boolean =>
  /^(SQLITE_FULL|SQLITE_IOERR_WRITE|ENOSPC|EDQUOT)/.test((error as { code?: string }).code ?? '');

const errorBody = (status: number, code: string, field: string | null, message: string): Response =>
  json({ error: { code, field, message } }, status);
