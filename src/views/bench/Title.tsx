import { UnstyledButton } from '@mantine/core';
import { GRADES, type Grade } from '../../core/record/types';
import { classified } from '../../core/rulebook/classified';
import type { Dossier } from '../../core/rulebook/dossier';
import { day } from '../../core/words/en/format';
import { GRADE_WORDS } from '../../core/words/en/labels';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { hazard } from '../../core/words/en/sentences/terms';

/** What is on the bench, and how closely it is judged. */
export function Title({
  dossier,
  grade,
  onGrade,
  sealed,
}: {
  dossier: Dossier;
  grade: Grade;
  onGrade: (grade: Grade) => void;
  sealed: boolean;
}) {
  const { enclosure, entry, site, area, size, cable, certificate, round, record, recorded } = dossier;
  const where = classified(site, area);
  const zone =
    where.is === 'unclassified'
      ? 'unclassified'
      : where.is === 'missing'
        ? 'zone not recorded'
        : where.is === 'contradictory'
          ? 'zone recorded in contradiction'
          : where.hazards
              .map(({ named, group, division }) => `${hazard(named)} ${division ? '' : (group ?? '')}`)
              .join(', ');
  return (
    <div className="title">
      <h1>
        {enclosure.tag}, entry {entry.label}
      </h1>
      <p className="quiet">
        {size?.thread ? `${size.thread.replace('x1.5', '')} ` : ''}
        {kindTitle(entry.kind)}, {[zone, area.temperatureClass].filter(Boolean).join(' ')}, cable{' '}
        {cable?.tag ?? 'not recorded'}, {certificate?.number ?? 'no certificate'}
        {sealed ? ', sealed' : ''}
        {record && recorded.size > 0
          ? `; what is closed is judged from the as-left record of ${day(record.at)}`
          : ''}
      </p>
      <div className="grades" role="group" aria-label={`${round?.name ?? 'Round'}, grade of inspection`}>
        {GRADES.map((g) => (
          <UnstyledButton key={g} aria-pressed={g === grade} onClick={() => onGrade(g)}>
            {GRADE_WORDS[g]}
          </UnstyledButton>
        ))}
      </div>
    </div>
  );
}
