import { Box } from '@mantine/core';
import { Root, type ViewProps } from '../frame/Root';
import { Exports } from './Exports';

/** What is taken out of a site, for whoever asked for the inspection. */
export default function Report() {
  return <Root view="report">{(state) => <ReportOf state={state} />}</Root>;
}

function ReportOf({ state: { slice, site } }: ViewProps) {
  const record = slice.get('site', site);
  if (!record)
    return (
      <main id="main" className="empty">
        This site is not on this device yet.
      </main>
    );
  return (
    <Box component="main" id="main" className="page" maw={860} tabIndex={-1}>
      <h1>Report on {record.name}</h1>
      <p>
        Each file is made on the server from what it has now
        {record.lastSeal === null ? '; nothing of this site is sealed yet' : ''}. What still waits on this
        device is not in it.
      </p>
      <Exports site={site} />
      <p className="quiet">
        Yendral advises; a competent, authorised person decides. Local codes come first.
      </p>
    </Box>
  );
}
