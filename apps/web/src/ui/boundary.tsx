/** When a screen or a part of one fails, the rest stays: it says what happened, keeps what was typed (drafts live in this browser), and offers to try again. */
import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { Button } from './button';

function Fallen({ error, resetErrorBoundary, what }: FallbackProps & { what: string }) {
  return (
    <div role="alert" className="m-4 flex flex-col items-start gap-2 border-l-4 border-bad bg-wash p-3">
      <p className="font-medium">{what} could not be shown.</p>
      <p className="text-sm">What you typed is kept in this browser. {error instanceof Error && error.message ? `The fault: ${error.message}` : ''}</p>
      <Button onClick={resetErrorBoundary}>Show it again</Button>
    </div>
  );
}

/** @param what named in the message: “The strip” @param resetKeys another text or address clears the fault by itself */
export function Boundary({ what, resetKeys = [], children }: { what: string; resetKeys?: unknown[]; children: ReactNode }) {
  return (
    <ErrorBoundary resetKeys={resetKeys} fallbackRender={(props) => <Fallen {...props} what={what} />}>
      {children}
    </ErrorBoundary>
  );
}
