import { createContext, use } from 'react';

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
export function askFrom(field: string, typed: string, change: () => void): void {
  asking = { field, typed };
  try {
    change();
  } finally {
    asking = { field: null, typed: '' };
  }
}

/** The field that asks for the change which is being made right now. */
export const whoAsks = () => asking;

/** What was refused of a field; null when nothing was. */
export function useRefusal(field: string): Refusal | null {
  const refusal = use(RefusalContext);
  return refusal?.field === field ? refusal : null;
}
