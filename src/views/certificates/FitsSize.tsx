import { FieldGrid } from '../../ui/FieldGrid';
import { NativeSelect } from '@mantine/core';
import { useMemo, useState } from 'react';
import { CandidateJudge } from '../../core/finder/candidate';
import { needsOf } from '../../core/finder/schedule';
import type { Slice } from '../../core/record/slice';
import type { Certificate } from '../../core/record/types';
import { now } from '../../client/clock';
import { VERDICT_GLYPHS, VERDICT_WORDS } from './verdict';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { endWords } from '../../core/words/en/where';

/** The reverse: which cables of the site a size would take. */
export default function FitsSize({ slice, certificate }: { slice: Slice; certificate: Certificate }) {
  const { sizes } = certificate.sheet;
  const [name, setName] = useState(sizes[0]?.size ?? '');
  const size = sizes.find((one) => one.size === name) ?? sizes[0];
  const found = useMemo(() => {
    if (!size) return [];
    return needsOf(slice, certificate.site).flatMap(({ need, where }) => {
      const judge = new CandidateJudge(need, now());
      if (!judge.mayTake(size)) return [];
      const candidate = judge.judge({ ...certificate, state: 'valid' }, size);
      const dimensions = candidate.said.some(
        ({ check, outcome }) => check > 'E-10' && check < 'E-15' && outcome === 'fails',
      );
      return dimensions ? [] : [{ need, where, candidate }];
    });
  }, [slice, certificate, size]);
  if (!size) return <p>The sheet has no size.</p>;
  return (
    <>
      <NativeSelect
        maw={220}
        mb="xs"
        label="Size"
        value={size.size}
        onChange={(event) => setName(event.target.value)}
      >
        {sizes.map((one) => (
          <option key={one.size}>{one.size}</option>
        ))}
      </NativeSelect>
      {found.length === 0 && <p>No cable of the site fits this size.</p>}
      <FieldGrid component="ul" className="bare" min={220} gap="0 16px" mb="sm">
        {found.map(({ need, where, candidate }) => (
          <li key={`${need.cable.id} ${endWords(where)}`}>
            <span className="line">
              <SealGlyph state={VERDICT_GLYPHS[candidate.verdict]} label={VERDICT_WORDS[candidate.verdict]} />{' '}
              {need.cable.tag}
              <small className="quiet"> {endWords(where)}</small>
            </span>
          </li>
        ))}
      </FieldGrid>
    </>
  );
}
