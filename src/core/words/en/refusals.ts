import type { Refusal, RefusalFacts, RefusalKey } from '../../commands/commands';
import type { Users } from '../../record/references';
import type { TableName } from '../../record/types';
import { countedAll, nounOf } from './tables';
import { titleIn } from './kinds/titles';

/** A sentence, or how it is made of its facts and of what stands behind it. */
type Wording = string | ((facts: RefusalFacts, because: string) => string);

/** Why something was refused, and what to do about it. */
const REFUSALS: Record<RefusalKey, Wording> = {
  'cable.ends-sealed':
    'The inspections of this cable’s ends are sealed. Start a new round to trace it again.',
  'cable.not-mineral': 'This cable is not recorded as mineral insulated. Complete its record first.',
  'cable.twice': 'A cable lies in two blocks. Take it out of one of them.',
  'change.undone': 'This change is undone already.',
  'check.not-failed': 'This check does not fail in the records. Record it as an observation instead.',
  'command.exists': 'Another command has this id. Make a new id.',
  'defect.open': 'This check has an open defect on this entry. Add to that one.',
  'defect.owner': 'Name an owner to assign the defect.',
  'defect.proof':
    'A defect is proven by a re-inspection: judge the same check again in a new round until it conforms.',
  'defect.step': ({ state, allowed }) => `A defect that is ${state} can become ${allowed}.`,
  'entry.homeless': 'The entry’s enclosure or area is missing. Restore it first.',
  'entry.no-pot': 'This kind of entry has no pot. Record it on the entry that has one.',
  'entry.no-transit': 'This entry is no transit. Choose one that has a frame.',
  'entry.other-cable': 'This entry holds another cable. Test the cable that is in it.',
  'entry.sealed': 'The inspection of this entry is sealed. Start a new round to record more.',
  'inspection.sealed': 'This inspection is sealed. Start a new round to record more.',
  'instrument.no-tester': ({ tag }) => `${tag} is no insulation tester. Choose another instrument.`,
  'instrument.past': ({ tag }) => `${tag} is past its calibration date and may not send.`,
  'instrument.tester-past': ({ tag }) => `${tag} is past its calibration date. Choose another tester.`,
  'instrument.twin': ({ tag }) =>
    `The site has another instrument called ${tag}. Give one of them another tag.`,
  'look.answers': ({ known }) => `The answers to this question are: ${known}.`,
  'look.by-itself': (f) => `${titleIn(f)} is answered by itself: there is more than one way to be right.`,
  'look.none': 'This kind of entry has no such question.',
  'opening.once': ({ labels }) =>
    `Each opening of the frame is packed once. It has: ${labels || 'none; record the frame first'}.`,
  'packing.id': 'A packing has the id of its entry.',
  'pair.none': ({ pairs }) => `This cable has no such pair. Its pairs are: ${pairs}.`,
  'person.none': 'Say who you are first.',
  'person.other': ({ person }) =>
    `This was recorded by somebody else. It is sent when they sign in again; ${person} is signed in now.`,
  'photo.bytes': 'The bytes of this photo have not arrived. Send the photo first.',
  'photo.room': 'This device has no room for the photo. Make room, then add it again.',
  'place.above-zero': (f) => `${titleIn(f)} is above 0. Read it again.`,
  'place.instrument': (f) => `${titleIn(f)} is measured with: ${f.instruments}.`,
  'place.none': 'This kind of entry has no such place to measure.',
  'pour.looked-before': 'Looked at before it was packed: correct one of the times.',
  'pour.packed-before': 'Packed before it was mixed: correct one of the times.',
  'program.opening': 'The program is still being opened. Press again in a moment.',
  'reading.struck': 'This reading is struck out already.',
  'record.exists': ({ table }) =>
    `A ${nounOf(table as TableName)} with this id exists already. Make a new id.`,
  'record.none': ({ table }) =>
    `There is no ${nounOf(table as TableName)} with this id on this site. Choose another ${nounOf(table as TableName)}.`,
  'record.other-site': 'This id belongs to another site. Make a new id.',
  'record.used': ({ table, users }) =>
    `This ${nounOf(table as TableName)} is used by ${countedAll(users as readonly Users[])}. Remove or change them first.`,
  'register.none': 'The register has no such instrument. Reload the register.',
  'round.closed': 'That round is closed. Start a new round.',
  'round.not-in': 'This entry does not belong to that round. Add it to the round first.',
  'seal.stays': 'A seal is not undone. Correct it with a new round.',
  'severity.reason': 'Say why the level is changed; the reason is kept.',
  'site.choose': 'Choose a site first.',
  'site.none': 'This site does not exist. Reload the list of sites.',
  'site.own-id': 'A new site is added under its own id.',
  'site.references': 'A new site starts with a shipped set of references.',
  'site.twin': ({ name }) => `Another site is called ${name}. Give this one a name of its own.`,
  'sleeve.none': ({ names }) => `This cable has no such sleeve. It has: ${names}.`,
  'sleeve.twice': 'A sleeve is named twice. Trace that conductor again.',
  'step.none': 'This kind of entry has no such step.',
  'test.sealed': 'A seal rests on this test. Begin a new test of the cable.',
  'undo.gone': (_, because) => `This cannot be undone any more. ${because}`,
  'undo.inspection-sealed': 'The inspection is sealed; correct it with a new round.',
  'undo.later': ({ table }) =>
    `A later change of this ${nounOf(table as TableName)} depends on it. Undo that one first.`,
  'undo.sealed': 'A seal rests on this; correct it with a new round.',
  'undo.used': ({ table, users }) =>
    `This ${nounOf(table as TableName)} is used by ${countedAll(users as readonly Users[])}. Undo those first.`,
  'work.running': 'Work on this entry is going on already. Go on with it, or seal it first.',
  'work.sealed': 'This work is sealed. Start an opening of the entry.',
  'name.area': ({ name, substances }) =>
    `There is an area "${name}" already${substances ? `, for ${substances}` : ''}. Choose another name, or change that one.`,
  'name.enclosure': ({ tag, what, area }) =>
    `There is an enclosure "${tag}" already: ${what}, in ${area ?? 'another area'}. Choose another tag, or change that one.`,
  'name.entry': ({ tag, label }) =>
    `${tag ?? 'This enclosure'} has an entry "${label}" already. Choose another label, or change that one.`,
};

/** A refusal in words. */
export function refusalSentence({ key, facts, because }: Pick<Refusal, 'key' | 'facts' | 'because'>): string {
  const wording = REFUSALS[key];
  return typeof wording === 'string' ? wording : wording(facts, because ? refusalSentence(because) : '');
}
