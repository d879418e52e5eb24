import { Box } from '@mantine/core';
import {
  Chart,
  LinearScale,
  LineController,
  LineElement,
  LogarithmicScale,
  PointElement,
  Tooltip,
  type ChartConfiguration,
} from 'chart.js';
import { useEffect, useRef } from 'react';

Chart.register(LineController, LineElement, PointElement, LinearScale, LogarithmicScale, Tooltip);

export interface ChartPoint {
  x: number;
  y: number;
}

/** What is drawn; the same object as long as it shows the same. */
export interface LogCurve {
  points: readonly ChartPoint[];
  /** Two points of the fitted line; empty without. */
  fitted: readonly ChartPoint[];
  /** Values that a line is drawn across at. */
  levels: readonly number[];
  /** Where the level axis begins; at the first point where it is not said. */
  from?: number;
}

export interface LogChartProps {
  curve: LogCurve;
  xTitle: string;
  yTitle: string;
  /** What it shows, for who does not see it. */
  label: string;
  /** How a place on the level axis is said. */
  xWords?: (x: number) => string;
}

/** A curve on a log axis, with levels and a fitted line; a table beside it has the same figures. */
export default function DrawnLogChart({ curve, xTitle, yTitle, label, xWords }: LogChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const chart = new Chart(canvas.current!, configOf({ curve, xTitle, yTitle, label, xWords }));
    let gone = false;
    // Drawn again once the face has arrived.
    void document.fonts.ready.then(() => (gone ? undefined : chart.update()));
    return () => {
      gone = true;
      chart.destroy();
    };
  }, [curve, xTitle, yTitle, label, xWords]);
  return (
    <Box className="chart" pos="relative" h={320} p="xs">
      <canvas ref={canvas} role="img" aria-label={`${label}; the table beside it has the same figures`} />
    </Box>
  );
}

function configOf({
  curve,
  xTitle,
  yTitle,
  xWords,
}: LogChartProps): ChartConfiguration<'line', ChartPoint[]> {
  const style = getComputedStyle(document.documentElement);
  const colour = (name: string) => style.getPropertyValue(name).trim();
  const [ink, action, brass] = [colour('--ink'), colour('--action'), colour('--brass')];
  Chart.defaults.font.family = colour('--face-text');
  const [from, to] = spanOf(curve);
  const axis = (text: string) => ({ title: { display: true, text, color: ink }, ticks: { color: ink } });
  const level = (y: number) => ({
    data: [
      { x: from, y },
      { x: to, y },
    ],
    borderColor: ink,
    borderWidth: 1,
    borderDash: [6, 4],
    pointRadius: 0,
  });
  return {
    type: 'line',
    data: {
      datasets: [
        {
          data: [...curve.points],
          borderColor: action,
          backgroundColor: action,
          borderWidth: 2,
          pointRadius: 4,
        },
        { data: [...curve.fitted], borderColor: brass, borderWidth: 2, borderDash: [3, 3], pointRadius: 0 },
        ...curve.levels.map(level),
      ],
    },
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      parsing: false,
      plugins: { legend: { display: false } },
      scales: {
        x: {
          ...axis(xTitle),
          type: 'linear',
          min: from,
          max: to,
          ticks: { color: ink, ...(xWords ? { callback: (value) => xWords(Number(value)) } : {}) },
        },
        y: { ...axis(yTitle), type: 'logarithmic' },
      },
    },
  };
}

/** From where to where the level axis runs: one of its units at least, so that its words differ. */
function spanOf({ points, fitted, from }: LogCurve): [number, number] {
  const xs = [...points, ...fitted].map(({ x }) => x);
  const first = from ?? Math.min(...xs);
  const last = Math.max(...xs, first);
  return [first, Math.max(last, first + 1)];
}
