import type { AnyCommand, DossierFields } from '../core/commands/commands';
import type { SiteNews, Snapshot } from '../core/commands/news';
import type { SheetSaid, SheetsPreview } from '../core/bulk/preview';
import type { Scope } from '../core/record/closure';
import type { Change, Id } from '../core/record/types';

/** A failed request: what the server said, or that it could not be reached. */
export class ApiError extends Error {
  constructor(
    /** HTTP status; 0 when the server was not reached, or its answer broke off. */
    readonly status: number,
    readonly code: string,
    message: string,
    readonly field: string | null = null,
  ) {
    super(message);
    this.name = 'ApiError';
  }
}

export interface Person {
  id: Id;
  name: string;
}

export interface Session {
  person: Person | null;
  people: Person[];
  now: string;
  testClock: boolean;
}

export type CommandAnswer =
  | {
      id: Id;
      status: 'applied';
      seq: number;
      hash: string;
      /** The site's line of the journal before this one. */
      after: number;
      clamped: boolean;
    }
  | { id: Id | null; status: 'refused'; code: string; field: string; message: string };

/** What an import file would change. */
export interface ImportPreview {
  rows: { row: number; what: string; action: 'add' | 'change' | 'same'; fields: string[] }[];
  faults: { row: number | null; field: string; message: string }[];
  items: unknown[];
}

/** An instrument of the register, and the sites that it is lent to. */
export interface RegisterRow {
  instrument: DossierFields['instrument'];
  sites: { id: Id; name: string }[];
}

/** A long request: its name, by which its progress is told, and what ends it. */
interface Asked {
  task: string;
  signal: AbortSignal;
}

const UNREACHED = 'The server cannot be reached. What you record is kept on this device and sent later.';
const CUT = 'The answer of the server broke off. It is asked again.';

/** Whether an answer has the shape that the call waits for: one that was cut on its way has not. */
type Shape = (body: Record<string, unknown>) => boolean;

/** A request of the server’s, its answer checked for its shape. @throws ApiError */
export async function request<R>(path: string, right: Shape, init: RequestInit = {}): Promise<R> {
  return (await answer<R>(path, right, init)).body;
}

/** An answer and the text that it came as. */
async function answer<R>(
  path: string,
  right: Shape,
  init: RequestInit = {},
): Promise<{ body: R; text: string }> {
  let response: Response;
  let text: string;
  try {
    response = await fetch(path, { ...init, signal: init.signal ?? AbortSignal.timeout(60_000) });
    text = await response.text();
  } catch {
    throw new ApiError(0, 'unreached', UNREACHED);
  }
  const body = parsed(text);
  // Refused commands and faulty files come with an answer for each part; the caller reads them.
  const parts = body !== null && ('answers' in body || 'faults' in body);
  if (response.ok || parts) {
    if (body === null || !right(body)) throw new ApiError(0, 'cut', CUT);
    return { body: body as R, text };
  }
  const { code, message, field } = (body?.error as ApiError | undefined) ?? {
    code: 'fault',
    message: `The server answered ${response.status}. Try again.`,
    field: null,
  };
  throw new ApiError(response.status, code, message, field);
}

/** A JSON object or list; null for anything else, a piece of one included. */
function parsed(text: string): Record<string, unknown> | null {
  try {
    const body: unknown = JSON.parse(text);
    return typeof body === 'object' ? (body as Record<string, unknown>) : null;
  } catch {
    return null;
  }
}

const post = <R>(path: string, right: Shape, value: unknown): Promise<R> =>
  request(path, right, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(value),
  });

const isList: Shape = (body) => Array.isArray(body);
const isSession: Shape = ({ person, people, now }) =>
  person !== undefined && Array.isArray(people) && typeof now === 'string';
const isSnapshot: Shape = ({ journal, seq, hash, records }) =>
  typeof journal === 'string' &&
  typeof seq === 'number' &&
  typeof hash === 'string' &&
  typeof records === 'object' &&
  records !== null &&
  Array.isArray((records as Record<string, unknown>).site);
const isNews: Shape = ({ journal, seq, hash, taken, changes }) =>
  typeof journal === 'string' &&
  typeof seq === 'number' &&
  typeof hash === 'string' &&
  Array.isArray(taken) &&
  Array.isArray(changes);
const hasAnswers: Shape = ({ answers }) =>
  Array.isArray(answers) &&
  answers.every((one: unknown) => typeof one === 'object' && one !== null && 'status' in one);
const hasItems: Shape = ({ items, counts }) => Array.isArray(items) && typeof counts === 'object';
const hasFaults: Shape = ({ rows, faults }) => Array.isArray(rows) && Array.isArray(faults);

