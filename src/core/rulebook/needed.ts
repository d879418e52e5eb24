import type { Grade } from '../record/types';
import type { Dossier } from './dossier';
import { judge } from './judge';
import { ruleOf } from './rules';

/** What has to be read and looked at again so that a check can be answered anew. */
export interface Needed {
  places: readonly string[];
  looks: readonly string[];
}

/**
 * What a check rested on: each answer of the round in which it failed without which it would have been told otherwise.
 * Where it rested on the records alone, nothing.
 *
 * @param dossier the entry in the round in which the check failed
 * @param at time of judging, ISO 8601
 */
export function neededFor(dossier: Dossier, check: string, at: string): Needed {
  const grade: Grade = ruleOf(check)?.grade ?? 'detailed';
  const told = (of: Dossier) =>
    JSON.stringify(judge(of, grade, at).find((one) => one.check === check) ?? null);
  const whole = told(dossier);
  const { looks, groups, readings } = dossier;
  return {
    places: [...groups.keys()].filter((place) => {
      const without = readings.filter((reading) => reading.place !== place);
      return told({ ...dossier, readings: without, groups: lacking(groups, place) }) !== whole;
    }),
    looks: [...looks.keys()].filter((look) => told({ ...dossier, looks: lacking(looks, look) }) !== whole),
  };
}

function lacking<V>(all: ReadonlyMap<string, V>, key: string): Map<string, V> {
  const rest = new Map(all);
  rest.delete(key);
  return rest;
}
