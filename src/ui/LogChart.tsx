import { Box } from '@mantine/core';
import { fetched } from './fetched';
import { Suspense } from 'react';
import type { LogChartProps } from './DrawnLogChart';

// The library that draws comes with the first chart.
const Drawn = fetched(() => import('./DrawnLogChart'));

/** A curve on a log axis, with levels and a fitted line; a table beside it has the same figures. */
export const LogChart = (props: LogChartProps) => (
  <Suspense fallback={<Box className="chart" pos="relative" h={320} p="xs" />}>
    <Drawn {...props} />
  </Suspense>
);
