import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { Button, Checkbox, Table, TextInput } from '@mantine/core';
import { memo, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import type { PackStep } from '../../core/transit/pack/pack';
import type { PackJob, PackReason, Packing } from '../../core/transit/pack/types';
import { packCable, packedFrom, peelCards, pickList } from '../../core/rulebook/transit-planned';
import type { Slice } from '../../core/record/slice';
import type { Cable, Id, PackedOpening, TransitSheet } from '../../core/record/types';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import { blocksOf } from '../../core/rulebook/transit-found';
import { count, figure, known } from '../../core/words/en/format';
import { drawTransit } from '../../drawing/transit/face';
import { DrawingView } from '../../ui/heart/DrawingView';
import type { PackNews } from '../../workers/pack';

const STEP_WORDS: Record<PackStep, string> = {
  first: 'A first complete packing',
  openings: 'Fewest openings',
  height: 'Least height of the rows with cables',
  sizes: 'Fewest block sizes',
  spare: 'Spare share',
  largest: 'Largest spare blocks',
};

/** What stands in the way of a packing, and what to do. */
function reasonWords({ code, cables, missingMm }: PackReason, slice: Slice): string {
  const tags = cables.map((id) => slice.get('cable', id)?.tag ?? id).join(', ');
  if (code === 'no-block')
    return `No block takes ${tags}. Allow the size that was forbidden, or choose another series.`;
  if (code === 'width') {
    return tags
      ? `The blocks that take ${tags} do not fill the width of the opening. Choose a wider opening.`
      : 'No blocks of the list fill the width of the opening. Allow more sizes.';
  }
  return `${figure(missingMm, 1)} mm of height are missing, or the window of the wedge is missed by as much. Take cables out, or choose a higher opening.`;
}

/** Packs the cables of a transit anew: the answer at once, better ones as they are found, cancelled at any time. */
export function Planner({
  slice,
  dossier,
  sheet,
  onTake,
}: {
  slice: Slice;
  dossier: Dossier;
  sheet: TransitSheet;
  onTake: (openings: PackedOpening[]) => void;
}) {
  const { entry } = dossier;
  const bonded = kindOf(dossier).transit === 'bonded';
  const frames = entry.frame!.openings;
  const now = dossier.transit?.openings ?? [];
  const held = now.flatMap(({ blocks }) => blocks.flatMap(({ block }) => block.cable ?? []));
  const [chosen, setChosen] = useState<readonly Id[]>(held);
  const [locks, setLocks] = useState<readonly string[]>([]);
  const [forbidden, setForbidden] = useState<readonly number[]>([]);
  const spare = useMeasure('percent', 20, (pct) => (pct <= 100 ? null : 'At most 100 %.'));
  const [state, setState] = useState<'idle' | 'running' | 'done' | 'cancelled'>('idle');
  const [steps, setSteps] = useState<{ step: PackStep; packing: Packing; ms: number }[]>([]);
  const [problem, setProblem] = useState('');
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);
  const best = steps[steps.length - 1]?.packing ?? null;
  // The plan is drawn when there is time for it, so that the page answers while better ones come in.
  const drawn = useDeferredValue(best);
  const planned = useMemo(() => drawn && packedFrom(drawn, bonded), [drawn, bonded]);
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
  };
  const start = () => {
    stop();
    setSteps([]);
    const sparePct = spare.need();
    if (sparePct === null) return;
    setProblem('');
    const cables = chosen
      .flatMap((id) => slice.get('cable', id) ?? [])
      .map((cable) => packCable(cable, bonded));
    const job: PackJob = {
      openings: frames.map(({ label, widthMm, heightMm }) => ({
        id: label, widthMm, heightMm, plateMm: sheet.stayPlateMm, compressionMm: sheet.compressionMm,
      })), // prettier-ignore
      blocks: sheet.blocks.filter(({ sizeMm }) => !forbidden.includes(sizeMm)),
      cables,
      sparePct,
      locked: now.flatMap(({ frame, packed }) =>
        packed.rows.flatMap((row, r) =>
          locks.includes(`${frame.label} ${r}`)
            ? {
                opening: frame.label,
                heightMm: row.heightMm,
                columns: row.columns.map(({ widthMm, blocks }) => ({
                  widthMm,
                  blocks: blocks.map(({ cable }) =>
                    cable !== null && chosen.includes(cable) ? cable : null,
                  ),
                })),
              }
            : [],
        ),
      ),
    };
    if (job.blocks.length === 0) return setProblem('Every block size is forbidden. Allow at least one.');
    setState('running');
    const began = performance.now();
    const running = new Worker(new URL('../../workers/pack.ts', import.meta.url), { type: 'module' });
    worker.current = running;
    running.onmessage = ({ data }: MessageEvent<PackNews>) => {
      if (data.is === 'better') {
        const { step, packing } = data;
        return setSteps((all) => [...all, { step, packing, ms: performance.now() - began }]);
      }
      if (data.is === 'broken') setProblem(`The calculation broke off: ${data.message}. Start it again.`);
      else if (!data.result.fits) setProblem(reasonWords(data.result.reason, slice));
      setState('done');
      stop();
    };
    running.onerror = (event) => {
      setProblem(
        `The calculation broke off: ${event.message || 'the worker did not start'}. Start it again.`,
      );
      setState('cancelled');
      stop();
    };
    running.postMessage(job);
  };
  const wanted = spare.value ?? 0;
  return (
    <>
      <p className="no-print">
        Every cable in a block whose range holds it, fewest openings, least height, fewest sizes, then the
        wanted spare share. A locked row keeps its cables.
      </p>
      <div className="planner no-print">
        <CableChoice slice={slice} site={entry.site} chosen={chosen} onChoose={setChosen} />
        <div>
          <MeasureInput label="Wanted spare share" {...fieldOf(spare)} />
          <div className="start-buttons">
            {state === 'running' ? (
              <Button
                variant="default"
                onClick={() => {
                  stop();
                  setState('cancelled');
                }}
              >
                Cancel
              </Button>
            ) : (
              <Button onClick={start}>{state === 'idle' ? 'Pack it' : 'Pack it again'}</Button>
            )}
            {best && state !== 'running' && (
              <>
                <Button variant="default" onClick={() => onTake(packedFrom(best, bonded))}>
                  Take this packing
                </Button>
                <Button variant="default" onClick={() => window.print()}>
                  Print
                </Button>
              </>
            )}
          </div>
          {problem && (
            <p role="alert" className="tone-failed">
              {problem}
            </p>
          )}
          <ol className="pack-steps" aria-live="polite">
            {steps.map(({ step, packing, ms }, i) => (
              <li key={i}>
                {STEP_WORDS[step]}: {figure(packing.cableRowsHeightMm, 0)} mm of rows with cables,{' '}
                {count(packing.openingsUsed, 'opening')}, {count(packing.sizesUsed, 'size')},{' '}
                {figure(packing.sparePct, 1)} % spare
                {packing.provenBest && ', proven best'}{' '}
                <small className="quiet">{figure(ms / 1000, 1)} s</small>
              </li>
            ))}
          </ol>
          {state === 'running' && <p role="status">Looking for better…</p>}
          {state === 'cancelled' && best && <p role="status">Cancelled; the best so far stands.</p>}
          {state === 'done' && best && best.sparePct < wanted - 1e-6 && (
            <p role="status" className="tone-close">
              {figure(wanted, 1)} % spare cannot be had; {figure(best.sparePct, 1)} % is the most.
            </p>
          )}
          <fieldset>
            <legend>Sizes that are not to be used, mm</legend>
            {sheet.blocks.map(({ sizeMm }) => (
              <Checkbox
                key={sizeMm}
                size="md"
                className="check"
                label={sizeMm}

                checked={forbidden.includes(sizeMm)}
                onChange={() => setForbidden(toggled(forbidden, sizeMm))}
              />
            ))}
          </fieldset>
          {now.some(({ packed }) => packed.rows.length > 0) && (
            <fieldset>
              <legend>Rows that stay as they are</legend>
              {now.flatMap(({ frame, packed }) =>
                packed.rows.map(({ heightMm }, r) => (
                  <Checkbox
                    key={`${frame.label} ${r}`}
                    size="md"
                    className="check"
                    label={`${frame.label}: row ${r + 1}, ${heightMm} mm`}
                    checked={locks.includes(`${frame.label} ${r}`)}
                    onChange={() => setLocks(toggled(locks, `${frame.label} ${r}`))}
                  />
                )),
              )}
            </fieldset>
          )}
        </div>
      </div>
      {planned && <Plan slice={slice} dossier={dossier} sheet={sheet} openings={planned} />}
    </>
  );
}

