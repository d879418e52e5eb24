import { useState } from 'react';
import './figure.css';
import { parseLength } from '../core/quantity/length';
import { LENGTH_FAULT_WORDS } from '../core/words/labels';

/** Figures of a helper as they are typed, each with the number that it reads as. */
export interface Figures<K extends string> {
  text: Readonly<Record<K, string>>;
  set: (name: K, text: string) => void;
  /** The number, or null where the text is none; a length may be typed in inches. */
  number: (name: K) => number | null;
  /** The length in mm, above 0; null otherwise. */
  length: (name: K) => number | null;
}

/** Keeps the figures of a form; what is typed stays as it is. */
export function useFigures<K extends string>(start: Record<K, string>): Figures<K> {
  const [text, setText] = useState(start);
  const number = (name: K) => {
    const plain = text[name].trim().replace(',', '.').replace('−', '-');
    return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : null;
  };
  const length = (name: K) => {
    const read = parseLength(text[name]);
    return 'mm' in read && read.mm > 0 ? read.mm : null;
  };
  return { text, set: (name, value) => setText((all) => ({ ...all, [name]: value })), number, length };
}

/** A number as a text that can be typed on. */
export const typed = (value: number | null | undefined, decimals = 2): string =>
  value == null ? '' : String(Math.round(value * 10 ** decimals) / 10 ** decimals);

/** One figure with its unit; says what is wrong as soon as it is. */
export function Figure<K extends string>({
  figures,
  name,
  title,
  unit,
  zero = false,
}: {
  figures: Figures<K>;
  name: K;
  title: string;
  /** "mm" reads lengths, in inches too. */
  unit: string;
  /** Whether 0 is allowed. */
  zero?: boolean;
}) {
  const text = figures.text[name];
  const problem = unit === 'mm' ? lengthProblem(text, zero) : numberProblem(figures.number(name), text, zero);
  return (
    <label className="field">
      <span>
        {title}, {unit === 'mm' ? 'mm or in' : unit}
      </span>
      <input
        className="figures"
        inputMode="decimal"
        autoComplete="off"
        value={text}
        aria-invalid={problem !== ''}
        onChange={(event) => figures.set(name, event.target.value)}
      />
      {problem && <small className="tone-failed">{problem}</small>}
    </label>
  );
}

function lengthProblem(text: string, zero: boolean): string {
  if (text.trim() === '') return 'Type a length, for example 20.7.';
  const read = parseLength(text);
  if (!('mm' in read)) return LENGTH_FAULT_WORDS[read.fault]!;
  return read.mm > 0 || zero ? '' : 'It must be above 0.';
}

function numberProblem(value: number | null, text: string, zero: boolean): string {
  if (text.trim() === '') return 'Type a number.';
  if (value === null) return 'That is no number. Type for example 12.5.';
  return value > 0 || zero ? '' : 'It must be above 0.';
}

/** A choice among a few words. */
export function Choice<V extends string>({
  title,
  value,
  options,
  onChange,
}: {
  title: string;
  value: V;
  options: readonly (readonly [value: V, words: string])[];
  onChange: (value: V) => void;
}) {
  return (
    <fieldset className="choice">
      <legend>{title}</legend>
      {options.map(([id, words]) => (
        <button key={id} type="button" aria-pressed={id === value} onClick={() => onChange(id)}>
          {words}
        </button>
      ))}
    </fieldset>
  );
}

/** A verdict in words, with its tone. */
export function Verdict({ good, children }: { good: boolean | null; children: React.ReactNode }) {
  const tone = good === null ? 'open' : good ? 'good' : 'bad';
  return (
    <p className={`verdict ${tone}`} role="status">
      {children}
    </p>
  );
}
