import { useState, type ChangeEvent, type KeyboardEvent } from 'react';

/**
 * The typing in a field before it counts: it is committed when the field is left or Enter is pressed; Escape takes it back.
 * @returns what the input needs
 */
export function useDraft(value: string | number, onCommit: (draft: string) => void) {
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    if (draft !== null && draft !== String(value)) onCommit(draft);
    setDraft(null);
  };
  return {
    value: draft ?? value,
    onChange: (event: ChangeEvent<HTMLInputElement>) => setDraft(event.target.value),
    onBlur: commit,
    onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => {
      if (event.key === 'Enter') commit();
      if (event.key === 'Escape' && draft !== null) {
        event.stopPropagation();
        setDraft(null);
      }
    },
  };
}
