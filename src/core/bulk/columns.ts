import { THREADS } from '../gland/thread-table';
import { AREA_GROUPS, GROUPS } from '../hazard/group';
import { ZONES } from '../hazard/level';
import { TEMPERATURE_CLASSES } from '../hazard/temperature';
import type { QuantityId } from '../quantity/quantity';
import { KIND_IDS } from '../record/kind-ids';
import { ARMOUR_TYPES, INSTRUMENT_KINDS, UNITS, WEATHERS } from '../record/types';
import { KIND_TITLES } from '../words/en/kinds/kinds';
import { INSTRUMENT_WORDS } from '../words/en/labels';

/** Tables that are taken in from sheets, in the order in which they refer to each other. */
export const BULK_TABLES = ['area', 'cable', 'enclosure', 'entry', 'instrument'] as const;
export type BulkTable = (typeof BULK_TABLES)[number];

/** Other words for each of a choice's values. */
type Called = Readonly<Record<string, string | readonly string[]>>;

/** How a cell is read. */
export type Reader =
  | { as: 'text' }
  | { as: 'measure'; of: QuantityId }
  | { as: 'one'; of: readonly (string | number)[]; called?: Called }
  | { as: 'yes-no' }
  | { as: 'concepts' }
  | { as: 'day' }
  /** Number of cores, or `4 x 1.5` with the area of each. */
  | { as: 'cores' }
  | { as: 'refers'; to: 'area' | 'cable' | 'certificate' | 'enclosure' };

/** A column that a sheet may have. */
export interface Column {
  /** Its heading in a template. */
  id: string;
  /** What it holds, with its unit, in words. */
  title: string;
  /** Field of the record that it fills. */
  path: string;
  /** Whether each row of a sheet needs it. */
  needed?: true;
  /** Other headings that it goes by, without units, in small letters. */
  also: readonly string[];
  read: Reader;
}

const TEXT: Reader = { as: 'text' };
const YES_NO: Reader = { as: 'yes-no' };
const measure = (of: QuantityId): Reader => ({ as: 'measure', of });
const one = (of: readonly (string | number)[], called?: Called): Reader => ({
  as: 'one',
  of,
  ...(called && { called }),
});
const LENGTH = measure('length');
const DISTANCE = measure('distance');
const TEMPERATURE = measure('temperature');
const NUMBER = measure('number');

const column = (id: string, title: string, path: string, read: Reader, ...also: string[]): Column => ({ id, title, path, read, also }); // prettier-ignore
const needed = (id: string, title: string, path: string, read: Reader, ...also: string[]): Column => ({ ...column(id, title, path, read, ...also), needed: true }); // prettier-ignore

const CLASSES = Object.keys(TEMPERATURE_CLASSES);
const MATERIALS = ['steel', 'copper', 'aluminium'];
const UNCLASSIFIED = ['non hazardous', 'nonhazardous', 'not classified', 'safe area'];

const AREA: readonly Column[] = [
  needed('area', 'Area', 'name', TEXT, 'name', 'area name'),
  column('zone', 'Zone', 'zone', one([...ZONES, 'unclassified'], { unclassified: UNCLASSIFIED, ...Object.fromEntries(ZONES.map((zone) => [zone, `zone ${zone}`])) }), 'hazardous zone', 'classification'),
  column('group', 'Group', 'group', one(AREA_GROUPS), 'gas group', 'dust group', 'explosion group'),
  column('temperature_class', 'Temperature class', 'temperatureClass', one(CLASSES), 't class', 'temp class', 'temperature class'),
  column('substances', 'Substances', 'substances', TEXT, 'substance', 'flammable materials'),
  column('ambient_from_c', 'Coldest ambient, °C', 'ambientC.0', TEMPERATURE, 'ambient min', 'ambient from', 'min ambient'),
  column('ambient_to_c', 'Hottest ambient, °C', 'ambientC.1', TEMPERATURE, 'ambient max', 'ambient to', 'max ambient'),
  column('ingress', 'Ingress asked for', 'ingressNeed', TEXT, 'ip', 'ip rating', 'ingress protection'),
  column('weather', 'Exposed to', 'weather', one(WEATHERS, { indoors: ['indoor', 'inside'], weather: ['outdoors', 'outdoor', 'outside'] }), 'exposure', 'exposed to'),
  column('x_m', 'On the plan, from the left, m', 'outlineM.x', DISTANCE, 'x', 'x position'),
  column('y_m', 'On the plan, from the top, m', 'outlineM.y', DISTANCE, 'y', 'y position'),
  column('width_m', 'Width, m', 'outlineM.width', DISTANCE, 'width'),
  column('depth_m', 'Depth, m', 'outlineM.height', DISTANCE, 'depth'),
  column('level_m', 'Level of the floor, m', 'levelM', DISTANCE, 'level', 'elevation', 'floor level'),
]; // prettier-ignore

