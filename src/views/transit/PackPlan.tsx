import { Box, Table } from '@mantine/core';
import { FieldGrid } from '../../ui/FieldGrid';
import { memo } from 'react';
import { peelCards, pickList } from '../../core/rulebook/transit-planned';
import type { Slice } from '../../core/record/slice';
import type { Cable, Id, PackedOpening, TransitSheet } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { blocksOf } from '../../core/rulebook/transit-found';
import { count } from '../../core/words/en/format';
import { peelWords } from '../../core/words/en/transit';
import { drawTransit } from '../../drawing/transit/face';
import { DrawingView } from '../../ui/heart/DrawingView';

interface PackPlanProps {
  slice: Slice;
  dossier: Dossier;
  sheet: TransitSheet;
  openings: PackedOpening[];
}

type Cables = ReadonlyMap<Id, Cable>;

/** The plan as it is built and as it prints: face, pick list, peel cards, order. */
export const PackPlan = memo(function PackPlan({ slice, dossier, sheet, openings }: PackPlanProps) {
  const { entry, enclosure } = dossier;
  const cables = cablesIn(openings, slice);
  const drawing = drawTransit({ ...dossier, transit: asBuilt(dossier, sheet, openings, cables) });
  const [left, top, right, bottom] = drawing.box;
  return (
    <article className="pack-plan" aria-label="Plan">
      <h2>
        {enclosure.tag}, entry {entry.label}: plan
      </h2>
      <Box className="plan-face" maw={640}>
        <DrawingView drawing={drawing} states={{}} aspect={(right - left) / (bottom - top)} shownPx={620} />
      </Box>
      <FieldGrid min={260} gap="0 24px" align="start" fit>
        <ToFetch openings={openings} />
        <Order openings={openings} cables={cables} relaxH={sheet.relaxH} />
      </FieldGrid>
      <PeelCards openings={openings} sheet={sheet} cables={cables} />
      <p className="quiet">
        Knives go away from the body. Yendral advises; a competent, authorised person decides. Local codes
        come first.
      </p>
    </article>
  );
});

function cablesIn(openings: readonly PackedOpening[], slice: Slice): Cables {
  const blocks = openings.flatMap(({ rows }) =>
    rows.flatMap(({ columns }) => columns.flatMap((column) => column.blocks)),
  );
  const records = blocks.flatMap(({ cable }) => (cable === null ? [] : (slice.get('cable', cable) ?? [])));
  return new Map(records.map((cable) => [cable.id, cable]));
}

/** The packing as if it stood in the frame, before anybody has counted or measured. */
function asBuilt(
  { entry }: Dossier,
  sheet: TransitSheet,
  openings: PackedOpening[],
  cables: Cables,
): Dossier['transit'] {
  return {
    cables,
    instruments: new Map(),
    unpacked: [],
    newest: '',
    faults: [],
    at: '',
    by: '',
    openings: entry.frame!.openings.flatMap((frame) => {
      const packed = openings.find(({ label }) => label === frame.label);
      return packed
        ? [{ frame, packed, blocks: blocksOf(packed, sheet, cables, new Map()), sealed: [] }]
        : [];
    }),
  };
}

function ToFetch({ openings }: { openings: readonly PackedOpening[] }) {
  const list = pickList(openings);
  return (
    <section>
      <h3>To fetch</h3>
      <ul>
        {list.blocks.map(({ sizeMm, withCable, spare }) => (
          <li key={sizeMm}>
            {withCable + spare} × block pair {sizeMm} mm, {spare} of them spare
          </li>
        ))}
        <li>{count(list.plates, 'stay plate')}</li>
        <li>{count(list.wedges, 'compression unit')}</li>
        <li>lubricant</li>
      </ul>
    </section>
  );
}

interface OrderProps {
  openings: readonly PackedOpening[];
  cables: Cables;
  relaxH: TransitSheet['relaxH'];
}

function Order({ openings, cables, relaxH }: OrderProps) {
  return (
    <section>
      <h3>Order</h3>
      <ol>
        {openings.flatMap(({ label, rows }) =>
          rows.map(({ heightMm, columns }, r) => {
            const tags = columns.flatMap(({ blocks }) => blocks.flatMap(({ cable }) => (cable === null ? [] : (cables.get(cable)?.tag ?? cable)))); // prettier-ignore
            const plates = r === rows.length - 2 ? 'two plates' : 'a plate';
            return (
              <li key={`${label} ${r}`}>
                Opening {label}, row {r + 1} of {heightMm} mm:{' '}
                {tags.length > 0 ? tags.join(', ') : 'spare blocks'};{' '}
                {r === rows.length - 1 ? 'its plate lies there already.' : `${plates} on it.`}
              </li>
            );
          }),
        )}
        <li>
          {pickList(openings).wedges > 1
            ? 'All wedges in before one is tightened; then the bolts in turn.'
            : 'The wedge last; tighten its bolts in turn.'}
        </li>
        <li>Check the bolts again after {relaxH} h.</li>
      </ol>
    </section>
  );
}

interface PeelCardsProps {
  openings: PackedOpening[];
  sheet: TransitSheet;
  cables: Cables;
}

function PeelCards({ openings, sheet, cables }: PeelCardsProps) {
  const cards = peelCards(openings, sheet, cables);
  const bonded = cards.some(({ armour }) => armour !== null);
  const columns = ['Cable', 'Opening, row', 'Block', 'Jacket side', ...(bonded ? ['Armour side'] : [])];
  return (
    <>
      <h3>Peel cards: layers out of each half</h3>
      <Box style={{ overflowX: 'auto' }}>
        <Table>
          <Table.Thead>
            <Table.Tr>
              {columns.map((column) => (
                <Table.Th scope="col" key={column}>
                  {column}
                </Table.Th>
              ))}
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {cards.map(({ cable, opening, row, sizeMm, jacket, armour }) => (
              <Table.Tr key={cable}>
                <Table.Th scope="row">{cables.get(cable)?.tag}</Table.Th>
                <Table.Td>
                  {opening}, {row}
                </Table.Td>
                <Table.Td className="figures">{sizeMm} mm</Table.Td>
                <Table.Td className="figures">{peelWords(jacket)}</Table.Td>
                {bonded && <Table.Td className="figures">{peelWords(armour)}</Table.Td>}
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </Box>
    </>
  );
}
