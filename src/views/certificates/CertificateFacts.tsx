import { Fragment } from 'react';
import type { Certificate } from '../../core/record/types';
import { day, figure, limits } from '../../core/words/en/format';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { jointTitle, SCHOOL_WORDS } from '../../core/words/en/kinds/titles';

/** What the certificate says beside its ranges. */
export const CertificateFacts = ({ certificate }: { certificate: Certificate }) => (
  <dl>
    {[...markedFacts(certificate), ...sheetFacts(certificate.sheet), ...conditions(certificate)].map(
      ([name, value]) => (
        <Fragment key={name}>
          <dt>{name}</dt>
          <dd>{value}</dd>
        </Fragment>
      ),
    )}
  </dl>
);

type Fact = [name: string, value: string];

function markedFacts(certificate: Certificate): Fact[] {
  const { kind, concepts, levels, groups, divisions, serviceC, ingress, issued } = certificate;
  const listed = divisions.map(
    (one) => `Class ${one.class} Division ${one.division} ${one.groups.join(', ')}`,
  );
  return [
    ['Kind', kindTitle(kind)],
    ['Marked', [...concepts, ...groups, ...levels].join(', ') || 'nothing: for unclassified places only'],
    ['Listed', listed.join('; ') || 'no division'],
    [
      'Service',
      `${serviceC ? limits(serviceC[0], serviceC[1], '°C') : 'range not marked'}, ${ingress ?? 'ingress not recorded'}`,
    ],
    ['Issued', issued ? day(issued) : 'not recorded'],
  ];
}

const UNIT: Record<string, string> = { turns: 'turns', torque: 'N·m', gap: 'mm' };

function sheetFacts({ number, joints, compound }: Certificate['sheet']): Fact[] {
  const said = joints.map(
    ({ joint, school, range }) =>
      `${jointTitle(joint)} ${SCHOOL_WORDS[school]}${range ? `, ${limits(range[0], range[1], UNIT[school] ?? '')}` : ''}`,
  );
  const facts: Fact[] = [
    ['Assembly sheet', number],
    ['Joints', said.join('; ') || 'the sheet names none'],
  ];
  if (compound)
    facts.push(['Compound', `${compound.name}, ${compound.packMl} ml, ${compound.ratio}; works ${compound.workingMinutes} min, look after ${figure(compound.cureHours)} h, energise after ${figure(compound.energiseHours)} h at ${compound.referenceC} °C; not below ${compound.minimumC} °C`]); // prettier-ignore
  return facts;
}

function conditions({ specialConditions }: Certificate): Fact[] {
  if (specialConditions === null) return [['Special conditions', 'not recorded']];
  return specialConditions.length === 0 ? [] : [['Special conditions', specialConditions.join(' ')]];
}
