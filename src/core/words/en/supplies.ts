import type { Supply } from '../../finder/supply';
import { kindTitle } from './kinds/kinds';

/** What something to be ordered or fetched is called. */
export function supplyTitle(supply: Supply): string {
  switch (supply.is) {
    case 'gland':
      return `${supply.certificate} ${kindTitle(supply.kind)}, ${supply.size} (${supply.thread})`;
    case 'ring':
      return `clamping ring ${supply.face} for ${supply.certificate}, ${supply.size}`;
    case 'adaptor':
      return `${supply.what} ${supply.male} to ${supply.female}`;
    case 'locknut':
      return `locknut ${supply.thread}`;
    case 'washer':
      return `sealing washer ${supply.thread}`;
    case 'earth-tag':
      return `earth tag ${supply.thread}`;
    case 'shroud':
      return `${supply.what} for ${supply.size}`;
    case 'compound':
      return `${supply.name}, pack of ${supply.packMl} ml`;
    case 'outer-seal':
      return `outer seal of ${supply.size}`;
    case 'inner-seal':
      return `inner seal of ${supply.size}`;
    case 'block-pair':
      return `block pair of ${supply.sizeMm} mm`;
    case 'stay-plate':
      return 'stay plate';
    case 'compression-unit':
      return 'compression unit';
    case 'sealant':
      return `${supply.name}, cartridge of ${supply.cartridgeMl} ml`;
    case 'sleeve':
      return `split sleeve of ${supply.outerMm} mm`;
  }
}

/** A list of supplies by their names, in the order of the names. */
export const supplyList = (
  lines: readonly { part: Supply; count: number }[],
): { part: string; count: number }[] =>
  lines
    .map(({ part, count }) => ({ part: supplyTitle(part), count }))
    .sort((a, b) => a.part.localeCompare(b.part, 'en', { numeric: true }));
