import { foldConcept, isOwnConcept, speaksOf } from '../hazard/concept';
import type { Enclosure, Entry } from '../record/types';

interface Of {
  enclosure: Enclosure;
  entry: Pick<Entry, 'compartment'>;
}

/** Marks of an enclosure that a device at this entry has to suit. */
export type ConceptsHere =
  /** All of one kind of protection. */
  | { is: 'known'; concepts: readonly string[] }
  /** Nothing is marked for this hazard. */
  | { is: 'none' }
  /** Several kinds of protection, and nobody looked which compartment the entry opens into. */
  | { is: 'open'; concepts: readonly string[] };

/** What is marked against gas or against dust at this entry, by the compartment that it opens into. */
export function conceptsHere({ enclosure, entry }: Of, dust: boolean): ConceptsHere {
  const marked = enclosure.concepts.filter((concept) => isOwnConcept(concept) && speaksOf(concept, dust));
  if (marked.length === 0) return { is: 'none' };
  const letters = new Set(marked.map(foldConcept));
  const opens = entry.compartment?.concept;
  const into = opens === undefined ? null : foldConcept(opens);
  // A compartment that the marking does not name contradicts it.
  const strange = opens !== undefined && speaksOf(opens, dust) && !letters.has(foldConcept(opens));
  if (letters.size === 1 && !strange) return { is: 'known', concepts: marked };
  const concepts = marked.filter((concept) => foldConcept(concept) === into);
  return concepts.length > 0 ? { is: 'known', concepts } : { is: 'open', concepts: marked };
}

/** Whether the joint at this entry is a flameproof one; what is not known counts as one. */
export function isFlameproof(of: Of): boolean {
  const here = conceptsHere(of, false);
  return here.is !== 'none' && here.concepts.some((concept) => foldConcept(concept) === 'd');
}

/** Whether the enclosure is dust-ignition-proof. */
export const isDustProof = ({ enclosure }: Of): boolean =>
  enclosure.concepts.some((concept) => foldConcept(concept) === 't');

/** Free volume behind this entry, cm³; null: the compartment's is not recorded. */
export const volumeHere = ({ enclosure, entry }: Of): number | null =>
  entry.compartment ? entry.compartment.volumeCm3 : enclosure.volumeCm3;

/** Whether the box holds nothing but intrinsically safe circuits, and asks for no marked gland against gas. */
export function isIntrinsicBox(of: Of, dust: boolean): boolean {
  if (dust || of.enclosure.onlyIntrinsic !== true) return false;
  const here = conceptsHere(of, dust);
  return here.is === 'known' && here.concepts.every((concept) => foldConcept(concept) === 'i');
}
