import { Button, NativeSelect, Table, TextInput } from '@mantine/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { needsOf, partsList, type Proposal } from '../../core/finder/schedule';
import { whole } from '../../core/finder/slim';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { count } from '../../core/words/en/format';
import { connectionWords } from '../../core/words/en/makeoff';
import { now } from '../../client/clock';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import type { ScheduleJob, ScheduleNews } from '../../workers/schedule';
import { saveFile } from '../hand/save-file';
import { VERDICT_GLYPHS, VERDICT_WORDS } from './verdict';
import { supplyList } from '../../core/words/en/supplies';
import { endWords } from '../../core/words/en/where';
import { washerWords } from '../../core/words/en/washer';
import { washerFacts } from '../../core/rulebook/washer';

/** Rows that are shown at once; the export holds all of them. */
const SHOWN = 200;

/** A gland for every cable of the schedule at once, worked out beside the page, with the parts list. */
export function Schedule({ slice, site }: { slice: Slice; site: Id }) {
  const [proposals, setProposals] = useState<Proposal[]>([]);
  const [total, setTotal] = useState(0);
  const [state, setState] = useState<'idle' | 'running' | 'done' | 'cancelled'>('idle');
  const [problem, setProblem] = useState('');
  const [text, setText] = useState('');
  const [only, setOnly] = useState('');
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);

  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
  };
  const start = () => {
    stop();
    const needs = needsOf(slice, site);
    const certificates = slice.by('certificate', 'site', site);
    const byId = new Map(certificates.map((one) => [one.id, one]));
    setProposals([]);
    setProblem('');
    setTotal(needs.length);
    if (needs.length === 0) return setState('done');
    setState('running');
    const running = new Worker(new URL('../../workers/schedule.ts', import.meta.url), { type: 'module' });
    worker.current = running;
    running.onmessage = ({ data }: MessageEvent<ScheduleNews>) => {
      setProposals((all) => [...all, ...data.proposals.map((one) => whole(one, byId))]);
      if (data.done < needs.length) return;
      setState('done');
      stop();
    };
    running.onerror = (event) => {
      setProblem(
        `The calculation broke off: ${event.message || 'the worker did not start'}. Start it again.`,
      );
      setState('cancelled');
      stop();
    };
    running.postMessage({ needs, certificates, at: now() } satisfies ScheduleJob);
  };
  const cancel = () => {
    stop();
    setState('cancelled');
  };

  const parts = useMemo(
    () =>
      supplyList(
        partsList(
          proposals.flatMap(({ cable, best }) => {
            const record = slice.get('cable', cable);
            return record ? [{ cable: record, best }] : [];
          }),
        ),
      ),
    [proposals, slice],
  );
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const matching = proposals.filter(
    (one) =>
      (only === '' ||
        (only === 'none'
          ? one.best === null
          : only === 'other'
            ? isOther(one)
            : one.best?.verdict === only)) &&
      words.every((word) => `${one.tag} ${endWords(one.where)} ${nameOf(one)}`.toLowerCase().includes(word)),
  );
  const save = async (name: string, rows: Record<string, unknown>[]) => {
    const { unparse } = (await import('papaparse')).default;
    saveFile(name, 'text/csv', `\uFEFF${unparse(rows, { escapeFormulae: true, newline: '\r\n' })}\r\n`);
  };

  return (
    <main id="main" className="finder" tabIndex={-1}>
      <h1>A gland for every cable</h1>
      <p>Each end of each cable against every size on file, by the rules that judge the finished entry.</p>
      <div className="start-buttons">
        {state === 'running' ? (
          <Button variant="default" onClick={cancel}>
            Cancel
          </Button>
        ) : (
          <Button onClick={start}>{state === 'idle' ? 'Find them' : 'Find them again'}</Button>
        )}
        {proposals.length > 0 && state !== 'running' && (
          <>
            <Button variant="default" onClick={() => void save('proposals.csv', proposals.map(rowOf))}>
              Proposals (CSV)
            </Button>
            <Button
              variant="default"
              onClick={() =>
                void save(
                  'parts.csv',
                  parts.map(({ part, count: n }) => ({ part, count: n })),
                )
              }
            >
              Parts list (CSV)
            </Button>
          </>
        )}
      </div>
      {state !== 'idle' && (
        <p role="status">
          {proposals.length} of {count(total, 'end')}
          {state === 'cancelled' && ', cancelled: what was found stays'}
          {state === 'done' &&
            total === 0 &&
            ': no cable is on file. Take in a schedule under Dossier, Files.'}
        </p>
      )}
      {state === 'running' && (
        <progress max={total} value={proposals.length} aria-label="Proposals worked out" />
      )}
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      {proposals.length > 0 && (
        <>
          <div className="cable-fields">
            <TextInput
              className="field"
              label="Cable, entry or gland"
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
            <NativeSelect
              className="field"
              label="Show"
              value={only}
              onChange={(event) => setOnly(event.target.value)}
            >
              <option value="">every end</option>
              <option value="fits">fits</option>
              <option value="close">close call</option>
              <option value="open">not all known</option>
              <option value="none">no size on file</option>
              <option value="other">another than is fitted</option>
            </NativeSelect>
          </div>
          <div className="wide-table">
            <Table>
              <Table.Thead>
                <Table.Tr>
                  <Table.Th scope="col">Cable</Table.Th>
                  <Table.Th scope="col">End</Table.Th>
                  <Table.Th scope="col">Proposed</Table.Th>
                  <Table.Th scope="col">How</Table.Th>
                  <Table.Th scope="col">Fitted now</Table.Th>
                </Table.Tr>
              </Table.Thead>
              <Table.Tbody>
                {matching.slice(0, SHOWN).map((one) => (
                  <Table.Tr key={`${one.cable} ${endWords(one.where)}`}>
                    <Table.Th scope="row">{one.tag}</Table.Th>
                    <Table.Td>
                      {one.entry ? (
                        <a href={`/certificates/?site=${site}&tab=find&entry=${one.entry}`}>
                          {endWords(one.where)}
                        </a>
                      ) : (
                        endWords(one.where)
                      )}
                    </Table.Td>
                    <Table.Td>
                      {one.best ? (
                        <>
                          <SealGlyph
                            state={VERDICT_GLYPHS[one.best.verdict]}
                            label={VERDICT_WORDS[one.best.verdict]}
                          />{' '}
                          {nameOf(one)}
                        </>
                      ) : (
                        <span className="tone-failed">no size on file fits</span>
                      )}
                    </Table.Td>
                    <Table.Td>{one.best && one.entry ? connectionWords(one.best.connection) : ''}</Table.Td>
                    <Table.Td className={isOther(one) ? 'tone-close' : ''}>{one.fitted ?? ''}</Table.Td>
                  </Table.Tr>
                ))}
              </Table.Tbody>
            </Table>
          </div>
          {matching.length > SHOWN && (
            <p className="quiet">{matching.length - SHOWN} more; search, or save them as CSV.</p>
          )}
          <h2>Parts list</h2>
          <Table>
            <Table.Tbody>
              {parts.map(({ part, count: n }) => (
                <Table.Tr key={part}>
                  <Table.Td className="figures">{n} ×</Table.Td>
                  <Table.Th scope="row">{part}</Table.Th>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        </>
      )}
    </main>
  );
}

const nameOf = ({ best }: Proposal): string => (best ? `${best.certificate.number}, ${best.size.size}` : '');
const isOther = (one: Proposal): boolean =>
  one.fitted !== null && one.best !== null && nameOf(one) !== one.fitted;

const rowOf = (one: Proposal): Record<string, unknown> => ({
  cable: one.tag,
  end: endWords(one.where),
  certificate: one.best?.certificate.number ?? '',
  size: one.best?.size.size ?? '',
  thread: one.best?.size.thread ?? '',
  ring: one.best?.ringFace ?? '',
  verdict: one.best ? VERDICT_WORDS[one.best.verdict] : 'No size on file fits',
  central_pct: one.best ? Math.round(one.best.centrality * 100) : '',
  adaptor: one.best?.connection.adaptor
    ? `${one.best.connection.adaptor.male} to ${one.best.connection.adaptor.female}`
    : '',
  washer: one.best ? washerWords(washerFacts(one.best.washer)) : '',
  fitted: one.fitted ?? '',
});
