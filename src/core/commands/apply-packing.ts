import { Refusal, type Payloads } from './commands';
import type { Draft } from './draft';
import { needUnsealedRound } from './apply-inspection';
import { KINDS } from '../kinds/kinds';
import { merged } from './merged';
import { namesIn } from '../record/packing';
import type { BlockSide, PackedBlock, PackedOpening } from '../record/types';

/** Keeps how a transit is packed and how it was found; a later one replaces it, and undo brings it back. */
export function applyPacking(draft: Draft, payload: Payloads['packing.set']): void {
  const entry = draft.need('entry', payload.entry, 'entry');
  if (!KINDS[entry.kind].transit) {
    throw new Refusal('invalid', 'entry', 'entry.no-transit');
  }
  needUnsealedRound(draft, payload.entry);
  if (payload.id !== payload.entry) {
    throw new Refusal('invalid', 'id', 'packing.id');
  }
  const { at, site } = draft.command;
  const before = draft.get('packing', payload.id);
  const now = before && stampedAll(before.openings, () => before);
  const was = before && payload.was && stampedAll(payload.was, () => before);
  // What was read before keeps its day and its reader, though the whole packing is written again.
  const known = new Set((before && [...before.openings, ...(payload.was ?? [])].flatMap(readIn)) ?? []);
  const own = { by: draft.person, at };
  const mine = stampedAll(payload.openings, (one) =>
    before && known.has(JSON.stringify(one)) ? before : own,
  );
  const next = before
    ? merged(
        draft,
        'packing',
        { ...before, openings: now! },
        { openings: mine },
        was ? { openings: was } : undefined,
      )
    : { id: payload.id, entry: payload.entry, site, openings: mine };
  const { openings } = next;
  const labels = entry.frame?.openings.map(({ label }) => label) ?? [];
  openings.forEach(({ label }, o) => {
    const twice = openings.slice(0, o).some((one) => one.label === label);
    if (twice || !labels.includes(label)) {
      throw new Refusal('invalid', `openings.${o}.label`, 'opening.once', { labels: labels.join(', ') }); // prettier-ignore
    }
  });
  const seen = new Set<string>();
  openings.forEach(({ rows, cables }, o) => {
    const held = [
      ...rows.flatMap(({ columns }) => columns.flatMap(({ blocks }) => blocks.map(({ cable }) => cable))),
      ...cables.map(({ cable }) => cable),
    ];
    for (const cable of held) {
      if (cable === null) continue;
      draft.need('cable', cable, `openings.${o}`);
      if (seen.has(cable)) {
        throw new Refusal('invalid', `openings.${o}`, 'cable.twice');
      }
      seen.add(cable);
    }
  });
  for (const id of namesIn({ openings }).instruments) draft.need('instrument', id, 'openings');
  const later = !before || before.at <= at;
  draft.put('packing', { ...next, by: later ? draft.person : before.by, at: later ? at : before.at });
}

/** By whom and when something was read. */
interface Taken {
  by: string;
  at: string;
}

const sidesOf = ({ rows }: PackedOpening) =>
  rows.flatMap(({ columns }) =>
    columns.flatMap(({ blocks }) => blocks.flatMap(({ jacket, armour }) => [jacket, armour])),
  );

/** What was read in an opening, each as a text. */
const readIn = (opening: PackedOpening): string[] => [
  ...sidesOf(opening).flatMap((side) => (side && side.readingsMm.length > 0 ? JSON.stringify(side) : [])),
  ...opening.rows.flatMap(({ columns }) =>
    columns.flatMap(({ blocks }) => blocks.map((block) => JSON.stringify(block))),
  ),
];

/** What was read says by whom and when, so that a later change of the packing does not make it younger. */
function stampedAll(
  openings: readonly PackedOpening[],
  takenOf: (side: BlockSide | PackedBlock) => Taken,
): PackedOpening[] {
  const side = <S extends BlockSide | null>(one: S): S => {
    if (!one || one.readingsMm.length === 0 || one.readAt) return one;
    const { by, at } = takenOf(one);
    return { ...one, readBy: by, readAt: at };
  };
  return openings.map((opening) => ({
    ...opening,
    rows: opening.rows.map((row) => ({
      ...row,
      columns: row.columns.map((column) => ({
        ...column,
        blocks: column.blocks.map((block) => ({
          ...block,
          jacket: side(block.jacket),
          armour: side(block.armour),
          bondAt: block.bondOhm === null ? null : (block.bondAt ?? takenOf(block).at),
        })),
      })),
    })),
  }));
}
