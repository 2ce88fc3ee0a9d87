import { use, useState, type ChangeEvent, type KeyboardEvent } from 'react';
import { DraftLookContext } from './draftLook';
import { useRefusal } from './refusal';

/**
 * The typing in a field before it counts: it is committed when the field is left or Enter is pressed; Escape takes it back. What the
 * server refuses stays there, with the reason, until something else is typed.
 * @returns what the input needs, and why what it shows was refused
 */
export function useDraft(value: string | number, onCommit: (draft: string) => void) {
  const { refused, marks, reason, ask, dismiss } = useRefusal();
  const around = use(DraftLookContext);
  // A name changes nothing along the path, and each would be proven anew.
  const look = typeof value === 'number' ? around : null;
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    look?.away();
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
        const text = event.target.value;
        setDraft(text);
        look?.at(() => text !== String(value) && onCommit(text), event.target);
      },
      onBlur: commit,
      onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape' && (draft !== null || refused)) {
          event.stopPropagation();
          look?.away();
          dismiss();
          setDraft(null);
        }
      },
    },
  };
}
