import { dayIn } from '../src/core/record/calendar';
import type { AnyCommand, DossierFields } from '../src/core/commands/commands';
import type { App } from '../src/server/app/app';
import { acceptCommands } from '../src/server/commands/accept';
import { keepInstrument } from '../src/server/instruments/register';
import { signIn } from '../src/server/http/session';
import { instruments, spareCaliper } from './instruments';
import { MARROWICK } from './marrowick';
import { addMineral } from './mineral';
import { mineralCableOf } from './mineral-cables';
import { OXGATE } from './oxgate';
import { PROVING_GROUND } from './proving';
import { addEarlierRound, addInitialRound, addMakeOffs, addMineralEnds, addRound } from './rounds';
import { cableOf, entryOf } from './scenario';
import { certificates } from './series';
import { Script, WALL_MM, type SiteSpec } from './spec';
import { transitCables } from './transits';
import { addWork } from './work';

/** The invented people of the demo. */
const PEOPLE = ['A. Vell', 'M. Okonjo', 'R. Tarn'] as const;
/** The demo's sites, the one that is for trying offered last. */
export const SITES: readonly SiteSpec[] = [MARROWICK, OXGATE, PROVING_GROUND];

/** Setting that says that a folder was filled by the demo, and may be emptied again. */
export const SEEDED = 'seeded-by-demo';

/** Setting that stands while a folder is being filled: where it is found, that was cut short. */
export const SEEDING = 'demo-is-seeding';

/** Fills an empty installation with the demo scenario, its days counted from today. */
export function seedDemo(app: App): void {
  const { settings } = app.installation;
  settings.set(SEEDED, app.clock().toISOString());
  settings.set(SEEDING, app.clock().toISOString());
  for (const name of PEOPLE) signIn(app, name);
  keepInstrument(app, spareCaliper(dayIn(app.clock().toISOString(), MARROWICK.site.timeZone)), SPARE_KEEPER);
  for (const spec of SITES) {
    const { commands } = scriptOf(spec, app.clock());
    for (const [by, some] of inBatches(commands)) {
      for (const answer of acceptCommands(app, some, { id: by, name: by })) {
        if (answer.status !== 'applied')
          throw new Error(`A command of the demo was refused: ${answer.field} ${answer.message}`);
      }
    }
  }
  app.refresher.finish();
  settings.remove(SEEDING);
}

/** Who entered what lies in the store. */
const SPARE_KEEPER = { id: 'demo', name: 'R. Tarn' };

/** Commands that one request carries. */
const BATCH = 200;

/** The same commands in their order, as many as one person gives at once. */
function inBatches(commands: Script['commands']): [by: string, commands: AnyCommand[]][] {
  const batches: [by: string, commands: AnyCommand[]][] = [];
  for (const { command, by } of commands) {
    const last = batches[batches.length - 1];
    if (last && last[0] === by && last[1].length < BATCH) last[1].push(command);
    else batches.push([by, [command]]);
  }
  return batches;
}

/** The commands that make a site. */
export function scriptOf(spec: SiteSpec, today: Date): Script {
  const script = new Script(spec.site.id, today);
  addDossier(script, spec, today);
  addInitialRound(script, spec);
  addMakeOffs(script, spec);
  addMineralEnds(script, spec);
  addEarlierRound(script, spec);
  addMineral(script, spec);
  addRound(script, spec);
  addWork(script, spec);
  // Told site by site and round by round, given in the order of time.
  script.commands.sort((a, b) => (a.command.at < b.command.at ? -1 : a.command.at > b.command.at ? 1 : 0));
  return script;
}

function addDossier(script: Script, spec: SiteSpec, today: Date): void {
  const by = 'R. Tarn';
  const at = () => script.at(-1100);
  const { prefix } = spec;
  script.add('site.add', spec.site, at(), by);
  for (const area of spec.areas) script.add('area.add', area, at(), by);
  const certs = certificates(prefix);
  for (const certificate of certs) script.add('certificate.add', certificate, at(), by);
  for (const instrument of instruments(prefix, dayIn(today.toISOString(), 'UTC'))) {
    script.add('instrument.add', instrument, at(), by);
  }
  addDossierOf(script, spec);
}

/** Enclosures, cables and entries. */
export function addDossierOf(script: Script, spec: SiteSpec): void {
  const by = 'R. Tarn';
  const at = () => script.at(-1100);
  const { prefix } = spec;
  const certs = certificates(prefix);
  for (const { tag, area, what, x, y, z = 0, ...rest } of spec.enclosures) {
    const enclosure: DossierFields['enclosure'] = {
      id: `${prefix}-${tag}`.toLowerCase(),
      area,
      tag,
      what,
      concepts: rest.concepts ?? ['eb'],
      group: rest.group ?? 'IIB',
      temperatureClass: null,
      ingress: rest.ingress ?? 'IP54',
      derating: null,
      volumeCm3: rest.volumeCm3 ?? 1200,
      wallMm: rest.wallMm ?? WALL_MM,
      entryTemperatureC: rest.entryTemperatureC ?? null,
      measuredTemperature: null,
      positionM: { x, y, z },
      material: rest.material ?? 'metal',
      ignitionSource: rest.ignitionSource ?? false,
      indirectEntry: false,
      demandsBarrier: false,
      unused: rest.unused ?? [],
      branchTemperatureC: rest.branchTemperatureC ?? null,
      onlyIntrinsic: null,
      type: null,
      surroundings: null,
      movable: null,
    };
    script.add('enclosure.add', enclosure, at(), by);
  }
  for (const one of spec.minerals) script.add('cable.add', mineralCableOf(spec, one), at(), by);
  for (const entry of spec.entries) {
    if (entry.transit) {
      for (const cable of transitCables(spec, entry)) script.add('cable.add', cable, at(), by);
      script.add('entry.add', entryOf(spec, entry, 'M20x1.5'), at(), by);
      continue;
    }
    if (!entry.mineral) script.add('cable.add', cableOf(spec, entry), at(), by);
    const sizes = certs.find(({ id }) => id === entryOf(spec, entry, '').certificate)!.sheet.sizes;
    const { thread } = sizes.find(({ size }) => size === entry.size)!;
    script.add('entry.add', entryOf(spec, entry, thread!), at(), by);
  }
}
