import type { BarrierFacts } from '../gland/barrier';
import type { Dossier } from './dossier';

/** What the path asks that the records do not answer yet. */
export type BarrierGap = 'cable' | 'filling' | 'ignition' | 'indirect' | 'demands' | 'group';

/**
 * Facts of the barrier path for an entry, each asked only where the answers before it leave it open: a fact
 * that cannot change the outcome is not missed.
 */
export function barrierFactsOf(dossier: Dossier): { facts: BarrierFacts } | { missing: BarrierGap[] } {
  const { site, area, enclosure, cable } = dossier;
  const { demandsBarrier, indirectEntry, ignitionSource } = enclosure;
  const group = gasGroup(dossier);
  const modern = site.barrierSchool === '2013';
  const asks: [gap: BarrierGap, unknown: boolean][] = [['demands', demandsBarrier === null]];
  if (demandsBarrier === false) {
    if (modern) asks.push(['indirect', indirectEntry === null]);
    if (!modern || indirectEntry === false) {
      asks.push(['cable', cable === null], ['filling', cable?.filling === null && !cable.breathing?.passed]);
    }
    if (!modern && cable?.filling === 'filled') {
      asks.push(['ignition', ignitionSource === null]);
      if (ignitionSource) asks.push(['group', group === null]);
    }
  }
  const missing = asks.flatMap(([gap, unknown]) => (unknown ? gap : []));
  if (missing.length > 0) return { missing };
  return {
    facts: {
      certificateDemandsBarrier: demandsBarrier === true,
      mineralInsulated: Boolean(cable?.mineral),
      sealingDevice: false,
      classA: cable?.filling === 'filled',
      breathingTestPassed: cable?.breathing?.passed ?? false,
      indirectEntry: indirectEntry === true,
      lengthM: cable?.lengthM ?? 0,
      ignitionSource: ignitionSource === true,
      group: group ?? 'IIC',
      zone: area.zone === '2' || area.zone === '22' ? 2 : 1,
      volumeDm3: enclosure.volumeCm3 / 1000,
    },
  };
}

/** Gas group of the path; hydrogen alone belongs to the strictest. */
function gasGroup({ area }: Dossier): BarrierFacts['group'] | null {
  const { group } = area;
  if (group === 'hydrogen') return 'IIC';
  return group === 'IIA' || group === 'IIB' || group === 'IIC' ? group : null;
}
