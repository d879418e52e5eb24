// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { show } from '../../../tests/dom/page';
import { placeRow } from '../../core/kinds/kinds';
import { KIND_IDS } from '../../core/record/kind-ids';
import { askedPlaces } from '../../core/rulebook/asked';
import { contextOf, judge } from '../../core/rulebook/judge';
import { dossierWith, type Change } from '../../core/rulebook/sound-entry.test.data';
import { titleOf } from '../../core/words/en/kinds/titles';
import { placeView } from './place-view';

const { give } = vi.hoisted(() => ({ give: vi.fn() }));
vi.mock('../hand/give', () => ({ give }));
const { PlaceCard } = await import('./PlaceCard');

beforeEach(() => give.mockClear());

const AT = '2026-03-04T10:00:00.000Z';

/** The card of a place of an entry that is changed as a test asks. */
function card(place: string, change: Change = {}, beside: Partial<Parameters<typeof PlaceCard>[0]> = {}) {
  const dossier = dossierWith(change);
  const context = contextOf(dossier, 'detailed', AT);
  const row = placeRow(dossier.entry.kind, place)!;
  const view = placeView(context, row, judge(dossier, 'detailed', AT));
  const onSelect = vi.fn();
  const page = show(
    <PlaceCard view={view} guarded selected={false} sealed={false} onSelect={onSelect} {...beside} />,
  );
  return { ...page, onSelect, view };
}

const head = () => screen.getAllByRole('button')[0]!;

describe('the card of a place', () => {
  it('says in words and by its mark whether it fits', () => {
    card('outer-sheath');
    expect(head().textContent).toContain('Fits');
    expect(screen.getByRole('img', { name: 'Outer sheath: Fits' })).toBeTruthy();
  });

  it.each([
    [[25, 25.02, 25.01], 'Too large'],
    [[15, 15.02, 15.01], 'Too small'],
    [[], 'Not read'],
    [[24.08, 24.08, 24.08], 'Close call'],
  ])('of readings %j says %s', (values, word) => {
    card('outer-sheath', { truth: { 'outer-sheath': values } });
    expect(head().textContent).toContain(word);
  });

  it('shows every reading, and where the next one goes', async () => {
    const { hands, onSelect, view } = card('outer-sheath');
    for (const { value } of view.readings)
      expect(screen.getByRole('button', { name: `Reading ${value.toFixed(2)}` })).toBeTruthy();
    await hands.click(screen.getByRole('button', { name: /^Read .*, Outer sheath$/ }));
    expect(onSelect).toHaveBeenCalled();
  });

  it('says of a reading by whom, with what and when, and strikes it out with a reason', async () => {
    const { hands, view } = card('outer-sheath', { truth: { 'outer-sheath': [20.68] } });
    const reading = screen.getByRole('button', { name: 'Reading 20.68' });
    await hands.click(reading);
    const menu = screen.getByText(/Caliper 07/);
    expect(menu.textContent).toContain('A. Vell');
    await hands.click(screen.getByRole('button', { name: 'Strike out' }));
    expect(give).toHaveBeenCalledWith(
      'reading.strike',
      { id: view.readings[0]!.id, reason: 'misreading' },
      'Reading 20.68 is struck out.',
    );
  });

  it('marks a reading that does not count, and says why', async () => {
    const { hands } = card('outer-sheath', { truth: { 'outer-sheath': [20.68] }, fault: 'past-calibration' });
    const reading = screen.getByRole('button', { name: /^Reading 20\.68, does not count/ });
    expect(reading.textContent).toContain('!');
    await hands.click(reading);
    await hands.click(screen.getByRole('button', { name: 'Strike out' }));
    expect(give.mock.calls[0]![1].reason).not.toBe('misreading');
  });

  it('is closed by Escape', async () => {
    const { hands } = card('outer-sheath', { truth: { 'outer-sheath': [20.68] } });
    await hands.click(screen.getByRole('button', { name: 'Reading 20.68' }));
    await hands.keyboard('{Escape}');
    expect(screen.queryByRole('button', { name: 'Strike out' })).toBeNull();
  });

  it('of a sealed round takes nothing more, and strikes nothing out', async () => {
    const { hands } = card('outer-sheath', { truth: { 'outer-sheath': [20.68] } }, { sealed: true });
    expect(screen.queryByRole('button', { name: /^Read / })).toBeNull();
    await hands.click(screen.getByRole('button', { name: 'Reading 20.68' }));
    expect(screen.queryByRole('button', { name: 'Strike out' })).toBeNull();
  });

  it('shows a bond in mΩ', () => {
    card('bond', { truth: { bond: [0.0123] } });
    expect(screen.getByRole('button', { name: 'Reading 12.3' })).toBeTruthy();
    expect(screen.getByRole('region').textContent).toContain('mΩ');
  });

  it('says how it is measured once it is chosen', () => {
    card('outer-sheath', {}, { selected: true });
    expect(within(screen.getByRole('region')).getByText(/\w+ \w+/, { selector: 'p' })).toBeTruthy();
  });

  it.each(KIND_IDS)('can be drawn for every asked place of a sound %s', (kind) => {
    const dossier = dossierWith({ kind });
    for (const place of askedPlaces(dossier)) {
      const { unmount } = card(place.id, { kind });
      expect(screen.getByRole('region', { name: titleOf(place) }).textContent).not.toMatch(/undefined|NaN/);
      unmount();
    }
  });
});
