import { Box, type BoxProps } from '@mantine/core';
import type { ReactNode } from 'react';

interface Props extends BoxProps {
  /** Least width of a column, px; a narrower screen has one column as wide as itself. */
  min: number;
  /** Room between rows and columns, as in a style sheet. */
  gap?: string;
  align?: 'start' | 'end' | 'stretch';
  /** Few parts share the whole width instead of leaving room for more. */
  fit?: boolean;
  component?: 'div' | 'ul' | 'fieldset' | 'header';
  children: ReactNode;
}

/** Parts of one kind beside each other, as many in a row as there is room for. */
export const FieldGrid = ({ min, gap = '0 14px', align = 'end', fit = false, component, ...rest }: Props) => (
  <Box
    {...rest}
    component={component as 'div'}
    style={{
      display: 'grid',
      gridTemplateColumns: `repeat(${fit ? 'auto-fit' : 'auto-fill'}, minmax(min(100%, ${min}px), 1fr))`,
      gap,
      alignItems: align,
    }}
  />
);

/** What takes a whole row of the grid that it stands in. */
export const WHOLE_ROW = { gridColumn: '1 / -1' } as const;
