import { Alert, Button, Modal, ScrollArea, Stack, Table, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';
import { api, ApiError, type RegisterRow } from '../../client/api';
import { currentInstruments, registerIdOf } from '../../core/record/instruments';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { day } from '../../core/words/en/format';
import { INSTRUMENT_WORDS } from '../../core/words/en/labels';

interface FromRegisterProps {
  slice: Slice;
  site: Id;
  onDone: () => void;
}

/** Instruments of the installation that a site does not have: each can be lent to it. */
export default function FromRegister(props: FromRegisterProps) {
  const { rows, fault, lending, lend } = useRegister(props);
  const here = new Set(currentInstruments(props.slice, props.site).map(registerIdOf));
  const elsewhere = rows?.filter(({ instrument }) => !here.has(instrument.id));
  return (
    <Modal opened onClose={props.onDone} title="Lend an instrument to this site" size="lg">
      <Stack gap="sm">
        {fault && (
          <Alert role="alert" title="Not lent">
            {fault}
          </Alert>
        )}
        {!elsewhere && !fault && <p>Opening the register …</p>}
        {elsewhere?.length === 0 && (
          <p className="empty">
            Every instrument of the register is at this site already. Add a new one with New instrument.
          </p>
        )}
        {elsewhere && elsewhere.length > 0 && (
          <Elsewhere rows={elsewhere} lending={lending} onLend={(id) => void lend(id)} />
        )}
      </Stack>
    </Modal>
  );
}

function useRegister({ site, onDone }: FromRegisterProps) {
  const [rows, setRows] = useState<RegisterRow[] | null>(null);
  const [fault, setFault] = useState('');
  const [lending, setLending] = useState<Id | null>(null);
  const said = (error: unknown) => setFault(error instanceof ApiError ? error.message : String(error));
  useEffect(() => {
    api.register().then(setRows, said);
  }, []);
  const lend = async (id: Id) => {
    setLending(id);
    setFault('');
    try {
      const { answers } = await api.lend(site, id);
      const refused = answers.find((one) => one.status === 'refused');
      if (refused?.status === 'refused') setFault(refused.message);
      else onDone();
    } catch (error) {
      said(error);
    }
    setLending(null);
  };
  return { rows, fault, lending, lend };
}

interface ElsewhereProps {
  rows: readonly RegisterRow[];
  lending: Id | null;
  onLend: (id: Id) => void;
}

function Elsewhere({ rows, lending, onLend }: ElsewhereProps) {
  const [text, setText] = useState('');
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = rows.filter(({ instrument, sites }) => {
    const all = `${instrument.tag} ${INSTRUMENT_WORDS[instrument.kind]} ${whereWords(sites)}`.toLowerCase();
    return words.every((word) => all.includes(word));
  });
  return (
    <>
      <TextInput
        type="search"
        aria-label="Search the register"
        placeholder="Search"
        value={text}
        onChange={(event) => setText(event.currentTarget.value)}
        data-autofocus
      />
      {shown.length === 0 && <p className="empty">Nothing matches. Clear the search.</p>}
      <ScrollArea.Autosize mah="60vh">
        <Table verticalSpacing="xs" withRowBorders>
          <Table.Tbody>
            {shown.map((row) => (
              <RegisterLine key={row.instrument.id} row={row} lending={lending} onLend={onLend} />
            ))}
          </Table.Tbody>
        </Table>
      </ScrollArea.Autosize>
    </>
  );
}

function RegisterLine({ row, lending, onLend }: Omit<ElsewhereProps, 'rows'> & { row: RegisterRow }) {
  const { id, tag, kind, calibratedUntil } = row.instrument;
  return (
    <Table.Tr>
      <Table.Td>
        <b>{tag}</b>
        <br />
        <span className="quiet">
          {INSTRUMENT_WORDS[kind]}, calibrated until {day(calibratedUntil)}, {whereWords(row.sites)}
        </span>
      </Table.Td>
      <Table.Td ta="right">
        <Button variant="default" loading={lending === id} onClick={() => onLend(id)}>
          Lend
        </Button>
      </Table.Td>
    </Table.Tr>
  );
}

/** Where an instrument is, as it is shown and searched. */
const whereWords = (sites: RegisterRow['sites']): string =>
  sites.length > 0 ? `at ${sites.map(({ name }) => name).join(', ')}` : 'at no site';
