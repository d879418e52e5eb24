import { Button, Group, Paper, SimpleGrid, Text } from '@mantine/core';
import '@mantine/core/styles/SimpleGrid.layer.css';
import { defectStatement } from '../../core/words/en/defects';
import { statement } from '../../core/words/en/findings';
import { day } from '../../core/words/en/format';
import { DEFECT_STATE_WORDS } from '../../core/words/en/labels';
import { give } from '../hand/give';
import { device } from '../hand/hand';
import { PhotoRow } from '../judging/PhotoRow';
import { startProof } from '../judging/reinspect';
import type { Proof } from './use-proof';

/** A defect that is looked at again: what was found, what stands now, and the press that proves it. */
export default function ProofBar({ proof }: { proof: Proof }) {
  const { defect, finding, running } = proof;
  const { state, check } = defect;
  const seen = running && (check === null || finding?.outcome === 'conforms');
  return (
    <Paper component="section" withBorder p="sm" mb="md" aria-label="Re-inspection">
      <Group justify="space-between" mb="xs">
        <Text fw={700}>Re-inspection of {check ?? 'an observation'}</Text>
        <Text size="sm" className="quiet">
          {DEFECT_STATE_WORDS[state]}
        </Text>
      </Group>
      <SimpleGrid cols={{ base: 1, sm: 2 }}>
        <section aria-label="Before">
          <Text size="sm" className="quiet">
            Found {day(defect.foundAt)} by {defect.foundBy}
          </Text>
          <p className="tone-failed">{defectStatement(defect)}</p>
          <PhotoRow photos={defect.photos} />
        </section>
        <section aria-label="Now" aria-live="polite">
          <Text size="sm" className="quiet">
            Now
          </Text>
          <Now proof={proof} />
        </section>
      </SimpleGrid>
      {state === 'proven' ? (
        <p className="tone-sound">Proven. Seal this inspection, so that it can be shown.</p>
      ) : running ? (
        <Button disabled={!seen} onClick={() => prove(proof)}>
          Proven by this re-inspection
        </Button>
      ) : (
        <Button onClick={() => startProof(device.state().slice, defect)}>Start the re-inspection</Button>
      )}
    </Paper>
  );
}

/** What stands now, in words. */
function Now({ proof: { defect, finding, running, needed } }: { proof: Proof }) {
  if (!running) return <p>The round in which it was found is still the newest one of this entry.</p>;
  if (defect.check === null) return <p>Look whether it is mended; there is no check that says so.</p>;
  if (!finding) return <p>This round does not ask for {defect.check}; choose a higher grade above.</p>;
  const tone = finding.outcome === 'conforms' ? 'tone-sound' : finding.outcome === 'fails' ? 'tone-failed' : '';
  const many = needed.places.length + needed.looks.length;
  return (
    <>
      <p className={tone}>{statement(finding)}</p>
      {finding.outcome !== 'conforms' && (
        <p className="quiet">
          {many > 0
            ? 'Next below leads through what it needs, and nothing else.'
            : 'It rests on the records alone: mend them under Dossier, and it is judged again.'}
        </p>
      )}
    </>
  );
} // prettier-ignore

/** Closes the defect; one that nobody has called done is done by then. */
function prove({ defect: { id, state } }: Proof): void {
  if (state !== 'done' && give('defect.edit', { id, set: { state: 'done' } }) === null) return;
  give('defect.edit', { id, set: { state: 'proven' } }, 'The defect is proven.');
}