/** The server's endpoints, typed. Every call throws ApiError. */
export const api = {
  session: () => request<Session>('/api/session/', isSession),
  signIn: (name: string) =>
    post<{ person: Person }>('/api/session/', ({ person }) => typeof person === 'object' && person !== null, { name }), // prettier-ignore
  sites: () => request<{ id: Id; name: string }[]>('/api/sites/', isList),
  /** The site that holds an entry, alone; an empty list where none does. */
  siteOf: (entry: Id) =>
    request<{ id: Id; name: string }[]>(`/api/sites/?entry=${encodeURIComponent(entry)}`, isList),
  /**
   * Everything of a site, and the text that it came as: a device keeps that. Of a large site it is what belongs to no
   * entry, and says so by its scope.
   */
  snapshot: (site: Id) => answer<Snapshot>(`/api/sites/${site}/`, isSnapshot),
  /** What a part of a site is inspected with. */
  part: (site: Id, { rounds, areas, enclosures, cables, entries }: Scope) => {
    const named = new URLSearchParams();
    const lists = { round: rounds, area: areas, enclosure: enclosures, cable: cables, entry: entries };
    for (const [what, ids] of Object.entries(lists)) for (const id of ids) named.append(what, id);
    return answer<Snapshot>(`/api/sites/${site}/slice/?${named.toString()}`, isSnapshot);
  },
  /** What was altered after a line, whose hash says whether the server still has that line. */
  newsAfter: (site: Id, seq: number, hash: string) =>
    request<SiteNews>(`/api/sites/${site}/news/?after=${seq}${hash && `&hash=${hash}`}`, isNews),
  history: (site: Id, record: Id) =>
    request<Change[]>(`/api/sites/${site}/history/?record=${encodeURIComponent(record)}`, isList),
  send: (commands: readonly AnyCommand[]) =>
    post<{ answers: CommandAnswer[] }>('/api/commands/', hasAnswers, { commands }),
  /** Which of these commands of a site the server has. */
  known: (site: Id, ids: readonly Id[]) =>
    post<{ known: Id[] }>(`/api/sites/${site}/known/`, ({ known }) => Array.isArray(known), { ids }),
  sendPhoto: (site: Id, id: Id, bytes: Blob) =>
    request<{ id: Id }>(photoAddress(site, id), ({ id: stored }) => stored === id, {
      method: 'PUT',
      body: bytes,
      signal: AbortSignal.timeout(120_000),
    }),
  previewImport: (site: Id, kind: string, file: Blob, task: string, signal?: AbortSignal) =>
    request<ImportPreview>(`/api/sites/${site}/import/${kind}/?task=${task}`, hasFaults, {
      method: 'POST',
      body: file,
      signal,
    }),
  /** What the sheets of a file would change; `said` is what they are to be taken for. */
  previewSheets: (site: Id, file: File, { said, task, signal }: { said: readonly SheetSaid[] } & Asked) =>
    request<SheetsPreview>(
      `/api/sites/${site}/import/sheets/?${new URLSearchParams({ task, name: file.name, ...(said.length > 0 && { said: JSON.stringify(said) }) })}`,
      hasItems,
      { method: 'POST', body: file, signal },
    ),
  /** What an entry of a kind for each cable end would add. */
  previewEnds: (site: Id, kind: string, { task, signal }: Asked) =>
    request<SheetsPreview>(
      `/api/sites/${site}/import/ends/?${new URLSearchParams({ task, kind })}`,
      hasItems,
      { method: 'POST', signal },
    ),
  /** The installation's instruments. */
  register: () => request<RegisterRow[]>('/api/instruments/', isList),
  /** An instrument as it is from now on; the sites that have it get a new version. */
  keepInstrument: (instrument: { id: Id }) =>
    request<{ answers: CommandAnswer[] }>(`/api/instruments/${instrument.id}/`, hasAnswers, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(instrument),
    }),
  lend: (site: Id, instrument: Id) =>
    post<{ answers: CommandAnswer[] }>(`/api/sites/${site}/lend/`, hasAnswers, { instrument }),
  handleInstrument: (site: Id, id: Id, input: unknown) =>
    post<{ ok: true }>(`/api/sites/${site}/instruments/${id}/`, () => true, input),
};

/** Address of a stored photo of a site. */
export const photoAddress = (site: Id, id: Id): string => `/api/sites/${site}/photos/${id}/`;

/**
 * An export as a file.
 *
 * @throws ApiError when the server refuses it, is not reached, or breaks off
 */
export async function fetchExport(site: Id, name: string, task: string, signal: AbortSignal): Promise<Blob> {
  let response: Response;
  try {
    response = await fetch(`${exportAddress(site, name)}?task=${task}`, { signal });
    if (response.ok) return await response.blob();
  } catch {
    throw new ApiError(0, 'unreached', 'The server cannot be reached, or its answer broke off. Try again.');
  }
  const { error } = (parsed(await response.text()) ?? {}) as { error?: { code: string; message: string } };
  throw new ApiError(response.status, error?.code ?? 'fault', error?.message ?? `The server answered ${response.status}. Try again.`); // prettier-ignore
}

/** Address of an export of a site. */
export const exportAddress = (site: Id, name: string): string => `/api/sites/${site}/export/${name}/`;
