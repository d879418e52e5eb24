import type { Peeling } from '../../transit/peel';
import { figure } from './format';

/** Layers out of each half, and the gap that is left. */
export const peelWords = (peeling: Pick<Peeling, 'layers' | 'gapMm'> | null): string =>
  peeling ? `${peeling.layers.join(' + ')}, gap ${figure(peeling.gapMm, 1)} mm` : 'measure it first';
