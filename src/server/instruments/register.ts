import { isDeepStrictEqual } from 'node:util';
import { ulid } from 'ulid';
import { withCalibrations } from '../../core/instrument/calibration';
import { Refusal, type Command } from '../../core/commands/commands';
import { currentInstruments, registerIdOf } from '../../core/record/instruments';
import type { RecordChange } from '../../core/record/slice';
import type { Id, Instrument } from '../../core/record/types';
import { checkRecord } from '../../shapes/parse';
import { DatabaseError } from '../../store/open';
import type { Person } from '../../store/people';
import type { Registered } from '../../store/register';
import type { SiteStore } from '../../store/site-store';
import { acceptCommands, type CommandAnswer, type Taking } from '../commands/accept';

/** What the register gives out: an instrument's own fields, without what a site keeps of a version. */
function fieldsOf({ site: _s, rev: _r, stamps: _t, of: _o, lentAt: _l, ...fields }: Instrument): Registered {
  return fields;
}

/**
 * Writes an instrument into the register, new or as it is after a recalibration, and lends it anew to every site that
 * has it.
 *
 * @param value untrusted: the instrument's fields
 * @returns the answer of each site
 * @throws InputError when a field is wrong
 */
export function keepInstrument(app: Taking, value: unknown, person: Person): CommandAnswer[] {
  checkRecord('instrument', value, '');
  const { register } = app.installation;
  const given = value as Registered;
  const before = register.get(given.id)?.instrument ?? null;
  const at = app.clock().toISOString();
  const kept = fieldsOf(withCalibrations(before as Instrument | null, given as Instrument, at));
  register.put(kept, person.name);
  return register.get(given.id)!.sites.flatMap((site) => lendAnew(app, kept, site, person));
}

/**
 * Lends an instrument of the register to a site, as it stands now.
 *
 * @throws Refusal when there is no such instrument
 */
export function lendInstrument(app: Taking, id: Id, site: Id, person: Person): CommandAnswer[] {
  const row = app.installation.register.get(id);
  if (!row) throw new Refusal('unknown-id', 'instrument', 'register.none'); // prettier-ignore
  return lendAnew(app, row.instrument, site, person);
}

/** A version as the register has it, unless the site's newest says the same already. */
function lendAnew(app: Taking, instrument: Registered, site: Id, person: Person): CommandAnswer[] {
  const store = app.sites.get(site);
  const newest = store && newestAt(store, instrument.id);
  if (newest && isDeepStrictEqual({ ...fieldsOf(newest), id: instrument.id }, instrument)) return [];
  const command: Command<'instrument.lend'> = {
    id: ulid(),
    kind: 'instrument.lend',
    site,
    at: app.clock().toISOString(),
    payload: { ...instrument, id: ulid(), of: instrument.id },
  };
  return acceptCommands(app, [command], person);
}

const newestAt = (store: SiteStore, id: Id): Instrument | null =>
  currentInstruments(store.records, store.id).find((one) => registerIdOf(one) === id) ?? null;

/**
 * The register follows what a site's people record beside it: an instrument that they add is entered, one that they
 * change is changed there and lent anew to the other sites, one that they remove is theirs no more.
 */
export function follow(app: Taking, store: SiteStore, changes: readonly RecordChange[], by: string): void {
  const { register } = app.installation;
  for (const { table, id, after } of changes) {
    if (table !== 'instrument') continue;
    const version = after as Instrument | null;
    if (!version) {
      if (!newestAt(store, id)) register.takeBack(id, store.id);
      continue;
    }
    enter(app, store, version, by);
  }
}

function enter(app: Taking, store: SiteStore, version: Instrument, by: string): void {
  const { register } = app.installation;
  const id = registerIdOf(version);
  const newest = newestAt(store, id);
  // An older version that was put right says nothing of how the instrument is now.
  if (newest?.id !== version.id) return;
  const known = register.get(id);
  const now = { ...fieldsOf(version), id };
  const same = known !== null && isDeepStrictEqual(known.instrument, now);
  if (!same) register.put(now, by);
  register.lend(id, store.id, version.rev ?? '');
  if (same) return;
  for (const site of known?.sites ?? [])
    if (site !== store.id) lendAnew(app, now, site, { id: 'register', name: by });
}

/**
 * Before the first command: what sites have and the register has not seen is entered (all of it, in a folder from before
 * there was a register), and sites that a stop has left without the newest version get it.
 */
export function bringUpRegister(app: Taking): void {
  const { register } = app.installation;
  for (const id of app.sites.ids()) {
    const store = readable(app, id);
    for (const one of store ? currentInstruments(store.records, id) : [])
      if (register.seen(registerIdOf(one), id) !== (one.rev ?? '')) enter(app, store!, one, 'register');
  }
  for (const { instrument, by, sites } of register.all())
    for (const site of sites)
      if (readable(app, site)) lendAnew(app, instrument, site, { id: 'register', name: by });
}

/** A damaged site was named when the list was made; the others go on. */
function readable({ sites }: Taking, id: Id): SiteStore | null {
  try {
    return sites.get(id);
  } catch (error) {
    if (error instanceof DatabaseError) return null;
    throw error;
  }
}
