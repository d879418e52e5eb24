import { Table, Text } from '@mantine/core';
import { FieldGrid } from '../../ui/FieldGrid';
import { linkLengths } from '../../core/mineral/link';
import { pathResistance } from '../../core/earth/path';
import { fallsBetween, newestByPair, stateOfTest } from '../../core/rulebook/cable-tests';
import { pairsOf } from '../../core/mineral/insulation';
import { KINDS } from '../../core/kinds/kinds';
import type { Slice } from '../../core/record/slice';
import type { Cable, Entry, InsulationTest } from '../../core/record/types';
import { currentRound, dossierOf, groupsOf, type Dossier } from '../../core/rulebook/dossier';
import { comparedTests } from '../../core/rulebook/compared-tests';
import { figure, known, ohm } from '../../core/words/en/format';
import { drawEntry } from '../../drawing/draw';
import { DrawingView } from '../../ui/heart/DrawingView';
import { ContinuityPanel } from '../testing/ContinuityPanel';
import { megohmWords } from '../testing/insulation-words';
import { kindTitle } from '../../core/words/en/kinds/kinds';

/** One cable with both its ends: each pot in section, its tests compared, and what runs from end to end. */
export function BothEnds({ slice, cable }: { slice: Slice; cable: Cable }) {
  const ends = slice
    .by('entry', 'cable', cable.id)
    .filter(({ kind }) => KINDS[kind].mineral)
    .flatMap((entry) => dossierOf(slice, entry.id, currentRound(slice, entry.id, entry.site)) ?? []);
  const { link } = cable.mineral!;
  return (
    <>
      <p>
        {cable.from} to {cable.to}, {known(cable.lengthM, 'm')}
        {link &&
          `; cut to fit, sheath ${figure(linkLengths(link).sheathMm, 1)} ± ${figure(link.fitMm, 1)} mm`}
        . Order on the cable before the second pot: shroud, shroud, facing opposite ways, each opening to its
        own accessory; then gland parts, then pot.
      </p>
      {ends.length === 0 && (
        <p>
          No entry holds this cable yet. Add one of kind {kindTitle('mi-pot')} under{' '}
          <a href={`/dossier/?site=${cable.site}&table=entry`}>Dossier, Entries</a>.
        </p>
      )}
      {link && ends[0] && <EndSection dossier={ends[0]} shownPx={900} />}
      <FieldGrid min={400} gap="8px 24px" align="start" fit>
        {ends.map((dossier) => (
          <End key={dossier.entry.id} dossier={dossier} cable={cable} />
        ))}
      </FieldGrid>
      <ContinuityPanel key={cable.id} slice={slice} cable={cable} />
      <SheathEarth cable={cable} ends={ends} />
    </>
  );
}

/** One end in section; that of a link shows its far end and the path too. */
function EndSection({ dossier, shownPx }: { dossier: Dossier; shownPx: number }) {
  const drawing = drawEntry(dossier);
  const [left, top, right, bottom] = drawing.box;
  return (
    <div className="mineral-drawing">
      <DrawingView drawing={drawing} states={{}} aspect={(right - left) / (bottom - top)} shownPx={shownPx} />
    </div>
  );
}

function End({ dossier, cable }: { dossier: Dossier; cable: Cable }) {
  const { entry, enclosure, mineral } = dossier;
  const { before, first, later } = comparedTests(mineral?.tests ?? [], entry.id, mineral?.sealedAt ?? null);
  return (
    <section aria-label={`End at ${enclosure.tag}`}>
      <h2>
        <a href={`/bench/?site=${entry.site}&entry=${entry.id}`}>
          {enclosure.tag}, entry {entry.label}
        </a>{' '}
        <Text component="small" c="dimmed" fz="sm">
          {kindTitle(entry.kind)}
        </Text>
      </h2>
      {!cable.mineral!.link && <EndSection dossier={dossier} shownPx={440} />}
      <Compared cable={cable} entry={entry} before={before} first={first} later={later} />
      <p>
        <a href={`/makeoff/?site=${entry.site}&entry=${entry.id}`}>Make it off, or open it up</a>
      </p>
    </section>
  );
}

/** The tests before and after sealing, and a day later, pair by pair at 20 °C. */
function Compared({
  cable,
  entry,
  before,
  first,
  later,
}: {
  cable: Cable;
  entry: Entry;
  before: InsulationTest | null;
  first: InsulationTest | null;
  later: InsulationTest | null;
}) {
  const { conductors, screened, fallFactor } = cable.mineral!;
  const tests = [before, first, later];
  const judged = tests.map((test) => test && stateOfTest(cable, test, 0).judged);
  const newest = tests.map((test) => newestByPair(test?.readings ?? []));
  const falls = tests.map((test, i) => new Set(i > 0 && test && before ? fallsBetween(cable, before, test).map(({ pair }) => pair) : [])); // prettier-ignore
  if (tests.every((test) => test === null)) return <p className="quiet">Its sealing was not tested here.</p>;
  const any = falls.some((set) => set.size > 0);
  return (
    <>
      <Table aria-label={`Insulation at entry ${entry.label} compared`}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th scope="col">At 20 °C</Table.Th>
            <Table.Th scope="col">Before</Table.Th>
            <Table.Th scope="col">After</Table.Th>
            <Table.Th scope="col">A day later</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {pairsOf(conductors, screened).map((pair) => (
            <Table.Tr key={pair}>
              <Table.Th scope="row">{pair}</Table.Th>
              {judged.map((all, i) => {
                const one = all?.get(pair);
                const fell = falls[i]!.has(pair);
                return (
                  <Table.Td key={i} className={`figures${fell ? ' tone-failed' : ''}`}>
                    {one ? megohmWords(one.megohm20, newest[i]!.get(pair)?.saturated) : '–'}
                    {fell && ', fell'}
                  </Table.Td>
                );
              })}
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      {any && (
        <p className="tone-failed">
          A pair fell by more than the factor {figure(fallFactor)} at sealing: moisture got in, or something
          was damaged.
        </p>
      )}
      {!later && <p className="quiet">Test it again a day after sealing.</p>}
    </>
  );
}

/** The copper sheath as earth conductor: predicted from area and length, against what was measured. */
function SheathEarth({ cable, ends }: { cable: Cable; ends: readonly Dossier[] }) {
  const { sheathMm2 } = cable.mineral!;
  const read = ends.flatMap((dossier) =>
    groupsOf(dossier, 'sheath-earth').flatMap(({ readings, fault }) =>
      fault
        ? []
        : readings.map(({ value }) => ({ tag: `${dossier.enclosure.tag} ${dossier.entry.label}`, value })),
    ),
  );
  return (
    <section aria-label="Sheath as earth conductor">
      <h3>Sheath as earth conductor</h3>
      {sheathMm2 === null || cable.lengthM === null ? (
        <p>
          Record the length and the cross-section of the copper sheath on the cable, and its resistance is
          predicted here.
        </p>
      ) : (
        <p>
          {figure(cable.lengthM)} m of {figure(sheathMm2)} mm² copper predict{' '}
          <b className="figures">{ohm(pathResistance('copper', cable.lengthM, 1, sheathMm2, 20))}</b> at 20
          °C.{' '}
          {read.length === 0
            ? 'It is not measured yet.'
            : `Measured: ${read.map(({ tag, value }) => `${ohm(value)} at ${tag}`).join(', ')}.`}
        </p>
      )}
    </section>
  );
}
