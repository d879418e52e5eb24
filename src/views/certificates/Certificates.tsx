import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import { TabBar } from '../../ui/TabBar';
import { Root } from '../frame/Root';
import { tabKeys, useViewKeys } from '../frame/view-keys';
import { Series } from './Series';
import { tabIn, useAddress } from '../hand/address';

const FindGland = fetched(() => import('./FindGland'));
const Schedule = fetched(() => import('./Schedule'));

const TABS = [
  ['series', 'Certificates'],
  ['find', 'Find a gland'],
  ['schedule', 'Cable schedule'],
] as const;

/** Certificates: what is on file, which of it fits a cable, and what a whole schedule needs. */
export default function Certificates() {
  const [address, open] = useAddress('tab');
  const tab = tabIn(TABS, address.tab);
  useViewKeys(tabKeys(TABS, (id) => open({ tab: id })));
  return (
    <Root view="certificates">
      {({ slice, site }) => (
        <div>
          <TabBar
            landmarks
            label="Certificates"
            tabs={TABS}
            value={tab}
            onChange={(next) => open({ tab: next })}
          >
            {tab === 'series' && <Series slice={slice} site={site} />}
            <Later>
              {tab === 'find' && <FindGland slice={slice} site={site} />}
              {tab === 'schedule' && <Schedule slice={slice} site={site} />}
            </Later>
          </TabBar>
        </div>
      )}
    </Root>
  );
}
