import { Group } from '@mantine/core';
import './clock-ring.css';
import type { Clock } from '../core/makeoff/clocks';
import { figure, moment } from '../core/words/en/format';
import { CLOCK_WORDS, DUE_WORDS, span } from '../core/words/en/makeoff';

const R = 22;
const ROUND = 2 * Math.PI * R;

/** One clock: a ring that closes as its time runs, with the time in words. */
export function ClockRing({ clock, nowMs }: { clock: Clock; nowMs: number }) {
  const { due, from, is, stopped, temperatureC } = clock;
  const [start, end] = [Date.parse(from), Date.parse(due)];
  const share = end > start ? Math.min(1, Math.max(0, (nowMs - start) / (end - start))) : 1;
  const over = nowMs >= end && !stopped;
  const tone = over
    ? is === 'working-life' || is === 'stale-test'
      ? 'failed'
      : 'sound'
    : stopped
      ? 'failed'
      : 'running';
  return (
    <Group className={`clock-ring state-${tone}`} gap={10} py={6} wrap="nowrap">
      <svg width={56} viewBox="-26 -26 52 52" aria-hidden="true">
        <circle r={R} className="clock-track" />
        <circle
          r={R}
          className="clock-run"
          strokeDasharray={`${share * ROUND} ${ROUND}`}
          transform="rotate(-90)"
        />
        {over && <circle r="9" className="clock-over" />}
      </svg>
      <div>
        <b>{over ? DUE_WORDS[is] : CLOCK_WORDS[is]}</b>
        <span className="figures">
          {stopped
            ? 'the cure stands still: too cold'
            : over
              ? `since ${span(nowMs - end)}`
              : `in ${span(end - nowMs)}`}
        </span>
        <small className="quiet">
          {moment(due)}
          {temperatureC === null ? ', temperature not recorded' : `, at ${figure(temperatureC, 1)} °C`}
        </small>
      </div>
    </Group>
  );
}
