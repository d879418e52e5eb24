import { FieldGrid } from '../../ui/FieldGrid';
import type { Cable } from '../../core/record/types';
import { FigureFields, type FigureField } from '../../ui/FigureFields';
import { useLinkDraft, linkOf, type LinkNames } from './link-draft';
import { BendRows, StraightRows } from './LinkRows';
import { LinkResult } from './LinkResult';

const FIELDS: readonly FigureField<LinkNames>[] = [
  ['entry1', 'Inside the first face', 'mm', 'zero'],
  ['entry2', 'Inside the second face', 'mm', 'zero'],
  ['off1', 'First may be off by', 'mm', 'zero'],
  ['off2', 'Second may be off by', 'mm', 'zero'],
  ['tail1', 'First tail', 'mm', 'zero'],
  ['tail2', 'Second tail', 'mm', 'zero'],
  ['trim', 'Cut off when squaring', 'mm', 'zero'],
  ['moved', 'What if the box moves by', 'mm', 'zero'],
  ['fit', 'It still fits when off by', 'mm', 'zero'],
];

/** The length of a cable that is cut to fit between two accessories, its tolerance, and what a moved box does to it. */
export function LinkTool({ cable }: { cable: Cable | null }) {
  const draft = useLinkDraft(cable);
  const link = linkOf(draft);
  return (
    <>
      <p>
        The sheath’s end lies inside each face by its entry. Measure tangent to tangent; a wrong mark wastes
        the cable.
      </p>
      <FieldGrid min={400} gap="24px" align="start" fit>
        <div>
          <StraightRows straights={draft.straights} onStraights={draft.setStraights} />
          <BendRows bends={draft.bends} onBends={draft.setBends} />
          <FieldGrid className="mineral-fields" min={220} gap="10px 16px">
            <FigureFields figures={draft.figures} fields={FIELDS} />
          </FieldGrid>
        </div>
        <div>
          {link ? (
            <LinkResult link={link} text={draft.figures.text} cable={cable} />
          ) : (
            <p role="alert" className="tone-failed">
              Type every length in mm or in, and every angle in degrees.
            </p>
          )}
        </div>
      </FieldGrid>
    </>
  );
}
