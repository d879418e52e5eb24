import { Alert, Button, Modal, ScrollArea, Stack, Table, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';
import { api, ApiError, type RegisterRow } from '../../client/api';
import { currentInstruments, registerIdOf } from '../../core/record/instruments';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { day } from '../../core/words/en/format';

/** Instruments of the installation that a site does not have: each can be lent to it. */
export function FromRegister({ slice, site, onDone }: { slice: Slice; site: Id; onDone: () => void }) {
  const [rows, setRows] = useState<RegisterRow[] | null>(null);
  const [fault, setFault] = useState('');
  const [text, setText] = useState('');
  const [lending, setLending] = useState<Id | null>(null);
  const said = (error: unknown) => setFault(error instanceof ApiError ? error.message : String(error));
  useEffect(() => {
    api.register().then(setRows, said);
  }, []);
  const here = new Set(currentInstruments(slice, site).map(registerIdOf));
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const elsewhere = (rows ?? []).filter(({ instrument }) => !here.has(instrument.id));
  const shown = elsewhere.filter(({ instrument, sites }) => {
    const all = `${instrument.tag} ${instrument.kind} ${whereWords(sites)}`.toLowerCase();
    return words.every((word) => all.includes(word));
  });
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
  return (
    <Modal opened onClose={onDone} title="Lend an instrument to this site" size="lg">
      <Stack gap="sm">
        {fault && (
          <Alert role="alert" title="Not lent">
            {fault}
          </Alert>
        )}
        {rows !== null && elsewhere.length === 0 && (
          <p className="empty">
            Every instrument of the register is at this site already. Add a new one with New instrument.
          </p>
        )}
        {rows === null && !fault && <p>Opening the register …</p>}
        {elsewhere.length > 0 && (
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
                  {shown.map(({ instrument, sites }) => (
                    <Table.Tr key={instrument.id}>
                      <Table.Td>
                        <b>{instrument.tag}</b>
                        <br />
                        <span className="quiet">
                          {instrument.kind.replaceAll('-', ' ')}, calibrated until{' '}
                          {day(instrument.calibratedUntil)}, {whereWords(sites)}
                        </span>
                      </Table.Td>
                      <Table.Td ta="right">
                        <Button
                          variant="default"
                          loading={lending === instrument.id}
                          onClick={() => void lend(instrument.id)}
                        >
                          Lend
                        </Button>
                      </Table.Td>
                    </Table.Tr>
                  ))}
                </Table.Tbody>
              </Table>
            </ScrollArea.Autosize>
          </>
        )}
      </Stack>
    </Modal>
  );
}

/** Where an instrument is, as it is shown and searched. */
const whereWords = (sites: RegisterRow['sites']): string =>
  sites.length > 0 ? `at ${sites.map(({ name }) => name).join(', ')}` : 'at no site';
