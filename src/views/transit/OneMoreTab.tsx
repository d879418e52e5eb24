import { Box, Button, Group, Text } from '@mantine/core';
import { useMemo, useState } from 'react';
import { FieldGrid } from '../../ui/FieldGrid';
import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { oneMore, type OneMore } from '../../core/rulebook/transit-one-more';
import type { Slice } from '../../core/record/slice';
import type { Cable, PackedOpening, TransitSheet, Why } from '../../core/record/types';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import { coringFor, placedIn, sealantOpening } from '../../core/rulebook/transit-sealed';
import { changeBlock, freshBlock } from '../../core/rulebook/transit-planned';
import type { Peeling } from '../../core/transit/peel';
import { openingMm2 } from '../../core/transit/sealant';
import { count, figure, known } from '../../core/words/en/format';
import { peelWords } from '../../core/words/en/transit';
import { drawCoring } from '../../drawing/transit/coring';
import { DrawingView } from '../../ui/heart/DrawingView';
import RecordSelect from '../../ui/RecordSelect';

interface OneMoreProps {
  slice: Slice;
  dossier: Dossier;
  sheet: TransitSheet;
  /** Keeps the packing with the new cable in its place; what is said of it. */
  onPut: (openings: PackedOpening[], words: string) => void;
}

/** One more cable: every spare that can take it, or where a hole can be cored; and putting it there. */
export default function OneMoreTab({ slice, dossier, sheet, onPut }: OneMoreProps) {
  const diameter = useMeasure('length');
  const off = useMeasure('length');
  // A bonded block takes the jacket on one side and the armour on the other.
  const bonded = kindOf(dossier).transit === 'bonded';
  const armour = useMeasure('length');
  const armourMm = armour.value !== null && armour.value > 0 ? armour.value : null;
  const mm = diameter.value !== null && diameter.value > 0 ? diameter.value : null;
  const u = off.value;
  const [cable, setCable] = useState<Cable | null>(null);
  const put = (openings: PackedOpening[], place: string) => {
    onPut(openings, `${cable!.tag} is in ${place}. Peel, count and measure it there.`);
    setCable(null);
  };
  return (
    <>
      <FieldGrid min={200} maw={780}>
        <NewCable slice={slice} dossier={dossier} cable={cable} onChoose={setCable} />
        <MeasureInput label="Diameter of the new cable" {...fieldOf(diameter)} />
        {bonded && <MeasureInput label="Over its armour" {...fieldOf(armour)} />}
        <MeasureInput label="It may be off by" {...fieldOf(off)} />
      </FieldGrid>
      <Group gap="sm" my="sm">
        <Button component="a" variant="default" href={workOf(dossier, 'cable-in')}>
          Plan: put a cable in
        </Button>
        <Button component="a" variant="default" href={workOf(dossier, 'cable-out')}>
          Plan: take a cable out
        </Button>
      </Group>
      {(mm === null || u === null || (bonded && armourMm === null)) && (
        <p className="quiet">
          Type {bonded ? 'both diameters' : 'the diameter'} as measured, and by how much it may be off.
        </p>
      )}
      {mm !== null &&
        u !== null &&
        (!bonded || armourMm !== null) &&
        (sheet.sealant ? (
          <Coring dossier={dossier} sheet={sheet} mm={mm + u} cable={cable} onPut={put} />
        ) : (
          <Spares
            dossier={dossier}
            sheet={sheet}
            mm={mm}
            armourMm={bonded ? armourMm : null}
            u={u}
            cable={cable}
            onPut={put}
          />
        ))}
    </>
  );
}

/** Where the work on one cable of a frame is planned and done. */
const workOf = ({ entry }: Dossier, why: Why): string =>
  `/makeoff/?site=${entry.site}&entry=${entry.id}&why=${why}`;

/** Which cable of the dossier it is, so that it can be put where it fits. */
function NewCable({
  slice,
  dossier,
  cable,
  onChoose,
}: Pick<OneMoreProps, 'slice' | 'dossier'> & {
  cable: Cable | null;
  onChoose: (cable: Cable | null) => void;
}) {
  const { site, transit } = dossier;
  const free = useMemo(
    () =>
      slice
        .by('cable', 'site', site.id)
        .filter(({ id }) => !transit?.cables.has(id))
        .map(({ id, tag, outerMm }) => ({ value: id, label: `${tag}, ${known(outerMm, 'mm', 1)}` })),
    [slice, site.id, transit?.cables],
  );
  return (
    <RecordSelect
      label="New cable"
      value={cable?.id ?? ''}
      none="not in the dossier yet"
      records={free}
      onChange={(id) => onChoose(slice.get('cable', id) ?? null)}
    />
  );
}

/** What is put where, once the cable is chosen. */
interface PutProps {
  cable: Cable | null;
  onPut: (openings: PackedOpening[], place: string) => void;
}

/** The press that puts the cable there; before one is chosen it says what is missing. */
const Put = ({ cable, onPress }: { cable: Cable | null; onPress: () => void }) =>
  cable ? (
    <Button variant="default" onClick={onPress}>
      Put {cable.tag} here
    </Button>
  ) : (
    <span className="quiet">choose the new cable above</span>
  );

interface SparesProps extends PutProps {
  dossier: Dossier;
  sheet: TransitSheet;
  mm: number;
  /** Over the armour, of a cable in a bonded frame; null elsewhere. */
  armourMm: number | null;
  u: number;
}

