// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import { useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { show, type } from '../../../tests/dom/page';
import { KINDS, looksOf } from '../../core/kinds/kinds';
import type { Severity } from '../../core/defects/severity';
import { KIND_IDS } from '../../core/record/kind-ids';
import type { Defect, EntryStatus, Look } from '../../core/record/types';
import { judge } from '../../core/rulebook/judge';
import { dossierWith, type Change } from '../../core/rulebook/sound-entry.test.data';
import { statement, statementParts } from '../../core/words/en/findings';
import { titleOf } from '../../core/words/en/kinds/titles';
import { answerTitle, lookQuestion } from '../../core/words/en/kinds/looks';

const { give } = vi.hoisted(() => ({ give: vi.fn(() => 'command') }));
vi.mock('../hand/give', () => ({ give, tryGive: give }));
vi.mock('../hand/hand', () => ({
  device: { id: () => 'new', state: () => ({}) },
  say: vi.fn(),
  parameter: () => null,
}));
vi.mock('../hand/keep-photos', () => ({ keepPhotos: vi.fn(() => Promise.resolve(['photo-1'])) }));
vi.mock('./PhotoRow', () => ({ PhotoRow: () => null }));
const { default: AsLeftSheet } = await import('./AsLeftSheet');
const { HistoryList } = await import('./HistoryList');
const { JudgementColumn } = await import('./JudgementColumn');
const { LevelField } = await import('./LevelField');
const { LookCard } = await import('./LookCard');

beforeEach(() => give.mockClear());

const AT = '2026-03-04T10:00:00.000Z';
const STATUS = {
  state: 'sound', sealed_state: null, sealed_grade: null, sealed_at: null, running_round: null, running_answered: 0, running_asked: 0, held: [],
} as unknown as EntryStatus; // prettier-ignore

/** The column of an entry that is changed as a test asks. */
function column(change: Change, beside: Partial<Parameters<typeof JudgementColumn>[0]> = {}) {
  const dossier = dossierWith(change);
  const findings = judge(dossier, 'detailed', AT);
  const onSelect = vi.fn();
  const onRaise = vi.fn();
  const page = show(
    <JudgementColumn
      dossier={dossier}
      findings={findings}
      status={STATUS}
      hidden={0}
      defects={[]}
      selected={null}
      onSelect={onSelect}
      onRaise={onRaise}
      {...beside}
    />,
  );
  return { ...page, findings, onSelect, onRaise };
}

const checks = () => [...document.querySelectorAll<HTMLElement>('[data-check]')];

