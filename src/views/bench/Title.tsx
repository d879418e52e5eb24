import { SegmentedControl } from '@mantine/core';
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
  const { enclosure, entry, area, size, cable, certificate, round, record, recorded } = dossier;
  return (
    <div className="title">
      <h1>
        {enclosure.tag}, entry {entry.label}
      </h1>
      <p className="quiet">
        {size?.thread ? `${size.thread.replace('x1.5', '')} ` : ''}
        {kindTitle(entry.kind)}, {[zoneWords(dossier), area.temperatureClass].filter(Boolean).join(' ')},
        cable {cable?.tag ?? 'not recorded'}, {certificate?.number ?? 'no certificate'}
        {sealed ? ', sealed' : ''}
        {record && recorded.size > 0
          ? `; what is closed is judged from the as-left record of ${day(record.at)}`
          : ''}
      </p>
      <SegmentedControl
        className="grades"
        aria-label={`${round?.name ?? 'Round'}, grade of inspection`}
        value={grade}
        data={GRADES.map((one) => ({ value: one, label: GRADE_WORDS[one] }))}
        onChange={(value) => onGrade(value as Grade)}
      />
    </div>
  );
}

function zoneWords({ site, area }: Dossier): string {
  const where = classified(site, area);
  if (where.is === 'unclassified') return 'unclassified area';
  if (where.is === 'missing') return 'zone not recorded';
  if (where.is === 'contradictory') return 'zone recorded in contradiction';
  return where.hazards
    .map(({ named, group, division }) => `${hazard(named)} ${division ? '' : (group ?? '')}`)
    .join(', ');
}
