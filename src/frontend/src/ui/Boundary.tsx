import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Button } from './Button';
import { Notice } from './Notice';

interface Props {
  /** What it is called, for the notice that stands in its place. */
  name: string;
  /** When one of these changes, a part that could not be shown is tried again. */
  resetKeys?: unknown[];
  children: ReactNode;
}

/** A part of a page. When it cannot be shown, that is said in its place, and the rest of the page stays. */
export function Boundary({ name, resetKeys, children }: Props) {
  return (
    <ErrorBoundary
      resetKeys={resetKeys}
      fallbackRender={({ error, resetErrorBoundary }) => (
        <div className="p-3">
          <Notice title={`${name} cannot be shown`}>
            <p className="wrap-anywhere">{error instanceof Error ? error.message : String(error)}</p>
            <p>Nothing is lost; everything else works as usual.</p>
            <Button className="mt-2" onClick={resetErrorBoundary}>
              Try again
            </Button>
          </Notice>
        </div>
      )}
    >
      {children}
    </ErrorBoundary>
  );
}
