import { Text } from '@mantine/core';
import { FieldGrid } from '../../ui/FieldGrid';
import { useState } from 'react';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { currentRound, dossierOf } from '../../core/rulebook/dossier';
import { known } from '../../core/words/en/format';
import { naturally } from '../../ui/list/source';
import RecordSelect from '../../ui/RecordSelect';
import { parameter } from '../hand/hand';
import { CableFields, useCable } from './CableFields';
import { Ranking } from './Ranking';

/** The gland finder: every size of every certificate for one cable and one hole, the best first, and why. */
export default function FindGland({ slice, site }: { slice: Slice; site: Id }) {
  const [entryId, setEntry] = useState(() => parameter('entry') ?? '');
  const cable = useCable(slice, site);
  const entries = slice
    .by('entry', 'site', site)
    .map(({ id, enclosure, label }) => ({
      value: id,
      label: `${slice.get('enclosure', enclosure)?.tag ?? '?'}, entry ${label}`,
    }))
    .sort((a, b) => naturally(a.label, b.label));
  const chosen = entryId ? dossierOf(slice, entryId, currentRound(slice, entryId, site)) : null;
  const anywhere = chosen ?? (entries[0] ? dossierOf(slice, entries[0].value, null) : null);
  return (
    <main id="main" className="page finder" tabIndex={-1}>
      <h1>Find a gland</h1>
      <FieldGrid min={190} gap="0 16px" align="start">
        <RecordSelect
          label="Into the entry"
          value={entryId}
          none="no entry: by the cable alone"
          records={entries}
          onChange={setEntry}
        />
        {chosen?.cable && !cable.chosen && (
          <Text c="dimmed" style={{ gridColumn: 'span 2', alignSelf: 'center' }}>
            Cable {chosen.cable.tag} of the entry: as measured where it was read, else by its record,
            tolerance {known(chosen.cable.toleranceMm, 'mm')}. Type other figures below to try another cable.
          </Text>
        )}
      </FieldGrid>
      <CableFields cable={cable} />
      {anywhere ? (
        <Ranking slice={slice} site={site} dossier={anywhere} placed={chosen !== null} cable={cable} />
      ) : (
        <p>
          Make an area, an enclosure and an entry first, under Dossier: what a gland must bear depends on
          where it goes.
        </p>
      )}
    </main>
  );
}
