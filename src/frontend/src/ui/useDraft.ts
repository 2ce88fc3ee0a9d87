import { useId, useState, type ChangeEvent, type KeyboardEvent } from 'react';
import { askFrom, useRefusal } from './refusal';

/**
 * The typing in a field before it counts: it is committed when the field is left or Enter is pressed; Escape takes it back. What the
 * server refuses stays there, with the reason, until something else is typed.
 * @returns what the input needs, and why what it shows was refused
 */
export function useDraft(value: string | number, onCommit: (draft: string) => void) {
  const field = useId();
  const refusal = useRefusal(field);
  const [draft, setDraft] = useState<string | null>(null);
  const [dismissed, dismiss] = useState<object | null>(null);
  const refused = refusal !== dismissed ? refusal : null;
  const commit = () => {
    if (draft !== null && draft !== String(value)) askFrom(field, draft, () => onCommit(draft));
    setDraft(null);
  };
  return {
    refused: refused && { id: `${field}-refused`, reason: refused.reason },
    input: {
      value: draft ?? refused?.typed ?? value,
      'aria-invalid': refused !== null,
      'aria-describedby': refused ? `${field}-refused` : undefined,
      onChange: (event: ChangeEvent<HTMLInputElement>) => {
        dismiss(refusal);
        setDraft(event.target.value);
      },
      onBlur: commit,
      onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape' && (draft !== null || refused)) {
          event.stopPropagation();
          dismiss(refusal);
          setDraft(null);
        }
      },
    },
  };
}
