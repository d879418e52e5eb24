import { ActionIcon } from '@mantine/core';
import '@mantine/core/styles/ActionIcon.layer.css';
import { IconMinus, IconPlus, IconZoomReset } from '@tabler/icons-react';

/** Brings a plan nearer, farther, or back to all of it. */
export function ZoomButtons({ by, reset }: { by: (factor: number) => void; reset: () => void }) {
  return (
    <ActionIcon.Group>
      <ActionIcon variant="default" size={48} aria-label="Nearer" onClick={() => by(1.5)}>
        <IconPlus aria-hidden="true" />
      </ActionIcon>
      <ActionIcon variant="default" size={48} aria-label="Farther" onClick={() => by(1 / 1.5)}>
        <IconMinus aria-hidden="true" />
      </ActionIcon>
      <ActionIcon variant="default" size={48} aria-label="The whole site" onClick={reset}>
        <IconZoomReset aria-hidden="true" />
      </ActionIcon>
    </ActionIcon.Group>
  );
}
