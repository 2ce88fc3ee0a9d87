import { useState, type ChangeEvent, type KeyboardEvent } from 'react';
import { useRefusal } from './refusal';

/**
 * The typing in a field before it counts: it is committed when the field is left or Enter is pressed; Escape takes it back. What the
 * server refuses stays there, with the reason, until something else is typed.
 * @returns what the input needs, and why what it shows was refused
 */
export function useDraft(value: string | number, onCommit: (draft: string) => void) {
  const { refused, marks, reason, ask, dismiss } = useRefusal();
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    if (draft !== null && draft !== String(value)) ask(draft, () => onCommit(draft));
    setDraft(null);
  };
  return {
    refused: reason,
    input: {
      value: draft ?? refused?.typed ?? value,
      ...marks,
      onChange: (event: ChangeEvent<HTMLInputElement>) => {
        dismiss();
        setDraft(event.target.value);
      },
      onBlur: commit,
      onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape' && (draft !== null || refused)) {
          event.stopPropagation();
          dismiss();
          setDraft(null);
        }
      },
    },
  };
}
