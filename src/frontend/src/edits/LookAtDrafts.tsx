import { useEffect, useMemo, type ReactNode } from 'react';
import { DraftLookContext } from '../ui/draftLook';
import { useLook } from './look';
import type { Changes } from './useChanges';

/** Lets the fields in it show what they would change while a value is typed. What they commit must be an edit and nothing else. */
export function LookAtDrafts({ changes, children }: { changes: Changes; children: ReactNode }) {
  const { at, away } = useLook();
  const { whatIf } = changes;
  const look = useMemo(
    () => ({ at: (change: () => void, field: Element) => at(whatIf(change), field), away }),
    [at, away, whatIf],
  );
  // A field that goes away takes its draft along.
  useEffect(() => away, [away]);
  return <DraftLookContext value={look}>{children}</DraftLookContext>;
}
