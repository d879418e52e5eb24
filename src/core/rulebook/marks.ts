/** The letters behind a certificate's number: X, special conditions; U, a component that is no equipment by itself. */
const MARKS = /\d[\s/.,-]*([XU]{1,2})(?![A-Za-z0-9])/gi;

/** Whether a certificate's number carries a mark, wherever it stands behind the number (IEC 60079-0). */
export function carries(number: string, mark: 'X' | 'U'): boolean {
  // Most numbers hold no such letter: no need to look where it stands.
  if (!number.includes(mark) && !number.includes(mark.toLowerCase())) return false;
  for (const [, letters] of number.matchAll(MARKS)) {
    if (letters!.toUpperCase().includes(mark)) return true;
  }
  return false;
}
