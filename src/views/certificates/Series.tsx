import { fetched } from '../../ui/fetched';
import { Button, Stack } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import type { Slice } from '../../core/record/slice';
import type { Certificate, Id } from '../../core/record/types';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { exportAddress } from '../../client/api';
import { Later } from '../../ui/Later';
import { listed } from '../../ui/list/source';
import { SideList } from '../../ui/list/SideList';
import { useAddress } from '../hand/address';
import { OneCertificate } from './OneCertificate';

const ImportPanel = fetched(() => import('../frame/ImportPanel'));

const STATES = [
  ['', 'every state'],
  ['valid', 'valid'],
  ['superseded', 'superseded'],
  ['withdrawn', 'withdrawn'],
] as const;

/** Certificates on file: list, search, and one of them with its range charts and what it touches. */
export function Series({ slice, site }: { slice: Slice; site: Id }) {
  const [{ certificate: chosen }, follow] = useAddress('certificate');
  const [files, setFiles] = useState(false);
  const all = slice.by('certificate', 'site', site).sort((a, b) => (a.number < b.number ? -1 : 1));
  const certificate =
    slice.get('certificate', chosen ?? '') ??
    all.find(({ sheet }) => sheet.sizes.length > 0) ??
    all[0] ??
    null;
  const open = (id: Id) => {
    follow({ certificate: id }, 'replace');
    setFiles(false);
  };
  return (
    <div className="split series">
      <CertificateList all={all} current={files ? null : (certificate?.id ?? null)} onOpen={open}>
        <Stack gap="xs" p="sm">
          <Button
            component="a"
            variant="default"
            href={`/dossier/?site=${site}&table=certificate&record=new`}
          >
            Type a new one
          </Button>
          <Button variant="default" onClick={() => setFiles(true)}>
            Files in and out
          </Button>
        </Stack>
      </CertificateList>
      <main id="main" tabIndex={-1}>
        {files || !certificate ? (
          <FilesPanel site={site} />
        ) : (
          <OneCertificate key={certificate.id} slice={slice} certificate={certificate} />
        )}
      </main>
    </div>
  );
}

function CertificateList({
  all,
  current,
  onOpen,
  children,
}: {
  all: readonly Certificate[];
  current: Id | null;
  onOpen: (id: Id) => void;
  children: ReactNode;
}) {
  const source = listed(all, {
    key: ({ id }) => id,
    words: (one) => `${one.number} ${one.title} ${one.maker} ${kindTitle(one.kind)}`,
    only: { state: (one, value) => one.state === value },
  });
  return (
    <SideList
      label="Certificates on file"
      source={source}
      search="Number, title or kind"
      placeholder="for example barrier"
      filters={[{ id: 'state', label: 'State', options: STATES }]}
      keyOf={({ id }) => id}
      current={current}
      onOpen={onOpen}
      title={({ number }) => number}
      beside={({ kind, state }) => `${kindTitle(kind)}${state === 'valid' ? '' : `, ${state}`}`}
      empty={<p>No certificate is on file. Type the first one, or take in its file.</p>}
    >
      {children}
    </SideList>
  );
}

function FilesPanel({ site }: { site: Id }) {
  return (
    <>
      <h1>Files in and out</h1>
      <p>
        A certificate with its sheet travels as JSON (docs/schemas/certificate.schema.json); sizes of
        certificates on file also as CSV, one row per size.
      </p>
      <Button component="a" variant="default" href={exportAddress(site, 'sizes.csv')} download>
        Sizes of every certificate (CSV)
      </Button>
      <Later>
        <ImportPanel site={site} kinds={['certificate', 'sizes']} />
      </Later>
    </>
  );
}
