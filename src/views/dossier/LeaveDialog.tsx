import { Button, Group, Modal } from '@mantine/core';

/** Asks before something typed is lost. */
export default function LeaveDialog({ onStay, onLeave }: { onStay: () => void; onLeave: () => void }) {
  return (
    <Modal opened onClose={onStay} title="Leave without saving?">
      <p>Something is typed in this form that is not saved. It is lost if you leave.</p>
      <Group>
        <Button data-autofocus onClick={onStay}>
          Stay
        </Button>
        <Button variant="default" onClick={onLeave}>
          Leave
        </Button>
      </Group>
    </Modal>
  );
}