describe('the judgement column', () => {
  it('has a sentence for every check of a sound entry, and nothing to raise', () => {
    const { findings } = column({});
    expect(checks()).toHaveLength(findings.length);
    for (const finding of findings) expect(screen.getByText(statementParts(finding).sentence)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Raise defect' })).toBeNull();
    expect(screen.getByText(/all conform/)).toBeTruthy();
  });

  it('puts what fails first, then what is unread', () => {
    column({ truth: { 'outer-sheath': [25, 25.02, 25.01] }, looks: { shroud: null } });
    const outcomes = checks().map((item) => item.dataset.outcome);
    const worst = ['fails', 'marginal', 'unread', 'conforms', 'not-applicable'];
    const ranks = outcomes.map((outcome) => worst.indexOf(outcome!));
    expect(outcomes[0]).toBe('fails');
    expect(outcomes).toContain('unread');
    const failing = outcomes.filter((outcome) => outcome === 'fails').length;
    expect(ranks.slice(0, failing).every((rank) => rank === 0)).toBe(true);
    expect(ranks.slice(failing).every((rank) => rank > 0)).toBe(true);
  });

  it('raises a defect from a check that fails, and opens what it is about', async () => {
    const { hands, findings, onRaise, onSelect } = column({ truth: { 'outer-sheath': [25, 25.02, 25.01] } });
    const failing = findings.find(({ check }) => check === 'E-11')!;
    const item = screen.getByText(statement(failing)).closest('li')!;
    await hands.click(within(item).getByRole('button', { name: 'Raise defect' }));
    expect(onRaise).toHaveBeenCalledWith(failing);
    await hands.click(screen.getByText(statement(failing)));
    expect(onSelect).toHaveBeenCalledWith(failing);
  });

  it('leads to a defect that is open, and offers another once it is proven', () => {
    const defect = {
      id: 'd',
      site: 's',
      check: 'E-11',
      severity: 4,
      due: '2026-03-05',
      state: 'open',
    } as Defect;
    const bad: Change = { truth: { 'outer-sheath': [25, 25.02, 25.01] } };
    const open = column(bad, { defects: [defect] });
    expect(screen.getByRole('link', { name: /Defect level 4/ }).getAttribute('href')).toBe(
      '/defects/?site=s&defect=d',
    );
    open.unmount();
    column(bad, { defects: [{ ...defect, state: 'proven' }] });
    expect(screen.queryByRole('link', { name: /Defect level/ })).toBeNull();
  });

  it('says what stands sealed beside a running round, and what is not proven', () => {
    column({}, {
      status: {
        ...STATUS, running_round: 'r', sealed_state: 'failed', sealed_grade: 'close', sealed_at: '2026-01-02T09:00:00.000Z',
        running_answered: 4, running_asked: 18, held: [{ id: 'd', check: 'E-12', severity: 3, foundAt: '2026-01-02T09:00:00.000Z' }],
      },
    }); // prettier-ignore
    expect(screen.getByText(/Last sealed: .*close.*4 of 18 answered/)).toBeTruthy();
    expect(screen.getByText(/E-12 of .* is not proven/)).toBeTruthy();
  });

  it('counts what only a higher grade can answer', () => {
    column({}, { hidden: 1 });
    expect(
      screen.getByText(/1 check can only be answered at a higher grade and is not judged here/),
    ).toBeTruthy();
  });
});

describe('the card of a look', () => {
  const washer = looksOf('gland-double-seal', null).find(({ id }) => id === 'washer')!;
  const given = (answer: string, change: Partial<Look> = {}) =>
    ({ id: 'l', look: 'washer', answer, by: 'A. Vell', at: AT, photo: null, note: '', ...change }) as Look;
  const card = (beside: Partial<Parameters<typeof LookCard>[0]> = {}) => {
    const onAnswer = vi.fn();
    const page = show(
      <LookCard
        look={washer}
        given={undefined}
        recorded={false}
        sealed={false}
        onAnswer={onAnswer}
        {...beside}
      />,
    );
    return { ...page, onAnswer };
  };

  it('starts with no answer', () => {
    card();
    expect(screen.getByText(lookQuestion(washer))).toBeTruthy();
    for (const { id } of washer.answers)
      expect(screen.getByRole('button', { name: answerTitle(washer, id) }).getAttribute('aria-pressed')).toBe(
        'false',
      );
    expect(screen.getByRole('img', { name: /not looked at/ })).toBeTruthy();
  });

  it('gives the answer that is pressed', async () => {
    const { hands, onAnswer } = card();
    const [first] = washer.answers;
    await hands.click(screen.getByRole('button', { name: answerTitle(washer, first!.id) }));
    expect(onAnswer).toHaveBeenCalledWith(washer, { answer: first!.id, photo: null, note: '' });
  });

  it('keeps a note when its field is left, and on Enter, and only when it is another', async () => {
    const answer = washer.answers[0]!.id;
    const { hands, onAnswer } = card({ given: given(answer) });
    await hands.type(screen.getByLabelText('Note on what was seen'), 'fibre, cracked{Enter}');
    expect(onAnswer).toHaveBeenLastCalledWith(washer, { answer, photo: null, note: 'fibre, cracked' });
    onAnswer.mockClear();
    await hands.clear(screen.getByLabelText('Note on what was seen'));
    await hands.tab();
    expect(onAnswer).not.toHaveBeenCalled();
  });

  it('is answered by figures while it has the focus, and E goes to its note', async () => {
    const { hands, onAnswer } = card({ given: given(washer.answers[0]!.id) });
    screen.getByRole('button', { name: answerTitle(washer, washer.answers[0]!.id) }).focus();
    await hands.keyboard('2');
    expect(onAnswer).toHaveBeenLastCalledWith(washer, {
      answer: washer.answers[1]!.id,
      photo: null,
      note: '',
    });
    await hands.keyboard('9');
    expect(onAnswer).toHaveBeenCalledTimes(1);
    await hands.keyboard('e');
    expect(document.activeElement).toBe(screen.getByLabelText('Note on what was seen'));
    // A figure in the note is a figure.
    await hands.keyboard('1');
    expect(onAnswer).toHaveBeenCalledTimes(1);
  });

  it('keeps its keys from the place that would take them as a reading', async () => {
    const outside = vi.fn();
    window.addEventListener('keydown', outside);
    const { hands } = card();
    screen.getByRole('button', { name: answerTitle(washer, washer.answers[0]!.id) }).focus();
    await hands.keyboard('1');
    expect(outside).not.toHaveBeenCalled();
    await hands.keyboard('d');
    expect(outside).toHaveBeenCalledTimes(1);
    window.removeEventListener('keydown', outside);
  });

  it('shows right and wrong while it has the eye, and elsewhere when asked to', async () => {
    const { hands, unmount } = card({ onActive: vi.fn() });
    expect(screen.queryByText('Right:')).toBeNull();
    await hands.click(screen.getByRole('button', { name: 'Pictures' }));
    expect(screen.getByText('Right:')).toBeTruthy();
    unmount();
    card({ onActive: vi.fn(), active: true });
    expect(screen.getByText('Wrong:')).toBeTruthy();
    expect(document.activeElement).toBe(screen.getByRole('group', { name: titleOf(washer) }));
  });

  it('takes a reading by habit for nothing while it has the eye', async () => {
    const outside = vi.fn();
    window.addEventListener('keydown', outside);
    const { hands, onAnswer } = card({ onActive: vi.fn(), active: true });
    await hands.keyboard(' ');
    expect(outside).not.toHaveBeenCalled();
    expect(onAnswer).not.toHaveBeenCalled();
    window.removeEventListener('keydown', outside);
  });

  it('takes nothing once it is sealed', async () => {
    const { hands, onAnswer } = card({ sealed: true });
    await hands.click(screen.getByRole('button', { name: answerTitle(washer, washer.answers[0]!.id) }));
    expect(onAnswer).not.toHaveBeenCalled();
  });

  it('says that an answer comes from the as-left record, and has no evidence of this round', () => {
    card({ given: given(washer.answers[0]!.id), recorded: true });
    expect(screen.getByText(/From the as-left record of/)).toBeTruthy();
    expect(screen.queryByLabelText('Note on what was seen')).toBeNull();
  });

  it.each(KIND_IDS)('has words for every answer of every look of %s', (kind) => {
    for (const look of looksOf(kind, null)) {
      const titles = look.answers.map(({ id }) => answerTitle(look, id));
      expect(new Set(titles).size).toBe(titles.length);
      expect(lookQuestion(look)).toMatch(/\?$/);
      for (const title of titles) expect(title).toMatch(/^[A-Z0-9“]/);
    }
  });
});

describe('the level of a defect', () => {
  function Field({ problem = null }: { problem?: string | null }) {
    const [level, setLevel] = useState<Severity>(3);
    const [reason, setReason] = useState('');
    return (
      <LevelField
        standing={3}
        level={level}
        onLevel={setLevel}
        reason={reason}
        onReason={setReason}
        problem={problem}
      />
    );
  }
  it('asks for a reason only where it is another than stands', async () => {
    const { hands } = show(<Field />);
    expect(screen.queryByLabelText('Why the level is changed')).toBeNull();
    await hands.selectOptions(screen.getByLabelText('Level'), '4');
    await type(hands, 'Why the level is changed', 'gas was smelt');
    expect(screen.getByLabelText<HTMLInputElement>('Why the level is changed').value).toBe('gas was smelt');
    await hands.selectOptions(screen.getByLabelText('Level'), '3');
    expect(screen.queryByLabelText('Why the level is changed')).toBeNull();
  });
});

describe('a history', () => {
  it('says when, who and what, and what was taken back', () => {
    show(
      <HistoryList
        lines={[
          { id: '1', at: AT, by: 'A. Vell', undone: false, said: ['Owner: none → B. Orr', 'Level: 3 → 4'] },
          { id: '2', at: AT, by: 'B. Orr', undone: true, said: ['Due: 2026-03-05 → 2026-04-05'] },
        ]}
      />,
    );
    expect(screen.getByText('Owner: none → B. Orr')).toBeTruthy();
    expect(screen.getByText(/B\. Orr \(undone\)/)).toBeTruthy();
    expect(screen.getByText(/A\. Vell$/)).toBeTruthy();
  });
});

describe('the as-left record', () => {
  const sheet = (change: Change = {}) => {
    const onClose = vi.fn();
    return { ...show(<AsLeftSheet dossier={dossierWith(change)} round="r" onClose={onClose} />), onClose };
  };
  const seal = () => screen.getByRole('button', { name: 'Seal the as-left record' });

  it('starts with nothing said of the seals, and asks for it', async () => {
    const { hands, onClose } = sheet();
    await hands.click(seal());
    expect(screen.getAllByText('Say what became of it.')).toHaveLength(2);
    expect(give).not.toHaveBeenCalled();
    expect(onClose).not.toHaveBeenCalled();
  });

  it('seals what was said', async () => {
    const { hands, onClose } = sheet();
    await hands.selectOptions(screen.getByLabelText('Outer seal'), 'replaced');
    await hands.selectOptions(screen.getByLabelText('Inner seal'), 'kept');
    await hands.type(screen.getByLabelText('Note'), 'clean');
    await hands.click(seal());
    expect(give).toHaveBeenCalledWith('asleft.seal', {
      id: 'new', entry: 'e', round: 'r', why: 'opening', outerSeal: 'replaced', innerSeal: 'kept', note: 'clean',
    }); // prettier-ignore
    expect(onClose).toHaveBeenCalled();
  });

  it('stays open with what was typed when it is refused', async () => {
    give.mockReturnValueOnce(null as never);
    const { hands, onClose } = sheet();
    await hands.selectOptions(screen.getByLabelText('Outer seal'), 'kept');
    await hands.selectOptions(screen.getByLabelText('Inner seal'), 'kept');
    await hands.click(seal());
    expect(onClose).not.toHaveBeenCalled();
    expect(screen.getByLabelText<HTMLSelectElement>('Outer seal').value).toBe('kept');
  });

  it('names the hold points that are open', () => {
    sheet({ looks: { 'armour-seated': null } });
    expect(screen.getByRole('alert').textContent).toContain('hold point');
  });

  it.each(KIND_IDS.filter((kind) => KINDS[kind].inner === 'none'))(
    'knows that a %s has no inner seal',
    (kind) => {
      sheet({ kind });
      expect(screen.getByLabelText<HTMLSelectElement>('Inner seal').value).toBe('none');
    },
  );
});
