// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { said, show, type } from '../../../tests/dom/page';
import { dossierWith } from '../../core/rulebook/sound-entry.test.data';
import { AgreementTool } from './AgreementTool';
import { BackNutTool } from './BackNutTool';
import { BarrierTool } from './BarrierTool';
import { BreathingTool } from './BreathingTool';
import { CompoundTool } from './CompoundTool';
import { EarthTool } from './EarthTool';
import { ThreadTool } from './ThreadTool';

const press = (name: string | RegExp) => screen.getByRole('button', { name });

/** The figure that a list of terms gives. */
const term = (name: string): string | null =>
  screen.getByText(name, { selector: 'dt' }).nextElementSibling!.textContent;

/** Answers a choice among words. */
const choose = (title: string, words: string) =>
  within(screen.getByRole('group', { name: title })).getByRole('button', { name: words });

describe('the back-nut scale', () => {
  const fill = async (figures: Record<string, string>) => {
    const { hands } = show(<BackNutTool dossier={null} />);
    for (const [label, text] of Object.entries(figures)) await type(hands, new RegExp(`^${label}`), text);
    return hands;
  };
  const CASE = {
    'Seal, free bore': '21.7', 'Seal, free outside': '30', 'Seal, free length': '14.7', 'Bore of the housing': '30.6',
    'Gap at hand-on': '7.6', 'Turns after contact': '0.5', 'Pitch of the nut': '1.5', 'Scale from': '18', 'Scale to': '21',
    'Cable as measured': '20',
  }; // prettier-ignore

  it('gives the gap and the indent of a cable', async () => {
    await fill(CASE);
    expect(said()).toEqual(['On 20.0 mm the gap is 3.91 mm, and the sheath is indented by 4.7 %.']);
    expect(screen.getByRole('button', { name: /Print the scale/ })).toBeTruthy();
  });

  it('says where the indent is too deep', async () => {
    const hands = await fill(CASE);
    await type(hands, /^Sheath indented at most/, '4');
    expect(screen.getByRole('status').className).toContain('state-failed');
    await type(hands, /^Sheath indented at most/, '5');
    expect(screen.getByRole('status').className).toContain('state-sound');
  });

  it('draws nothing for a scale that runs backwards, and says so', async () => {
    await fill({ ...CASE, 'Scale from': '21', 'Scale to': '18' });
    expect(said()).toEqual(['The scale has to run from a thinner to a thicker cable.']);
    expect(screen.queryByRole('button', { name: /Print/ })).toBeNull();
  });

  it('waits for a figure that is taken out', async () => {
    await fill({ ...CASE, 'Seal, free length': '' });
    expect(said()).toEqual([]);
  });

  it('starts from the sheet and the readings of an entry', () => {
    show(<BackNutTool dossier={dossierWith()} />);
    expect(screen.getByLabelText<HTMLInputElement>(/^Cable as measured/).value).toBe('20.7');
    expect(screen.getByLabelText<HTMLInputElement>(/^Scale from/).value).toBe('16.9');
  });
});

