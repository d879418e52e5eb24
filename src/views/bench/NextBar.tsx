import { Button, Kbd } from '@mantine/core';
import type { Way } from './use-way';

/** What is next unread, always in view and one press away; once nothing is, the seal. */
export function NextBar({ way, sealed, onSeal }: { way: Way; sealed: boolean; onSeal: () => void }) {
  const { next, unread } = way;
  const done = sealed ? 'Sealed' : 'Nothing is unread: seal it';
  return (
    <Button
      className="next-bar"
      style={{ gridArea: 'next' }}
      variant={next ? 'default' : 'filled'}
      justify="space-between"
      disabled={sealed}
      rightSection={<Kbd>{next ? 'N' : 'S'}</Kbd>}
      onClick={next ? way.toNext : onSeal}
    >
      {next ? `Next of ${unread}: ${next.title}` : done}
    </Button>
  );
}
