import type { TableName } from './types';

/** Fields that a record gained since the first of its kind was written, and those of what lies in it. */
export interface Later {
  /** What absence means: "not recorded", or what everything was before there was a choice. */
  readonly own?: Readonly<Record<string, unknown>>;
  /** The same for a field that holds an object or a list of them. */
  readonly inside?: Readonly<Record<string, Later>>;
}

const READINGS: Later = { own: { others: [], readBy: null, readAt: null } };
const BLOCK: Later = {
  own: { bondInstrument: null, bondAt: null },
  inside: { jacket: READINGS, armour: READINGS },
};
const SEAL: Later = { own: { minC: null } };
const INSTRUMENT: Later = { own: { calibrations: [], pooledPlaces: null, of: null, lentAt: null } };
const LOOK: Later = { own: { note: '' } };

const SIZE: Later = {
  own: {
    backNut: null,
    armourLengthMm: null,
    innerProudMm: null,
    pot: null,
    sealDepthMm: null,
    mineral: null,
  },
  inside: { outer: SEAL, inner: SEAL },
};

/** Fields of each table that came since the first version. */
export const LATER: Partial<Record<TableName, Later>> = {
  site: {
    own: {
      scheme: 'zones',
      barrierSchool: '2013',
      enclosureTypes: [],
      usualMinutes: [],
      intervals: { visual: null, close: null, detailed: null },
      longestMonths: 36,
    },
  },
  area: {
    own: {
      division: null,
      weather: null,
      beside: null,
      cloudIgnitionC: null,
      layerIgnitionC: null,
      dustLayerMm: null,
    },
  },
  enclosure: {
    own: {
      material: null,
      ignitionSource: null,
      indirectEntry: null,
      demandsBarrier: null,
      unused: null,
      branchTemperatureC: null,
      onlyIntrinsic: null,
      type: null,
      surroundings: null,
      movable: null,
    },
    inside: {
      measuredTemperature: { own: { branchC: null } },
      unused: {
        own: {
          certificate: null,
          levels: [],
          groups: [],
          divisions: [],
          thread: null,
          hole: null,
          ingress: null,
          engagedMm: null,
        },
      },
    },
  },
  cable: {
    own: { filling: null, breathing: null, mineral: null, minC: null, screened: null },
    inside: { mineral: { own: { sheathMm2: null, sheathC: null, link: null, earthLimitOhm: null } } },
  },
  certificate: {
    own: {
      divisions: [],
      reducedRetention: false,
      withdrawn: null,
      categories: [],
      oRing: null,
      demandsBarrier: null,
    },
    inside: {
      sheet: {
        own: { compound: null, shroud: null, chart: [], transit: null },
        inside: {
          sizes: SIZE,
          compound: { own: { minC: null } },
          transit: { own: { shapes: ['round'] } },
        },
      },
    },
  },
  instrument: INSTRUMENT,
  entry: {
    own: {
      adaptors: null,
      tailMm: null,
      frame: null,
      compartment: null,
      sealingDevice: null,
      factoryFitted: null,
      factoryThreaded: null,
      raceway: null,
      foundMadeOff: null,
      cableSince: null,
    },
    inside: {
      adaptors: { own: { divisions: [], maleLengthMm: null, runoutMm: null, femaleDepthMm: null } },
      frame: { own: { otherArea: null } },
    },
  },
  look: LOOK,
  makeoff: { own: { armourEnd: null } },
  insulation: { own: { entry: null } },
  defect: { own: { finding: null, language: 'en' } },
  packing: {
    inside: {
      openings: {
        own: { recessFarMm: [], plug: false, packedAt: null },
        inside: {
          rows: { inside: { columns: { inside: { blocks: BLOCK } } } },
          cables: { own: { readings: [] } },
        },
      },
    },
  },
};

/**
 * A record with the fields filled in that it was written without: "not recorded", or what everything was
 * before there was a choice. Journals, files and databases of an earlier day stay readable by it. What is
 * sealed is never filled in: its hash is over what was there.
 */
export function completed<R extends object>(table: TableName, record: R): R {
  const later = LATER[table];
  return later ? filled(record, later) : record;
}

/** The same object where nothing was missing. */
function filled<R extends object>(record: R, { own, inside }: Later): R {
  let whole = record;
  if (own && !Object.keys(own).every((key) => key in record)) whole = { ...own, ...record };
  for (const [field, later] of Object.entries(inside ?? {})) {
    const value = (whole as Record<string, unknown>)[field];
    if (typeof value !== 'object' || value === null) continue;
    const next = Array.isArray(value) ? filledList(value, later) : filled(value, later);
    if (next === value) continue;
    if (whole === record) whole = { ...record };
    (whole as Record<string, unknown>)[field] = next;
  }
  return whole;
}

function filledList(list: readonly object[], later: Later): readonly object[] {
  const whole = list.map((one) => filled(one, later));
  return whole.every((one, i) => one === list[i]) ? list : whole;
}
