import { Button } from '@mantine/core';
import { Component, type ReactNode } from 'react';

/** What is shown when a view fails: nothing recorded is lost, and a reload usually mends it. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { failed: Error | null }> {
  override state = { failed: null as Error | null };

  static getDerivedStateFromError(failed: Error) {
    return { failed };
  }

  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <main id="main" className="empty" role="alert">
        <h1>This view has failed</h1>
        <p>
          Everything you recorded is kept on this device. Reload the page; if it fails again, report this:
        </p>
        <p className="figures">{this.state.failed.message}</p>
        <Button variant="default" onClick={() => location.reload()}>
          Reload
        </Button>
      </main>
    );
  }
}
