import { Button, Group, Modal } from '@mantine/core';
import { useCallback, useRef, useState } from 'react';

/** Something that leaves a form: asked first when something is typed in it that is not saved. */
export interface Leave {
  then: (go: () => void) => void;
  onDirty: (dirty: boolean) => void;
  dialog: React.ReactNode;
}

/** Asks before something typed is lost. */
export function useLeave(): Leave {
  const dirty = useRef(false);
  const [going, setGoing] = useState<{ go: () => void } | null>(null);
  const onDirty = useCallback((is: boolean) => void (dirty.current = is), []);
  const stay = () => setGoing(null);
  return {
    onDirty,
    then: (go) => (dirty.current ? setGoing({ go }) : go()),
    dialog: (
      <Modal opened={going !== null} onClose={stay} title="Leave without saving?">
        <p>Something is typed in this form that is not saved. It is lost if you leave.</p>
        <Group>
          <Button data-autofocus onClick={stay}>
            Stay
          </Button>
          <Button
            variant="default"
            onClick={() => {
              dirty.current = false;
              setGoing(null);
              going!.go();
            }}
          >
            Leave
          </Button>
        </Group>
      </Modal>
    ),
  };
}
