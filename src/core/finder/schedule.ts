import { compoundFill } from '../gland/compound';
import { KINDS } from '../kinds/kinds';
import type { Cable, Certificate, Id } from '../record/types';
import type { Slice } from '../record/slice';
import { currentRound, dossierOf, type Dossier } from '../rulebook/dossier';
import { CandidateJudge, type Candidate } from './candidate';
import { needOf, type Need } from './need';
import { bestGland } from './rank';

/** One end of a cable and the gland that is proposed for it. */
export interface Proposal {
  cable: Id;
  tag: string;
  /** Entry the end goes to; null for a cable without one. */
  entry: Id | null;
  where: string;
  /** Null when no size on file fits. */
  best: Candidate | null;
  /** Gland that the entry has now, as "certificate, size"; null without. */
  fitted: string | null;
}

/** One line of the parts list. */
export interface PartLine {
  part: string;
  count: number;
}

/** Needs of every cable of a site: one per entry that it goes to, one for a cable that goes nowhere yet. */
export function needsOf(slice: Slice, site: Id): { need: Need; where: string; fitted: string | null }[] {
  const stand = standIn(slice, site);
  return slice.by('cable', 'site', site).flatMap((cable) => {
    // A mineral-insulated cable ends in a pot of its own system, not in a gland for soft sheaths.
    if (cable.mineral) return [];
    const entries = slice.by('entry', 'cable', cable.id);
    if (entries.length === 0)
      return stand ? [{ need: needOf(stand, cable, false, false), where: 'no entry yet', fitted: null }] : [];
    return entries.flatMap((entry) => {
      const dossier = dossierOf(slice, entry.id, currentRound(slice, entry.id, site));
      if (!dossier) return [];
      const { certificate } = dossier;
      const fitted = certificate && entry.size ? `${certificate.number}, ${entry.size}` : null;
      return [
        {
          need: needOf(dossier, cable, true),
          where: `${dossier.enclosure.tag}, entry ${entry.label}`,
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
  { need, where, fitted }: { need: Need; where: string; fitted: string | null },
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

/** Everything that has to be ordered for the proposals, counted, in the order of its name. */
export function partsList(proposals: readonly { cable: Cable; best: Candidate | null }[]): PartLine[] {
  const counts = new Map<string, number>();
  const add = (part: string, n = 1) => counts.set(part, (counts.get(part) ?? 0) + n);
  for (const { cable, best } of proposals) {
    if (best) for (const [part, n] of partsOf(cable, best)) add(part, n);
  }
  return [...counts]
    .map(([part, count]) => ({ part, count }))
    .sort((a, b) => a.part.localeCompare(b.part, 'en', { numeric: true }));
}

/** Parts that one made-off entry needs, each with its number. */
export function partsOf(
  cable: Cable,
  { certificate, size, connection, washer, ringFace }: Candidate,
): [part: string, count: number][] {
  const { sheet } = certificate;
  const kind = KINDS[certificate.kind];
  const parts: [string, number][] = [
    [`${certificate.number} ${kind.title}, ${size.size} (${size.thread})`, 1],
  ];
  if (kind.ring === 'dedicated' && ringFace)
    parts.push([`clamping ring ${ringFace} for ${certificate.number}, ${size.size}`, 1]);
  const { adaptor, how } = connection;
  if (adaptor) parts.push([`${adaptor.what} ${adaptor.male} to ${adaptor.female}`, 1]);
  if (how === 'locknut') parts.push([`locknut ${size.thread}`, 1]);
  if (washer.length > 0) parts.push([`sealing washer ${size.thread}`, 1]);
  if (sheet.shroud && sheet.shroud !== 'none') parts.push([`${sheet.shroud} for ${size.size}`, 1]);
  if (kind.armour === 'cone') parts.push([`earth tag ${size.thread}`, 1]);
  const packs = packsOf(cable, certificate, size);
  if (packs > 0) parts.push([`${sheet.compound!.name}, pack of ${sheet.compound!.packMl} ml`, packs]);
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
