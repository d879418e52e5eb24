import type { TableName, Tables } from './types';

type Defaults = Readonly<Record<string, unknown>>;

/** Fields that records gained after the first of their kind was written, with what their absence means. */
const LATER: Partial<Record<TableName, Defaults>> = {
  site: { scheme: 'zones', barrierSchool: '2013' },
  area: { division: null, weather: null },
  enclosure: {
    material: null,
    ignitionSource: null,
    indirectEntry: null,
    demandsBarrier: null,
    unused: null,
  },
  cable: { filling: null, breathing: null, mineral: null },
  certificate: { divisions: [], reducedRetention: false },
  entry: { adaptors: null, tailMm: null, frame: null },
  look: { note: '' },
  insulation: { entry: null },
};

const LATER_OF_SHEET: Defaults = { compound: null, shroud: null, chart: [], transit: null };
const LATER_OF_SIZE: Defaults = {
  backNut: null,
  armourLengthMm: null,
  innerProudMm: null,
  pot: null,
  sealDepthMm: null,
  mineral: null,
};
const LATER_OF_MINERAL: Defaults = { sheathMm2: null, sheathC: null, link: null };

/**
 * A record with the fields filled in that it was written without: "not recorded", or what everything was
 * before there was a choice. Journals, files and databases of an earlier day stay readable by it.
 */
export function completed<R extends object>(table: TableName, record: R): R {
  const whole = filled(record, LATER[table]);
  if (table === 'cable') return withMineral(whole);
  if (table !== 'certificate') return whole;
  const certificate = whole as unknown as Tables['certificate'];
  if (!certificate.sheet) return whole;
  const sheet = filled(certificate.sheet, LATER_OF_SHEET);
  const sizes = sheet.sizes?.map((size) => filled(size, LATER_OF_SIZE));
  const same = sheet === certificate.sheet && sizes?.every((size, i) => size === sheet.sizes[i]);
  return same ? whole : { ...whole, sheet: { ...sheet, sizes } };
}

function withMineral<R extends object>(cable: R): R {
  const { mineral } = cable as unknown as Tables['cable'];
  if (!mineral) return cable;
  const whole = filled(mineral, LATER_OF_MINERAL);
  return whole === mineral ? cable : { ...cable, mineral: whole };
}

function filled<R extends object>(record: R, defaults: Defaults | undefined): R {
  if (!defaults || Object.keys(defaults).every((key) => key in record)) return record;
  return { ...defaults, ...record };
}