describe('compound', () => {
  const fill = async (figures: Record<string, string>) => {
    const { hands } = show(<CompoundTool dossier={null} />);
    for (const [label, text] of Object.entries(figures)) await type(hands, new RegExp(`^${label}`), text);
    return hands;
  };
  const CASE = {
    'Bore of the pot': '54.2', 'Depth that is filled': '40', Waste: '25', 'Contents of a pack': '50',
    'Number of cores, line 1': '3', 'Diameter of the cores, line 1': '4', 'Temperature; for the cure': '4',
    'The sheet’s times hold at': '21', 'Factor per 10 K': '1.8', 'Working life by the sheet': '40', 'Cure by the sheet': '6',
    'Not mixed below': '4',
  }; // prettier-ignore

  it('gives volume, packs and times', async () => {
    await fill(CASE);
    expect(term('Volume to fill')).toBe('90.8 ml');
    expect(term('With waste')).toBe('113.5 ml');
    expect(term('Packs')).toBe('3 packs');
    expect(said()).toEqual([
      'Compound fills 98.4 % of the pot along 40.0 mm; 20 % and 20 mm are needed.',
      'It works for 40.0 min after mixing and cures in 16.3 h.',
    ]);
  });

  it('is too little where it is not deep enough', async () => {
    const hands = await fill({ ...CASE, 'Depth that is filled': '18' });
    expect(screen.getAllByRole('status')[0]!.className).toContain('state-failed');
    await type(hands, /^Depth/, '20');
    expect(screen.getAllByRole('status')[0]!.className).toContain('state-sound');
  });

  it('is not mixed in the cold', async () => {
    await fill({ ...CASE, 'Temperature; for the cure': '3.9' });
    expect(said()[1]).toBe('Too cold: below 4 °C it is not mixed, and its cure stops.');
  });

  it('takes other temperatures from a sheet only where the sheet gives them', async () => {
    const warm = { ...CASE, 'Temperature; for the cure': '11', 'Factor per 10 K': '2' };
    const hands = await fill(warm);
    expect(said()[1]).toBe('It works for 40.0 min after mixing and cures in 12.0 h.');
    await hands.click(choose('The sheet itself gives other temperatures', 'yes'));
    expect(said()[1]).toBe('It works for 80.0 min after mixing and cures in 12.0 h.');
  });

  it('has no room where the cores fill the pot', async () => {
    await fill({ ...CASE, 'Bore of the pot': '6.9' });
    expect(said()[0]).toBe('The cores fill the whole pot: take a larger pot.');
  });

  it('adds and takes out lines of cores, and says when one cannot be read', async () => {
    const hands = await fill(CASE);
    await hands.click(press('Add cores'));
    await type(hands, 'Number of cores, line 2', '1.5');
    expect(screen.getByText(/A line has no whole number above 0/)).toBeTruthy();
    await hands.click(press('Take out line 2'));
    expect(screen.queryByText(/A line has no whole number/)).toBeNull();
    expect(term('Volume to fill')).toBe('90.8 ml');
  });
});

describe('the breathing test', () => {
  const fill = async (points: readonly (readonly [number, number])[], drift = '0') => {
    const { hands } = show(<BreathingTool dossier={null} />);
    for (let i = 0; i < Math.max(points.length, 6); i++) {
      if (i >= points.length) await hands.click(press(`Take out reading ${points.length + 1}`));
      else {
        if (i >= 6) await hands.click(press('Add a reading'));
        await type(hands, `Time of reading ${i + 1}, s`, String(points[i]![0]));
        await type(hands, `Overpressure of reading ${i + 1}, kPa`, String(points[i]![1]));
      }
    }
    await type(hands, /^Drift/, drift);
    return hands;
  };
  const FAST = [[0, 0.3007], [1, 0.2518], [2, 0.2094], [3, 0.1768], [4, 0.1477], [5, 0.1234]] as const; // prettier-ignore
  const SLOW = [[0, 0.3], [2, 0.2521], [4, 0.2132], [6, 0.18]] as const; // prettier-ignore

  it('fails a cable that breathes', async () => {
    await fill(FAST);
    expect(said()).toEqual([
      'The cable breathes too easily. From 0.30 to 0.15 kPa in 3.9 s; 5 s are needed.',
    ]);
  });

  it('passes one that holds its breath beyond the record', async () => {
    await fill(SLOW, '0.02');
    expect(said()).toEqual([
      'The cable holds its breath long enough. It does not fall to 0.15 kPa in the record.',
    ]);
  });

  it('says nothing of a record that starts too low', async () => {
    await fill([[0, 0.29], [4, 0.2], [8, 0.14]]); // prettier-ignore
    expect(said()[0]).toContain('The record says nothing');
    expect(screen.getByRole('status').className).toContain('state-unread');
  });

  it('says what is wrong with its readings, and judges nothing meanwhile', async () => {
    const hands = await fill(SLOW);
    await type(hands, 'Overpressure of reading 2, kPa', '');
    expect(said('alert')).toEqual([
      'A reading is no number above 0, for example 0.285. Correct it or take it out.',
    ]);
    expect(said()).toEqual([]);
    await type(hands, 'Overpressure of reading 2, kPa', '0.2521');
    await type(hands, 'Time of reading 2, s', '5');
    expect(said('alert')).toEqual(['The times have to rise from reading to reading.']);
  });

  it('asks for two readings at least', async () => {
    await fill([[0, 0.3]]);
    expect(said('alert')).toEqual(['Two readings are the least.']);
  });
});

