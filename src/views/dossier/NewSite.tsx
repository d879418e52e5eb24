import { Box } from '@mantine/core';
import { useState } from 'react';
import type { Payloads } from '../../core/commands/commands';
import { device, useDevice } from '../hand/hand';
import { tryGive } from '../hand/give';
import { blankSite, SITE_FIELDS } from './forms';
import { RecordForm } from './RecordForm';
import { reasonOf } from './saving';

/** The form of a site that does not exist yet. */
export default function NewSite() {
  const { slice } = useDevice();
  const [id] = useState(() => device.id());
  return (
    <Box component="main" id="main" className="page" w="100%" maw={900} mx="auto">
      <h1>New site</h1>
      <RecordForm
        table="site"
        fields={SITE_FIELDS}
        value={blankSite(id)}
        slice={slice}
        site={id}
        onCancel={() => location.assign('/site/')}
        onSave={(value) => {
          const given = tryGive('site.add', value as unknown as Payloads['site.add'], '', id);
          if (typeof given !== 'string') return reasonOf(given);
          // The form is done with: leaving it does not ask.
          setTimeout(() => void device.flush().then(() => location.assign(`/dossier/?site=${id}`)));
          return null;
        }}
      />
    </Box>
  );
}
