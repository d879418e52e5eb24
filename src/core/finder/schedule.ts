import { compoundFill } from '../gland/compound';
import { KINDS } from '../kinds/kinds';
import type { Cable, Certificate, Id } from '../record/types';
import type { Slice } from '../record/slice';
import { currentRound, dossierOf, type Dossier } from '../rulebook/dossier';
import { CandidateJudge, type Candidate } from './candidate';
import { needOf, type Need } from './need';
import { bestGland } from './rank';
import type { Supply } from './supply';

/** An entry by its enclosure's tag and its own label. */
export interface EntryName {
  tag: string;
  label: string;
}

/** One end of a cable: what it needs, where it goes, and what it has now. */
export interface End {
  need: Need;
  /** Null for a cable that goes nowhere yet. */
  where: EntryName | null;
  fitted: string | null;
}

/** One end of a cable and the gland that is proposed for it. */
export interface Proposal {
  cable: Id;
  tag: string;
  /** Entry the end goes to; null for a cable without one. */
  entry: Id | null;
  where: EntryName | null;
  /** Null when no size on file fits. */
  best: Candidate | null;
  /** Gland that the entry has now, as "certificate, size"; null without. */
  fitted: string | null;
}

/** One line of the parts list. */
export interface PartLine {
  part: Supply;
  count: number;
}

/** Needs of every cable of a site: one per entry that it goes to, one for a cable that goes nowhere yet. */
export function needsOf(
  slice: Slice,
  site: Id,
): { need: Need; where: EntryName | null; fitted: string | null }[] {
  const stand = standIn(slice, site);
  return slice.by('cable', 'site', site).flatMap((cable): End[] => {
    // A mineral-insulated cable ends in a pot of its own system, not in a gland for soft sheaths.
    if (cable.mineral) return [];
    const entries = slice.by('entry', 'cable', cable.id);
    if (entries.length === 0)
      return stand ? [{ need: needOf(stand, cable, false, false), where: null, fitted: null }] : [];
    return entries.flatMap((entry) => {
      const dossier = dossierOf(slice, entry.id, currentRound(slice, entry.id, site));
      if (!dossier) return [];
      const { certificate } = dossier;
      const fitted = certificate && entry.size ? `${certificate.number}, ${entry.size}` : null;
      return [
        {
          need: needOf(dossier, cable, true),
          where: { tag: dossier.enclosure.tag, label: entry.label },
          fitted,
        },
      ];
    });
  });
}

/** Any place of the site, for cables that have none: nothing of it is asked. */
function standIn(slice: Slice, site: Id): Dossier | null {
  for (const { id } of slice.by('entry', 'site', site)) {
    const dossier = dossierOf(slice, id, null);
    if (dossier) return dossier;
  }
  return null;
}

/**
 * The proposal for one need.
 *
 * @param at time of judging, ISO 8601
 */
export function propose(
  { need, where, fitted }: End,
  certificates: readonly Certificate[],
  at: string,
): Proposal {
  const { cable, placed, dossier } = need;
  const best = sameAsFitted(need, bestGland(need, certificates, at), at);
  return { cable: cable.id, tag: cable.tag, entry: placed ? dossier.entry.id : null, where, best, fitted };
}

/** The gland that the entry has, where it is as good as the best: nobody changes it for a tie. */
function sameAsFitted({ dossier, ...need }: Need, best: Candidate | null, at: string): Candidate | null {
  const { certificate, size } = dossier;
  if (!best || !certificate || !size) return best;
  const fitted = new CandidateJudge({ dossier, ...need }, at).judge(certificate, size);
  const alike =
    fitted.verdict === best.verdict &&
    fitted.barrier === best.barrier &&
    fitted.connection.how === best.connection.how &&
    Math.abs(fitted.centrality - best.centrality) < 1e-9;
  return alike ? fitted : best;
}

/** Everything that has to be ordered for the proposals, counted. */
export function partsList(proposals: readonly { cable: Cable; best: Candidate | null }[]): PartLine[] {
  const lines = new Map<string, PartLine>();
  for (const { cable, best } of proposals) {
    for (const [part, count] of best ? partsOf(cable, best) : []) {
      const key = JSON.stringify(part);
      lines.set(key, { part, count: count + (lines.get(key)?.count ?? 0) });
    }
  }
  return [...lines.values()];
}

/** Parts that one made-off entry needs, each with its number. */
export function partsOf(
  cable: Cable,
  { certificate, size, connection, washer, ringFace }: Candidate,
): [part: Supply, count: number][] {
  const { sheet, number } = certificate;
  const { thread } = size;
  const kind = KINDS[certificate.kind];
  const parts: [Supply, number][] = [
    [{ is: 'gland', certificate: number, kind: kind.id, size: size.size, thread }, 1],
  ];
  const add = (part: Supply, count = 1) => parts.push([part, count]);
  if (kind.ring === 'dedicated' && ringFace)
    add({ is: 'ring', face: ringFace, certificate: number, size: size.size });
  const { adaptor, how } = connection;
  if (adaptor) add({ is: 'adaptor', what: adaptor.what, male: adaptor.male, female: adaptor.female });
  if (how === 'locknut') add({ is: 'locknut', thread });
  if (washer.length > 0) add({ is: 'washer', thread });
  if (sheet.shroud && sheet.shroud !== 'none') add({ is: 'shroud', what: sheet.shroud, size: size.size });
  if (kind.armour === 'cone') add({ is: 'earth-tag', thread });
  const packs = packsOf(cable, certificate, size);
  if (packs > 0) add({ is: 'compound', name: sheet.compound!.name, packMl: sheet.compound!.packMl }, packs);
  return parts;
}

/** Packs of compound or resin that a size needs for a cable; 0 without a pot, or where the cores overfill it. */
export function packsOf(cable: Cable, { sheet }: Certificate, { pot }: Candidate['size']): number {
  if (!pot || !sheet.compound) return 0;
  const taken = cable.cores.reduce((sum, { count, diameterMm }) => sum + count * diameterMm ** 2, 0);
  if (taken >= pot.boreMm ** 2) return 0;
  return compoundFill(pot.boreMm, pot.depthMm, cable.cores, sheet.compound.wastePct, sheet.compound.packMl)
    .packs;
}