describe('the cable and its record', () => {
  it('agree where what lies between the sheaths is what the record says', async () => {
    const { hands } = show(<AgreementTool dossier={null} />);
    expect(said()[0]).toContain('Outer less inner sheath is 5.5 mm');
    expect(said()[0]).toContain('give 5.5 mm');
    expect(screen.getByRole('status').className).toContain('state-sound');
    await type(hands, /^Inner sheath, measured/, '14');
    expect(said()[0]).toContain('Outer less inner sheath is 6.7 mm');
    expect(said()[0]).toContain('The wrong cable, the wrong record or a misreading.');
  });

  it('are not compared while a figure is missing', async () => {
    const { hands } = show(<AgreementTool dossier={null} />);
    await type(hands, /^Armour by the record/, '');
    expect(said()).toEqual([]);
  });

  it('start from what was measured of an entry', () => {
    show(<AgreementTool dossier={dossierWith({ truth: { 'outer-sheath': [21, 21.02, 21.01] } })} />);
    expect(screen.getByLabelText<HTMLInputElement>(/^Outer sheath, measured/).value).toBe('21.01');
  });
});

describe('the armour as earth path', () => {
  it('bears a fault or not, by its cross-section', async () => {
    const { hands } = show(<EarthTool dossier={null} />);
    await hands.click(choose('Armour given by', 'its cross-section'));
    await type(hands, /^Cross-section/, '20');
    const k = Number(screen.getByLabelText<HTMLInputElement>(/^Constant k/).value);
    // I √t / k, IEC 60364-5-54.
    await type(hands, /^Fault current/, String(20 * k));
    await type(hands, /^Until it is cleared/, '1');
    expect(said()).toEqual(['The armour bears the fault: it has 20.0 mm², 20.0 mm² are needed.']);
    await type(hands, /^Until it is cleared/, '4');
    expect(said()).toEqual(['The armour does not bear the fault: it has 20.0 mm², 40.0 mm² are needed.']);
  });

  it('asks for a constant that its metal has', async () => {
    const { hands } = show(<EarthTool dossier={null} />);
    await type(hands, /^Constant k/, '500');
    expect(said()[0]).toMatch(/For steel, k lies within \d+ to \d+\./);
    await hands.click(choose('Material', 'copper'));
    expect(said()[0]).toMatch(/^The armour/);
  });

  it.each([
    ['27', '3.15', '', '28', '4.8 %'],
    ['56.8', '1.6', '160', '75', '52.1 %'],
    ['13.8', '1.6', '', '28', '4.8 %'],
  ])('over %s mm of wires of %s mm and lay “%s” has %s wires', async (bedding, wire, lay, wires, longer) => {
    const { hands } = show(<EarthTool dossier={null} />);
    await type(hands, /^Over the bedding/, bedding);
    await type(hands, /^Wire diameter/, wire);
    await type(hands, /^Lay length/, lay);
    expect(term('Wires side by side')).toBe(wires);
    expect(term('Each wire is longer than the cable by')).toBe(longer);
  });

  it('is longer than its cable by the lay of its wires', async () => {
    const { hands } = show(<EarthTool dossier={null} />);
    // Ten times the middle of the wires: the wire runs √(1 + (π/10)²) times as far.
    expect(term('Each wire is longer than the cable by')).toBe('4.8 %');
    await type(hands, /^Lay length/, '100');
    expect(Number.parseFloat(term('Each wire is longer than the cable by')!)).toBeGreaterThan(10);
  });

  it('says in words why wires do not lie round a bedding', async () => {
    const { hands } = show(<EarthTool dossier={null} />);
    await type(hands, /^Over the bedding/, '1');
    await type(hands, /^Wire diameter/, '30');
    for (const one of said()) expect(one).not.toMatch(/NaN|undefined|Error/);
  });
});

