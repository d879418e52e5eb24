import { conceptSuits } from '../hazard/concept';
import { listedForDivision, type ListedDivision } from '../hazard/division';
import type { AreaHazard } from './classified';
import { conceptsHere } from '../kinds/compartment';
import type { Keyed } from './check';
import type { Context } from './dossier';
import type { Facts } from '../record/finding';

/** A device that stands in an enclosure's wall: gland, adaptor, plug or transit. */
export interface Device {
  concepts: readonly string[];
  divisions: readonly ListedDivision[];
  /** Whether it counts as a sealing gland for nR; null: not recorded. */
  sealing: boolean | null;
}

/** What the enclosure's protection says to a device: the last part of a key, with its facts. */
export interface Suits {
  outcome: 'conforms' | 'fails' | 'unread' | 'not-applicable';
  is:
    | 'suits'
    | 'not-suited'
    | 'none-asked'
    | 'circuits-unknown'
    | 'sealing-unknown'
    | 'enclosure-certificate'
    | 'compartment'
    | 'enclosure-unmarked'
    | 'listed'
    | 'not-listed'
    | 'no-listing-asked';
  facts: Facts;
}

/** What a check says of it, under the first part of its own keys. */
export type SaysOfSuits<First extends string> = Keyed<First, Suits['is']>;

/** Whether a device's protection suits the enclosure, against one hazard of the area. */
export function suitsEnclosure(context: Context, device: Device, hazard: AreaHazard): Suits[] {
  if (hazard.division) return [byListing(context, device, hazard)];
  const { enclosure } = context;
  const here = conceptsHere(context, hazard.dust);
  const facts = { enclosure: enclosure.tag, against: hazard.dust ? 'dust' : 'gas' };
  if (here.is === 'none') return [{ outcome: 'unread', is: 'enclosure-unmarked', facts }];
  if (here.is === 'open') {
    return [
      { outcome: 'unread', is: 'compartment', facts: { ...facts, concepts: here.concepts.join(', ') } },
    ];
  }
  return here.concepts.map((concept) => byTable(context, device, concept, hazard.dust));
}

function byTable({ enclosure }: Context, device: Device, concept: string, dust: boolean): Suits {
  const has = device.concepts.join(', ');
  const tag = enclosure.tag;
  const answer = conceptSuits(concept, device.concepts, dust, device.sealing === true);
  if (answer.suits === true)
    return { outcome: 'conforms', is: 'suits', facts: { concept, has, enclosure: tag, by: answer.concept } };
  const facts = { concept, has, enclosure: tag };
  if (device.sealing === null && conceptSuits(concept, device.concepts, dust, true).suits === true)
    return { outcome: 'unread', is: 'sealing-unknown', facts };
  if (answer.suits === 'none-asked') {
    if (enclosure.onlyIntrinsic === true) return { outcome: 'not-applicable', is: 'none-asked', facts };
    return { outcome: 'unread', is: 'circuits-unknown', facts };
  }
  if (answer.suits === 'enclosure-certificate')
    return { outcome: 'unread', is: 'enclosure-certificate', facts };
  return { outcome: 'fails', is: 'not-suited', facts: { ...facts, allowed: answer.allowed.join(', ') } };
}

/** On a division site an explosionproof or dust-ignitionproof enclosure asks for an entry that is listed for the place. */
function byListing(
  { enclosure }: Context,
  { divisions }: Device,
  { division, dust, named }: AreaHazard,
): Suits {
  const facts = { enclosure: enclosure.tag, ...named };
  const here = enclosure.concepts.map((concept) => concept[0]);
  if (here.length === 0)
    return {
      outcome: 'unread',
      is: 'enclosure-unmarked',
      facts: { ...facts, against: dust ? 'dust' : 'gas' },
    };
  if (!here.includes(dust ? 't' : 'd')) return { outcome: 'conforms', is: 'no-listing-asked', facts };
  const listed = divisions.some(
    (one) => listedForDivision(one, division!) && one.groups.includes(division!.group),
  );
  return listed
    ? { outcome: 'conforms', is: 'listed', facts }
    : { outcome: 'fails', is: 'not-listed', facts };
}
