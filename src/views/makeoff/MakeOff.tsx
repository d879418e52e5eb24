import { fetched } from '../../ui/fetched';
import { Suspense, useState } from 'react';
import { now } from '../../client/clock';
import type { Id } from '../../core/record/types';
import { useDevice } from '../hand/hand';
import { Root } from '../frame/Root';
import { useViewKeys } from '../frame/view-keys';
import './makeoff.css';
import { WorkList } from './WorkList';
import { openWork, runningWork } from './work';
import { StartWork } from './StartWork';
import { WorkPage } from './WorkPage';
import { useAddress } from '../hand/address';

const AsLeftSheet = fetched(() => import('../judging/AsLeftSheet'));

/** Make-off: do the work in order, several entries at once. */
export default function MakeOffView() {
  const { slice, site } = useDevice();
  const [{ entry }, follow] = useAddress('entry', 'site');
  const [closing, setClosing] = useState(false);
  const chosen = entry ?? (site ? (runningWork(slice, site)[0]?.entry ?? null) : null);
  const open = (id: Id | null) => {
    follow({ site, entry: id });
    setClosing(false);
  };
  useViewKeys([
    { key: 'p', title: 'Print the plan', run: () => window.print() },
    { key: 'a', title: 'Seal how the entry was left', run: () => setClosing(true) },
  ]);
  return (
    <Root view="makeoff">
      {({ slice: records, site: at, version }) => {
        const opened = chosen ? openWork(records, chosen, Date.parse(now())) : null;
        return (
          <div className="split makeoff">
            <WorkList slice={records} site={at} version={version} current={chosen} onOpen={open} />
            {opened?.work ? (
              <WorkPage
                key={opened.work.id}
                dossier={opened.dossier}
                work={opened.work}
                plan={opened.plan}
                onSeal={() => setClosing(true)}
              />
            ) : (
              <StartWork key={chosen} slice={records} site={at} opened={opened} onOpen={open} />
            )}
            <Suspense fallback={null}>
              {closing && opened?.work && (
                <AsLeftSheet
                  dossier={opened.dossier}
                  round={opened.work.round}
                  why={opened.work.why}
                  onClose={() => setClosing(false)}
                />
              )}
            </Suspense>
          </div>
        );
      }}
    </Root>
  );
}
