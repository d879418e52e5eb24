import type { PackJob, Packing } from './types';

/**
 * What is wrong with a packing, found from its geometry alone: written without a look at the code that packs.
 * Empty for a packing that can be built.
 */
export function packingFaults(job: PackJob, packing: Packing): string[] {
  const faults: string[] = [];
  const close = (a: number, b: number) => Math.abs(a - b) < 1e-6;
  const wrong = (ok: boolean, what: string) => {
    if (!ok) faults.push(what);
  };
  const seen: string[] = [];
  const sizes = new Set(job.blocks.map(({ sizeMm }) => sizeMm));
  let [blank, all, cableRows, used] = [0, 0, 0, 0];
  const sizesUsed = new Set<number>();
  wrong(packing.openings.length === job.openings.length, 'an opening is missing');
  for (const opening of job.openings) {
    const packed = packing.openings.find(({ id }) => id === opening.id);
    if (!packed) continue;
    let height = 0;
    let spareSeen = false;
    let before = Infinity;
    let holds = false;
    for (const [i, row] of packed.rows.entries()) {
      const at = `${opening.id} row ${i + 1}`;
      height += row.heightMm + opening.plateMm;
      wrong(sizes.has(row.heightMm), `${at} has a height that is no block size`);
      const width = row.columns.reduce((sum, { widthMm }) => sum + widthMm, 0);
      wrong(close(width, opening.widthMm), `${at} is ${width} mm wide`);
      let cables = 0;
      for (const { widthMm, blocks } of row.columns) {
        wrong(sizes.has(widthMm), `${at} has a column that is no block size`);
        wrong(
          close(blocks.length * widthMm, row.heightMm),
          `${at} has a column that does not fill its height`,
        );
        for (const id of blocks) {
          all += widthMm ** 2;
          if (id === null) {
            blank += widthMm ** 2;
            continue;
          }
          cables++;
          seen.push(id);
          sizesUsed.add(widthMm);
          const cable = job.cables.find((one) => one.id === id);
          const takes = job.blocks.some(
            ({ sizeMm, rangeMm }) =>
              sizeMm === widthMm &&
              cable &&
              rangeMm[0] <= cable.minMm + 1e-9 &&
              cable.maxMm <= rangeMm[1] + 1e-9,
          );
          const locked = (job.locked ?? []).some(({ columns }) => columns.some((c) => c.blocks.includes(id)));
          wrong(takes || locked, `${id} does not fit a block of ${widthMm} mm`);
        }
      }
      if (cables === 0) spareSeen = true;
      else {
        holds = true;
        cableRows += row.heightMm + opening.plateMm;
        wrong(!spareSeen, `${at} with cables stands nearer to the wedge than a spare row`);
        wrong(row.heightMm <= before, `${at} is higher than the row before it`);
        before = row.heightMm;
      }
    }
    if (holds) used++;
    const left = opening.heightMm - height;
    wrong(
      close(left, packed.compressionMm),
      `${opening.id} says ${packed.compressionMm} mm, ${left} mm are left`,
    );
    const [low, high] = opening.compressionMm;
    wrong(left >= low - 1e-6 && left <= high + 1e-6, `${opening.id} leaves ${left} mm for the wedge`);
  }
  const wanted = job.cables.map(({ id }) => id).sort();
  wrong(JSON.stringify([...seen].sort()) === JSON.stringify(wanted), 'a cable is lost or doubled');
  wrong(close(cableRows, packing.cableRowsHeightMm), 'the height of the cable rows is another');
  wrong(close(all === 0 ? 0 : (100 * blank) / all, packing.sparePct), 'the spare share is another');
  wrong(used === packing.openingsUsed, 'the number of openings used is another');
  wrong(sizesUsed.size === packing.sizesUsed, 'the number of sizes used is another');
  return faults;
}
