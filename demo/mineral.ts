import { pairsOf } from '../src/core/mineral/insulation';
import { mineralCableOf } from './mineral-cables';
import { entryId, type EntrySpec, type MineralSpec, type Script, type SiteSpec } from './spec';

const BY = 'A. Vell';
const MINUTE_MS = 60_000;
/** Days before the seeding on which the cables were tested: a year apart at first, then every season. */
const DAYS = [-1090, -900, -720, -540, -360, -180, -20];
/** What a tester shows at most, MΩ. */
const MOST = 1000;

/** Three years of insulation tests of the mineral-insulated cables, and what is wrong with some of them. */
export function addMineral(script: Script, spec: SiteSpec): void {
  spec.minerals
    .filter(({ fresh }) => !fresh)
    .forEach((one, i) => DAYS.forEach((day, n) => addTest(script, spec, one, i, day, n)));
}

/** A number between −1 and 1 that is the same at every seeding. */
const wobble = (i: number, n: number, p: number): number => Math.sin(i * 12.9 + n * 78.2 + p * 37.7);

function addTest(script: Script, spec: SiteSpec, one: MineralSpec, i: number, day: number, n: number): void {
  const { yearly = 0.97, planted, conductors, screened = false, megohm } = one;
  const last = n === DAYS.length - 1;
  const at = script.at(day);
  const id = script.id(at);
  const stage = n === 0 ? 'after-seal' : 'in-service';
  const temperatureC = Math.round(18 + 6 * wobble(i, n, 0));
  const farEndSealed = !(planted === 'far end open' && last);
  script.add('insulation.start', { id, cable: mineralCableOf(spec, one).id, entry: null, stage, drying: false, instrument: `${spec.prefix}-tester-01`, temperatureC, farEndSealed }, at, BY); // prettier-ignore
  const years = (day - DAYS[0]!) / 365;
  pairsOf(conductors, screened).forEach((pair, p) => {
    const at20 = megohm * yearly ** years * (1 + 0.06 * wobble(i, n, p + 1)) * (1 + 0.1 * p);
    const fallen = planted === 'fell at sealing' && p === 0 ? at20 / 3 : at20;
    const shorted = planted === 'short' && last && p === 1 ? 0.06 : fallen;
    const shown = shorted / 2 ** ((temperatureC - 20) / 10);
    const read = Math.round(Math.min(shown, MOST) * 100) / 100;
    script.add('insulation.read', { id, pair, megohm: read, saturated: shown > MOST }, script.at(day), BY);
  });
}

/** The tests of one end before and after its sealing, its tracing, and the tick of its filling. */
export function sealEnd(script: Script, spec: SiteSpec, entry: EntrySpec, work: string, start: string): void {
  const one = spec.minerals.find(({ tag }) => tag === entry.mineral)!;
  const { conductors, screened = false, megohm, planted, crossed } = one;
  const cable = mineralCableOf(spec, one).id;
  const { beforeMegohm = megohm, sealedAfterMin = 8 } = entry.sealed ?? {};
  const after = (minutes: number) => new Date(Date.parse(start) + minutes * MINUTE_MS).toISOString();
  const far = (name: string) => (crossed?.includes(name) ? crossed.find((other) => other !== name)! : name);
  const found = conductors.map((near) => ({ near, far: far(near) }));
  script.add('continuity.record', { id: script.id(start), cable, found }, start, BY);
  const test = (stage: 'before-seal' | 'after-seal', minutes: number, worst: number) => {
    const at = after(minutes);
    const id = script.id(at);
    script.add('insulation.start', { id, cable, entry: entryId(spec, entry), stage, drying: false, instrument: `${spec.prefix}-tester-01`, temperatureC: 20, farEndSealed: true }, at, BY); // prettier-ignore
    pairsOf(conductors, screened).forEach((pair, p) => {
      const shown = worst * (1 + 0.04 * p);
      script.add(
        'insulation.read',
        { id, pair, megohm: Math.min(shown, MOST), saturated: shown > MOST },
        at,
        BY,
      );
    });
  };
  test('before-seal', 1, beforeMegohm);
  script.add(
    'makeoff.tick',
    { id: work, step: 'fill', initials: 'AV', skipped: null },
    after(1 + sealedAfterMin),
    BY,
  );
  test('after-seal', 20 + sealedAfterMin, planted === 'fell at sealing' ? megohm / 3 : megohm * 0.96);
}

/** Minutes ago, and what the worst pair read then, while an end that drew moisture is dried out. */
const DRYING: readonly [agoMin: number, megohm: number, celsius: number][] = [
  [26, 31, 24], [21, 22, 31], [16, 27, 36], [11, 38, 38], [6, 52, 39],
]; // prettier-ignore

/** An end that was found damp today and is being dried out: its tracing, its first test, its readings so far. */
export function addDrying(
  script: Script,
  spec: SiteSpec,
  entry: EntrySpec,
  ago: (minutes: number) => string,
): void {
  const one = spec.minerals.find(({ tag }) => tag === entry.mineral)!;
  const { conductors, screened = false } = one;
  const cable = mineralCableOf(spec, one).id;
  const found = conductors.map((near) => ({ near, far: near }));
  script.add('continuity.record', { id: script.id(ago(33)), cable, found }, ago(33), WORKER);
  const test = (minutes: number, megohm: number, temperatureC: number, drying: boolean) => {
    const at = ago(minutes);
    const id = script.id(at);
    script.add('insulation.start', { id, cable, entry: entryId(spec, entry), stage: 'before-seal', drying, instrument: `${spec.prefix}-tester-01`, temperatureC, farEndSealed: true }, at, WORKER); // prettier-ignore
    const pairs = pairsOf(conductors, screened);
    for (const [p, pair] of (drying ? pairs.slice(0, 1) : pairs).entries()) {
      script.add(
        'insulation.read',
        { id, pair, megohm: megohm * (1 + 0.1 * p), saturated: false },
        at,
        WORKER,
      );
    }
  };
  test(31, 44, 19, false);
  for (const [minutes, megohm, celsius] of DRYING) test(minutes, megohm, celsius, true);
}
const WORKER = 'M. Okonjo';
