import { useState, type ReactNode } from 'react';
import { Button } from './Button';

interface Props {
  /** What is offered before anything is typed. */
  offer: string;
  onKeep: (reason: string) => void;
  /** More that can be done with the reason. */
  more?: (reason: string) => ReactNode;
}

/** Asks for a reason before something is kept as it is. */
export function ReasonForm({ offer, onKeep, more }: Props) {
  const [note, setNote] = useState<string | null>(null);
  if (note === null)
    return (
      <Button look="bare" onClick={() => setNote('')}>
        {offer}
      </Button>
    );
  const reason = note.trim();
  return (
    <form
      className="flex w-full max-w-xl flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason) onKeep(reason);
      }}
    >
      <label className="flex flex-col gap-1 text-sm">
        Why it is right as it is
        <textarea
          className="rounded border border-edge bg-paper p-2"
          rows={2}
          maxLength={400}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      <div className="flex flex-wrap gap-2">
        <Button look="solid" type="submit" disabled={!reason}>
          Keep it
        </Button>
        {more?.(reason)}
        <Button look="bare" onClick={() => setNote(null)}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
