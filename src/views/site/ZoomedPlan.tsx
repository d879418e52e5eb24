import { ActionIcon, Group } from '@mantine/core';
import '@mantine/core/styles/ActionIcon.layer.css';
import { IconMinus, IconPlus, IconZoomReset } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import type { RectM } from '../../drawing/site-plan';
import { useZoom } from './use-zoom';

interface Props {
  /** All of it, m. */
  view: RectM;
  label: string;
  /** Beside the buttons that zoom. */
  beside?: ReactNode;
  /** What is drawn, by how many pixels a metre has. */
  children: (pxPerM: number) => ReactNode;
}

/** A plan that is moved, and brought nearer or farther. */
export function ZoomedPlan({ view, label, beside, children }: Props) {
  const { svg, transform, pxPerM, by, reset } = useZoom(view);
  return (
    <>
      <Group gap="xs" mb={6} className="plan-tools">
        {beside}
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
      </Group>
      <svg
        ref={svg}
        className="plan"
        viewBox={`${view.x} ${view.y} ${view.width} ${view.height}`}
        role="group"
        aria-label={label}
      >
        <g transform={transform}>{children(pxPerM)}</g>
      </svg>
    </>
  );
}
