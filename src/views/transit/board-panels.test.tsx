// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { said, show } from '../../../tests/dom/page';
import { dossierOf } from '../../core/rulebook/dossier';
import { recordsWith } from '../../core/rulebook/sound-entry.test.data';
import type { KindId } from '../../core/record/kind-ids';
import type { PackedBlock, PackedOpening } from '../../core/record/types';

vi.mock('../hand/hand', () => ({
  instrument: { hold: vi.fn(), handle: vi.fn() },
  useInstrument: () => null,
  say: vi.fn(),
}));
const { BlockPanel } = await import('./BlockPanel');
const { Recess } = await import('./Recess');
const { Stack } = await import('./Stack');

const frame = (kind: KindId) => {
  const slice = recordsWith({ kind });
  const dossier = dossierOf(slice, 'e', slice.get('round', 'r'))!;
  return {
    slice,
    dossier,
    sheet: dossier.certificate!.sheet.transit!,
    opening: dossier.transit!.openings[0]!,
  };
};
const press = (name: string | RegExp) => screen.getByRole('button', { name });
const fill = (label: string | RegExp, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

describe('a block that is touched', () => {
  const onChange = vi.fn<(change: (block: PackedBlock) => PackedBlock) => void>();
  beforeEach(() => onChange.mockClear());

  /** The panel of the first block of a kind's frame that holds a cable, or of a spare one. */
  function panel(kind: KindId, spare = false) {
    const { slice, dossier, sheet, opening } = frame(kind);
    const state = opening.blocks.find(({ block }) => (block.cable === null) === spare)!;
    const instruments = slice.by('instrument', 'site', 's');
    const page = show(
      <BlockPanel
        state={state}
        sheet={sheet}
        calipers={instruments.filter((one) => one.kind === 'caliper')}
        meters={instruments.filter((one) => one.kind === 'milliohm-meter')}
        taken={dossier.transit!}
        expectedOhm={0.004}
        limitOhm={0.05}
        onChange={onChange}
      />,
    );
    return { ...page, state, changed: () => onChange.mock.calls[0]![0](state.block) };
  }

  it('keeps the layers counted and the cable measured, with the caliper it was measured by', async () => {
    const { hands, state, changed } = panel('transit-block');
    fill(/^Layers out, first half/, '4');
    fill(/^Second half/, '5');
    await hands.click(press('Keep it'));
    expect(changed().jacket).toMatchObject({ layers: [4, 5], instrument: state.block.jacket!.instrument });
  });

  it.each(['many', '2.5', '-1', '100'])('keeps nothing where the layers are "%s"', async (text) => {
    const { hands } = panel('transit-block');
    fill(/^Layers out, first half/, text);
    await hands.click(press('Keep it'));
    expect(onChange).not.toHaveBeenCalled();
    expect(screen.getByLabelText(/^Layers out, first half/).getAttribute('aria-invalid')).toBe('true');
  });

  it('asks for daylight, and keeps what is said', async () => {
    const { hands, changed } = panel('transit-block');
    await hands.click(press('Seen'));
    expect(changed().jacket!.daylight).toBe(true);
  });

  it('says which gap the layers leave', () => {
    panel('transit-block');
    expect(said().join(' ')).toMatch(/^Gap -?\d+\.\d+ mm .* within its window\.$/);
  });

  it('has its core looked at where it is a spare', async () => {
    const { hands, changed } = panel('transit-block', true);
    await hands.click(press('It is missing'));
    expect(changed().core).toBe(false);
  });

  it('of the bonded kind has two sides and a path to earth', async () => {
    const { hands, changed } = panel('transit-block-bonded');
    expect(screen.getAllByRole('form').map((form) => form.getAttribute('aria-label'))).toEqual([
      'Jacket side',
      'Armour side',
      'Bonding',
    ]);
    fill(/^Resistance/, '12');
    await hands.click(press('Keep the resistance'));
    expect(changed()).toMatchObject({ bondOhm: 0.012, bondAt: null });
  });

  it('asks for a resistance that can be read', async () => {
    const { hands } = panel('transit-block-bonded');
    fill(/^Resistance/, 'low');
    await hands.click(press('Keep the resistance'));
    expect(onChange).not.toHaveBeenCalled();
  });
});

describe('the stack of an opening', () => {
  function stack(change: (packed: PackedOpening) => PackedOpening = (packed) => packed) {
    const { sheet, opening } = frame('transit-block');
    const packed = change(opening.packed);
    const onChange = vi.fn<(next: (opening: PackedOpening) => PackedOpening) => void>();
    const page = show(<Stack opening={{ ...opening, packed }} sheet={sheet} onChange={onChange} />);
    return { ...page, sheet, packed, changed: () => onChange.mock.calls[0]![0](packed), onChange };
  }

  it('says what is left for the wedge beside what it needs', () => {
    const { sheet } = stack();
    const [low, high] = sheet.compressionMm;
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(
      new RegExp(`${low} to ${high} mm are needed`),
    );
  });

  it.each([
    [-1, 'It is not home: a row too many, or blocks not home.'],
    [1, 'It travelled too far: a row, a plate or a block is missing.'],
  ])('says what a wedge means that reads %d mm beyond its ends', (by, words) => {
    const { sheet } = frame('transit-block');
    const mm = by < 0 ? sheet.wedgeMm[0] + by : sheet.wedgeMm[1] + by;
    stack((packed) => ({ ...packed, wedgeMm: mm }));
    expect(screen.getByText(words)).toBeTruthy();
  });

  it('keeps what the wedge reads, and nothing that is no length', async () => {
    const { hands, onChange, changed } = stack();
    fill(/^Wedge or clip reads/, 'home');
    await hands.click(press('Keep it'));
    expect(onChange).not.toHaveBeenCalled();
    fill(/^Wedge or clip reads/, '10.5');
    await hands.click(press('Keep it'));
    expect(changed().wedgeMm).toBe(10.5);
  });

  it('turns a plate that is in into one that is missing', async () => {
    const { hands, changed } = stack((packed) => ({
      ...packed,
      rows: packed.rows.map((row) => ({ ...row, plate: true })),
    }));
    await hands.click(press('Plate on row 1: in'));
    expect(changed().rows[0]!.plate).toBe(false);
  });
});

describe('the depth of the sealant', () => {
  it('is kept at every point, and said where one is too shallow', async () => {
    const onKeep = vi.fn();
    const { hands } = show(<Recess recessMm={[20, 12, 20]} side="far side" depthMm={20} onKeep={onKeep} />);
    expect(screen.getByText(/Too shallow at one point/)).toBeTruthy();
    fireEvent.change(screen.getByRole('textbox'), { target: { value: '21, 12, 20' } });
    await hands.click(press('Keep the depths'));
    expect(onKeep).toHaveBeenCalledWith([21, 12, 20]);
  });
});
