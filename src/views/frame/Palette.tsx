import { Box } from '@mantine/core';
import { Spotlight } from '@mantine/spotlight';
import '@mantine/spotlight/styles.layer.css';
import { useState } from 'react';
import { useDevice } from '../hand/hand';
import { useFound } from './use-found';

/** Finds any entry, cable, certificate, defect or round of the open site, and of the others. */
export default function Palette({ onClose }: { onClose: () => void }) {
  const state = useDevice();
  const [text, setText] = useState('');
  const groups = useFound(state, text);
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
        onKeyDown={(event) => event.key === 'Enter' && openFirst()}
      />
      <Spotlight.ActionsList id="find-hits">
        {groups?.map(({ name, hits }) => (
          <Spotlight.ActionsGroup key={name} label={name}>
            {hits.map(({ title, what, address }) => (
              <Spotlight.Action
                key={address}
                label={title}
                description={what}
                onClick={() => location.assign(address)}
              />
            ))}
          </Spotlight.ActionsGroup>
        ))}
        {!groups?.length && <Spotlight.Empty>{emptyWords(text, groups === null)}</Spotlight.Empty>}
      </Spotlight.ActionsList>
    </Spotlight.Root>
  );
}

/** What came after the last letter is not chosen by itself: Enter takes the first. */
function openFirst(): void {
  const list = document.getElementById('find-hits');
  if (!list?.querySelector('[data-selected]')) list?.querySelector<HTMLElement>('[data-action]')?.click();
}

function emptyWords(text: string, looking: boolean): string {
  if (text.trim() === '')
    return 'Type a tag such as JB-204, a cable, a kind, an area, or a word of a certificate or defect.';
  return looking
    ? 'Looking …'
    : 'Nothing matches, on this site or another. Try a part of the tag such as JB-204.';
}
