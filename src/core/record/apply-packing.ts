import { Refusal, type Payloads } from './commands';
import type { Draft } from './draft';
import { KINDS } from './kinds';

/** Keeps how a transit is packed and how it was found; a later one replaces it, and undo brings it back. */
export function applyPacking(draft: Draft, payload: Payloads['packing.set']): void {
  const entry = draft.need('entry', payload.entry, 'entry');
  if (!KINDS[entry.kind].transit) {
    throw new Refusal('invalid', 'entry', 'This entry is no transit. Choose one that has a frame.');
  }
  if (payload.id !== payload.entry) {
    throw new Refusal('invalid', 'id', 'A packing has the id of its entry.');
  }
  const labels = entry.frame?.openings.map(({ label }) => label) ?? [];
  payload.openings.forEach(({ label }, o) => {
    const before = payload.openings.slice(0, o).some((one) => one.label === label);
    if (before || !labels.includes(label)) {
      throw new Refusal('invalid', `openings.${o}.label`, `Each opening of the frame is packed once. It has: ${labels.join(', ') || 'none; record the frame first'}.`); // prettier-ignore
    }
  });
  const seen = new Set<string>();
  payload.openings.forEach(({ rows, cables }, o) => {
    const held = [
      ...rows.flatMap(({ columns }) => columns.flatMap(({ blocks }) => blocks.map(({ cable }) => cable))),
      ...cables.map(({ cable }) => cable),
    ];
    for (const cable of held) {
      if (cable === null) continue;
      draft.need('cable', cable, `openings.${o}`);
      if (seen.has(cable)) {
        throw new Refusal(
          'invalid',
          `openings.${o}`,
          'A cable lies in two blocks. Take it out of one of them.',
        );
      }
      seen.add(cable);
    }
  });
  const { at, site } = draft.command;
  draft.put('packing', { ...payload, site, by: draft.person, at });
}
