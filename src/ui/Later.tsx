import { Suspense, type ReactNode } from 'react';

/** What is fetched when it is first shown: says so until it is here. */
export const Later = ({ children }: { children: ReactNode }) => (
  <Suspense
    fallback={
      <p className="quiet" role="status">
        Opening …
      </p>
    }
  >
    {children}
  </Suspense>
);
