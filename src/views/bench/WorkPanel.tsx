import { KINDS } from '../../core/kinds/kinds';
import { handlingOf } from '../../core/kinds/steps';
import { askedLooks, askedPlaces } from '../../core/rulebook/asked';
import type { Dossier } from '../../core/rulebook/dossier';
import { PART_WORDS, stepCaution, stepTitle } from '../../core/words/en/kinds/steps';
import { titleOf } from '../../core/words/en/kinds/titles';

/** Parts in the order of slipping on, and the steps with their hold points and cautions. */
export default function WorkPanel({ dossier }: { dossier: Dossier }) {
  const kind = KINDS[dossier.entry.kind];
  const titles = new Map([
    ...askedPlaces(dossier).map((row) => [row.id, titleOf(row)] as const),
    ...askedLooks(dossier).map((row) => [row.id, titleOf(row)] as const),
  ]);
  return (
    <details className="bench-panel">
      <summary>Parts and order of work</summary>
      <div>
        <p>Slip on the cable first, in this order:</p>
        <ol>
          {kind.parts.map(({ id, words }) => (
            <li key={id}>
              {PART_WORDS[words]!.title}
              {PART_WORDS[words]!.way && <span className="quiet">, {PART_WORDS[words]!.way}</span>}
            </li>
          ))}
        </ol>
        <p>Then:</p>
        <ol>
          {kind.steps.map(({ id, words, byArmour, hold, caution }) => (
            <li key={id}>
              {stepTitle({ words: handlingOf({ words, byArmour }, dossier.cable?.armour?.type ?? null) })}
              {hold && titles.has(hold) && (
                <>
                  {' '}
                  <b>Hold point: {titles.get(hold)}.</b>
                </>
              )}
              {caution && <span className="tone-failed"> {stepCaution({ caution })}</span>}
            </li>
          ))}
        </ol>
        <p className="quiet">Local codes and licensed practice come first.</p>
      </div>
    </details>
  );
}