const CABLE: readonly Column[] = [
  needed('cable', 'Cable', 'tag', TEXT, 'tag', 'cable tag', 'cable no', 'cable number'),
  column('from', 'From', 'from', TEXT, 'from tag', 'source'),
  column('to', 'To', 'to', TEXT, 'to tag', 'destination'),
  column('length_m', 'Length, m', 'lengthM', DISTANCE, 'length', 'cable length'),
  column('cores', 'Cores', 'cores.0.count', { as: 'cores' }, 'number of cores', 'no of cores', 'conductors'),
  column('core_area_mm2', 'Area of a core, mm²', 'cores.0.areaMm2', measure('area'), 'core area', 'cross section', 'csa'),
  column('core_diameter_mm', 'Diameter of a core, mm', 'cores.0.diameterMm', LENGTH, 'core diameter', 'diameter of a core'),
  column('shape', 'Shape', 'shape', one(['round', 'flat', 'sector'])),
  column('cold_flow', 'Sheath flows cold', 'coldFlow', YES_NO, 'cold flow'),
  column('inner_mm', 'Over the inner sheath, mm', 'innerMm', LENGTH, 'inner', 'inner sheath', 'inner diameter', 'bedding'),
  column('armour', 'Armour', 'armour.type', one([...ARMOUR_TYPES, 'none'], { none: ['unarmoured', 'no'], wire: ['swa', 'steel wire', 'round wire'] }), 'armour type', 'armor', 'armouring'),
  column('armour_size_mm', 'Wire of the armour, mm', 'armour.sizeMm', LENGTH, 'armour size', 'armour wire', 'wire diameter', 'armour diameter'),
  column('armour_material', 'Material of the armour', 'armour.material', one(MATERIALS, { aluminium: ['aluminum'] })),
  column('armour_area_mm2', 'Area of the armour, mm²', 'armour.areaMm2', measure('area'), 'armour area'),
  column('sheath_mm', 'Outer sheath, mm', 'sheathMm', LENGTH, 'sheath', 'sheath thickness', 'outer sheath'),
  column('outer_mm', 'Overall diameter, mm', 'outerMm', LENGTH, 'outer', 'outer diameter', 'overall diameter', 'od', 'diameter'),
  column('tolerance_mm', 'Tolerance, mm', 'toleranceMm', LENGTH, 'tolerance'),
  column('max_c', 'Highest temperature, °C', 'maxC', TEMPERATURE, 'max temperature', 'temperature'),
  column('min_c', 'Lowest temperature, °C', 'minC', TEMPERATURE, 'min temperature'),
  column('screened', 'Screened', 'screened', YES_NO, 'screen'),
  column('filling', 'Effectively filled', 'filling', one(['filled', 'not-filled'], { filled: 'yes', 'not-filled': ['no', 'unfilled'] }), 'effectively filled', 'filled'),
]; // prettier-ignore

const ENCLOSURE: readonly Column[] = [
  needed('enclosure', 'Enclosure', 'tag', TEXT, 'tag', 'enclosure tag', 'box', 'equipment', 'equipment tag'),
  column('what', 'What it is', 'what', TEXT, 'description', 'what it is', 'equipment type'),
  needed('area', 'Area', 'area', { as: 'refers', to: 'area' }, 'area name', 'location'),
  column('protection', 'Protection as marked', 'concepts', { as: 'concepts' }, 'ex', 'concept', 'concepts', 'type of protection', 'ex protection'),
  column('group', 'Group', 'group', one(GROUPS), 'gas group', 'explosion group'),
  column('temperature_class', 'Temperature class', 'temperatureClass', one(CLASSES), 't class', 'temp class', 'temperature class'),
  column('ingress', 'Ingress rating', 'ingress', TEXT, 'ip', 'ip rating', 'ingress rating', 'ingress protection'),
  column('volume_cm3', 'Volume, cm³', 'volumeCm3', measure('volume'), 'volume', 'free volume'),
  column('wall_mm', 'Wall thickness, mm', 'wallMm', LENGTH, 'wall', 'wall thickness'),
  column('material', 'Wall of', 'material', one(['metal', 'insulating'], { insulating: ['plastic', 'grp', 'polyester'], metal: ['steel', 'aluminium', 'stainless steel'] }), 'enclosure material'),
  column('ignition_source', 'Parts inside arc, spark or run hot', 'ignitionSource', YES_NO, 'ignition source'),
  column('indirect_entry', 'Indirect entry', 'indirectEntry', YES_NO, 'indirect entry'),
  column('demands_barrier', 'Asks for barrier glands', 'demandsBarrier', YES_NO, 'demands barrier'),
  column('x_m', 'On the plan, from the left, m', 'positionM.x', DISTANCE, 'x', 'x position'),
  column('y_m', 'On the plan, from the top, m', 'positionM.y', DISTANCE, 'y', 'y position'),
  column('z_m', 'Height, m', 'positionM.z', DISTANCE, 'z', 'height', 'level', 'elevation'),
]; // prettier-ignore

