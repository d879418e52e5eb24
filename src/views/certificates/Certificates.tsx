import { useEffect, useState } from 'react';
import { parameter } from '../hand/hand';
import { Root } from '../frame/Root';
import './certificates.css';
import { FindGland } from './FindGland';
import { Schedule } from './Schedule';
import { Series } from './Series';

const TABS = [
  ['series', 'Certificates'],
  ['find', 'Find a gland'],
  ['schedule', 'Cable schedule'],
] as const;
type Tab = (typeof TABS)[number][0];

/** Certificates: what is on file, which of it fits a cable, and what a whole schedule needs. */
export default function Certificates() {
  const [tab, setTab] = useState<Tab>(() => TABS.find(([id]) => id === parameter('tab'))?.[0] ?? 'series');
  const open = (next: Tab) => {
    const address = new URL(location.href);
    address.searchParams.set('tab', next);
    history.pushState(null, '', address);
    setTab(next);
  };
  useEffect(() => {
    const back = () => setTab(TABS.find(([id]) => id === parameter('tab'))?.[0] ?? 'series');
    window.addEventListener('popstate', back);
    return () => window.removeEventListener('popstate', back);
  }, []);
  return (
    <Root
      view="certificates"
      keys={TABS.map(([id, title], i) => ({
        key: String(i + 1),
        title: `Open ${title.toLowerCase()}`,
        run: () => open(id),
      }))}
    >
      {({ slice, site }) => (
        <div className="certificates">
          <nav className="tabs" aria-label="Certificates">
            {TABS.map(([id, title]) => (
              <button
                key={id}
                type="button"
                aria-current={id === tab ? 'page' : undefined}
                onClick={() => open(id)}
              >
                {title}
              </button>
            ))}
          </nav>
          {tab === 'series' && <Series slice={slice} site={site} />}
          {tab === 'find' && <FindGland slice={slice} site={site} />}
          {tab === 'schedule' && <Schedule slice={slice} site={site} />}
        </div>
      )}
    </Root>
  );
}
