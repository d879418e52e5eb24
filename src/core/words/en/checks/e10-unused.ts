import { s, n } from '../sentences/parts';
import { count, mm } from '../format';
import type { CheckWords } from './words';
import { hazard, ofPlug } from '../sentences/terms';

export const e10: CheckWords = {
  title: 'Unused entries',
  sentences: {
    'e10.elsewhere': (f) => `Unused entries of ${s(f, 'tag')} are judged at its entry ${s(f, 'label')}.`,
    'e10.unknown': (f) =>
      `Which entries of ${s(f, 'tag')} no cable uses, and what closes them, is not recorded.`,
    'e10.contradiction': (f) =>
      `${count(n(f, 'count'), 'unused entry', 'unused entries')} of ${s(f, 'tag')} are recorded, and the look says that there are none.`,
    'e10.open': (f) => `Unused entry ${s(f, 'label')} of ${s(f, 'tag')} is open.`,
    'e10.transport': (f) =>
      `Unused entry ${s(f, 'label')} of ${s(f, 'tag')} holds a transport plug, which is no closure.`,
    'e10.no-tool': (f) =>
      `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} comes out without a tool, which is no closure.`,
    'e10.in-adaptor': (f) =>
      `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} sits in an adaptor; it belongs into the wall.`,
    'e10.not-suited': (f) =>
      `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} has ${s(f, 'has') || 'no protection'}, which does not suit protection ${s(f, 'concept')}.`,
    'e10.not-listed': (f) =>
      `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} is not listed for ${hazard(f)}.`,
    'e10.component': (f) =>
      `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} has certificate ${s(f, 'certificate')} of a component (U), which is none of equipment.`,
    'e10.contradiction-none': (f) =>
      `No unused entry of ${s(f, 'tag')} is recorded, and the look says that all are closed as recorded.`,
    'e10.engaged': (f) =>
      `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} engages ${mm(n(f, 'engagedMm'))}, ${count(n(f, 'threads'), 'full thread')}; ${n(f, 'requiredThreads')}${f.requiredDepthMm === null ? '' : ` and ${mm(n(f, 'requiredDepthMm'))}`} are needed.`,
    'e10.group': (f) =>
      `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} is for ${s(f, 'has')}; the area asks for ${s(f, 'asked')}.`,
    'e10.ingress': (f) =>
      `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} has ${s(f, 'has')}; the enclosure is ${s(f, 'asked')}.`,
    'e10.level': (f) =>
      `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} has level ${s(f, 'has')}, which does not suit ${hazard(f)}.`,
    'e10.not-known': (f) =>
      `Of the plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} is not recorded: ${ofPlug(f)}.`,
    'e10.thread': (f) =>
      `The plug in unused entry ${s(f, 'label')} of ${s(f, 'tag')} is ${s(f, 'plug')}, the entry ${s(f, 'hole')}.`,
  },
};
