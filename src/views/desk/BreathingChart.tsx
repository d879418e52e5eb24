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
import { END_KPA, START_KPA, type BreathingFit, type BreathingPoint } from '../../core/gland/breathing';

Chart.register(LineController, LineElement, PointElement, LinearScale, LogarithmicScale, Tooltip);

/** Pressure over time on a log axis, with the two levels and the fitted line; the table beside it has the figures. */
export default function BreathingChart({
  points,
  fit,
}: {
  points: readonly BreathingPoint[];
  fit: BreathingFit | null;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart | null>(null);
  useEffect(() => {
    const style = getComputedStyle(document.documentElement);
    const ink = style.getPropertyValue('--ink').trim();
    const action = style.getPropertyValue('--action').trim();
    const rule = style.getPropertyValue('--rule').trim();
    Chart.defaults.font.family = style.getPropertyValue('--face-text').trim();
    const last = Math.max(...points.map(({ tS }) => tS), 1);
    const level = (y: number) => ({
      data: [
        { x: 0, y },
        { x: last, y },
      ],
      borderColor: ink,
      borderWidth: 1,
      borderDash: [6, 4],
      pointRadius: 0,
    });
    const line = fit ? [0, last].map((x) => ({ x, y: fit.startKpa * Math.exp(-x / fit.tauS) })) : [];
    chart.current = new Chart(canvas.current!, {
      type: 'line',
      data: {
        datasets: [
          {
            data: points.map(({ tS, pKpa }) => ({ x: tS, y: pKpa })),
            borderColor: action,
            backgroundColor: action,
            borderWidth: 2,
            pointRadius: 4,
          },
          { data: line, borderColor: rule, borderWidth: 2, pointRadius: 0 },
          level(START_KPA),
          level(END_KPA),
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
            min: 0,
            title: { display: true, text: 'Time, s', color: ink },
            ticks: { color: ink },
          },
          y: {
            type: 'logarithmic',
            suggestedMin: 0.1,
            suggestedMax: 0.4,
            title: { display: true, text: 'Overpressure, kPa', color: ink },
            ticks: { color: ink },
          },
        },
      },
    });
    return () => chart.current?.destroy();
  }, [points, fit]);
  return (
    <div className="chart">
      <canvas
        ref={canvas}
        role="img"
        aria-label="Overpressure over time; the table beside it has the same figures"
      />
    </div>
  );
}
