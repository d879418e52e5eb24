import { Button, Modal, NativeSelect, Textarea } from '@mantine/core';
import { useForm } from '@mantine/form';
import { KINDS } from '../../core/kinds/kinds';
import { SEAL_FATES, type AsLeft, type Id, type SealFate } from '../../core/record/types';
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

interface AsLeftProps {
  dossier: Dossier;
  round: Id;
  /** What was done, as far as it is known. */
  why?: AsLeft['why'];
  onClose: () => void;
}

/** Seals how the entry was left when it was closed again, with the hold points that are still open. */
export default function AsLeftSheet(props: AsLeftProps) {
  const { form, seal } = useAsLeft(props);
  return (
    <Modal opened onClose={props.onClose} title="As left" size="lg">
      <p>
        What the closed entry hides is judged from this record afterwards: readings, looks and compound of
        this round as they stand now. It is sealed and cannot be changed; another opening makes a new one.
      </p>
      <OpenHolds holds={openHolds(props.dossier)} />
      <form noValidate onSubmit={form.onSubmit(seal)}>
        <NativeSelect
          mb="xs"
          label="After"
          data={[
            { value: 'opening', label: 'an opening' },
            { value: 'make-off', label: 'making it off anew' },
            { value: 'cable-out', label: 'taking a cable out' },
            { value: 'cable-in', label: 'putting a cable in' },
          ]}
          {...form.getInputProps('why')}
        />
        <NativeSelect label="Outer seal" data={FATES} {...form.getInputProps('outerSeal')} />
        <NativeSelect label="Inner seal" data={FATES} {...form.getInputProps('innerSeal')} />
        <Textarea mb="xs" label="Note" rows={2} maxLength={500} {...form.getInputProps('note')} />
        <Button type="submit">Seal the as-left record</Button>
      </form>
    </Modal>
  );
}

const FATES = [
  { value: '', label: 'choose' },
  ...SEAL_FATES.map((one) => ({ value: one, label: FATE_WORDS[one] })),
];

/** What is typed of the record; what became of a seal is seen, never assumed. */
interface AsLeftDraft {
  why: AsLeft['why'];
  outerSeal: SealFate | '';
  innerSeal: SealFate | '';
  note: string;
}

const fateFault = (fate: SealFate | ''): string | null => (fate === '' ? 'Say what became of it.' : null);

function useAsLeft({ dossier, round, why = 'opening', onClose }: AsLeftProps) {
  // A kind without an inner seal has none.
  const innerSeal = KINDS[dossier.entry.kind].inner === 'none' ? 'none' : '';
  const form = useForm<AsLeftDraft>({
    mode: 'controlled',
    initialValues: { why, outerSeal: '', innerSeal, note: '' },
    validate: { outerSeal: fateFault, innerSeal: fateFault },
    validateInputOnChange: ['outerSeal', 'innerSeal'],
  });
  const seal = ({ outerSeal, innerSeal: inner, ...rest }: AsLeftDraft) => {
    if (outerSeal === '' || inner === '') return;
    const payload = { id: device.id(), entry: dossier.entry.id, round, ...rest, outerSeal, innerSeal: inner };
    if (!give('asleft.seal', payload)) return;
    say('The as-left record is sealed.');
    onClose();
  };
  return { form, seal };
}

function OpenHolds({ holds }: { holds: readonly string[] }) {
  if (holds.length === 0) return <p>Every hold point is answered.</p>;
  const one = holds.length === 1;
  return (
    <p className="make-safe" role="alert">
      <b>{one ? 'One hold point is open' : `${holds.length} hold points are open`}:</b> {holds.join(', ')}.
      Sealed now, {one ? 'it stays' : 'they stay'} unread.
    </p>
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