describe('the thread', () => {
  it('is named from diameter and pitch', async () => {
    const { hands } = show(<ThreadTool dossier={null} />);
    expect(said()).toEqual(['It is M25x1.5.']);
    await type(hands, /^Over the crests/, '40.5');
    expect(said()[0]).not.toContain('M25');
  });

  it('takes a pitch in threads per inch', async () => {
    const { hands } = show(<ThreadTool dossier={null} />);
    await hands.click(choose('Pitch in', 'threads per inch'));
    await type(hands, /^Pitch/, '16.933');
    expect(said()[0]).toContain('M25x1.5');
  });

  it('is none of the table far from all of them', async () => {
    const { hands } = show(<ThreadTool dossier={null} />);
    await type(hands, /^Over the crests/, '5');
    expect(said()).toEqual(['No thread of the table. Measure again over clean crests.']);
    expect(screen.getByText('None within 1.5 mm.')).toBeTruthy();
  });

  it('says what the sheet says of the entry', () => {
    show(<ThreadTool dossier={dossierWith()} />);
    expect(said()[0]).toContain('The sheet says M25x1.5.');
  });
});

describe('the barrier', () => {
  const answer = async (words: readonly ('yes' | 'no')[]) => {
    const { hands } = show(<BarrierTool dossier={null} />);
    for (const [i, word] of words.entries()) {
      const asked = screen.getAllByRole('listitem');
      expect(asked).toHaveLength(i + 1);
      await hands.click(within(asked[i]!).getByRole('button', { name: word }));
    }
    return hands;
  };

  it('is needed at once where a certificate asks for it', async () => {
    await answer(['yes']);
    expect(said()).toEqual(['A barrier gland is needed.']);
  });

  it('is not needed at a mineral-insulated cable', async () => {
    await answer(['no', 'yes']);
    expect(said()).toEqual(['No barrier gland is needed.']);
  });

  it('is open while a question is, and starts again when asked to', async () => {
    const hands = await answer(['no', 'no']);
    expect(said()).toEqual(['Answer the next question.']);
    await hands.click(press('Start again'));
    expect(screen.getAllByRole('listitem')).toHaveLength(1);
  });

  it('is asked by seals where areas are classified by divisions', async () => {
    const { hands } = show(<BarrierTool dossier={null} />);
    await hands.click(choose('Areas classified by', 'divisions'));
    expect(said()[0]).toContain('A seal is asked for');
    await hands.click(choose('Wiring', 'conduit'));
    await hands.click(choose('Division', '2'));
    await hands.click(choose('Enclosure has to be explosionproof', 'no'));
    await hands.click(choose('Parts inside arc or run hot', 'no'));
    expect(said()).toEqual(['No seal is asked for here.']);
    await hands.click(choose('The run leaves the area here', 'yes'));
    expect(said()[0]).toContain('the run leaves the area');
    // 4 conductors of 4.1 mm in 26.6 mm: 4 · 4.1² / 26.6².
    expect(screen.getByText(/Conductors fill 9\.5 % of the conduit/)).toBeTruthy();
    await type(hands, /^Conductors/, '12');
    expect(screen.getByText(/: too many/)).toBeTruthy();
  });
});
