import { type Check, type None, saying } from '../check';
import { kindOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { fitTaskOf } from '../fit-task';
import { judgeFit } from '../judge-fit';
import { judgeLook } from '../look';

type OfRing = {
  armour: string;
  cable: string;
  sizes: string;
  certificate: string;
  holds: string | null;
  lowMm: number | null;
  highMm: number | null;
  armourMm: number | null;
  face: string | null;
  wanted: string;
};

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'cable.none': None;
  'e13.unarmoured': { cable: string; by: string; on: string };
  'e13.armour-unknown': { cable: string };
  'cable.armour-twice': { cable: string; by: string; on: string; type: string };
  'e13.not-listed': { armour: string; cable: string; sizes: string; certificate: string; listed: string };
  'e13.face-unknown': { armour: string; cable: string; sizes: string; certificate: string };
  'e13.wrong-ring': OfRing;
  'e13.wrong-face': OfRing;
};
const { fails, unread } = saying<Says>();

/** The certificate lists the armour, the ring shows it the right face, and that face's range holds it. */
export const e13: Check = {
  id: 'E-13',
  kinds: ({ armour }) => armour !== 'none',
  basis: { 'iec-2013': 'IEC 60079-14:2013, 10.2', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'armour',
  consequence: () => 3,
  run(context) {
    const { size, cable, certificate, entry } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    if (!cable) return [unread('cable.none', {}, 'settle.cable')];
    if (!cable.armour) {
      if (cable.unarmoured) return [fails('e13.unarmoured', { cable: cable.tag, ...cable.unarmoured })];
      return [unread('e13.armour-unknown', { cable: cable.tag }, 'settle.cable')];
    }
    if (cable.unarmoured) return [unread('cable.armour-twice', { cable: cable.tag, ...cable.unarmoured, type: cable.armour.type }, 'settle.cable')]; // prettier-ignore
    const { type } = cable.armour;
    const listed = size.clamp.filter((face) => face.armour === type);
    const facts = { armour: type, cable: cable.tag, sizes: size.size, certificate: certificate.number };
    if (listed.length === 0) {
      return [
        fails('e13.not-listed', { ...facts, listed: size.clamp.map(({ armour }) => armour).join(', ') }),
      ];
    }
    const { ring } = kindOf(context);
    const turned = ring === 'reversible' || ring === 'dedicated';
    const look: Aspect[] = ring === 'dedicated' ? [judgeLook(context, 'ring-thick-end')] : [];
    if (turned && entry.ringFace === null)
      return [unread('e13.face-unknown', facts, 'settle.ring-face'), ...look];
    const task = fitTaskOf(context, 'armour');
    if (!task) {
      const wanted = listed.map((f) => f.face).join(' or ');
      const key = ring === 'dedicated' ? 'e13.wrong-ring' : 'e13.wrong-face';
      return [fails(key, { ...facts, ...sizes(context), face: entry.ringFace, wanted }), ...look];
    }
    return [judgeFit(context, task), ...look];
  },
};

/** What the face that is in use would hold, and what the armour measures by its record. */
function sizes({ size, entry, cable }: Context) {
  const used = size!.clamp.find(({ face }) => face === entry.ringFace);
  return {
    holds: used?.armour ?? null,
    lowMm: used?.rangeMm[0] ?? null,
    highMm: used?.rangeMm[1] ?? null,
    armourMm: cable!.armour!.sizeMm,
  };
}
