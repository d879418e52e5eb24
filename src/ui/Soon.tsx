import { startTransition, useEffect, useState, type ReactNode } from 'react';

/** What stands further down a page: it is drawn right after what one sees first, and never in its way. */
export function Soon({ children }: { children: ReactNode }) {
  const [soon, set] = useState(false);
  useEffect(() => startTransition(() => set(true)), []);
  return soon && children;
}
