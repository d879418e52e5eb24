import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { ulid } from 'ulid';
import type { Person } from '../../store/people';
import type { App } from '../app/app';
import { lookOf, nameLetters } from '../../shapes/letters';
import { HttpError } from '../base/error';

const COOKIE = 'yendral_person';
const YEAR_S = 365 * 24 * 3600;

const secretOf = (app: App): string =>
  app.installation.settings.made('session-secret', () => randomBytes(32).toString('hex'));

const sign = (app: App, id: string): string => createHmac('sha256', secretOf(app)).update(id).digest('hex');

/** Sessions that were found sound, by their cookie: nobody's name changes, and a page asks often. */
const sound = new WeakMap<App, Map<string, Person>>();
/** More sessions than these start anew. */
const MOST_SOUND = 10_000;

/** Who a request comes from, by its signed cookie; null when nobody has said. */
export function personOf(app: App, cookies: string | undefined): Person | null {
  const value = cookies
    ?.split(';')
    .map((part) => part.trim())
    .find((part) => part.startsWith(`${COOKIE}=`))
    ?.slice(COOKIE.length + 1);
  if (!value) return null;
  let known = sound.get(app);
  if (!known || known.size >= MOST_SOUND) sound.set(app, (known = new Map()));
  const person = known.get(value) ?? signedFor(app, value);
  if (person) known.set(value, person);
  return person;
}

/** The person of a cookie that this installation has signed. */
function signedFor(app: App, value: string): Person | null {
  const [id, signature] = value.split('.');
  if (!id || !signature) return null;
  const expected = Buffer.from(sign(app, id));
  const given = Buffer.from(signature);
  if (expected.length !== given.length || !timingSafeEqual(expected, given)) return null;
  return app.installation.people.find(id);
}

/** What programs of this installation record under. */
const RESERVED = ['command line'];

/** A new name that people would take for another person's is none. */
function needOwnLook(app: App, name: string): void {
  const look = lookOf(name);
  const twin = [...app.installation.people.all().map((one) => one.name), ...RESERVED].find((one) => lookOf(one) === look); // prettier-ignore
  if (twin === undefined) return;
  throw new HttpError(422, 'invalid', `This looks like ${twin}, who is somebody else. Choose that name, or write yours in full.`, 'name'); // prettier-ignore
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
  const called = name.trim().normalize('NFC');
  const wrong = nameLetters(called);
  if (wrong) throw new HttpError(422, 'invalid', `The name ${wrong}.`, 'name');
  const known = app.installation.people.byName(called);
  if (!known) needOwnLook(app, called);
  const person = known ?? { id: ulid(), name: called };
  if (!known) app.installation.people.add(person, app.clock().toISOString());
  const cookie = `${COOKIE}=${person.id}.${sign(app, person.id)}; Path=/; Max-Age=${YEAR_S}; HttpOnly; SameSite=Strict`;
  return { person, cookie };
}
