import { UnstyledButton } from '@mantine/core';
import { checkTitle } from '../../core/words/en/checks/index';
import './judgement.css';
import type { Defect, EntryStatus } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { isWorse, countOutcomes, type Finding } from '../../core/record/finding';
import { basisOf } from '../../core/rulebook/basis';
import { settling, statement } from '../../core/words/en/findings';
import { GRADE_WORDS, STATE_WORDS } from '../../core/words/en/labels';
import { count, day } from '../../core/words/en/format';
import { glyphOfFinding, glyphOfState } from '../../ui/glyph-state';
import { SealGlyph, toneOf } from '../../ui/heart/SealGlyph';

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

/** The live judgement: the whole in one mark, then a sentence with numbers per check, the worst first. */
export function JudgementColumn(props: Props) {
  const { dossier, findings, status, opening = [], hidden, defects, selected, onSelect, onRaise } = props;
  const { state } = status;
  const glyph = glyphOfState(state);
  const counts = countOutcomes(findings);
  const sorted = [...findings].sort((a, b) =>
    isWorse(a.outcome, b.outcome) ? -1 : isWorse(b.outcome, a.outcome) ? 1 : 0,
  );
  return (
    <aside className="judgement" aria-label="Judgement">
      <header aria-live="polite">
        <SealGlyph state={glyph} size={46} label={STATE_WORDS[state]} />
        <div>
          <h2 className={toneOf(glyph)}>{STATE_WORDS[state]}</h2>
          <p className="quiet">
            {[
              counts.fails && `${counts.fails} ${counts.fails === 1 ? 'fails' : 'fail'}`,
              counts.marginal && count(counts.marginal, 'close call'),
              counts.unread && `${counts.unread} unread`,
            ]
              .filter(Boolean)
              .join(', ') || 'all conform'}{' '}
            of {findings.length}
          </p>
          <Standing status={status} round={dossier.round?.name ?? ''} timeZone={dossier.site.timeZone} />
        </div>
      </header>
      <ol>
        {sorted.map((finding) => (
          <Item
            key={finding.check}
            finding={finding}
            dossier={dossier}
            defect={defects.find(({ check }) => check === finding.check)}
            selected={selected === finding.check}
            onSelect={() => onSelect(finding)}
            onRaise={() => onRaise(finding)}
          />
        ))}
      </ol>
      {opening.length > 0 && (
        <p className="quiet hidden-note">
          Opening it would settle: {opening.map(({ check }) => `${check} ${checkTitle(check)}`).join('; ')}.
        </p>
      )}
      {hidden > 0 && (
        <p className="quiet hidden-note">
          {count(hidden, 'check')} can only be answered at a higher grade and {hidden === 1 ? 'is' : 'are'}{' '}
          not judged here.
        </p>
      )}
      <p className="quiet hidden-note">
        Yendral advises; a competent, authorised person decides. Local codes come first.
      </p>
    </aside>
  );
}

/** What stands beside a running round, and what holds the entry until it is proven. */
function Standing({ status, round, timeZone }: { status: EntryStatus; round: string; timeZone: string }) {
  const { sealed_state: sealed, sealed_grade: grade, sealed_at: at, running_round: runs, held } = status;
  return (
    <>
      {runs !== null && sealed && grade && at && (
        <p className="quiet">
          Last sealed: {STATE_WORDS[sealed].toLowerCase()}, {GRADE_WORDS[grade].toLowerCase()},{' '}
          {day(at, timeZone)}. In {round}, {status.running_answered} of {status.running_asked} answered.
        </p>
      )}
      {held.map(({ id, check, severity, foundAt }) => (
        <p key={id} className="tone-failed">
          {check ?? `Observation of level ${severity}`} of {day(foundAt, timeZone)} is not proven.
        </p>
      ))}
    </>
  );
}

interface ItemProps {
  finding: Finding;
  dossier: Dossier;
  defect: Defect | undefined;
  selected: boolean;
  onSelect: () => void;
  onRaise: () => void;
}

function Item({ finding, dossier, defect, selected, onSelect, onRaise }: ItemProps) {
  const settle = [finding, ...finding.also].map(settling).filter(Boolean)[0];
  const isOpen = defect && defect.state !== 'done' && defect.state !== 'proven';
  return (
    <li className={selected ? 'selected' : ''} data-check={finding.check} data-outcome={finding.outcome}>
      <UnstyledButton className="plain finding" onClick={onSelect} aria-pressed={selected}>
        <SealGlyph
          state={glyphOfFinding(finding)}
          label={`${checkTitle(finding.check)}: ${finding.outcome}`}
        />
        <span>
          <span className="statement">{statement(finding)}</span>
          {settle && <small>{settle}</small>}
          <small>
            {finding.check} · {basisOf(finding.check, dossier)}
          </small>
        </span>
      </UnstyledButton>
      {finding.outcome === 'fails' &&
        (isOpen ? (
          <a className="defect-link" href={`/defects/?site=${defect.site}&defect=${defect.id}`}>
            Defect level {defect.severity}, due {day(defect.due)}
          </a>
        ) : (
          <UnstyledButton className="raise" onClick={onRaise}>
            Raise defect
          </UnstyledButton>
        ))}
    </li>
  );
}
