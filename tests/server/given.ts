import { ulid } from 'ulid';

/** A command of the demo's first site, as a device would give it now. */
export const command = (kind: string, payload: object, more: object = {}) => ({
  id: ulid(),
  kind,
  site: 'marrowick',
  at: new Date().toISOString(),
  payload,
  ...more,
});

/** What became of each command of a request. */
export const answers = (json: unknown) => (json as { answers: Record<string, unknown>[] }).answers;
