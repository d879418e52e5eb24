import type { DossierFields } from '../src/core/record/commands';
import { pairsOf } from '../src/core/mineral/insulation';
import type { Mineral } from '../src/core/record/types';
import type { Script, SiteSpec } from './scenario';

/** A mineral-insulated cable of the demo, and what is wrong with it on purpose. */
interface MineralSpec {
  tag: string;
  from: string;
  to: string;
  lengthM: number;
  conductors: string[];
  screened?: boolean;
  jacketed?: boolean;
  /** Insulation at 20 °C when new, MΩ, and the factor by which it changes in a year. */
  megohm: number;
  yearly?: number;
  planted?: 'damp over the years' | 'short' | 'far end open' | 'fell at sealing';
}

const CABLES: MineralSpec[] = [
  { tag: 'MI-01', from: 'WS-61', to: 'AX-31', lengthM: 42, conductors: ['L', 'N'], megohm: 900 },
  { tag: 'MI-02', from: 'WS-61', to: 'AX-33', lengthM: 38, conductors: ['L', 'N', 'E'], megohm: 760, jacketed: true },
  { tag: 'MI-03', from: 'DL-3', to: 'HC-1', lengthM: 61, conductors: ['1', '2'], screened: true, megohm: 820, yearly: 0.36, planted: 'damp over the years' },
  { tag: 'MI-04', from: 'DL-3', to: 'HC-2', lengthM: 58, conductors: ['1', '2'], screened: true, megohm: 950 },
  { tag: 'MI-05', from: 'WS-62', to: 'PM-2', lengthM: 77, conductors: ['L1', 'L2', 'L3', 'E'], megohm: 640, planted: 'short' },
  { tag: 'MI-06', from: 'WS-62', to: 'PM-1', lengthM: 74, conductors: ['L1', 'L2', 'L3', 'E'], megohm: 880, jacketed: true },
  { tag: 'MI-07', from: 'TY-1', to: 'TY-5', lengthM: 31, conductors: ['1', '2'], megohm: 990, planted: 'far end open' },
  { tag: 'MI-08', from: 'TY-1', to: 'TY-6', lengthM: 33, conductors: ['1', '2'], megohm: 970, yearly: 0.9 },
  { tag: 'MI-09', from: 'TY-4', to: 'TY-3', lengthM: 27, conductors: ['1', '2', '3', '4', '5', '6', '7'], megohm: 700 },
  { tag: 'MI-10', from: 'AX-32', to: 'MT-12', lengthM: 19, conductors: ['L1', 'L2', 'L3'], megohm: 930, planted: 'fell at sealing' },
  { tag: 'MI-11', from: 'AX-32', to: 'LS-11', lengthM: 16, conductors: ['1', '2'], screened: true, jacketed: true, megohm: 870 },
  { tag: 'MI-12', from: 'DL-4', to: 'DL-1', lengthM: 12, conductors: ['L', 'N'], megohm: 910 },
]; // prettier-ignore

const LIMITS: Omit<Mineral, 'conductors' | 'screened' | 'jacketed'> = {
  testVoltage: 500,
  newMegohm: 100,
  serviceMegohm: 20,
  windowMin: 15,
  fallFactor: 2,
};
const BY = 'A. Vell';
/** Days before the seeding on which the cables were tested: a year apart at first, then every season. */
const DAYS = [-1090, -900, -720, -540, -360, -180, -20];
/** What a tester shows at most, MΩ. */
const MOST = 1000;

/** Mineral-insulated cables with three years of insulation tests, and what is wrong with some of them. */
export function addMineral(script: Script, spec: SiteSpec): void {
  if (spec.prefix !== 'mb') return;
  CABLES.forEach((one, i) => {
    script.add('cable.add', cableOf(spec, one), script.at(-1095), 'R. Tarn');
    DAYS.forEach((day, n) => addTest(script, spec, one, i, day, n));
  });
}

const cableId = (spec: SiteSpec, { tag }: MineralSpec): string => `${spec.prefix}-cable-${tag}`.toLowerCase();

function cableOf(spec: SiteSpec, one: MineralSpec): DossierFields['cable'] {
  const { tag, from, to, lengthM, conductors, screened = false, jacketed = false } = one;
  return {
    id: cableId(spec, one), tag, from, to, lengthM, cores: [{ count: conductors.length, areaMm2: 2.5, diameterMm: 1.8 }],
    shape: 'round', coldFlow: false, innerMm: 6.2 + conductors.length * 0.5, armour: null,
    unarmoured: { by: BY, on: INSTALLED }, sheathMm: 0.5, outerMm: 7.2 + conductors.length * 0.5 + (jacketed ? 1.4 : 0),
    toleranceMm: 0.1, maxC: 250, filling: 'filled', breathing: null,
    mineral: { ...LIMITS, conductors, screened, jacketed },
  }; // prettier-ignore
}

/** When the cables were laid; somebody saw then that a copper sheath is all they have. */
const INSTALLED = '2022-01-10';

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
  script.add('insulation.start', { id, cable: cableId(spec, one), stage, drying: false, instrument: `${spec.prefix}-tester-01`, temperatureC, farEndSealed }, at, BY); // prettier-ignore
  const years = (day - DAYS[0]!) / 365;
  pairsOf(conductors, screened).forEach((pair, p) => {
    const at20 = megohm * yearly ** years * (1 + 0.06 * wobble(i, n, p + 1)) * (1 + 0.1 * p);
    const fallen = planted === 'fell at sealing' && last && p === 0 ? at20 / 3 : at20;
    const shorted = planted === 'short' && last && p === 1 ? 0.06 : fallen;
    const shown = shorted / 2 ** ((temperatureC - 20) / 10);
    const read = Math.round(Math.min(shown, MOST) * 100) / 100;
    script.add('insulation.read', { id, pair, megohm: read, saturated: shown > MOST }, script.at(day), BY);
  });
}
