import { s, n } from '../sentences/parts';
import { figure, ohm } from '../format';
import type { Facts } from '../../../record/finding';
import type { CheckWords } from './words';

const sheath = (f: Facts) =>
  `${figure(n(f, 'lengthM'))} m of ${figure(n(f, 'sheathMm2'))} mm² copper predict ${ohm(n(f, 'predictedOhm'))}`;

const path = (f: Facts) => `Sheath ${ohm(n(f, 'ohm'))} ± ${ohm(n(f, 'uncertaintyOhm'))}`;

export const m07: CheckWords = {
  title: 'Sheath as earth conductor',
  sentences: {
    'm07.area-unknown': (f) =>
      `The copper sheath of cable ${s(f, 'cable')} has no cross-section on record, so nothing is predicted.`,
    'm07.not-measured': (f) => `The sheath is not measured as earth conductor; ${sheath(f)}.`,
    'm07.over': (f) =>
      `${path(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed. ${sheath(f)}: a joint or the sheath is broken.`,
    'm07.path-unknown': (f) => `${path(f)}, but whether one end was disconnected is not recorded.`,
    'm07.parallel': (f) => `${path(f)}, but parallel paths remain, so it proves nothing.`,
    'm07.low': (f) => `${path(f)} is far less than predicted: ${sheath(f)}; the current took another way.`,
    'm07.far': (f) =>
      `${path(f)} is more than ${figure(n(f, 'factor'), 1)} times the prediction: ${sheath(f)}; a joint is greasy, painted or slack.`,
    'm07.close': (f) =>
      `${path(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed, nearer than the uncertainty.`,
    'm07.agrees': (f) =>
      `${path(f)}; ${sheath(f)}${f.limitOhm === null ? ', and no limit is set' : `, at most ${ohm(n(f, 'limitOhm'))} is allowed`}.`,
  },
};
