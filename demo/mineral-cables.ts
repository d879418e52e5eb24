import { pathResistance } from '../src/core/earth/path';
import { linkLengths } from '../src/core/mineral/link';
import { metalSheathMm } from '../src/core/mineral/sheath';
import type { DossierFields } from '../src/core/commands/commands';
import type { Mineral, MineralLink } from '../src/core/record/types';
import type { MineralSpec, SiteSpec } from './spec';

/** Paths that were measured between two accessories. */
const SHORT_WAY: MineralLink = {
  straightsMm: [2480, 3946, 5120], bends: [{ angleDeg: 90, radiusMm: 83, right: false }, { angleDeg: 45, radiusMm: 83, right: true }],
  entryMm: [12, 12], tailMm: [120, 120], trimMm: 20, fitMm: 4,
}; // prettier-ignore
const OVER_THE_DOOR: MineralLink = {
  straightsMm: [6480, 2946, 6400], bends: [{ angleDeg: 90, radiusMm: 90, right: false }, { angleDeg: 90, radiusMm: 90, right: true }],
  entryMm: [14, 12], tailMm: [120, 110], trimMm: 20, fitMm: 4,
}; // prettier-ignore

export const MINERAL_CABLES: readonly MineralSpec[] = [
  { tag: 'MI-01', from: 'WS-61', to: 'AX-31', lengthM: 42, conductors: ['L', 'N'], megohm: 900 },
  { tag: 'MI-02', from: 'WS-61', to: 'AX-33', lengthM: 38, conductors: ['L', 'N', 'E'], megohm: 760, jacketed: true },
  { tag: 'MI-03', from: 'DL-3', to: 'HC-1', lengthM: 61, conductors: ['1', '2'], screened: true, megohm: 820, yearly: 0.36, planted: 'damp over the years' },
  { tag: 'MI-04', from: 'DL-3', to: 'HC-2', lengthM: 58, conductors: ['1', '2'], screened: true, megohm: 950, crossed: ['1', '2'] },
  { tag: 'MI-05', from: 'WS-62', to: 'PM-2', lengthM: 77, conductors: ['L1', 'L2', 'L3', 'E'], megohm: 640, planted: 'short' },
  { tag: 'MI-06', from: 'WS-62', to: 'PM-1', lengthM: 74, conductors: ['L1', 'L2', 'L3', 'E'], megohm: 880, jacketed: true },
  { tag: 'MI-07', from: 'TY-1', to: 'TY-5', lengthM: 31, conductors: ['1', '2'], megohm: 990, planted: 'far end open' },
  { tag: 'MI-08', from: 'TY-1', to: 'TY-6', lengthM: 33, conductors: ['1', '2'], megohm: 970, yearly: 0.9, sheathC: 118 },
  { tag: 'MI-09', from: 'TY-4', to: 'TY-3', lengthM: 27, conductors: ['1', '2', '3', '4', '5', '6', '7'], megohm: 700 },
  { tag: 'MI-10', from: 'AX-32', to: 'MT-12', lengthM: 19, conductors: ['L1', 'L2', 'L3'], megohm: 930, planted: 'fell at sealing' },
  { tag: 'MI-11', from: 'AX-32', to: 'LS-11', lengthM: 16, conductors: ['1', '2'], screened: true, jacketed: true, megohm: 870, link: OVER_THE_DOOR },
  { tag: 'MI-12', from: 'DL-4', to: 'DL-1', lengthM: 12, conductors: ['L', 'N'], megohm: 910, link: SHORT_WAY },
  { tag: 'MI-13', from: 'AX-31', to: 'AX-34', lengthM: 14, conductors: ['1', '2'], screened: true, megohm: 900, fresh: true },
  { tag: 'MI-14', from: 'AX-33', to: 'AX-34', lengthM: 12, conductors: ['L', 'N'], megohm: 910, fresh: true, link: SHORT_WAY },
]; // prettier-ignore

const LIMITS: Omit<Mineral, 'conductors' | 'screened' | 'jacketed' | 'sheathC' | 'link'> = {
  testVoltage: 500,
  newMegohm: 115,
  serviceMegohm: 23,
  windowMin: 17,
  fallFactor: 2.2,
  sheathMm2: 12,
  earthLimitOhm: 0.34,
};
/** Jacket of the jacketed ones, mm thick. */
const JACKET_MM = 0.7;
/** When the cables were laid; somebody saw then that a copper sheath is all they have. */
const INSTALLED = '2022-01-10';

/** The record of a mineral-insulated cable. */
export function mineralCableOf(spec: SiteSpec, one: MineralSpec): DossierFields['cable'] {
  const {
    tag,
    from,
    to,
    lengthM,
    conductors,
    screened = false,
    jacketed = false,
    sheathC = 92,
    link = null,
  } = one;
  return {
    id: `${spec.prefix}-cable-${tag}`.toLowerCase(), tag, from, to, lengthM,
    cores: [{ count: conductors.length, areaMm2: 2.5, diameterMm: 1.8 }],
    shape: 'round', coldFlow: false, innerMm: 6.2 + conductors.length * 0.5, armour: null,
    unarmoured: { by: 'A. Vell', on: INSTALLED }, sheathMm: JACKET_MM,
    outerMm: Math.round((7.2 + conductors.length * 0.5 + (jacketed ? 2 * JACKET_MM : 0)) * 100) / 100,
    toleranceMm: 0.1, maxC: 250, minC: -60, screened, filling: 'filled', breathing: null,
    mineral: { ...LIMITS, conductors, screened, jacketed, sheathC, link },
  }; // prettier-ignore
}

/** True values at the places of a mineral-insulated end, mm or Ω. */
export function mineralTruth(cable: DossierFields['cable']): Record<string, number> {
  const { mineral } = cable;
  if (!mineral) return {};
  const ohm = pathResistance('copper', cable.lengthM!, 1, mineral.sheathMm2!, 20) * 1.08;
  return {
    'outer-sheath': metalSheathMm(cable)!,
    'pot-projection': 2,
    'sheath-earth': ohm,
    ...(mineral.link ? { 'sheath-length': Math.round(linkLengths(mineral.link).sheathMm) } : {}),
  };
}
