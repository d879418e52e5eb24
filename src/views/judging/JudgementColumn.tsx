import { Button, Group, Text, UnstyledButton } from '@mantine/core';
import { memo } from 'react';
import { isWorse, countOutcomes, type Finding } from '../../core/record/finding';
import type { Defect, EntryStatus } from '../../core/record/types';
import { basisOf } from '../../core/rulebook/basis';
import type { Dossier } from '../../core/rulebook/dossier';
import { checkTitle } from '../../core/words/en/checks/index';
import { settling, statementParts } from '../../core/words/en/findings';
import { count, day } from '../../core/words/en/format';
import { GRADE_WORDS, STATE_WORDS } from '../../core/words/en/labels';
import { glyphOfFinding, glyphOfState } from '../../ui/glyph-state';
import { SealGlyph, toneOf, type GlyphState } from '../../ui/heart/SealGlyph';
import './judgement.css';

interface Props {
  dossier: Dossier;
  findings: readonly Finding[];
  status: EntryStatus;
  /** Checks that only opening the entry would settle; empty where it is judged opened. */
  opening?: readonly Finding[];
  /** Checks of the kind above the grade. */
  hidden: number;
  defects: readonly Defect[];
  selected: string | null;
  onSelect: (finding: Finding) => void;
  onRaise: (finding: Finding) => void;
}

/** Outcomes that ask for somebody; the rest is folded. */
const ASKING: ReadonlySet<string> = new Set(['fails', 'marginal', 'unread']);

/** The live judgement: the whole in one mark, then a sentence with numbers per check; what is sound is folded. */
export function JudgementColumn(props: Props) {
  const { dossier, findings, status, opening = [], hidden, defects, selected, onSelect, onRaise } = props;
  const sorted = [...findings].sort((a, b) =>
    isWorse(a.outcome, b.outcome) ? -1 : isWorse(b.outcome, a.outcome) ? 1 : 0,
  );
  const asking = sorted.filter(({ outcome }) => ASKING.has(outcome));
  const rest = sorted.filter(({ outcome }) => !ASKING.has(outcome));
  const item = (finding: Finding) => (
    <Item
      key={finding.check}
      said={saidOf(finding, dossier)}
      defect={defects.find(({ check }) => check === finding.check)}
      selected={selected === finding.check}
      onSelect={() => onSelect(finding)}
      onRaise={() => onRaise(finding)}
    />
  );
  return (
    <aside className="judgement" aria-label="Judgement">
      <Whole dossier={dossier} findings={findings} status={status} />
      {asking.length > 0 && <ol className="bare">{asking.map(item)}</ol>}
      {rest.length > 0 && (
        <details open={asking.length === 0}>
          <summary>
            {count(
              rest.filter(({ outcome }) => outcome === 'conforms').length,
              'check conforms',
              'checks conform',
            )}
          </summary>
          <ol className="bare">{rest.map(item)}</ol>
        </details>
      )}
      <Notes opening={opening} hidden={hidden} />
    </aside>
  );
}

/** The entry as a whole: its mark, how many checks fail or are open, and what stands beside a running round. */
function Whole({ dossier, findings, status }: Pick<Props, 'dossier' | 'findings' | 'status'>) {
  const glyph = glyphOfState(status.state);
  const counts = countOutcomes(findings);
  const said = [
    counts.fails && `${counts.fails} ${counts.fails === 1 ? 'fails' : 'fail'}`,
    counts.marginal && count(counts.marginal, 'close call'),
    counts.unread && `${counts.unread} unread`,
  ].filter(Boolean);
  return (
    <Group component="header" gap="sm" wrap="nowrap" aria-live="polite">
      <SealGlyph state={glyph} size={46} label={STATE_WORDS[status.state]} />
      <div>
        <h2 className={`flush ${toneOf(glyph)}`}>{STATE_WORDS[status.state]}</h2>
        <Text size="sm" c="dimmed">
          {said.length > 0
            ? `${said.join(', ')} of ${count(findings.length, 'check')}`
            : `${count(findings.length, 'check')}, all conform`}
        </Text>
        <Standing status={status} round={dossier.round?.name ?? ''} timeZone={dossier.site.timeZone} />
      </div>
    </Group>
  );
}

