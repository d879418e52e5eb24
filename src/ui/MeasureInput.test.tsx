// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { show, type } from '../../tests/dom/page';
import type { QuantityId } from '../core/quantity/quantity';
import { fieldOf, useMeasure } from './measure';
import { MeasureInput } from './MeasureInput';
import { MeasuresInput, useMeasures } from './MeasuresInput';

function Alone({ quantity, unit }: { quantity: QuantityId; unit?: string }) {
  const [text, setText] = useState('');
  return <MeasureInput quantity={quantity} unit={unit} label="Figure" value={text} onText={setText} />;
}

/** A small form that asks for one figure. */
function Asked({ start = null, least = 0 }: { start?: number | null; least?: number }) {
  const measure = useMeasure('length', start, (mm) => (mm < least ? `At least ${least} mm.` : null));
  const [got, setGot] = useState<number | null | 'nothing yet'>('nothing yet');
  return (
    <>
      <MeasureInput label="Width" {...fieldOf(measure)} />
      <button onClick={() => setGot(measure.need())}>Keep</button>
      <button onClick={measure.clear}>Clear</button>
      <output>{String(got)}</output>
      <span data-testid="faulty">{String(measure.faulty)}</span>
    </>
  );
}

/** A small form that asks for several lengths. */
function Several({ needed }: { needed: boolean }) {
  const measures = useMeasures();
  const [got, setGot] = useState<readonly number[] | null | 'nothing yet'>('nothing yet');
  return (
    <>
      <MeasuresInput label="Readings, mm" measures={measures} />
      <button onClick={() => setGot(needed ? measures.need() : measures.read())}>Keep</button>
      <button onClick={measures.clear}>Clear</button>
      <output>{JSON.stringify(got)}</output>
    </>
  );
}

const kept = () => screen.getByRole('status').textContent;
const press = (name: string) => screen.getByRole('button', { name });

describe('a field for a figure', () => {
  it.each([
    ['length', undefined, 'Figure, mm or in'],
    ['number', '%', 'Figure, %'],
    ['number', '', 'Figure'],
  ] as const)('of a %s in “%s” is called “%s”', (quantity, unit, label) => {
    show(<Alone quantity={quantity} unit={unit} />);
    expect(screen.getByLabelText(label)).toBeTruthy();
  });

  it('says what it understood of another unit before it counts', async () => {
    const { hands } = show(<Alone quantity="length" />);
    await type(hands, /Figure/, '1/2 in');
    expect(screen.getByText(/12\.7 ?0? mm/)).toBeTruthy();
  });

  it('says what is wrong only once it is left, and no longer when it is right', async () => {
    const { hands } = show(<Alone quantity="length" />);
    const field = screen.getByLabelText(/Figure/);
    await hands.type(field, '12,,4');
    expect(field).not.toHaveProperty('ariaInvalid', 'true');
    await hands.tab();
    expect(field.getAttribute('aria-invalid')).toBe('true');
    await type(hands, /Figure/, '12,4');
    expect(field.getAttribute('aria-invalid')).not.toBe('true');
  });

  it('an empty one that is left is not wrong', async () => {
    const { hands } = show(<Alone quantity="length" />);
    await hands.click(screen.getByLabelText(/Figure/));
    await hands.tab();
    expect(screen.getByLabelText(/Figure/).getAttribute('aria-invalid')).not.toBe('true');
  });
});

describe('a figure that is asked for', () => {
  it('is given in mm, whatever it was typed in', async () => {
    const { hands } = show(<Asked />);
    await type(hands, /Width/, '1 in');
    await hands.click(press('Keep'));
    expect(kept()).toBe('25.4');
  });

  it('is asked for at its field, which has the focus, when it is missing', async () => {
    const { hands } = show(<Asked />);
    await hands.click(press('Keep'));
    const field = screen.getByLabelText(/Width/);
    expect(kept()).toBe('null');
    expect(document.activeElement).toBe(field);
    expect(field.getAttribute('aria-invalid')).toBe('true');
  });

  it('keeps to the rule of its form, in its words', async () => {
    const { hands } = show(<Asked least={10} />);
    await type(hands, /Width/, '9.9');
    await hands.click(press('Keep'));
    expect(screen.getByText('At least 10 mm.')).toBeTruthy();
    expect(screen.getByTestId('faulty').textContent).toBe('true');
    await type(hands, /Width/, '10');
    expect(screen.queryByText('At least 10 mm.')).toBeNull();
    await hands.click(press('Keep'));
    expect(kept()).toBe('10');
  });

  it('starts with what the records know, and is empty and unasked once it is cleared', async () => {
    const { hands } = show(<Asked start={20.7} />);
    const field = screen.getByLabelText<HTMLInputElement>(/Width/);
    expect(Number(field.value)).toBe(20.7);
    await hands.click(press('Clear'));
    expect(field.value).toBe('');
    expect(field.getAttribute('aria-invalid')).not.toBe('true');
  });
});

describe('several lengths in one field', () => {
  it('are read with spaces between, and counted as they are typed', async () => {
    const { hands } = show(<Several needed />);
    await type(hands, 'Readings, mm', '21.4 21.5 21,4');
    expect(screen.getByText('= 3 readings')).toBeTruthy();
    await hands.click(press('Keep'));
    expect(kept()).toBe('[21.4,21.5,21.4]');
  });

  it('are asked for where at least one is needed, and the words go when they are there', async () => {
    const { hands } = show(<Several needed />);
    await hands.click(press('Keep'));
    expect(kept()).toBe('null');
    expect(screen.getByText(/Type lengths in mm with spaces between/)).toBeTruthy();
    await type(hands, 'Readings, mm', '7');
    expect(screen.queryByText(/Type lengths in mm/)).toBeNull();
  });

  it('may be none where none is needed', async () => {
    const { hands } = show(<Several needed={false} />);
    await hands.click(press('Keep'));
    expect(kept()).toBe('[]');
  });

  it('of which one is no length are kept as typed, and the field says so', async () => {
    const { hands } = show(<Several needed={false} />);
    await type(hands, 'Readings, mm', '21.4 abc');
    await hands.click(press('Keep'));
    const field = screen.getByLabelText<HTMLInputElement>('Readings, mm');
    expect(kept()).toBe('null');
    expect(field.value).toBe('21.4 abc');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    await hands.click(press('Clear'));
    expect(field.value).toBe('');
    expect(field.getAttribute('aria-invalid')).not.toBe('true');
  });
});
