import { Button, Group } from '@mantine/core';
import { notifications, Notifications } from '@mantine/notifications';
import '@mantine/core/styles/Notification.layer.css';
import '@mantine/notifications/styles.layer.css';
import { useEffect, useRef } from 'react';
import type { Said } from '../hand/hand';

/** How long something stands, ms: long enough to read two lines and to take it back. */
const STANDS_MS = 9000;

/**
 * What was said, one after the other at the head of the page: never over a dialog, which begins below, nor over the
 * tray. Each leaves by itself; its undo stays for as long as it stands, and as a key afterwards.
 */
export default function Voice({ said }: { said: readonly (Said | null)[] }) {
  const heard = useRef(0);
  useEffect(() => {
    for (const one of said.slice(heard.current)) {
      if (one) show(one);
      else notifications.clean();
    }
    heard.current = said.length;
  }, [said]);
  return (
    <Notifications
      transitionDuration={0}
      position="top-center"
      limit={1}
      autoClose={STANDS_MS}
      containerWidth={600}
      className="voice"
    />
  );
}

function show({ text, action }: Said): void {
  // What was said before makes room: the newest is what the hand has just done.
  notifications.clean();
  const id = notifications.show({
    className: 'toast',
    color: 'ink',
    withBorder: true,
    role: 'status',
    closeButtonProps: { 'aria-label': 'Close this message' },
    message: (
      <Group justify="space-between" wrap="nowrap">
        <span>{text}</span>
        {action && (
          <Button
            variant="default"
            onClick={() => {
              notifications.hide(id);
              action.run();
            }}
          >
            {action.title}
          </Button>
        )}
      </Group>
    ),
  });
}
