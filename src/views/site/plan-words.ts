import type { Area } from '../../core/record/types';

/** Width of a letter over its height, about. */
const LETTER = 0.56;

/** A text that stays inside a width, both in units of its letters' height. */
export function cut(text: string, width: number, size: number): string {
  const most = Math.floor((width - 1) / (size * LETTER));
  return text.length <= most ? text : `${text.slice(0, Math.max(most - 1, 1))}…`;
}

/** "zone 1, IIB T4, level 6 m". */
export function zoneWords({ zone, group, temperatureClass, levelM }: Area): string {
  const what =
    zone === null
      ? 'zone not recorded'
      : zone === 'unclassified'
        ? 'unclassified'
        : `zone ${zone}, ${group ?? 'group not recorded'}${temperatureClass ? ` ${temperatureClass}` : ''}`;
  return levelM === 0 ? what : `${what}, level ${levelM} m`;
}
