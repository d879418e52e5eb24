import type { DossierFields } from '../commands/commands';

/** Room for one enclosure with its entries on a plan that nobody has drawn, m. Chosen: tags stand beside each other. */
const ROOM_M = { width: 7, height: 4.5 };
/** Room for the name of an area above its enclosures, m. Chosen: two lines of words. */
const NAME_M = 3;
/** Least width and depth of an area that nobody has drawn, m. Chosen: its name has room. */
const LEAST_M = { width: 16, height: 12 };
/** How much wider than deep an area is drawn. Chosen: as screens are. */
const SHAPE = 1.4;
/** Between areas, m. Chosen: their outlines stay apart when the plan is small. */
const GAP_M = 4;
/** Width of a plan that nobody has drawn, m. Chosen: some areas side by side. */
const PLAN_M = 100;

type Outline = DossierFields['area']['outlineM'];

/** How large an area is drawn so that its enclosures have room, m. */
export function areaSize(enclosures: number): Pick<Outline, 'width' | 'height'> {
  const across = Math.max(1, Math.ceil(Math.sqrt(enclosures * (ROOM_M.height / ROOM_M.width) * SHAPE)));
  const along = Math.ceil(enclosures / across);
  return {
    width: Math.max(LEAST_M.width, across * ROOM_M.width),
    height: Math.max(LEAST_M.height, NAME_M + along * ROOM_M.height),
  };
}

/** Places for areas that nobody has drawn: in rows, under all that are drawn. */
export function areasBelow(
  drawn: readonly Outline[],
  sizes: readonly Pick<Outline, 'width' | 'height'>[],
): Outline[] {
  let y = drawn.reduce((lowest, one) => Math.max(lowest, one.y + one.height + GAP_M), 0);
  let [x, deep] = [0, 0];
  return sizes.map((size) => {
    if (x > 0 && x + size.width > PLAN_M) [x, y, deep] = [0, y + deep + GAP_M, 0];
    const place = { x, y, ...size };
    x += size.width + GAP_M;
    deep = Math.max(deep, size.height);
    return place;
  });
}

/**
 * Where in an area an enclosure is drawn that nobody has placed: in rows, one after the other.
 *
 * @param index which of the area's enclosures it is
 * @param of how many there are
 */
export function placeIn(
  { x, y, width, height }: Outline,
  index: number,
  of: number,
): { x: number; y: number } {
  const deep = Math.max(height - NAME_M, height / 2);
  const roomy = Math.max(1, Math.floor(width / ROOM_M.width));
  // Where they have not room enough, they share what there is.
  const crowded = roomy * Math.max(1, Math.floor(deep / ROOM_M.height)) < of;
  const across = crowded ? Math.max(1, Math.ceil(Math.sqrt((of * width) / deep))) : Math.min(roomy, of);
  const along = Math.ceil(of / across);
  return {
    x: x + (((index % across) + 0.5) * width) / across,
    y: y + height - deep + ((Math.floor(index / across) + 0.5) * deep) / along,
  };
}
