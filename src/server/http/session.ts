import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { ulid } from 'ulid';
import type { Person } from '../../store/people';
import type { App } from '../app';
import { HttpError } from './error';

const COOKIE = 'yendral_person';
const YEAR_S = 365 * 24 * 3600;

const secretOf = (app: App): string =>
  app.installation.settings.made('session-secret', () => randomBytes(32).toString('hex'));

const sign = (app: App, id: string): string => createHmac('sha256', secretOf(app)).update(id).digest('hex');

/** Who a request comes from, by its signed cookie; null when nobody has said. */
export function personOf(app: App, cookies: string | undefined): Person | null {
  const value = cookies
    ?.split(';')
    .map((part) => part.trim())
    .find((part) => part.startsWith(`${COOKIE}=`))
    ?.slice(COOKIE.length + 1);
  const [id, signature] = value?.split('.') ?? [];
  if (!id || !signature) return null;
  const expected = Buffer.from(sign(app, id));
  const given = Buffer.from(signature);
  if (expected.length !== given.length || !timingSafeEqual(expected, given)) return null;
  return app.installation.people.find(id);
}

/**
 * Signs a person in by name; a new name makes a new person.
 *
 * @returns the person and the cookie to set
 */
export function signIn(app: App, name: unknown): { person: Person; cookie: string } {
  if (typeof name !== 'string' || name.trim().length < 2 || name.length > 60) {
    throw new HttpError(422, 'invalid', 'Type a name of 2 to 60 letters.', 'name');
  }
  const known = app.installation.people.byName(name.trim());
  const person = known ?? { id: ulid(), name: name.trim() };
  if (!known) app.installation.people.add(person, app.clock().toISOString());
  const cookie = `${COOKIE}=${person.id}.${sign(app, person.id)}; Path=/; Max-Age=${YEAR_S}; HttpOnly; SameSite=Strict`;
  return { person, cookie };
}
