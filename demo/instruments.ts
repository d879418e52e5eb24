import type { DossierFields } from '../src/core/commands/commands';
import { addDays } from '../src/core/record/calendar';

/** Instruments of a site; one is past its calibration date. */
export function instruments(prefix: string, today: string): DossierFields['instrument'][] {
  return records(prefix, today).map((one) => ({ ...one, calibrations: history(one, today) }));
}

/** One that lies in the store: in the register, lent to no site yet. */
export function spareCaliper(today: string): DossierFields['instrument'] {
  const [caliper] = instruments('spare', today);
  return { ...caliper!, id: 'spare-caliper-12', tag: 'Caliper 12', calibration: 'CAL 2212' };
}

/** Four calibrations, a year and a half apart, the newest to its date; none was found to have run out. */
function history({ calibratedUntil, calibration }: Row, today: string): Instrument['calibrations'] {
  const [first, second] = [addDays(calibratedUntil, -1100), addDays(calibratedUntil, -550)];
  const made = (from: string | null, to: string, name: string): Instrument['calibrations'][number] => ({
    from,
    to,
    found: to < today ? 'within' : null,
    certificate: name,
  });
  return [
    made(addDays(first, -1100), addDays(first, -550), 'CAL 0718'),
    made(addDays(first, -550), first, 'CAL 1104'),
    made(first, second, 'CAL 1620'),
    made(second, calibratedUntil, calibration),
  ];
}

type Instrument = DossierFields['instrument'];
type Row = Omit<Instrument, 'calibrations'>;

function records(prefix: string, today: string): Row[] {
  const caliper = {
    kind: 'caliper' as const,
    unit: 'mm' as const,
    span: [0, 150] as [number, number],
    resolution: 0.01,
    expandedUncertainty: 0.03,
    coverageFactor: 2,
    repeatability: 0.02,
    repeatabilitySoft: 0.05,
    simulated: true,
    pooledPlaces: null,
  };
  return [
    {
      ...caliper,
      id: `${prefix}-caliper-07`,
      tag: 'Caliper 07',
      calibratedUntil: addDays(today, 99),
      calibration: 'CAL 2207',
    },
    {
      ...caliper,
      id: `${prefix}-caliper-03`,
      tag: 'Caliper 03',
      calibratedUntil: addDays(today, -40),
      calibration: 'CAL 2034',
    },
    {
      id: `${prefix}-tape-11`,
      tag: 'Tape 11',
      kind: 'tape',
      unit: 'mm',
      span: [0, 2000],
      resolution: 0.5,
      expandedUncertainty: 0.3,
      coverageFactor: 2,
      repeatability: 0.2,
      repeatabilitySoft: 0.4,
      calibratedUntil: addDays(today, 210),
      calibration: 'CAL 2190',
      simulated: false,
      pooledPlaces: null,
    },
    {
      id: `${prefix}-ohm-02`,
      tag: 'Ohmmeter 02',
      kind: 'milliohm-meter',
      unit: 'ohm',
      span: [0, 20],
      resolution: 0.0001,
      expandedUncertainty: 0.001,
      coverageFactor: 2,
      repeatability: 0.0005,
      repeatabilitySoft: null,
      calibratedUntil: addDays(today, 160),
      calibration: 'CAL 2166',
      simulated: true,
      pooledPlaces: null,
    },
    {
      id: `${prefix}-rule-05`,
      tag: 'Rule 05',
      kind: 'rule',
      unit: 'mm',
      span: [0, 30000],
      resolution: 1,
      expandedUncertainty: 0.5,
      coverageFactor: 2,
      repeatability: 0.3,
      repeatabilitySoft: null,
      calibratedUntil: addDays(today, 400),
      calibration: 'CAL 2150',
      simulated: false,
      pooledPlaces: null,
    },
    {
      id: `${prefix}-mark-01`,
      tag: 'Paint mark',
      kind: 'turn-mark',
      unit: 'turns',
      span: [0, 40],
      resolution: 0.05,
      expandedUncertainty: 0.04,
      coverageFactor: 2,
      repeatability: 0.02,
      repeatabilitySoft: null,
      calibratedUntil: addDays(today, 900),
      calibration: 'by eye, twelfth of a turn',
      simulated: false,
      pooledPlaces: null,
    },
    {
      id: `${prefix}-driver-04`,
      tag: 'Torque driver 04',
      kind: 'torque-driver',
      unit: 'Nm',
      span: [5, 100],
      resolution: 0.1,
      expandedUncertainty: 1.2,
      coverageFactor: 2,
      repeatability: 0.4,
      repeatabilitySoft: null,
      calibratedUntil: addDays(today, 120),
      calibration: 'CAL 2178',
      simulated: true,
      pooledPlaces: null,
    },
    {
      id: `${prefix}-tester-01`,
      tag: 'Insulation tester 01',
      kind: 'insulation-tester',
      unit: 'megohm',
      span: [0.001, 1000],
      resolution: 0.1,
      expandedUncertainty: 5,
      coverageFactor: 2,
      repeatability: 1,
      repeatabilitySoft: null,
      calibratedUntil: addDays(today, 210),
      calibration: 'CAL 2181',
      simulated: true,
      pooledPlaces: null,
    },
    {
      id: `${prefix}-thermometer-05`,
      tag: 'Thermometer 05',
      kind: 'thermometer',
      unit: 'degC',
      span: [-30, 120],
      resolution: 0.1,
      expandedUncertainty: 0.5,
      coverageFactor: 2,
      repeatability: 0.1,
      repeatabilitySoft: null,
      calibratedUntil: addDays(today, 310),
      calibration: 'CAL 2166',
      simulated: true,
      pooledPlaces: null,
    },
    {
      id: `${prefix}-feeler-02`,
      tag: 'Feeler 02',
      kind: 'feeler',
      unit: 'mm',
      span: [0.03, 10],
      resolution: 0.05,
      expandedUncertainty: 0.02,
      coverageFactor: 2,
      repeatability: 0.03,
      repeatabilitySoft: null,
      calibratedUntil: addDays(today, 260),
      calibration: 'CAL 2144',
      simulated: true,
      pooledPlaces: null,
    },
    {
      id: `${prefix}-pitch-01`,
      tag: 'Pitch gauge 01',
      kind: 'pitch-gauge',
      unit: 'mm',
      span: [0.25, 6],
      resolution: 0.05,
      expandedUncertainty: 0.02,
      coverageFactor: 2,
      repeatability: 0.02,
      repeatabilitySoft: null,
      calibratedUntil: addDays(today, 300),
      calibration: 'CAL 2101',
      simulated: true,
      pooledPlaces: null,
    },
  ];
}
