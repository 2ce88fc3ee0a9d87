import { useState } from 'react';
import type { PromiseView } from '../api/types';
import type { Changes } from '../setup/useChanges';
import { Button } from '../ui/Button';

/** Living with a promise as it is, or switching it off: always with a reason, and it can be taken back. */
export function Decision({ promise, changes }: { promise: PromiseView; changes: Changes }) {
  const [note, setNote] = useState<string | null>(null);
  if (promise.note !== '' || promise.state === 'off')
    return (
      <div>
        <Button look="bare" onClick={() => void changes.decide(promise.code, true, '')}>
          Look at it again, without the reason
        </Button>
      </div>
    );
  if (note === null)
    return (
      <div>
        <Button look="bare" onClick={() => setNote('')}>
          Keep it as it is, with a reason
        </Button>
      </div>
    );
  const decide = (on: boolean) => note.trim() && void changes.decide(promise.code, on, note.trim());
  return (
    <form
      className="flex max-w-xl flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        decide(true);
      }}
    >
      <label className="flex flex-col gap-1 text-sm">
        Why it is right as it is
        <textarea
          className="rounded border border-line bg-paper p-2"
          rows={2}
          maxLength={400}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      <div className="flex flex-wrap gap-2">
        <Button look="solid" type="submit" disabled={!note.trim()}>
          Keep it
        </Button>
        <Button onClick={() => decide(false)} disabled={!note.trim()}>
          Switch the promise off
        </Button>
        <Button look="bare" onClick={() => setNote(null)}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
