import { Box, Checkbox, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { count, known } from '../../core/words/en/format';
import { toggled } from './toggled';

interface CableChoiceProps {
  slice: Slice;
  site: Id;
  chosen: readonly Id[];
  onChoose: (ids: Id[]) => void;
}

/** Cables that are packed: those that lie in the transit, and any others of the site. */
export function CableChoice({ slice, site, chosen, onChoose }: CableChoiceProps) {
  const [text, setText] = useState('');
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const all = slice.by('cable', 'site', site);
  const picked = new Set(chosen);
  const shown = all
    .filter(
      ({ id, tag, to }) =>
        picked.has(id) ||
        (words.length > 0 && words.every((word) => `${tag} ${to}`.toLowerCase().includes(word))),
    )
    .sort((a, b) => Number(picked.has(b.id)) - Number(picked.has(a.id)))
    .slice(0, 160);
  return (
    <Box component="section" aria-label="Cables" flex="1 1 240px" maw={400}>
      <TextInput
        mb="xs"
        label="Find another cable, tag or to"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <p className="quiet">{count(chosen.length, 'cable')} chosen.</p>
      <Box component="ul" className="bare" mah={380} style={{ overflowY: 'auto' }}>
        {shown.map(({ id, tag, outerMm }) => (
          <li key={id}>
            <Checkbox
              size="md"
              mih={44}
              mr="sm"
              label={
                <>
                  {tag}, <span className="figures">{known(outerMm, 'mm', 1)}</span>
                </>
              }

              checked={picked.has(id)}
              onChange={() => onChoose(toggled(chosen, id))}
            />
          </li>
        ))}
      </Box>
    </Box>
  );
}
