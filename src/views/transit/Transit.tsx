import { KINDS } from '../../core/kinds/kinds';
import type { Id } from '../../core/record/types';
import { currentRound, dossierOf } from '../../core/rulebook/dossier';
import { KIND_IDS } from '../../core/record/kind-ids';
import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import { Root, type ViewProps } from '../frame/Root';
import { tabKeys, useViewKeys } from '../frame/view-keys';
import { tabIn, useAddress } from '../hand/address';
import { OneTransit } from './OneTransit';
import { TABS } from './tabs';
import './transit.css';
import { TransitList } from './TransitList';

const FarEntries = fetched(() => import('../hand/FarEntries'));

const TRANSIT_KINDS = KIND_IDS.filter((kind) => KINDS[kind].transit !== null);

/** Transit board: one frame with its openings, as packed and as found, what is wrong, and how to pack it anew. */
export default function TransitBoard() {
  const [, open] = useAddress('tab');
  useViewKeys(tabKeys(TABS, (id) => open({ tab: id })));
  return <Root view="transit">{(state) => <Transits state={state} />}</Root>;
}

function Transits({ state: { slice, site, part } }: ViewProps) {
  const [{ entry, tab }, open] = useAddress('entry', 'tab');
  const entries = slice.by('entry', 'site', site).filter(({ kind }) => KINDS[kind].transit !== null);
  const chosen = entries.find(({ id }) => id === entry) ?? entries[0] ?? null;
  const dossier = chosen && dossierOf(slice, chosen.id, currentRound(slice, chosen.id, site));
  const listed = { current: chosen?.id ?? null, onOpen: (id: Id) => open({ entry: id }) };
  const near = <TransitList slice={slice} entries={entries} {...listed} />;
  return (
    <div className="split transit">
      {part ? (
        <Later>
          <FarEntries
            site={site}
            label="Transits"
            search="Wall, deck or kind"
            kinds={TRANSIT_KINDS}
            {...listed}
          >
            {near}
          </FarEntries>
        </Later>
      ) : (
        near
      )}
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
          {part ? (
            <p>Choose a transit from the list: it comes along to this device when it is opened.</p>
          ) : (
            <p>
              No transit is recorded at this site. Add an entry of a transit kind with its frame, under{' '}
              <a href={`/dossier/?site=${site}&table=entry`}>Dossier, Entries</a>.
            </p>
          )}
        </main>
      )}
    </div>
  );
}
