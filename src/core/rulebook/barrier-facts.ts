import type { BarrierFacts } from '../gland/barrier';
import type { AreaGroup } from '../hazard/group';
import { classified } from './classified';
import { volumeHere } from '../kinds/compartment';
import { breathingOf } from './breathing-record';
import type { Dossier } from './dossier';

/** What the path asks that the records do not answer yet. */
export type BarrierGap =
  | 'cable'
  | 'filling'
  | 'shape'
  | 'ignition'
  | 'indirect'
  | 'demands'
  | 'gland-demands'
  | 'group'
  | 'breathing'
  | 'volume';

/** Length that the rule compares with, m: an unknown length is not shorter. Chosen: what is not known decides for the barrier. */
const UNKNOWN_LENGTH_M = 0;

/**
 * Facts of the barrier path for an entry, each asked only where the answers before it leave it open: a fact
 * that cannot change the outcome is not missed.
 */
export function barrierFactsOf(dossier: Dossier): { facts: BarrierFacts } | { missing: BarrierGap[] } {
  const { site, area, enclosure, entry, cable, certificate } = dossier;
  const { indirectEntry, ignitionSource } = enclosure;
  const where = classified(site, area);
  const gas = where.is === 'classified' ? where.hazards.find(({ dust }) => !dust) : undefined;
  const group = gasGroup(gas?.group ?? null);
  const breathing = cable ? breathingOf(cable) : 'none';
  const volumeCm3 = volumeHere(dossier);
  const missing = gapsOf(dossier, group, breathing, volumeCm3);
  if (missing.length > 0) return { missing };
  return {
    facts: {
      certificateDemandsBarrier: enclosure.demandsBarrier === true || certificate?.demandsBarrier === true,
      mineralInsulated: Boolean(cable?.mineral),
      // What nobody recorded is no sealing device.
      sealingDevice: entry.sealingDevice === true,
      classA: cable?.filling === 'filled' && cable.shape === 'round',
      breathingTestPassed: breathing === 'passed',
      indirectEntry: indirectEntry === true,
      lengthM: cable?.lengthM ?? UNKNOWN_LENGTH_M,
      ignitionSource: ignitionSource === true,
      group: group ?? 'IIC',
      zone: gas?.named.inZone === '2' ? 2 : 1,
      volumeDm3: (volumeCm3 ?? Infinity) / 1000,
    },
  };
}

function gapsOf(
  { site, enclosure, entry, cable, certificate }: Dossier,
  group: BarrierFacts['group'] | null,
  breathing: ReturnType<typeof breathingOf>,
  volumeCm3: number | null,
): BarrierGap[] {
  const { demandsBarrier, indirectEntry, ignitionSource } = enclosure;
  const byGland = certificate ? certificate.demandsBarrier : false;
  if (demandsBarrier === true || byGland === true) return [];
  const gaps: BarrierGap[] = [];
  if (demandsBarrier === null) gaps.push('demands');
  if (byGland === null) gaps.push('gland-demands');
  if (cable?.mineral || entry.sealingDevice === true) return gaps;
  const modern = site.barrierSchool === '2013';
  if (modern && indirectEntry === null) gaps.push('indirect');
  if (!modern || indirectEntry === false) {
    if (cable === null) gaps.push('cable');
    else if (breathing === 'contradictory') gaps.push('breathing');
    else if (cable.filling === null && breathing !== 'passed') gaps.push('filling');
    else if (cable.filling === 'filled' && cable.shape === null && breathing !== 'passed') gaps.push('shape');
  }
  if (!modern && cable?.filling === 'filled') {
    if (ignitionSource === null) gaps.push('ignition');
    if (ignitionSource && group === null) gaps.push('group');
    if (ignitionSource && volumeCm3 === null) gaps.push('volume');
  }
  return gaps;
}

/** Gas group of the path; hydrogen alone belongs to the strictest. */
function gasGroup(group: AreaGroup | null): BarrierFacts['group'] | null {
  if (group === 'hydrogen') return 'IIC';
  return group === 'IIA' || group === 'IIB' || group === 'IIC' ? group : null;
}
