import { Alert, Button, Group, Modal } from '@mantine/core';
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
  return (
    <Modal opened onClose={onClose} title="Seal this inspection?" size="lg">
      <p>Its readings and answers cannot be changed afterwards; another inspection makes a new record.</p>
      {unread.length > 0 && (
        <Alert title={`${count(unread.length, 'check')} unread`} mb="md">
          They are sealed as unread: {titles(unread)}.
        </Alert>
      )}
      {unraised.length > 0 && (
        <Alert color="red" title={`${count(unraised.length, 'failure')} without a defect`} mb="md">
          <ul>
            {unraised.map(({ check }) => (
              <li key={check}>
                {check} {checkTitle(check)}
              </li>
            ))}
          </ul>
          <Button variant="default" size="compact-md" onClick={() => onRaiseAll(unraised)}>
            {unraised.length === 1 ? 'Raise it' : 'Raise all'}
          </Button>
        </Alert>
      )}
      <Group>
        <Button data-autofocus onClick={onSeal}>
          Seal it
        </Button>
        <Button variant="default" onClick={onClose}>
          Not yet
        </Button>
      </Group>
    </Modal>
  );
}

const titles = (findings: readonly Finding[]): string =>
  findings.map(({ check }) => checkTitle(check).toLowerCase()).join(', ');
