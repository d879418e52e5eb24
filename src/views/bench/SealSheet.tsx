import { Button, Group, Modal } from '@mantine/core';
import type { Finding } from '../../core/record/finding';
import type { Defect } from '../../core/record/types';
import { checkTitle } from '../../core/words/en/checks/index';
import { count } from '../../core/words/en/format';

interface Props {
  findings: readonly Finding[];
  defects: readonly Defect[];
  /** Raises a defect for each of these. */
  onRaiseAll: (findings: readonly Finding[]) => void;
  onSeal: () => void;
  onClose: () => void;
}

/** Asks before an inspection is sealed: what is unread in it, and which failures nobody has raised a defect for. */
export default function SealSheet({ findings, defects, onRaiseAll, onSeal, onClose }: Props) {
  const unread = findings.filter(({ outcome }) => outcome === 'unread');
  const raised = (check: string) => defects.some((one) => one.check === check && one.state !== 'proven');
  const unraised = findings.filter(({ check, outcome }) => outcome === 'fails' && !raised(check));
  const clear = unread.length === 0 && unraised.length === 0;
  return (
    <Modal opened onClose={onClose} title="Seal this inspection?" size="lg">
      <p>Its readings and answers cannot be changed afterwards; another inspection makes a new record.</p>
      {unread.length > 0 && (
        <p>
          <b>{count(unread.length, 'check')} unread</b>, sealed as unread: {titles(unread)}.
        </p>
      )}
      {unraised.length > 0 && (
        <section className="make-safe" role="alert">
          <b>{count(unraised.length, 'failure')} without a defect</b>
          <ul>
            {unraised.map(({ check }) => (
              <li key={check}>
                {check} {checkTitle(check)}
              </li>
            ))}
          </ul>
          <Button variant="default" mih={48} onClick={() => onRaiseAll(unraised)}>
            {unraised.length === 1 ? 'Raise it' : 'Raise all'}
          </Button>
        </section>
      )}
      <Group mt="md">
        {/* What cannot be undone is under the finger at once only where nothing is open. */}
        <Button mih={48} data-autofocus={clear || undefined} onClick={onSeal}>
          Seal it
        </Button>
        <Button mih={48} variant="default" data-autofocus={!clear || undefined} onClick={onClose}>
          Not yet
        </Button>
      </Group>
    </Modal>
  );
}

const titles = (findings: readonly Finding[]): string =>
  findings.map(({ check }) => checkTitle(check).toLowerCase()).join(', ');
