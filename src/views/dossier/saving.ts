import { api, type ApiError } from '../../client/api';
import type { SaveFault } from './use-record-form';

/** Why the records refuse something, at the path of the field. */
export const reasonOf = ({ field, message }: SaveFault): SaveFault => ({
  field: field.replace(/^(payload\.)?(set\.)?/, ''),
  message,
});

/** Fields whose value is another than before. */
export function changed(
  before: Record<string, unknown>,
  after: Record<string, unknown>,
): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(after).filter(([key, value]) => JSON.stringify(value) !== JSON.stringify(before[key])),
  );
}

/**
 * Keeps an instrument in the register: every site that has it gets a new version, and what was measured before stays with
 * the one it was measured with.
 */
export async function keepInRegister(value: Record<string, unknown>, of: string): Promise<SaveFault | null> {
  try {
    const { answers } = await api.keepInstrument({ ...value, id: of });
    const refused = answers.find((one) => one.status === 'refused');
    return refused?.status === 'refused' ? reasonOf(refused) : null;
  } catch (error) {
    const { message, field } = error as ApiError;
    const unreached = (error as ApiError).status === 0;
    return { field: field ?? 'register', message: unreached ? 'it is kept on the server, which cannot be reached now. Save again when it can; what is typed stays here.' : message }; // prettier-ignore
  }
}
