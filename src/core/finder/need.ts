import { metalSheathMm } from '../mineral/sheath';
import type { Cable, Id, Instrument, Reading } from '../record/types';
import type { Dossier, ReadingGroup } from '../rulebook/dossier';

/** Where the diameters of a cable come from: readings, its record, or both. */
export type Source = 'measured' | 'record';

/** What a gland is looked for: a cable, where it goes, and how thick it is at each place. */
export interface Need {
  cable: Cable;
  /** The place it goes to, without gland and size. */
  dossier: Dossier;
  /** Whether the enclosure's records ask something; false for a cable that has no place yet. */
  placed: boolean;
  groups: ReadonlyMap<string, readonly ReadingGroup[]>;
  sources: Readonly<Record<string, Source>>;
}

/** Stands for the cable's record where nothing has been measured: its tolerance is the uncertainty. */
const recordAsInstrument = (site: Id, toleranceMm: number): Instrument => ({
  id: 'cable-record',
  site,
  tag: 'the cable’s record',
  kind: 'caliper',
  unit: 'mm',
  span: [0, 1e6],
  resolution: 0,
  expandedUncertainty: toleranceMm,
  coverageFactor: 2,
  repeatability: 0,
  repeatabilitySoft: 0,
  calibratedUntil: '9999-12-31',
  calibration: '',
  calibrations: [],
  pooledPlaces: null,
  simulated: false,
  of: null,
  lentAt: null,
});

/** Readings that a record stands for: enough to be decisive, all alike. Chosen: the least that decides (JCGM 100, type A needs several). */
const READINGS = 3;

function groupFromRecord(cable: Cable, place: string, value: number, toleranceMm: number): ReadingGroup {
  const instrument = recordAsInstrument(cable.site, toleranceMm);
  const reading: Reading = {
    id: `${cable.id} ${place}`,
    site: cable.site,
    entry: '',
    round: '',
    place,
    value,
    typed: String(value),
    method: 'caliper',
    instrument: instrument.id,
    source: 'typed',
    by: '',
    at: '',
    fault: null,
    struck: null,
  };
  return { instrument, by: '', method: 'caliper', readings: Array(READINGS).fill(reading), fault: null };
}

/** Diameter of a bundle of 1 to 7 equal cores, in core diameters Circles packed into a circle: exactly known up to seven. */
const BUNDLE = [1, 2, 2.1547, 2.4142, 2.7013, 3, 3];
/** Share of a round bundle that many equal cores fill. Chosen: round cores laid up in layers leave about a quarter open. */
const MANY_CORES_SHARE = 0.75;

/**
 * Diameter over the bundle of a cable's cores, mm: exact for up to seven equal cores, an estimate for others.
 * Unlike cores count as equal ones of the same total area.
 */
export function bundleMm(cores: Cable['cores']): number {
  const count = cores.reduce((sum, core) => sum + core.count, 0);
  const squares = cores.reduce((sum, core) => sum + core.count * core.diameterMm ** 2, 0);
  if (count === 0) return 0;
  const each = Math.sqrt(squares / count);
  return each * (BUNDLE[count - 1] ?? Math.sqrt(count / MANY_CORES_SHARE));
}

/**
 * The need of a cable at a place: its readings where there are any, else its record.
 *
 * @param dossier the place; its own cable, gland and size do not matter
 * @param measured whether readings of the dossier may be used; they belong to the dossier's cable
 */
export function needOf(dossier: Dossier, cable: Cable, measured: boolean, placed = true): Need {
  const groups = new Map<string, readonly ReadingGroup[]>();
  const sources: Record<string, Source> = {};
  const armourMm = cable.armour?.sizeMm ?? 0;
  // A record without a tolerance says nothing exactly enough to be held against a range.
  const toleranceMm = cable.toleranceMm;
  const fromRecord: [place: string, mm: number | null, toleranceMm: number | null][] = [
    ['outer-sheath', metalSheathMm(cable), toleranceMm],
    ['inner-sheath', cable.innerMm, toleranceMm],
    ['over-cores', bundleMm(cable.cores), 0],
    ['armour', armourOver(cable, armourMm), 0],
  ];
  for (const [place, mm, tolerance] of fromRecord) {
    const read = measured ? (dossier.groups.get(place) ?? []).filter(({ fault }) => !fault) : [];
    if (read.length > 0) {
      groups.set(place, read);
      sources[place] = 'measured';
    } else if (mm !== null && mm > 0 && tolerance !== null) {
      groups.set(place, [groupFromRecord(cable, place, mm, tolerance)]);
      sources[place] = 'record';
    }
  }
  return { cable, dossier: { ...dossier, cable }, placed, groups, sources };
}

/** Corrugated and interlocked armour is gripped over its ridges; wires, braid and tape by their thickness. */
function armourOver({ armour, innerMm }: Cable, sizeMm: number): number | null {
  const gripped = armour?.type === 'corrugated' || armour?.type === 'interlocked';
  if (!gripped) return sizeMm;
  return innerMm === null ? null : innerMm + 2 * sizeMm;
}
