import { createContext, use, useId, useState } from 'react';

/** A change that the server refused, and the field that asked for it. */
export interface Refusal {
  /** The id of the field; null when no field asked for it. */
  field: string | null;
  /** What was typed there. */
  typed: string;
  /** Why it was refused. */
  reason: string;
}

/** The change that was refused last, while nothing was changed since. */
export const RefusalContext = createContext<Refusal | null>(null);

let asking: Pick<Refusal, 'field' | 'typed'> = { field: null, typed: '' };

/** Lets a field ask for a change: what the change is told of it by {@link whoAsks}. */
function askFrom(field: string, typed: string, change: () => void): void {
  asking = { field, typed };
  try {
    change();
  } finally {
    asking = { field: null, typed: '' };
  }
}

/** The field that asks for the change which is being made right now. */
export const whoAsks = () => asking;

/**
 * What was refused of a field, until that is dismissed.
 * @returns the refusal or null, what marks the field as refused, the reason to show below it, how to ask for a change and to dismiss
 */
export function useRefusal() {
  const field = useId();
  const last = use(RefusalContext);
  const refusal = last?.field === field ? last : null;
  const [dismissed, dismiss] = useState<Refusal | null>(null);
  const refused = refusal === dismissed ? null : refusal;
  const id = `${field}-refused`;
  return {
    refused,
    marks: { 'aria-invalid': refused !== null, 'aria-describedby': refused ? id : undefined },
    reason: refused && { id, reason: refused.reason },
    ask: (typed: string, change: () => void) => askFrom(field, typed, change),
    dismiss: () => dismiss(refusal),
  };
}
