import { KINDS } from '../../core/kinds/kinds';
import { currentRound, dossierOf } from '../../core/rulebook/dossier';
import { Root, type ViewProps } from '../frame/Root';
import { tabKeys, useViewKeys } from '../frame/view-keys';
import { tabIn, useAddress } from '../hand/address';
import { OneTransit } from './OneTransit';
import { TABS } from './tabs';
import './transit.css';
import { TransitList } from './TransitList';

/** Transit board: one frame with its openings, as packed and as found, what is wrong, and how to pack it anew. */
export default function TransitBoard() {
  const [, open] = useAddress('tab');
  useViewKeys(tabKeys(TABS, (id) => open({ tab: id })));
  return <Root view="transit">{(state) => <Transits state={state} />}</Root>;
}

function Transits({ state: { slice, site } }: ViewProps) {
  const [{ entry, tab }, open] = useAddress('entry', 'tab');
  const entries = slice.by('entry', 'site', site).filter(({ kind }) => KINDS[kind].transit !== null);
  const chosen = entries.find(({ id }) => id === entry) ?? entries[0] ?? null;
  const dossier = chosen && dossierOf(slice, chosen.id, currentRound(slice, chosen.id, site));
  return (
    <div className="split transit">
      <TransitList
        slice={slice}
        entries={entries}
        current={chosen?.id ?? null}
        onOpen={(id) => open({ entry: id })}
      />
      {dossier ? (
        <OneTransit
          key={dossier.entry.id}
          slice={slice}
          dossier={dossier}
          tab={tabIn(TABS, tab)}
          onTab={(next) => open({ tab: next })}
        />
      ) : (
        <main id="main" tabIndex={-1}>
          <p>
            No transit is recorded at this site. Add an entry of a transit kind with its frame, under{' '}
            <a href={`/dossier/?site=${site}&table=entry`}>Dossier, Entries</a>.
          </p>
        </main>
      )}
    </div>
  );
}
