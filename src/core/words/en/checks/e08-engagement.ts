import { s, n, lower } from '../sentences/parts';
import type { Facts } from '../../../record/finding';
import { count, mm, plusMinus, figure } from '../format';
import type { CheckWords } from './words';
import { jointWhere } from '../sentences/terms';

const source = (f: Facts): string => (f.by === 'geometry' ? ' by the records' : '');

const length = (f: Facts): string =>
  f.by === 'geometry' ? mm(n(f, 'engagedMm')) : plusMinus(n(f, 'engagedMm'), n(f, 'uncertaintyMm'));

const engaged = (f: Facts): string =>
  `${count(n(f, 'threads'), 'full thread')} engaged ${jointWhere(f)}${source(f)}, ${length(f)}`;

const needed = (f: Facts): string =>
  `${n(f, 'requiredThreads')} and ${mm(n(f, 'requiredDepthMm'))} are needed${f.volumeCm3 === null ? '' : ` at ${n(f, 'volumeCm3')} cm³`}`;

const turned = (f: Facts): string =>
  `${figure(n(f, 'turns'))} threads of ${s(f, 'thread')} engaged ${jointWhere(f)}${source(f)}`;

export const e08: CheckWords = {
  title: 'Threads engaged',
  sentences: {
    'e08.no-joint': (f) => `The enclosure is in ${s(f, 'concepts')}: the thread is no flameproof joint.`,
    'e08.clearance': (f) =>
      `The gland stands in a clearance hole for ${s(f, 'thread')} with a locknut: 0 threads engaged in a flameproof wall, 5 are needed.`,
    'e08.taper-form': (f) =>
      `${s(f, 'thread')} is taper; of the taper threads only NPT makes a flameproof joint.`,
    'e08.not-measured': (f) =>
      `Threads engaged ${jointWhere(f)} are not measured, and the records do not give them either.`,
    'e08.parallel': (f) => `${engaged(f)}; ${needed(f)}.`,
    'e08.parallel-short': (f) => `Only ${lower(engaged(f))}; ${needed(f)}.`,
    'e08.taper': (f) => `${turned(f)}; ${n(f, 'requiredThreads')} are needed, wrench-tight.`,
    'e08.taper-short': (f) =>
      `Only ${lower(turned(f))}; ${n(f, 'requiredThreads')} are needed, wrench-tight.`,
    'e08.too-long': (f) =>
      `Threads engaged ${jointWhere(f)}: ${plusMinus(n(f, 'engagedMm'), n(f, 'uncertaintyMm'))} is measured, and wall and thread allow ${mm(n(f, 'expectedMm'))} by the records: one of the two is wrong.`,
    'e08.volume': (f) =>
      `${engaged(f)}: enough for a small compartment only, and the volume of this one is not recorded.`,
  },
};