/** What stands beside a running round, and what holds the entry until it is proven. */
function Standing({ status, round, timeZone }: { status: EntryStatus; round: string; timeZone: string }) {
  const { sealed_state: sealed, sealed_grade: grade, sealed_at: at, running_round: runs, held } = status;
  return (
    <>
      {runs !== null && sealed && grade && at && (
        <Text size="sm" c="dimmed" mt={4}>
          Last sealed: {STATE_WORDS[sealed].toLowerCase()}, {GRADE_WORDS[grade].toLowerCase()},{' '}
          {day(at, timeZone)}. In {round}, {status.running_answered} of {status.running_asked} answered.
        </Text>
      )}
      {held.map(({ id, check, severity, foundAt }) => (
        <Text key={id} size="sm" mt={4} className="tone-failed">
          {check ?? `Observation of level ${severity}`} of {day(foundAt, timeZone)} is not proven.
        </Text>
      ))}
    </>
  );
}

/** What is not judged here, and who decides. */
function Notes({ opening, hidden }: { opening: readonly Finding[]; hidden: number }) {
  return (
    <>
      {opening.length > 0 && (
        <Text c="dimmed" size="xs">
          Opening it would settle: {opening.map(({ check }) => `${check} ${checkTitle(check)}`).join('; ')}.
        </Text>
      )}
      {hidden > 0 && (
        <Text c="dimmed" size="xs">
          {count(hidden, 'check')} can only be answered at a higher grade and {hidden === 1 ? 'is' : 'are'}{' '}
          not judged here.
        </Text>
      )}
      <Text c="dimmed" size="xs">
        Yendral advises; a competent, authorised person decides. Local codes come first.
      </Text>
    </>
  );
}

/** A finding in words. */
interface SaidFinding {
  check: string;
  outcome: Finding['outcome'];
  glyph: GlyphState;
  statement: string;
  /** What it rests on, one below the other; a text with a line for each. */
  points: string;
  settle: string;
  basis: string;
}

function saidOf(finding: Finding, dossier: Dossier): SaidFinding {
  const { sentence, points } = statementParts(finding);
  return {
    check: finding.check,
    outcome: finding.outcome,
    glyph: glyphOfFinding(finding),
    statement: sentence,
    points: points.join('\n'),
    settle: [finding, ...finding.also].map(settling).find(Boolean) ?? '',
    basis: basisOf(finding.check, dossier),
  };
}

interface ItemProps {
  said: SaidFinding;
  defect: Defect | undefined;
  selected: boolean;
  onSelect: () => void;
  onRaise: () => void;
}

/** One check; drawn again only when it says something else. */
const Item = memo(
  function Item({ said, defect, selected, onSelect, onRaise }: ItemProps) {
    const { check, outcome, glyph } = said;
    const isOpen = defect && defect.state !== 'done' && defect.state !== 'proven';
    return (
      <li className={selected ? 'selected' : ''} data-check={check} data-outcome={outcome}>
        <UnstyledButton className="line finding" onClick={onSelect} aria-pressed={selected}>
          <SealGlyph state={glyph} label={`${checkTitle(check)}: ${outcome}`} />
          <span>
            <span className="statement">{said.statement}</span>
            {said.points && (
              <span className="points" role="list">
                {said.points.split('\n').map((point) => (
                  <small key={point} role="listitem">
                    {point}
                  </small>
                ))}
              </span>
            )}
            {said.settle && <small>{said.settle}</small>}
            <small>
              {check} · {said.basis}
            </small>
          </span>
        </UnstyledButton>
        {outcome === 'fails' &&
          (isOpen ? (
            <a className="line" href={`/defects/?site=${defect.site}&defect=${defect.id}`}>
              Defect level {defect.severity}, due {day(defect.due)}
            </a>
          ) : (
            <Button variant="default" onClick={onRaise}>
              Raise defect
            </Button>
          ))}
      </li>
    );
  },
  // What a press does depends on nothing but the finding, and that is the same.
  (a, b) =>
    a.selected === b.selected &&
    a.defect === b.defect &&
    (Object.keys(a.said) as (keyof SaidFinding)[]).every((key) => a.said[key] === b.said[key]),
);
