import { Suspense, useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { fetched } from '../../ui/fetched';

const LeaveDialog = fetched(() => import('./LeaveDialog'));

/** Something that leaves a form: asked first when something is typed in it that is not saved. */
export interface Leave {
  then: (go: () => void) => void;
  onDirty: (dirty: boolean) => void;
  dialog: React.ReactNode;
}

/** The address under which something is typed that is not saved; null where nothing is. */
type Typed = RefObject<string | null>;

/**
 * The browser's Back and Forward leave a form too. What is typed stands under its own address again while it is asked;
 * who leaves goes back from there.
 */
function useBackGuard(typed: Typed, ask: (going: { go: () => void }) => void): void {
  useEffect(() => {
    const leaves = (event: PopStateEvent) => {
      if (typed.current === null) return;
      // Whoever listens after this one hears nothing of it: at a window there is no capture, only the order.
      event.stopImmediatePropagation();
      history.pushState(null, '', typed.current);
      ask({ go: () => history.back() });
    };
    window.addEventListener('popstate', leaves);
    return () => window.removeEventListener('popstate', leaves);
  }, [typed, ask]);
}

/** Asks before something typed is lost. */
export function useLeave(): Leave {
  const typed: Typed = useRef(null);
  const [going, setGoing] = useState<{ go: () => void } | null>(null);
  const onDirty = useCallback((is: boolean) => void (typed.current = is ? location.href : null), []);
  const stay = () => setGoing(null);
  useBackGuard(typed, setGoing);
  return {
    onDirty,
    then: (go) => (typed.current !== null ? setGoing({ go }) : go()),
    dialog: (
      <Suspense fallback={null}>
        {going && <LeaveDialog onStay={stay} onLeave={() => { typed.current = null; setGoing(null); going.go(); }} />}
      </Suspense>
    ),
  };
} // prettier-ignore