function Spares({ dossier, sheet, mm, armourMm, u, cable, onPut }: SparesProps) {
  const openings = (dossier.transit?.openings ?? []).map(({ packed }) => packed);
  const of = (meanMm: number) => ({ minMm: meanMm, maxMm: meanMm, meanMm, expandedUncertaintyMm: u });
  const found = (dossier.transit?.openings ?? []).flatMap(({ frame, packed, blocks }) => {
    const taking = (meanMm: number) => oneMore(blocks, packed.rows.length, sheet, of(meanMm));
    const armoured = armourMm === null ? null : taking(armourMm);
    return taking(mm).flatMap((one): Spare[] => {
      // The same block has to take both.
      const other = armoured?.find(
        (two) => two.row === one.row && two.column === one.column && two.index === one.index,
      );
      if (armoured && !other) return [];
      return [{ ...one, opening: frame.label, armourSide: other?.peeling ?? null }];
    });
  });
  if (found.length === 0) {
    return (
      <p role="status" className="tone-failed">
        No spare block takes {figure(mm, 1)} mm
        {armourMm !== null && ` and ${figure(armourMm, 1)} mm over the armour`}. Let the planner pack the
        frame anew with this cable.
      </p>
    );
  }
  return (
    <>
      <p role="status">
        {count(found.length, 'spare block')} can take it; those that are reached first stand first.
      </p>
      <ol className="bare">
        {found.map((one) => (
          <SpareRow
            key={`${one.opening} ${one.row} ${one.column} ${one.index}`}
            spare={one}
            cable={cable}
            onPut={() =>
              onPut(
                changeBlock(openings, one, () => freshBlock(cable!.id, armourMm !== null)),
                placeOf(one),
              )
            }
          />
        ))}
      </ol>
    </>
  );
}

/** A spare block that takes the cable; the armour of a bonded one with its own layers. */
interface Spare extends OneMore {
  opening: string;
  armourSide: Peeling | null;
}

const placeOf = ({ opening, row, column }: Spare): string =>
  `opening ${opening}, row ${row + 1}, place ${column + 1}`;

function SpareRow({ spare, cable, onPut }: { spare: Spare; cable: Cable | null; onPut: () => void }) {
  const { sizeMm, peeling, armourSide, rowsOut, sparesLeft } = spare;
  const out = rowsOut === 0 ? 'the wedge' : `the wedge and ${count(rowsOut, 'row')}`;
  return (
    <Group component="li" className="spare" justify="space-between" gap="xs" py="xs">
      <Box flex="1 1 260px">
        <b>
          {sizeMm} mm, {placeOf(spare)}
        </b>
        <Text className="figures">
          peel {peelWords(peeling)}
          {armourSide && `; armour side ${peelWords(armourSide)}`}
        </Text>
        <Text className="quiet">
          First out: {out}. {count(sparesLeft, 'spare')} left afterwards.
        </Text>
      </Box>
      <Put cable={cable} onPress={onPut} />
    </Group>
  );
}

interface CoringProps extends PutProps {
  dossier: Dossier;
  sheet: TransitSheet;
  mm: number;
}

function Coring({ dossier, sheet, mm, cable, onPut }: CoringProps) {
  const sealant = sheet.sealant!;
  const openings = (dossier.transit?.openings ?? []).map(({ packed }) => packed);
  return (
    <>
      {(dossier.transit?.openings ?? []).map(({ frame, packed }) => {
        const cables = placedIn(packed, dossier.transit!.cables);
        const coring = coringFor(frame, cables, mm, sealant);
        const drawing = drawCoring(frame, cables, coring);
        const [left, top, right, bottom] = drawing.box;
        const sides = dossier.entry.frame!.sides;
        const ml = ((Math.PI / 4) * (coring.punchMm ** 2 - mm ** 2) * sealant.depthMm * sides * (1 + sealant.wastePct / 100)) / 1000; // prettier-ignore
        const taken = cables.reduce((sum, { diameterMm }) => sum + (Math.PI / 4) * diameterMm ** 2, (Math.PI / 4) * mm * mm); // prettier-ignore
        const fill = (100 * taken) / openingMm2(sealantOpening(frame));
        return (
          <section key={frame.label} aria-label={`Opening ${frame.label}`}>
            <h2>Opening {frame.label}</h2>
            <Box className="plan-face" maw={640}>
              <DrawingView
                drawing={drawing}
                states={{}}
                aspect={(right - left) / (bottom - top)}
                shownPx={560}
              />
            </Box>
            <p role="status" className={coring.best && fill <= sealant.maxFillPct ? '' : 'tone-failed'}>
              {coring.best
                ? `Punch ${figure(coring.punchMm, 1)} mm; its centre may lie anywhere in the shaded part. Furthest from everything: ${figure(coring.best.xMm, 0)} mm across, ${figure(coring.best.yMm, 0)} mm up, with ${figure(coring.best.clearMm, 1)} mm more than is asked for. To close: ${figure(ml, 0)} ml of sealant.`
                : `There is no room for a hole of ${figure(coring.punchMm, 1)} mm with the least distances kept.`}{' '}
              Fill afterwards {figure(fill, 1)} %, at most {figure(sealant.maxFillPct, 0)} %.
            </p>
            {coring.best && fill <= sealant.maxFillPct && (
              <Put
                cable={cable}
                onPress={() =>
                  onPut(withCored(openings, frame.label, cable!.id, coring.best!), `opening ${frame.label}`)
                }
              />
            )}
          </section>
        );
      })}
    </>
  );
}

/** The packing with one more cable where its hole lies furthest from everything, its diameter still to be read. */
const withCored = (
  openings: readonly PackedOpening[],
  label: string,
  cable: string,
  { xMm, yMm }: { xMm: number; yMm: number },
): PackedOpening[] =>
  openings.map((one) =>
    one.label === label ? { ...one, cables: [...one.cables, { cable, xMm, yMm, readings: [] }] } : one,
  );
