import type { ReactNode } from 'react';
import { Away } from './Away';
import { Listing, type TableProps } from './ListTable';
import type { FarSource } from './source';
import { useFarList } from './use-far-list';

interface FarTableProps<R> extends TableProps<R> {
  source: FarSource<R>;
  /** The same of what is on this device: shown while the list cannot be had. */
  near?: ReactNode;
}

/** A list that lies elsewhere as a table: asked for page by page. */
export function FarTable<R>({ source, near, ...props }: FarTableProps<R>) {
  const list = useFarList(source, props.start, props.onQuery);
  if (near === undefined || list.problem === null) return <Listing {...props} list={list} />;
  return (
    <>
      <Away list={list} />
      {near}
    </>
  );
}
