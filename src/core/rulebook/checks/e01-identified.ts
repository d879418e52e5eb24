import { isLater } from '../../instrument/calibration';
import { areaOpen } from '../area-words';
import { classified } from '../classified';
import { isIntrinsicBox } from '../../kinds/compartment';
import { blank, type Check, type None, saying } from '../check';
import { kindOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { judgeLook } from '../look';
import { carries } from '../marks';

type OfMarks = { certificate: string; area: string; inZone?: string };

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e01.component': { certificate: string };
  'e01.future': { certificate: string; state: string; issued: string };
  'e01.superseded': { certificate: string; state: string };
  'e01.withdrawn-why': { certificate: string; state: string };
  'e01.withdrawn': { certificate: string; state: string };
  'e01.withdrawn-other': { certificate: string; state: string };
  'e01.other-kind': { certificate: string; size: string | null; covers: string; kind: string };
  'e01.approved': { certificate: string; size: string | null };
  'e01.no-size': { certificate: string; size?: string | null };
  'e01.size-not-listed': { certificate: string; size: string | null };
  'e01.size-twice': { certificate: string; size: string | null; lines: number };
  'e01.covered': { certificate: string; size: string | null };
  'e01.sheet': { certificate: string; size: string | null };
  'e06.none-asked': { concept: string; has?: string; enclosure?: string };
  'e01.no-concept': OfMarks;
  'e01.industrial': OfMarks;
};
const { conforms, fails, unread, notApplicable } = saying<Says>();

/** The device is what the dossier says, and a certificate on file covers it. */
export const e01: Check = {
  id: 'E-01',
  kinds: () => true,
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, entry devices and blanking elements', certificate: true },
  grade: 'visual',
  hazard: 'explosion',
  place: 'marking',
  consequence: () => 3,
  run(context) {
    const { certificate } = context;
    const look = judgeLook(context, 'marking');
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate'), look];
    const uncertified = ordinary(context);
    if (uncertified) return [uncertified, look];
    const { number } = certificate;
    const aspects: Aspect[] = [];
    if (carries(number, 'U') && context.entry.factoryFitted !== true) {
      aspects.push(fails('e01.component', { certificate: number }));
    }
    aspects.push(...standing(context), covered(context), look);
    return aspects;
  },
};

const NOTHING: Aspect[] = [];

/** Whether the certificate still stands: what is installed may stay under a superseded one. */
function standing({ certificate, at }: Context): Aspect[] {
  const { number, state, withdrawn, issued } = certificate!;
  if (state === 'valid' && issued !== null && !isLater(issued, at)) return NOTHING;
  if (state === null) return [blank('state', number, 'settle.certificate')];
  if (issued === null) return [blank('day-of-issue', number, 'settle.certificate')];
  const facts = { certificate: number, state };
  if (isLater(issued, at)) return [unread('e01.future', { ...facts, issued }, 'settle.certificate')];
  if (state === 'superseded') return [conforms('e01.superseded', facts)];
  if (state !== 'withdrawn') return [];
  if (withdrawn === null) return [unread('e01.withdrawn-why', facts, 'settle.withdrawn')];
  return [withdrawn === 'safety' ? fails('e01.withdrawn', facts) : conforms('e01.withdrawn-other', facts)];
}

/** Whether it covers this kind and size; the size's name has to mean one thing. */
function covered(context: Context): Aspect {
  const { certificate, entry, size } = context;
  const facts = { certificate: certificate!.number, size: entry.size };
  if (certificate!.kind !== entry.kind) {
    return fails('e01.other-kind', { ...facts, covers: certificate!.kind, kind: entry.kind });
  }
  // A transit carries the approval that its wall asks for, and has no size.
  if (kindOf(context).transit !== null) return conforms('e01.approved', facts);
  if (entry.size === null) return unread('e01.no-size', facts, 'settle.size');
  if (!size) return fails('e01.size-not-listed', facts);
  let alike = 0;
  for (const one of certificate!.sheet.sizes) if (one.size === entry.size) alike++;
  if (alike > 1) return unread('e01.size-twice', { ...facts, lines: alike }, 'settle.sheet');
  return conforms(certificate!.concepts.length > 0 ? 'e01.covered' : 'e01.sheet', facts);
}

/** A gland without any protection on its sheet may stand only where none is asked for. */
function ordinary(context: Context): Aspect | null {
  const { site, area, entry, certificate } = context;
  if (certificate!.concepts.length > 0 || kindOf(context).transit !== null) return null;
  const where = classified(site, area);
  if (where.is === 'unclassified') return null;
  const open = areaOpen(where, area.name);
  if (open || where.is !== 'classified') return open;
  if (where.hazards.every(({ dust }) => isIntrinsicBox(context, dust))) {
    return notApplicable('e06.none-asked', { concept: context.enclosure.concepts.join(', ') });
  }
  const facts = { certificate: certificate!.number, area: area.name, ...where.named };
  // A certified kind has a protection that nobody copied; any other kind has none to copy.
  return kindOf({ entry }).certified
    ? unread('e01.no-concept', facts, 'settle.certificate')
    : fails('e01.industrial', facts);
}