const toggled = <T,>(list: readonly T[], one: T): T[] =>
  list.includes(one) ? list.filter((other) => other !== one) : [...list, one];

/** Cables that are packed: those that lie in the transit, and any others of the site. */
function CableChoice({
  slice,
  site,
  chosen,
  onChoose,
}: {
  slice: Slice;
  site: Id;
  chosen: readonly Id[];
  onChoose: (ids: Id[]) => void;
}) {
  const [text, setText] = useState('');
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const all = slice.by('cable', 'site', site);
  const picked = new Set(chosen);
  const shown = all
    .filter(
      ({ id, tag, to }) =>
        picked.has(id) ||
        (words.length > 0 && words.every((word) => `${tag} ${to}`.toLowerCase().includes(word))),
    )
    .sort((a, b) => Number(picked.has(b.id)) - Number(picked.has(a.id)))
    .slice(0, 160);
  return (
    <section aria-label="Cables" className="cable-choice">
      <TextInput
        className="field"
        label="Find another cable, tag or to"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <p className="quiet">{count(chosen.length, 'cable')} chosen.</p>
      <ul>
        {shown.map(({ id, tag, outerMm }) => (
          <li key={id}>
            <Checkbox
              size="md"
              className="check"
              label={
                <>
                  {tag}, <span className="figures">{known(outerMm, 'mm', 1)}</span>
                </>
              }

              checked={picked.has(id)}
              onChange={() => onChoose(toggled(chosen, id))}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The plan as it is built and as it prints: face, pick list, peel cards, order. */
const Plan = memo(function Plan({
  slice,
  dossier,
  sheet,
  openings,
}: {
  slice: Slice;
  dossier: Dossier;
  sheet: TransitSheet;
  openings: PackedOpening[];
}) {
  const { entry, enclosure } = dossier;
  const cables = new Map<Id, Cable>();
  for (const { rows } of openings)
    for (const { cable } of rows.flatMap(({ columns }) => columns.flatMap(({ blocks }) => blocks))) {
      const record = cable === null ? null : slice.get('cable', cable);
      if (record) cables.set(record.id, record);
    }
  const transit = {
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
  const drawing = drawTransit({ ...dossier, transit });
  const [left, top, right, bottom] = drawing.box;
  const list = pickList(openings);
  const cards = peelCards(openings, sheet, cables);
  const bonded = cards.some(({ armour }) => armour !== null);
  return (
    <article className="pack-plan" aria-label="Plan">
      <h2>
        {enclosure.tag}, entry {entry.label}: plan
      </h2>
      <div className="plan-face">
        <DrawingView drawing={drawing} states={{}} aspect={(right - left) / (bottom - top)} shownPx={620} />
      </div>
      <div className="plan-lists">
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
              {list.wedges > 1
                ? 'All wedges in before one is tightened; then the bolts in turn.'
                : 'The wedge last; tighten its bolts in turn.'}
            </li>
            <li>Check the bolts again after {sheet.relaxH} h.</li>
          </ol>
        </section>
      </div>
      <h3>Peel cards: layers out of each half</h3>
      <div className="wide-table">
        <Table>
          <Table.Thead>
            <Table.Tr>
              <Table.Th scope="col">Cable</Table.Th>
              <Table.Th scope="col">Opening, row</Table.Th>
              <Table.Th scope="col">Block</Table.Th>
              <Table.Th scope="col">Jacket side</Table.Th>
              {bonded && <Table.Th scope="col">Armour side</Table.Th>}
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
      </div>
      <p className="quiet">
        Knives go away from the body. Yendral advises; a competent, authorised person decides. Local codes
        come first.
      </p>
    </article>
  );
});

const peelWords = (peeling: { layers: readonly [number, number]; gapMm: number } | null): string =>
  peeling ? `${peeling.layers.join(' + ')}, gap ${figure(peeling.gapMm, 1)} mm` : 'measure it first';
