import { Listing, type TableProps } from './ListTable';
import type { FarSource } from './source';
import { useFarList } from './use-far-list';

/** A list that lies elsewhere as a table: asked for page by page. */
export function FarTable<R>({ source, ...props }: TableProps<R> & { source: FarSource<R> }) {
  return <Listing {...props} list={useFarList(source, props.start, props.onQuery)} />;
}
