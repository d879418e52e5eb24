import { Modal, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Slice } from '../../core/record/slice';
import { useDevice } from '../hand/hand';
import { kindTitle } from '../../core/words/en/kinds/kinds';

interface Hit {
  title: string;
  what: string;
  address: string;
}

/** Finds any entry, certificate or defect of the site. */
export default function Palette({ onClose }: { onClose: () => void }) {
  const { slice, site } = useDevice();
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const hits = site ? find(slice, site, text) : [];
  const go = (hit: Hit | undefined) => hit && location.assign(hit.address);
  return (
    <Modal opened onClose={onClose} title="Find" size="lg">
      <TextInput
        className="field"
        label="Entry, cable, certificate or defect"
        data-autofocus
        value={text}
        role="combobox"
        aria-expanded="true"
        aria-controls="find-hits"
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setAt(Math.min(at + 1, hits.length - 1));
          else if (event.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
          else if (event.key === 'Enter') go(hits[at]);
          else return;
          event.preventDefault();
        }}
      />
      <ul id="find-hits" style={{ listStyle: 'none', padding: 0, margin: 0 }}>
        {hits.map((hit, i) => (
          <li key={hit.address} style={{ background: i === at ? 'var(--brass-fill)' : undefined }}>
            <a href={hit.address} style={{ display: 'block', padding: '10px 8px', textDecoration: 'none' }}>
              <b>{hit.title}</b> <span className="quiet">{hit.what}</span>
            </a>
          </li>
        ))}
      </ul>
      {hits.length === 0 && <p className="quiet">Nothing on this site matches. Try a tag such as JB-204.</p>}
    </Modal>
  );
}

const MOST_HITS = 12;

function find(slice: Slice, site: string, text: string): Hit[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const hits: (Hit & { score: number })[] = [];
  const add = (title: string, what: string, address: string) => {
    const all = `${title} ${what}`.toLowerCase();
    if (!words.every((word) => all.includes(word))) return;
    // A word that stands whole in the title weighs more than one inside another.
    const whole = title.toLowerCase().split(/[\s,]+/);
    hits.push({ title, what, address, score: words.filter((word) => whole.includes(word)).length });
  };
  for (const entry of slice.by('entry', 'site', site)) {
    const tag = slice.get('enclosure', entry.enclosure)?.tag ?? '';
    const cable = entry.cable ? (slice.get('cable', entry.cable)?.tag ?? '') : '';
    add(
      `${tag}, entry ${entry.label}`,
      `${kindTitle(entry.kind)}, ${entry.size ?? 'no size'}, cable ${cable}`,
      `/bench/?entry=${entry.id}&site=${site}`,
    );
  }
  for (const { id, number, title } of slice.by('certificate', 'site', site)) {
    add(number, `certificate, ${title}`, `/dossier/?site=${site}&table=certificate&record=${id}`);
  }
  for (const { id, check, statement } of slice.by('defect', 'site', site)) {
    add(`Defect ${check ?? ''}`, statement, `/defects/?site=${site}&defect=${id}`);
  }
  return hits.sort((a, b) => b.score - a.score).slice(0, MOST_HITS);
}
