import { Figure, type Figures } from './Figure';

/** A field of a helper: its name, its title, its unit, and whether 0 is allowed. */
export type FigureField<K extends string> = readonly [name: K, title: string, unit: string, zero?: 'zero'];

interface FigureFieldsProps<K extends string> {
  figures: Figures<K>;
  fields: readonly FigureField<K>[];
}

/** The figures of a helper, one field each. */
export const FigureFields = <K extends string>({ figures, fields }: FigureFieldsProps<K>) =>
  fields.map(([name, title, unit, zero]) => (
    <Figure key={name} figures={figures} name={name} title={title} unit={unit} zero={zero === 'zero'} />
  ));
