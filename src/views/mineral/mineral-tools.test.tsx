// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { said, show, type } from '../../../tests/dom/page';
import { recordsWith } from '../../core/rulebook/sound-entry.test.data';

const { give } = vi.hoisted(() => ({ give: vi.fn((..._: unknown[]) => 'command') }));
vi.mock('../hand/give', () => ({ give, tryGive: give }));
const { LinkTool } = await import('./LinkTool');
const { MarkOut } = await import('./MarkOut');

beforeEach(() => give.mockClear());

const press = (name: string) => screen.getByRole('button', { name });
const value = (label: string | RegExp) => screen.getByLabelText<HTMLInputElement>(label).value;

describe('the length of a link', () => {
  /** Straights of 929, 938 and 1305 mm with one bend of 90° at 81 mm; a worked case of the door. */
  const fill = async () => {
    const { hands } = show(<LinkTool cable={null} />);
    await hands.click(press('Add a straight'));
    const texts: [string | RegExp, string][] = [
      ['Straight 1, mm', '929'],
      ['Straight 2, mm', '938'],
      ['Straight 3, mm', '1305'],
      ['Bend 1, degrees', '90'],
      ['Radius of bend 1, mm', '81'],
      [/^Inside the first face/, '15.9'],
      [/^Inside the second face/, '13.3'],
      [/^First tail/, '109'],
      [/^Second tail/, '114'],
      [/^Cut off when squaring/, '0'],
    ];
    for (const [label, text] of texts) fireEvent.change(screen.getByLabelText(label), { target: { value: text } }); // prettier-ignore
    return hands;
  };

  it('says nothing before every length is known', () => {
    show(<LinkTool cable={null} />);
    expect(said('alert')).toEqual(['Type every length in mm or in, and every angle in degrees.']);
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('is cut to what the worked case says, with its tolerance', async () => {
    await fill();
    // Three straights off by 1 mm, two entries by 0.5 mm, a bend by 1° at 81 mm and by 2 mm at 90°.
    const tolerance = Math.hypot(1, 1, 1, 0.5, 0.5, (Math.PI / 180) * 81, (Math.PI / 180) * 90 * 2);
    expect(said()[0]).toContain('Cut it to 3551.4 mm.');
    expect(said()[0]).toContain(`The sheath is 3328.4 ± ${tolerance.toFixed(1)} mm`);
    expect(screen.getByText(/nearer by as much: 3541\.4 mm/)).toBeTruthy();
  });

  it('is not told with a tolerance that cannot be read', async () => {
    const hands = await fill();
    await type(hands, 'Straight 2 may be off by, mm', '1 or so');
    expect(screen.queryByRole('status')).toBeNull();
    await type(hands, 'Straight 2 may be off by, mm', '1');
    await type(hands, 'Bend 1 may be off by, degrees', '');
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('warns where it may be off by more than what still fits', async () => {
    const hands = await fill();
    await type(hands, /^It still fits when off by/, '2');
    expect(screen.getByText(/may be off by more than what still fits/)).toBeTruthy();
    await type(hands, /^It still fits when off by/, '5');
    expect(screen.queryByText(/may be off by more than what still fits/)).toBeNull();
  });

  it('adds and takes out bends, each blank until it is measured', async () => {
    const hands = await fill();
    await hands.click(press('Add a bend'));
    expect([value('Bend 2, degrees'), value('Radius of bend 2, mm')]).toEqual(['', '']);
    expect(screen.queryByRole('status')).toBeNull();
    await hands.click(press('Take bend 2 out'));
    expect(said()[0]).toContain('Cut it to 3551.4 mm.');
  });

  it('starts from the path of its cable, says which bend is too tight, and keeps what is changed', async () => {
    const cable = recordsWith({ kind: 'mi-link' }).get('cable', 'k')!;
    const { hands } = show(<LinkTool cable={cable} />);
    const { link } = cable.mineral!;
    expect(value('Straight 1, mm')).toBe(String(link!.straightsMm[0]));
    expect(screen.queryByText(/A bend is tighter than/)).toBeNull();
    await type(hands, 'Radius of bend 1, mm', '10');
    expect(screen.getByText(/A bend is tighter than 6 × the sheath of P-1/)).toBeTruthy();
    await type(hands, /^It still fits when off by/, '7');
    await hands.click(press('Keep the path with P-1'));
    const [kind, payload] = give.mock.calls[0] as [
      string,
      { set: { mineral: { link: { fitMm: number; bends: object[] } } } },
    ];
    expect(kind).toBe('cable.edit');
    expect(payload.set.mineral.link.fitMm).toBe(7);
    expect(payload.set.mineral.link.bends[0]).toMatchObject({ radiusMm: 10, right: link!.bends[0]!.right });
  });
});

describe('marking out an end', () => {
  const cell = (title: string) =>
    screen.queryByRole('rowheader', { name: title })?.nextElementSibling?.textContent ?? null;

  it('takes its lengths from the sheet of the accessory on the cable', () => {
    const slice = recordsWith({ kind: 'mi-pot' });
    show(<MarkOut slice={slice} cable={slice.get('cable', 'k')} />);
    const { mineral } = slice.get('certificate', 'q')!.sheet.sizes[0]!;
    expect(value(/^Tool’s stop behind its blade/)).toBe(String(mineral!.toolStopOffsetMm));
    expect(screen.getByText(/Lengths from sheet/)).toBeTruthy();
  });

  it('puts each mark where its lengths say', async () => {
    const { hands } = show(<MarkOut slice={recordsWith()} cable={null} />);
    await type(hands, /^Tail beyond the sheath/, '120');
    await type(hands, /^Tool’s stop behind its blade/, '33');
    await type(hands, /^Sheath’s end to the pot’s rear/, '16');
    expect([cell('Strip'), cell('Tool’s stop'), cell('Pot’s rear')]).toEqual([
      '120.0 mm',
      '153.0 mm',
      '136.0 mm',
    ]);
    expect(cell('Cut the screen')).toBeNull();
  });

  it('draws nothing while a length is missing', async () => {
    const { hands } = show(<MarkOut slice={recordsWith()} cable={null} />);
    await type(hands, /^Tail beyond the sheath/, '');
    expect(screen.queryByRole('table')).toBeNull();
    expect(screen.queryByRole('button', { name: /Print the ruler/ })).toBeNull();
  });

  it('refuses a stub of the screen that is longer than the tail', async () => {
    const slice = recordsWith({ kind: 'mi-pot', mineral: { screened: true } });
    const { hands } = show(<MarkOut slice={slice} cable={slice.get('cable', 'k')} />);
    await type(hands, /^Screen left standing/, '500');
    expect(said('alert')).toEqual(['The screen’s stub must be shorter than the tail.']);
    expect(screen.queryByRole('table')).toBeNull();
  });
});
