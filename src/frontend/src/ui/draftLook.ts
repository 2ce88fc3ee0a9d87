import { createContext } from 'react';

/** What is shown of a value while it is typed and not saved yet. */
interface DraftLook {
  /** Shows what the change would do; the change must ask for nothing but an edit. */
  at: (change: () => void, field: Element) => void;
  away: () => void;
}

/** Where fields show what they would change; null where a draft is nothing to be looked at. */
export const DraftLookContext = createContext<DraftLook | null>(null);
