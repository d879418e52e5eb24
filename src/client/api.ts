import type { AnyCommand } from '../core/record/commands';
import type { JournalNews, Snapshot } from '../core/record/snapshot';
import type { Change, Id } from '../core/record/types';

/** A failed request: what the server said, or that it could not be reached. */
export class ApiError extends Error {
  constructor(
    /** HTTP status; 0 when the server was not reached. */
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
  | { id: Id; status: 'applied'; seq: number; clamped: boolean }
  | { id: Id | null; status: 'refused'; code: string; field: string; message: string };

/** What an import file would change. */
export interface ImportPreview {
  rows: { row: number; what: string; action: 'add' | 'change' | 'same'; fields: string[] }[];
  faults: { row: number | null; field: string; message: string }[];
  items: unknown[];
}

const UNREACHED = 'The server cannot be reached. What you record is kept on this device and sent later.';

async function request<R>(path: string, init: RequestInit = {}): Promise<R> {
  let response: Response;
  try {
    response = await fetch(path, { ...init, signal: init.signal ?? AbortSignal.timeout(20_000) });
  } catch {
    throw new ApiError(0, 'unreached', UNREACHED);
  }
  const body: unknown = await response.json().catch(() => null);
  if (response.ok) return body as R;
  // Refused commands and faulty files come with an answer for each part; the caller reads them.
  if (body && typeof body === 'object' && ('answers' in body || 'faults' in body)) return body as R;
  const { code, message, field } = (body as { error?: ApiError } | null)?.error ?? {
    code: 'fault',
    message: `The server answered ${response.status}. Try again.`,
    field: null,
  };
  throw new ApiError(response.status, code, message, field);
}

const post = <R>(path: string, value: unknown): Promise<R> =>
  request(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(value),
  });

/** The server's endpoints, typed. Every call throws ApiError. */
export const api = {
  session: () => request<Session>('/api/session/'),
  signIn: (name: string) => post<{ person: Person }>('/api/session/', { name }),
  sites: () => request<{ id: Id; name: string }[]>('/api/sites/'),
  snapshot: (site: Id) => request<Snapshot>(`/api/sites/${site}/`),
  commandsAfter: (site: Id, seq: number) => request<JournalNews>(`/api/sites/${site}/commands/?after=${seq}`),
  history: (site: Id, record: Id) =>
    request<Change[]>(`/api/sites/${site}/history/?record=${encodeURIComponent(record)}`),
  send: (commands: readonly AnyCommand[]) =>
    post<{ answers: CommandAnswer[] }>('/api/commands/', { commands }),
  sendPhoto: (id: Id, bytes: Blob) =>
    request<{ id: Id }>(`/api/photos/${id}/`, {
      method: 'PUT',
      body: bytes,
      signal: AbortSignal.timeout(120_000),
    }),
  previewImport: (site: Id, kind: string, file: Blob, signal?: AbortSignal) =>
    request<ImportPreview>(`/api/sites/${site}/import/${kind}/`, { method: 'POST', body: file, signal }),
  handleInstrument: (id: Id, input: unknown) => post<{ ok: true }>(`/api/instruments/${id}/`, input),
};

/** Address of a stored photo. */
export const photoAddress = (id: Id): string => `/api/photos/${id}/`;

/** Address of an export of a site. */
export const exportAddress = (site: Id, name: string): string => `/api/sites/${site}/export/${name}/`;
