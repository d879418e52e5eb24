import {
  Chart,
  LinearScale,
  LineController,
  LineElement,
  LogarithmicScale,
  PointElement,
  Tooltip,
} from 'chart.js';
import { useEffect, useRef } from 'react';

Chart.register(LineController, LineElement, PointElement, LinearScale, LogarithmicScale, Tooltip);

interface Point {
  x: number;
  y: number;
}

/** Insulation on a log axis over time, with its threshold and its fitted line; a table beside it has the figures. */
export default function LogChart({
  points,
  fitted,
  threshold,
  xTitle,
  label,
  xWords,
}: {
  points: readonly Point[];
  /** Two points of the fitted line; empty without. */
  fitted: readonly Point[];
  threshold: number;
  xTitle: string;
  label: string;
  /** How a place on the time axis is said. */
  xWords?: (x: number) => string;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const style = getComputedStyle(document.documentElement);
    const colour = (name: string) => style.getPropertyValue(name).trim();
    const [ink, action, brass] = [colour('--ink'), colour('--action'), colour('--brass')];
    Chart.defaults.font.family = colour('--face-text');
    const xs = [...points, ...fitted].map(({ x }) => x);
    const from = Math.min(...xs);
    // A single reading still needs an axis.
    const to = Math.max(...xs) > from ? Math.max(...xs) : from + 1;
    const chart = new Chart(canvas.current!, {
      type: 'line',
      data: {
        datasets: [
          { data: [...points], borderColor: action, backgroundColor: action, borderWidth: 2, pointRadius: 4 },
          { data: [...fitted], borderColor: brass, borderWidth: 2, borderDash: [3, 3], pointRadius: 0 },
          {
            data: [
              { x: from, y: threshold },
              { x: to, y: threshold },
            ],
            borderColor: ink,
            borderWidth: 1,
            borderDash: [6, 4],
            pointRadius: 0,
          },
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
            type: 'linear',
            min: from,
            max: to,
            title: { display: true, text: xTitle, color: ink },
            ticks: { color: ink, ...(xWords ? { callback: (value) => xWords(Number(value)) } : {}) },
          },
          y: {
            type: 'logarithmic',
            title: { display: true, text: 'Insulation at 20 °C, MΩ', color: ink },
            ticks: { color: ink },
          },
        },
      },
    });
    let gone = false;
    // Drawn again once the face has arrived.
    void document.fonts.ready.then(() => (gone ? undefined : chart.update()));
    return () => {
      gone = true;
      chart.destroy();
    };
  }, [points, fitted, threshold, xTitle, xWords]);
  return (
    <div className="chart">
      <canvas ref={canvas} role="img" aria-label={`${label}; the table under it has the same figures`} />
    </div>
  );
}
