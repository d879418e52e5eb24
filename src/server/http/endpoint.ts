import type { APIContext, APIRoute } from 'astro';
import { InputError } from '../../core/quantity/error';
import { isRefusal } from '../../core/record/commands';
import type { Person } from '../../store/people';
import type { App } from '../app';
import { HttpError } from './error';

/** What the server puts beside every request. */
export interface Locals {
  app: App;
  /** The body, read within its limit. */
  body: Buffer;
  /** Who is signed in, from the session. */
  person: Person | null;
}

/** What an endpoint works with. */
export interface Call extends Locals {
  params: Record<string, string>;
  url: URL;
}

/** Turns a use case into a route: errors become answers with a code, a field and what to do. */
export function endpoint(run: (call: Call) => Response | Promise<Response>): APIRoute {
  return async (context: APIContext) => {
    const { app, body, person } = context.locals as unknown as Locals;
    try {
      const params = context.params as Record<string, string>;
      return await run({ app, body, person, params, url: context.url });
    } catch (error) {
      return failure(error);
    }
  };
}

/** A JSON answer. */
export const json = (value: unknown, status = 200, headers: Record<string, string> = {}): Response =>
  new Response(JSON.stringify(value), {
    status,
    headers: { 'content-type': 'application/json; charset=utf-8', 'cache-control': 'no-store', ...headers },
  });

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

/** The site of a path, or a refusal. */
export function needSite({ app, params }: Call) {
  const site = app.store.records.get('site', params.site ?? '');
  if (!site)
    throw new HttpError(404, 'unknown-id', 'There is no site with this id. Go back to the list of sites.');
  return site;
}

function failure(error: unknown): Response {
  if (error instanceof HttpError) return errorBody(error.status, error.code, error.field, error.message);
  if (error instanceof InputError) return errorBody(422, 'invalid', error.field, error.message);
  if (isRefusal(error)) return errorBody(409, error.code, error.field, error.message);
  console.error(error);
  return errorBody(500, 'fault', null, 'The server failed on this request. Nothing was changed; try again.');
}

const errorBody = (status: number, code: string, field: string | null, message: string): Response =>
  json({ error: { code, field, message } }, status);
