import { below } from '../../quantity/compare';
import { blank, type Check, type None, saying } from '../check';
import type { Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { answerTo, judgeLook } from '../look';
import { sealsItself, washerFacts, washerReasons } from '../washer';

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'e22.contradiction': { washerMm: number | null; thread: string | null };
  'e22.missing': {
    reasons?: string;
    enclosureRating?: string;
    thread: string | null;
    wallMm?: number;
    sheetMm?: number;
  };
  'e22.thickness': { thread: string | null };
  'e22.thin': { washerMm: number | null; askedMm: number | null; thread: string | null };
  'e22.fitted': { washerMm: number | null; reasons?: string; enclosureRating: string; wallMm?: number };
  'e22.none-asked': { washerMm: number | null; reasons?: string };
  'e22.o-ring': { certificate: string };
  'e22.no-o-ring': { certificate: string };
  'e22.o-ring-unknown': { certificate: string };
};
const { conforms, fails, unread } = saying<Says>();

/** A sealing washer where the sheet, a thin wall, a clearance hole or a rating above IP54 asks for one. */
export const e22: Check = {
  id: 'E-22',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 10.2; IEC 60079-17:2013, Table 1, seals and gaskets' },
  grade: 'visual',
  hazard: 'explosion',
  place: 'washer',
  consequence: () => 2,
  run(context) {
    const look = judgeLook(context, 'washer');
    const answer = answerTo(context, 'washer');
    const { size, certificate, entry } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate'), look];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size'), look];
    const asked = washerReasons(context);
    const { washerMm } = entry;
    if (answer === 'none' && washerMm !== null && washerMm > 0) {
      return [unread('e22.contradiction', { washerMm, thread: size.thread }, 'settle.washer')];
    }
    if (answer === 'none' && asked.length > 0) {
      return [fails('e22.missing', { ...washerFacts(asked), thread: size.thread })];
    }
    if (answer === 'o-ring') return [oRing(context, look)];
    const unknown = unknownNeed(context);
    if (unknown && answer === 'none') return [unknown];
    if (answer === 'fitted' && !washerMm) {
      return [unread('e22.thickness', { thread: size.thread }, 'settle.washer')];
    }
    if (answer === 'fitted' && size.washerMm === null) return [blank('washer-that-the-sheet-asks-for', size.size, 'settle.sheet')]; // prettier-ignore
    if (answer === 'fitted' && below(washerMm!, size.washerMm!)) {
      return [fails('e22.thin', { washerMm, askedMm: size.washerMm, thread: size.thread })];
    }
    if (look.outcome !== 'conforms') return [look];
    const facts = { washerMm, ...washerFacts(asked) };
    return [conforms(asked.length > 0 ? 'e22.fitted' : 'e22.none-asked', facts)];
  },
};

/** What has to be known before "none" can be sound; null where it is. */
function unknownNeed({ size, entry, enclosure, area }: Context): Aspect | null {
  if (entry.hole.form === null) return blank('hole-is-threaded', { entry: entry.label }, 'settle.hole'); // prettier-ignore
  if (size!.washerMm === null) return blank('washer-that-the-sheet-asks-for', size!.size, 'settle.sheet');
  if (sealsItself(size!, entry)) return null;
  if (enclosure.wallMm === null) return blank('wall-thickness', enclosure.tag, 'settle.enclosure');
  if (enclosure.ingress === null && !enclosure.derating) return blank('ingress-rating', enclosure.tag, 'settle.enclosure'); // prettier-ignore
  return area.ingressNeed === null ? blank('ingress-asked-for', area.name, 'settle.area') : null;
}

/** An O-ring counts where the certificate has one. */
function oRing({ certificate }: Context, look: Aspect): Aspect {
  const facts = { certificate: certificate!.number };
  if (certificate!.oRing === true) return look.outcome === 'conforms' ? conforms('e22.o-ring', facts) : look;
  return certificate!.oRing === false
    ? fails('e22.no-o-ring', facts)
    : unread('e22.o-ring-unknown', facts, 'settle.certificate');
}
