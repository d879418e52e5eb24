import { Button } from '@mantine/core';
import { useState } from 'react';
import { FieldGrid, WHOLE_ROW } from '../../ui/FieldGrid';
import { PlaceCard } from './PlaceCard';
import type { PlaceView } from './place-view';

interface Props {
  views: readonly PlaceView[];
  guarded: boolean;
  /** Place that the next reading belongs to. */
  selected: string | null;
  /** Place that was gone to; null for none. */
  eye: string | null;
  sealed: boolean;
  onSelect: (place: string) => void;
}

/** The places that are measured, each with its strip; those measured only in doubt stay away until they are asked for. */
export function Places({ views, guarded, selected, eye, sealed, onSelect }: Props) {
  const [more, setMore] = useState(false);
  const shown = views.filter(
    ({ place, readings }) => more || place.wanted > 0 || readings.length > 0 || place.id === selected,
  );
  return (
    <FieldGrid className="places" min={220} gap="14px" align="stretch" mt="sm">
      {shown.map((view) => (
        <PlaceCard
          key={view.place.id}
          view={view}
          guarded={guarded}
          selected={view.place.id === selected}
          eye={view.place.id === eye}
          sealed={sealed}
          onSelect={onSelect}
        />
      ))}
      {views.length > shown.length && (
        <Button variant="default" style={WHOLE_ROW} onClick={() => setMore(true)}>
          {views.length - shown.length} more places, measured only in doubt
        </Button>
      )}
    </FieldGrid>
  );
}