const ENTRY: readonly Column[] = [
  needed('enclosure', 'Enclosure', 'enclosure', { as: 'refers', to: 'enclosure' }, 'enclosure tag', 'box', 'equipment', 'equipment tag', 'tag'),
  needed('entry', 'Entry', 'label', TEXT, 'label', 'entry label', 'entry no', 'entry number', 'gland no', 'gland number'),
  needed('kind', 'Kind of entry', 'kind', one(KIND_IDS, KIND_TITLES), 'kind of entry', 'gland type', 'type'),
  column('certificate', 'Certificate', 'certificate', { as: 'refers', to: 'certificate' }, 'certificate no', 'certificate number', 'cert'),
  column('size', 'Size as marked', 'size', TEXT, 'gland size', 'size as marked'),
  column('ring_face', 'Ring face towards the box', 'ringFace', TEXT, 'ring face', 'ring'),
  column('cable', 'Cable', 'cable', { as: 'refers', to: 'cable' }, 'cable tag', 'cable no', 'cable number'),
  column('hole', 'Hole', 'hole.form', one(['threaded', 'clearance'])),
  column('thread', 'Thread of the hole', 'hole.thread', one(THREADS.map(({ designation }) => designation)), 'entry thread', 'hole thread'),
  column('hole_mm', 'Diameter of a clearance hole, mm', 'hole.diameterMm', LENGTH, 'hole diameter'),
  column('chamfers_mm', 'Chamfers of the hole, mm', 'hole.chamfersMm', LENGTH, 'chamfers'),
  column('washer_mm', 'Washer, mm', 'washerMm', LENGTH, 'washer'),
  column('tail_mm', 'Tail, mm', 'tailMm', LENGTH, 'tail'),
]; // prettier-ignore

const INSTRUMENT: readonly Column[] = [
  needed('instrument', 'Instrument', 'tag', TEXT, 'tag', 'instrument tag', 'serial', 'serial no', 'serial number'),
  needed('kind', 'Kind', 'kind', one(INSTRUMENT_KINDS, INSTRUMENT_WORDS), 'instrument kind', 'type'),
  needed('unit', 'Unit', 'unit', one(UNITS, { ohm: 'Ω', Nm: 'N·m', degC: ['°C', 'C'], megohm: 'MΩ', turns: 'turn' })),
  needed('span_from', 'Span from', 'span.0', NUMBER, 'span min', 'range from', 'range min'),
  needed('span_to', 'Span to', 'span.1', NUMBER, 'span max', 'range to', 'range max'),
  needed('resolution', 'Resolution', 'resolution', NUMBER),
  needed('uncertainty', 'Expanded uncertainty', 'expandedUncertainty', NUMBER, 'expanded uncertainty', 'u'),
  needed('coverage_factor', 'Coverage factor', 'coverageFactor', NUMBER, 'coverage factor', 'k'),
  column('repeatability', 'Repeatability of one reading', 'repeatability', NUMBER),
  column('repeatability_soft', 'Repeatability on soft sheaths', 'repeatabilitySoft', NUMBER, 'repeatability soft'),
  needed('calibrated_to', 'Calibrated to', 'calibratedUntil', { as: 'day' }, 'calibrated until', 'calibration due', 'due'),
  column('calibration', 'Calibration certificate', 'calibration', TEXT, 'calibration certificate', 'certificate'),
]; // prettier-ignore

/** The columns of each table, those of its key first. */
export const COLUMNS: Readonly<Record<BulkTable, readonly Column[]>> = {
  area: AREA,
  cable: CABLE,
  enclosure: ENCLOSURE,
  entry: ENTRY,
  instrument: INSTRUMENT,
};

/** Columns by which a row is known again. */
export const KEYS: Readonly<Record<BulkTable, readonly string[]>> = {
  area: ['area'],
  cable: ['cable'],
  enclosure: ['enclosure'],
  entry: ['enclosure', 'entry'],
  instrument: ['instrument'],
};

/** What rows of each table are called in sentences. */
export const BULK_WORDS: Readonly<Record<BulkTable, { one: string; many: string }>> = {
  area: { one: 'area', many: 'areas' },
  cable: { one: 'cable', many: 'cables' },
  enclosure: { one: 'enclosure', many: 'enclosures' },
  entry: { one: 'entry', many: 'entries' },
  instrument: { one: 'instrument', many: 'instruments' },
};
