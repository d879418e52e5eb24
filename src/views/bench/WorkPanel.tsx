import { KINDS } from '../../core/kinds/kinds';
import { askedLooks, askedPlaces } from '../../core/rulebook/asked';
import type { Dossier } from '../../core/rulebook/dossier';

/** Parts in the order of slipping on, and the steps with their hold points and cautions. */
export function WorkPanel({ dossier }: { dossier: Dossier }) {
  const kind = KINDS[dossier.entry.kind];
  const titles = new Map([
    ...askedPlaces(dossier).map(({ id, title }) => [id, title] as const),
    ...askedLooks(dossier).map(({ id, title }) => [id, title] as const),
  ]);
  return (
    <details className="bench-panel">
      <summary>Parts and order of work</summary>
      <div>
        <p>Slip on the cable first, in this order:</p>
        <ol>
          {kind.parts.map(({ id, title, way }) => (
            <li key={id}>
              {title}
              {way && <span className="quiet">, {way}</span>}
            </li>
          ))}
        </ol>
        <p>Then:</p>
        <ol>
          {kind.steps.map(({ id, title, hold, caution }) => (
            <li key={id}>
              {title}
              {hold && titles.has(hold) && (
                <>
                  {' '}
                  <b>Hold point: {titles.get(hold)}.</b>
                </>
              )}
              {caution && <span className="tone-failed"> {caution}</span>}
            </li>
          ))}
        </ol>
        <p className="quiet">Local codes and licensed practice come first.</p>
      </div>
    </details>
  );
}
