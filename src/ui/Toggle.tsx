import { Button, type ButtonProps } from '@mantine/core';
import type { ReactNode } from 'react';

interface ToggleProps extends ButtonProps {
  on: boolean;
  onClick: () => void;
  'aria-label'?: string;
  children: ReactNode;
}

/** A button that stays pressed: one answer among several, a filter that is on. */
export const Toggle = ({ on, ...rest }: ToggleProps) => (
  <Button variant={on ? 'filled' : 'default'} color={on ? 'ink' : undefined} aria-pressed={on} {...rest} />
);
