import type { UseFormReturnType } from '@mantine/form';
import { createContext, useContext } from 'react';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import type { Draft } from './draft';

/** What every field of a form reaches. */
export interface FormReach {
  form: UseFormReturnType<Draft>;
  slice: Slice;
  site: Id;
  /** Writes a field, confirms it, and lets errors go that are right now. */
  change: (path: string, value: unknown) => void;
  /** Looks at a field that was left. */
  left: (path: string) => void;
  /** What the record was copied from; null for none. */
  sister: string | null;
  /** Paths of facts that were copied and that nobody has confirmed. */
  proposed: ReadonlySet<string>;
  confirm: (path: string) => void;
  /** A line of a list was put in after `at`, copied from a line or blank, or taken out. */
  insert: (list: string, at: number, line: Draft, copied: boolean) => void;
  takeOut: (list: string, at: number) => void;
}

const Reach = createContext<FormReach | null>(null);
export const FormProvider = Reach.Provider;

/** The form that a field stands in. */
export const useReach = (): FormReach => useContext(Reach)!;
