import { canonicalHash } from './seal';
import type { Cable, Entry } from './types';

/**
 * What a closed entry is made of, as one hash: an as-left record speaks only for the gland, the ring, the
 * thread and the cable that it was made of.
 */
export function fingerprintOf(entry: Entry, cable: Cable | null): string {
  const { enclosure, kind, hole, certificate, size, ringFace, washerMm, adaptors } = entry;
  const made = cable && {
    id: cable.id,
    cores: cable.cores,
    shape: cable.shape,
    innerMm: cable.innerMm,
    outerMm: cable.outerMm,
    sheathMm: cable.sheathMm,
    armour: cable.armour,
  };
  return canonicalHash({ enclosure, kind, hole, certificate, size, ringFace, washerMm, adaptors, made });
}
