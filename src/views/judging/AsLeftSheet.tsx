import { Button, Modal, NativeSelect, Textarea } from '@mantine/core';
import { useState } from 'react';
import { KINDS } from '../../core/kinds/kinds';
import { SEAL_FATES, type Id, type SealFate } from '../../core/record/types';
import { askedLooks, askedPlaces, holdsOf } from '../../core/rulebook/asked';
import type { Dossier } from '../../core/rulebook/dossier';
import { device, say } from '../hand/hand';
import { give } from '../hand/give';
import { titleOf } from '../../core/words/en/kinds/titles';

const FATE_WORDS: Record<SealFate, string> = {
  replaced: 'replaced by a new one',
  kept: 'kept, within its sheet',
  none: 'there is none',
};

/** Seals how the entry was left when it was closed again, with the hold points that are still open. */
export default function AsLeftSheet({
  dossier,
  round,
  why: first = 'opening',
  onClose,
}: {
  dossier: Dossier;
  round: Id;
  /** What was done, as far as it is known. */
  why?: 'opening' | 'make-off';
  onClose: () => void;
}) {
  const kind = KINDS[dossier.entry.kind];
  const [why, setWhy] = useState<'opening' | 'make-off'>(first);
  // What became of the seals is seen, never assumed; a kind without an inner seal has none.
  const [outer, setOuter] = useState<SealFate | ''>('');
  const [inner, setInner] = useState<SealFate | ''>(kind.inner === 'none' ? 'none' : '');
  const [asked, setAsked] = useState(false);
  const [note, setNote] = useState('');
  const open = openHolds(dossier);
  const seal = () => {
    if (outer === '' || inner === '') return setAsked(true);
    const payload = {
      id: device.id(), entry: dossier.entry.id, round, why, outerSeal: outer, innerSeal: inner, note,
    }; // prettier-ignore
    if (!give('asleft.seal', payload)) return;
    say('The as-left record is sealed.');
    onClose();
  };
  const fate = (title: string, value: SealFate | '', onChange: (fate: SealFate | '') => void) => (
    <NativeSelect
      label={title}
      value={value}
      error={asked && value === '' ? 'Say what became of it.' : null}
      data={[
        { value: '', label: 'choose' },
        ...SEAL_FATES.map((one) => ({ value: one, label: FATE_WORDS[one] })),
      ]}
      onChange={(event) => onChange(event.currentTarget.value as SealFate | '')}
    />
  );
  return (
    <Modal opened onClose={onClose} title="As left" size="lg">
      <p>
        What the closed entry hides is judged from this record afterwards: readings, looks and compound of
        this round as they stand now. It is sealed and cannot be changed; another opening makes a new one.
      </p>
      {open.length > 0 ? (
        <p className="make-safe" role="alert">
          <b>{open.length === 1 ? 'One hold point is open' : `${open.length} hold points are open`}:</b>{' '}
          {open.join(', ')}. Sealed now, {open.length === 1 ? 'it stays' : 'they stay'} unread.
        </p>
      ) : (
        <p>Every hold point is answered.</p>
      )}
      <NativeSelect
        className="field"
        label="After"
        value={why}
        onChange={(event) => setWhy(event.target.value as 'opening')}
      >
        <option value="opening">an opening</option>
        <option value="make-off">making it off anew</option>
      </NativeSelect>
      {fate('Outer seal', outer, setOuter)}
      {fate('Inner seal', inner, setInner)}
      <Textarea
        className="field"
        label="Note"
        rows={2}
        maxLength={500}
        value={note}
        onChange={(event) => setNote(event.target.value)}
      />
      <Button onClick={seal}>Seal the as-left record</Button>
    </Modal>
  );
}

/** Hold points of the make-off that this round has not answered. */
function openHolds(dossier: Dossier): string[] {
  const titles = new Map(
    [...askedPlaces(dossier), ...askedLooks(dossier)].map((row) => [row.id, titleOf(row)]),
  );
  const answered = (id: string) =>
    !dossier.recorded.has(id) && (dossier.groups.has(id) || dossier.looks.has(id));
  return holdsOf(dossier)
    .filter((id) => !answered(id))
    .map((id) => titles.get(id) ?? id);
}
