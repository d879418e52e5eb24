import { Box } from '@mantine/core';
import { Spotlight } from '@mantine/spotlight';
import '@mantine/spotlight/styles.layer.css';
import { useState } from 'react';
import { useDevice } from '../hand/hand';
import { findHits } from './find-hits';

/** Finds any entry, certificate or defect of the site. */
export default function Palette({ onClose }: { onClose: () => void }) {
  const { slice, site } = useDevice();
  const [text, setText] = useState('');
  const hits = site ? findHits(slice, site, text) : [];
  return (
    <Spotlight.Root
      forceOpened
      shortcut={null}
      query={text}
      onQueryChange={setText}
      onSpotlightClose={onClose}
      scrollable
      maxHeight="70dvh"
      title={<Box pl="md">Find</Box>}
    >
      <Spotlight.Search
        aria-label="Entry, cable, certificate or defect"
        placeholder="Entry, cable, certificate or defect"
        data-autofocus
      />
      <Spotlight.ActionsList id="find-hits">
        {hits.map(({ title, what, address }) => (
          <Spotlight.Action
            key={address}
            label={title}
            description={what}
            onClick={() => location.assign(address)}
          />
        ))}
        {hits.length === 0 && (
          <Spotlight.Empty>Nothing on this site matches. Try a tag such as JB-204.</Spotlight.Empty>
        )}
      </Spotlight.ActionsList>
    </Spotlight.Root>
  );
}
