import type { Counted } from '../finder/supply';
import { kindOf, type Dossier } from '../rulebook/dossier';
import { pickList } from '../rulebook/transit-planned';
import { placedIn, sealantFor } from '../rulebook/transit-sealed';

/** What a frame takes: blocks by size, plates and compression units, or sleeves and sealant; none before it is planned. */
export function partsOfFrame(dossier: Dossier): Counted[] {
  const parts = kindOf(dossier).transit === 'sealant' ? sealedParts(dossier) : blockParts(dossier);
  return parts.filter(([, count]) => count > 0);
}

function blockParts({ transit }: Dossier): Counted[] {
  const { blocks, plates, wedges } = pickList((transit?.openings ?? []).map(({ packed }) => packed));
  return [
    ...blocks.map(({ sizeMm, withCable, spare }): Counted => [
      { is: 'block-pair', sizeMm },
      withCable + spare,
    ]),
    [{ is: 'stay-plate' }, plates],
    [{ is: 'compression-unit' }, wedges],
  ];
}

function sealedParts({ transit, entry, certificate }: Dossier): Counted[] {
  const sealant = certificate?.sheet.transit?.sealant;
  if (!sealant) return [];
  const needs = (transit?.openings ?? []).map(({ frame, packed }) =>
    sealantFor(entry.frame!, frame, placedIn(packed, transit!.cables), sealant),
  );
  const sum = (of: (need: (typeof needs)[number]) => number) =>
    needs.reduce((all, need) => all + of(need), 0);
  const sleeves = sum(
    ({ wrapSleevesPerSide, fillerSleevesPerSide }) => wrapSleevesPerSide + fillerSleevesPerSide,
  );
  const { name, cartridgeMl, sleeve } = sealant;
  return [
    [{ is: 'sleeve', outerMm: sleeve.outerMm }, sleeves * (entry.frame?.sides ?? 1)],
    [{ is: 'sealant', name, cartridgeMl }, sum(({ cartridges }) => cartridges)],
  ];
}
